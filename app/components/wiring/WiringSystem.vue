<script setup lang="ts">
import { offered } from '#core/catalogue'
import { type WireGroup, type WiringSystem, wiringSystemNames, wiringSystems } from '#core/job'
import { unitSuits } from '#core/wiring'

/** How modules are wired: one system for the whole roof, or one for each group of faces. */
// Unit, trunk and inverter are fitted to the system: to the one that was chosen, also where it is not planned yet.
const { job, newest, plan, catalogue, commitNewest: commit } = useFace()
const readsOnly = useReadsOnly()
const groups = computed(() => newest.value.wiring.groups)
const us = computed(() => plan.value.wiring.rules.us)
const systems = wiringSystems.map(value => ({ value, label: wiringSystemNames[value] }))
const unitsFor = (system: WiringSystem) => offered(catalogue.value.electronics).filter(unit => unitSuits(unit, system))
const trunksFor = (unitId: string | null) => offered(catalogue.value.trunks).filter(trunk => unitId !== null && trunk.unitIds.includes(unitId) && trunk.conductor.endsWith('AWG') === us.value)
const invertersFor = (system: WiringSystem) => offered(catalogue.value.inverters).filter(one => (one.heldV !== null) === (system === 'optimisers'))
/** The trunk that a group takes as it is planned. */
const trunkOf = (groupId: string) => plan.value.wiring.groups.find(one => one.group.id === groupId)?.trunk ?? null
function fitted(group: WireGroup): WireGroup {
  const onString = ['strings', 'optimisers', 'shutdown-units'].includes(group.system)
  const units = unitsFor(group.system)
  const unitId = group.system === 'strings' ? null : units.some(one => one.id === group.unitId) ? group.unitId : units[0]?.id ?? null
  const trunks = trunksFor(unitId)
  const inverters = invertersFor(group.system)
  return {
    ...group, unitId,
    trunkId: onString ? null : trunks.some(one => one.id === group.trunkId) ? group.trunkId : null,
    inverterId: onString ? inverters.some(one => one.id === group.inverterId) ? group.inverterId : inverters[0]?.id ?? null : null,
  }
}
const set = (group: WireGroup) => commit({ type: 'set-wire-group', groupId: group.id, group: fitted(group) })
function add(faceIds: string[]) {
  let n = groups.value.length + 1
  while (groups.value.some(one => one.id === `g${n}`)) n++
  return set({ id: `g${n}`, name: faceIds.length ? job.value.faces.find(one => one.id === faceIds[0])!.name : 'Whole roof', system: 'unit-each', unitId: null, trunkId: null, inverterId: null, faceIds })
}
const tickFace = (group: WireGroup, faceId: string, on: boolean) => set({ ...group, faceIds: on ? [...group.faceIds, faceId] : group.faceIds.filter(id => id !== faceId) })
const facesWithModules = computed(() => job.value.faces.filter((_, f) => plan.value.faces[f]!.modules > 0))
const free = computed(() => facesWithModules.value.filter(face => !groups.value.some(one => one.faceIds.includes(face.id))))
</script>

<template>
  <p
    v-if="!groups.length"
    class="text-[15px] leading-snug"
  >
    Nobody has chosen how this roof is wired. Choose once: where units hang, how rows are split or strings walked, trunk, home runs and bond follow.
  </p>
  <section
    v-for="group in groups"
    :key="group.id"
    class="mb-4 border-b-2 border-graphite-300 pb-3"
  >
    <FieldTypedField
      label="Group"
      wide
      :shown="group.name"
      :commit="text => set({ ...group, name: text })"
    />
    <FieldChoiceField
      label="System"
      :value="group.system"
      :choices="systems"
      @choose="set({ ...group, system: $event })"
    />
    <FieldChoiceField
      v-if="group.system !== 'strings'"
      label="Unit"
      :value="group.unitId ?? ''"
      :choices="unitsFor(group.system).map(one => ({ value: one.id, label: one.name }))"
      @choose="set({ ...group, unitId: $event })"
    />
    <FieldChoiceField
      v-if="group.system.startsWith('unit-')"
      label="Trunk"
      :value="group.trunkId ?? '-'"
      :choices="[{ value: '-', label: trunkOf(group.id) ? `By itself: ${trunkOf(group.id)!.name}` : 'By itself' }, ...trunksFor(group.unitId).map(one => ({ value: one.id, label: one.name }))]"
      @choose="set({ ...group, trunkId: $event === '-' ? null : $event })"
    />
    <FieldChoiceField
      v-else
      label="Inverter"
      :value="group.inverterId ?? ''"
      :choices="invertersFor(group.system).map(one => ({ value: one.id, label: one.name }))"
      @choose="set({ ...group, inverterId: $event })"
    />
    <fieldset
      v-if="facesWithModules.length > 1"
      class="mt-2 grid gap-1"
    >
      <legend class="text-[13px] text-muted">
        Faces; none ticked takes what is left
      </legend>
      <UCheckbox
        v-for="face in facesWithModules"
        :key="face.id"
        :model-value="group.faceIds.includes(face.id)"
        :label="face.name"
        :disabled="readsOnly"
        @update:model-value="tickFace(group, face.id, $event === true)"
      />
    </fieldset>
    <UButton
      class="mt-2"
      size="xs"
      color="neutral"
      variant="outline"
      label="Take this group away"
      :disabled="readsOnly"
      @click="commit({ type: 'set-wire-group', groupId: group.id, group: null })"
    />
  </section>
  <UButton
    v-if="!groups.length"
    color="neutral"
    class="mt-3 w-full justify-center"
    label="Choose for the whole roof"
    :disabled="readsOnly"
    @click="add([])"
  />
  <UButton
    v-else-if="facesWithModules.length > 1 && free.length"
    color="neutral"
    variant="outline"
    class="w-full justify-center"
    :label="`Another system for ${free[0]!.name}`"
    :disabled="readsOnly"
    @click="add([free[0]!.id])"
  />
</template>
