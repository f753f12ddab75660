<script setup lang="ts">
import { plainBatten, type PurlinSupports } from '#core/job'

/** Lines of timber across the roof: a first line and a distance, and where single ones were really found. */
const { supports } = defineProps<{ supports: PurlinSupports }>()
const { face, facePlan, units, commit } = useFace()
const set = (values: Partial<PurlinSupports>) => commit(faceEdit(face.value.id, { supports: { ...supports, ...values } }))
const place = (line: number, mm: number | null) => set({
  found: [...supports.found.filter(find => find.line !== line), ...(mm === null ? [] : [{ line, centreMm: mm }])].sort((a, b) => a.line - b.line),
})
</script>

<template>
  <FieldChoiceField
    label="They are"
    :value="supports.member"
    :choices="[{ label: 'Purlins', value: 'purlin' }, { label: 'Battens', value: 'batten' }]"
    @choose="set({ member: $event })"
  />
  <FieldLengthField
    label="First line"
    hint="its middle, up from the eave"
    :mm="supports.firstMm"
    :units="units"
    :commit="mm => set({ firstMm: mm! })"
  />
  <FieldLengthField
    label="Lines apart"
    hint="middle to middle, up the slope"
    :mm="supports.spacingMm"
    :units="units"
    :commit="mm => set({ spacingMm: mm! })"
  />
  <FieldLengthField
    label="Timber width"
    :mm="supports.widthMm"
    :units="units"
    :commit="mm => set({ widthMm: mm! })"
  />
  <FieldLengthField
    label="Thickness"
    :hint="supports.thicknessMm === null ? 'along a screw; nobody has measured it' : 'along a screw'"
    :mm="supports.thicknessMm"
    :units="units"
    optional
    :commit="mm => set({ thicknessMm: mm })"
  />
  <template v-if="supports.member === 'batten'">
    <SupportsBatten
      v-if="supports.batten"
      :supports="supports"
      :batten="supports.batten"
    />
    <UButton
      v-else
      class="mt-2"
      color="neutral"
      variant="outline"
      label="Say how the battens are held"
      @click="set({ batten: plainBatten })"
    />
  </template>
  <h2 class="slip-title mt-5">
    Where they really are
  </h2>
  <p class="mb-1 text-sm text-muted">
    Rails run along these lines. Type the height where one was found; empty the field to go back to the spacing.
  </p>
  <FieldLengthField
    v-for="line in facePlan.supports.across"
    :key="line.number"
    :label="`${line.name[0]!.toUpperCase()}${line.name.slice(1)}`"
    :hint="line.state === 'proved' ? 'found' : 'by spacing only'"
    :mm="line.centreMm"
    :units="units"
    optional
    :commit="mm => place(line.number, mm)"
  />
</template>
