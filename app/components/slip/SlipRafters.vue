<script setup lang="ts">
import { supportKinds, type SupportKind } from '#core/catalogue'
import { usualSupports } from '#core/job'

/** What the face's fixings are driven into or hold on to: its kind first, then its own measures. */
const { face, units, commit } = useFace()
const supports = computed(() => face.value.supports)
const kinds: { value: SupportKind, label: string }[] = supportKinds.map(value => ({
  value,
  label: { rafters: 'Rafters or trusses', purlins: 'Purlins or battens', seams: 'Standing seams', screws: 'The sheet’s own screws', sheathing: 'Sheathing' }[value],
}))

const choose = (kind: SupportKind) => kind === supports.value.kind || commit(faceEdit(face.value.id, { supports: usualSupports(kind, units.value) }))
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
