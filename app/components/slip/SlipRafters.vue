<script setup lang="ts">
import { supportKinds, type SupportKind } from '#core/catalogue'
import { rafterRow, type Supports } from '#core/job'

/** What the face's fixings are driven into or hold on to: its kind first, then its own measures. */
const { face, units, commit } = useFace()
const supports = computed(() => face.value.supports)
const kinds: { value: SupportKind, label: string }[] = supportKinds.map(value => ({
  value,
  label: { rafters: 'Rafters or trusses', purlins: 'Purlins or battens', seams: 'Standing seams', screws: 'The sheet’s own screws', sheathing: 'Sheathing' }[value],
}))

/** Starting sizes of a kind (common practice), to be typed over. */
function usual(kind: SupportKind): Supports {
  const mm = (inches: number, metric: number) => units.value === 'imperial' ? inches * 25.4 : metric
  switch (kind) {
    case 'rafters': return rafterRow(mm(12, 300), mm(24, 600), mm(1.5, 45))
    case 'purlins': return { kind, member: 'purlin', firstMm: mm(12, 300), spacingMm: mm(24, 600), widthMm: mm(1.5, 50), thicknessMm: null, batten: null, found: [] }
    case 'seams': return { kind, firstMm: mm(8, 200), spacingMm: mm(16, 430) }
    case 'screws': return { kind, firstMm: mm(4.5, 125), spacingMm: mm(9, 250), firstRowMm: mm(6, 150), rowSpacingMm: mm(24, 600) }
    case 'sheathing': return { kind, thicknessMm: mm(0.625, 18), areas: [] }
  }
}
const choose = (kind: SupportKind) => kind === supports.value.kind || commit(faceEdit(face.value.id, { supports: usual(kind) }))
</script>

<template>
  <FieldChoiceField
    label="Fixed to"
    :value="supports.kind"
    :choices="kinds"
    @choose="choose"
  />
  <SupportsRafters
    v-if="supports.kind === 'rafters'"
    :supports="supports"
  />
  <SupportsPurlins
    v-else-if="supports.kind === 'purlins'"
    :supports="supports"
  />
  <SupportsSheathing
    v-else-if="supports.kind === 'sheathing'"
    :supports="supports"
  />
  <SupportsSpaced
    v-else
    :supports="supports"
  />
</template>
