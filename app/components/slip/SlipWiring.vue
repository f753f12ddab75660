<script setup lang="ts">
/** The circuit in hand, the systems that modules are wired by, and the place's own figures. */
const { circuit } = useCircuit()
const part = ref(circuit.value ? 'circuit' : 'system')
watch(circuit, now => now && (part.value = 'circuit'))
const parts = [{ label: 'System', value: 'system' }, { label: 'Circuit', value: 'circuit' }, { label: 'Place and runs', value: 'place' }]
</script>

<template>
  <SlipTabs
    v-model="part"
    :parts="parts"
  />
  <WiringSystem v-if="part === 'system'" />
  <WiringCircuit v-else-if="part === 'circuit'" />
  <WiringPlace v-else />
</template>
