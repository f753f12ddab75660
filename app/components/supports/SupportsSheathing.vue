<script setup lang="ts">
import type { Supports } from '#core/job'
import { shapeOf } from '#core/roof'

/** Sheathing: its thickness, and the sound areas where not all of it is. */
type Sheathing = Extract<Supports, { kind: 'sheathing' }>
const { supports } = defineProps<{ supports: Sheathing }>()
const { face, units, commit } = useFace()
const set = (values: Partial<Sheathing>) => commit(faceEdit(face.value.id, { supports: { ...supports, ...values } }))
const change = (i: number, values: Partial<Sheathing['areas'][number]>) => set({ areas: supports.areas.map((area, k) => k === i ? { ...area, ...values } : area) })
function add() {
  const { along, up } = shapeOf(face.value.outline)
  set({ areas: [...supports.areas, { fromXMm: along.fromMm, toXMm: along.toMm, fromYMm: 0, toYMm: up.toMm }] })
}
</script>

<template>
  <FieldLengthField
    label="Thickness"
    :mm="supports.thicknessMm"
    :units="units"
    :commit="mm => set({ thicknessMm: mm! })"
  />
  <p class="my-2 text-sm text-muted">
    Only mounts made for sheathing go here, as their maker says and for the thickness he names. {{ supports.areas.length ? 'Fixings go inside the sound areas.' : 'The whole face counts as sound: add areas where it does not.' }}
  </p>
  <section
    v-for="(area, i) in supports.areas"
    :key="i"
    class="mb-2 border-l-4 border-graphite-300 pl-2"
    :aria-label="`Sound area ${i + 1}`"
  >
    <div class="flex items-center justify-between">
      <span class="font-semibold">Sound area {{ i + 1 }}</span>
      <UButton
        size="xs"
        color="neutral"
        variant="ghost"
        icon="i-lucide-x"
        :aria-label="`Take sound area ${i + 1} away`"
        @click="set({ areas: supports.areas.filter((_, k) => k !== i) })"
      />
    </div>
    <FieldLengthField
      label="From"
      hint="along, from the eave’s left end"
      :mm="area.fromXMm"
      :units="units"
      :commit="mm => change(i, { fromXMm: mm! })"
    />
    <FieldLengthField
      label="To"
      hint="along"
      :mm="area.toXMm"
      :units="units"
      :commit="mm => change(i, { toXMm: mm! })"
    />
    <FieldLengthField
      label="From, up"
      :mm="area.fromYMm"
      :units="units"
      :commit="mm => change(i, { fromYMm: mm! })"
    />
    <FieldLengthField
      label="To, up"
      :mm="area.toYMm"
      :units="units"
      :commit="mm => change(i, { toYMm: mm! })"
    />
  </section>
  <UButton
    size="sm"
    color="neutral"
    variant="outline"
    label="Add a sound area"
    @click="add"
  />
</template>
