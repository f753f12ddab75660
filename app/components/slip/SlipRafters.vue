<script setup lang="ts">
import { placeAlong, readingAlong } from '#core/roof'

const { face, facePlan, units, selection, select, commit } = useFace()
const set = (values: Partial<typeof face.value.supports>) => commit(faceEdit(face.value.id, { supports: { ...face.value.supports, ...values } }))
const foundCount = computed(() => facePlan.value.rafters.filter(rafter => rafter.state === 'found').length)

/** Readings are typed from the datum corner; the job keeps places from the left rake. An emptied field forgets the find. */
const move = (rafter: number, readingMm: number | null) => commit({
  type: 'move-rafter', faceId: face.value.id, rafter, centreMm: readingMm === null ? null : placeAlong(face.value, readingMm),
})
const ordered = computed(() => face.value.datum === 'left' ? facePlan.value.rafters : [...facePlan.value.rafters].reverse())
</script>

<template>
  <h2 class="slip-title">
    Rafters by spacing
  </h2>
  <FieldLengthField
    label="First centre"
    hint="Rafter 1, from the left rake"
    :mm="face.supports.firstCentreMm"
    :units="units"
    :commit="mm => set({ firstCentreMm: mm! })"
  />
  <FieldLengthField
    label="Spacing"
    hint="Centre to centre"
    :mm="face.supports.spacingMm"
    :units="units"
    :commit="mm => set({ spacingMm: mm! })"
  />
  <FieldLengthField
    label="Timber width"
    :mm="face.supports.widthMm"
    :units="units"
    :commit="mm => set({ widthMm: mm! })"
  />
  <h2 class="slip-title mt-5">
    Where they really are
  </h2>
  <p class="mb-1 text-sm text-muted">
    {{ foundCount }} of {{ facePlan.rafters.length }} found. Type the reading from the {{ face.datum }} rake where a rafter was found; empty the field to go back to the spacing.
  </p>
  <div
    v-for="rafter in ordered"
    :key="rafter.number"
    :class="selection === `rafter ${rafter.number}` ? 'bg-chalk-50' : ''"
    @focusin="select(`rafter ${rafter.number}`)"
  >
    <FieldLengthField
      :label="`Rafter ${rafter.number}`"
      :hint="rafter.state === 'found' ? 'found' : 'by spacing only'"
      :mm="readingAlong(face, rafter.centreMm)"
      :units="units"
      optional
      :commit="mm => move(rafter.number, mm)"
    />
  </div>
</template>
