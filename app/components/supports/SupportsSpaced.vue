<script setup lang="ts">
import type { Supports } from '#core/job'

/** Seams and screws: a first place and a spacing, along the eave and for screws up the slope too. */
type Spaced = Extract<Supports, { kind: 'seams' | 'screws' }>
const { supports } = defineProps<{ supports: Spaced }>()
const { face, facePlan, units, commit } = useFace()
const one = computed(() => supports.kind === 'seams' ? 'seam' : 'screw')
const set = (values: Partial<Spaced>) => commit(faceEdit(face.value.id, { supports: { ...supports, ...values } as Spaced }))
</script>

<template>
  <FieldLengthField
    :label="`First ${one}`"
    hint="from the eave’s left end"
    :mm="supports.firstMm"
    :units="units"
    :commit="mm => set({ firstMm: mm! })"
  />
  <FieldLengthField
    label="Spacing"
    :hint="`${one} to ${one}, along the eave`"
    :mm="supports.spacingMm"
    :units="units"
    :commit="mm => set({ spacingMm: mm! })"
  />
  <template v-if="supports.kind === 'screws'">
    <FieldLengthField
      label="First row"
      hint="of screws, up from the eave"
      :mm="supports.firstRowMm"
      :units="units"
      :commit="mm => set({ firstRowMm: mm! })"
    />
    <FieldLengthField
      label="Rows apart"
      :mm="supports.rowSpacingMm"
      :units="units"
      :commit="mm => set({ rowSpacingMm: mm! })"
    />
    <p class="mt-3 text-sm text-muted">
      Take one screw out, set the foot with its upright towards the ridge, drive a longer screw with its gasket. Rails run over the rows.
    </p>
  </template>
  <dl class="mt-2">
    <SlipLine
      v-if="supports.kind === 'seams'"
      label="Seams on the face"
      working="Seams on the face"
    >
      {{ facePlan.supports.seams.length }}
    </SlipLine>
    <template v-else>
      <SlipLine
        label="Rows of screws"
        working="Rows of screws"
      >
        {{ facePlan.supports.screws.rowsMm.length }}
      </SlipLine>
      <SlipLine
        label="Screws in a row"
        working="Screws in a row"
      >
        {{ facePlan.supports.screws.xMm.length }}
      </SlipLine>
    </template>
  </dl>
</template>
