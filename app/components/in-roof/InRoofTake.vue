<script setup lang="ts">
import { offered } from '#core/catalogue'
import { plainInRoof } from '#core/job'

/** Lays an array into the roof, by the system that is chosen; or lifts it onto rails again. */
const { face, catalogue, commit } = useFace()
const systems = computed(() => offered(catalogue.value.inRoofs))
const choices = computed(() => [{ value: '-', label: 'On rails, over the covering' }, ...systems.value.map(one => ({ value: one.id, label: `In the roof: ${one.name}` }))])
function choose(id: string) {
  if (id === '-') return commit({ type: 'take-in-roof', faceId: face.value.id, inRoof: null })
  if (face.value.inRoof) return commit(inRoofEdit(face.value.id, { systemId: id }))
  return commit({ type: 'take-in-roof', faceId: face.value.id, inRoof: { ...plainInRoof, systemId: id, work: face.value.covering.kind === 'felt-and-battens' ? 'new' : 'retrofit' } })
}
</script>

<template>
  <FieldChoiceField
    v-if="systems.length || face.inRoof"
    label="The array lies"
    :value="face.inRoof?.systemId ?? '-'"
    :choices="choices"
    @choose="choose"
  />
  <p
    v-else
    class="my-2 text-sm text-muted"
  >
    For an array in the roof put a system on the <NuxtLink
      to="/shelf/inRoofs"
      class="underline underline-offset-2"
    >shelf</NuxtLink>.
  </p>
</template>
