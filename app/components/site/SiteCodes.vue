<script setup lang="ts">
import { buildingCodes, type BuildingEdition, buildingEditions, type Codes, codesName, type ElectricalEdition, electricalEditions } from '#core/job'
import type { UnitSystem } from '#core/units'

/** Whose rules the place has adopted, as one set: none is current by itself, so the firm's last set is offered and no more. */
const { codes, units } = defineProps<{ codes: Codes, units: UnitSystem }>()
const emit = defineEmits<{ choose: [codes: Codes] }>()
const { data: last } = useFetch<{ codes: Codes | null }>('/api/codes', { query: computed(() => ({ units })) })

/** The half of a set that was chosen first waits for the other. */
const building = ref<BuildingEdition | null>(codes.kind === 'us' ? codes.building : null)
const electrical = ref<ElectricalEdition | null>(codes.kind === 'us' ? codes.electrical : null)
watch(() => codes, (now) => {
  if (now.kind !== 'us') return
  building.value = now.building
  electrical.value = now.electrical
})
function choose() {
  if (building.value && electrical.value) emit('choose', { kind: 'us', building: building.value, electrical: electrical.value })
}
const offered = computed(() => units === 'imperial' && codes.kind === 'unsaid' && last.value?.codes ? last.value.codes : null)
</script>

<template>
  <template v-if="units === 'imperial'">
    <UButton
      v-if="offered"
      size="sm"
      color="neutral"
      variant="outline"
      class="my-1 text-left"
      :ui="{ label: 'whitespace-normal' }"
      :label="`As on your last job: ${codesName(offered)}`"
      @click="emit('choose', offered)"
    />
    <FieldPickField
      label="Building and fire, adopted here"
      :hint="building ? `${buildingCodes[building].name}; loads by ${buildingCodes[building].loadsName}` : 'IRC and IFC; the load standard follows'"
      :value="building"
      :choices="buildingEditions.map(value => ({ value, label: value }))"
      @choose="building = $event; choose()"
    />
    <FieldPickField
      label="Electrical, adopted here"
      hint="NEC"
      :value="electrical"
      :choices="electricalEditions.map(value => ({ value, label: value }))"
      @choose="electrical = $event; choose()"
    />
  </template>
  <p
    v-else
    class="py-1 text-[15px]"
  >
    European practice: strips for wind and work, EN 1990 to 1999. National annexes and local rules come first.<UButton
      v-if="codes.kind !== 'european'"
      size="sm"
      color="neutral"
      variant="outline"
      class="mt-1"
      label="Go by European practice"
      @click="emit('choose', { kind: 'european' })"
    />
  </p>
</template>
