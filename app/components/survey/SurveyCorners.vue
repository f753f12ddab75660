<script setup lang="ts">
import type { Outline } from '#core/job'
import { cornerLetter } from '#core/roof'

/** A face by running readings of its corners, from the eave's left end. */
type Corners = Extract<Outline, { kind: 'corners' }>
const { outline } = defineProps<{ outline: Corners }>()
const { face, units, commit } = useFace()
const set = (corners: Corners['corners']) => commit(faceEdit(face.value.id, { outline: { kind: 'corners', corners } }))
const change = (i: number, values: Partial<Corners['corners'][number]>) => set(outline.corners.map((corner, k) => k === i ? { ...corner, ...values } : corner))
const remove = (i: number) => set(outline.corners.filter((_, k) => k !== i))
/** A new corner halfway along the edge after this one, to be typed over. */
function add(i: number) {
  const here = outline.corners[i]!
  const next = outline.corners[(i + 1) % outline.corners.length]!
  const middle = { xMm: (here.xMm + next.xMm) / 2, yMm: (here.yMm + next.yMm) / 2, edge: here.edge }
  return set([...outline.corners.slice(0, i + 1), middle, ...outline.corners.slice(i + 1)])
}
</script>

<template>
  <p class="mt-2 text-sm text-muted">
    Readings run from the eave’s left end, along it and up the slope, corner by corner anticlockwise.
  </p>
  <section
    v-for="(corner, i) in outline.corners"
    :key="i"
    class="border-b border-graphite-300 py-1"
    :aria-label="`Corner ${cornerLetter(i)}`"
  >
    <div class="flex items-center justify-between gap-2">
      <span class="font-semibold">{{ cornerLetter(i) }}</span>
      <span class="ml-auto text-sm text-muted">then {{ corner.edge === 'eave' ? 'an' : 'a' }}</span>
      <SurveyEdgeChoice
        :label="`Edge after corner ${cornerLetter(i)}`"
        :value="corner.edge"
        @choose="change(i, { edge: $event })"
      />
      <UButton
        size="xs"
        color="neutral"
        variant="ghost"
        icon="i-lucide-plus"
        :aria-label="`Add a corner after ${cornerLetter(i)}`"
        @click="add(i)"
      />
      <UButton
        size="xs"
        color="neutral"
        variant="ghost"
        icon="i-lucide-x"
        :aria-label="`Remove corner ${cornerLetter(i)}`"
        :disabled="outline.corners.length < 4"
        @click="remove(i)"
      />
    </div>
    <FieldLengthField
      :label="`${cornerLetter(i)} along`"
      :mm="corner.xMm"
      :units="units"
      :commit="mm => change(i, { xMm: mm! })"
    />
    <FieldLengthField
      :label="`${cornerLetter(i)} up`"
      :mm="corner.yMm"
      :units="units"
      :commit="mm => change(i, { yMm: mm! })"
    />
  </section>
</template>
