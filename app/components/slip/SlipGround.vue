<script setup lang="ts">
/** The thing or run in hand, and the place's own facts. */
const { grid, ground, thing, run } = useGrid()
const part = ref(run.value ? 'run' : thing.value ? 'thing' : 'place')
watch(thing, now => now && (part.value = 'thing'))
watch(run, now => now && (part.value = 'run'))
const parts = [{ label: 'Thing', value: 'thing' }, { label: 'Run', value: 'run' }, { label: 'Place', value: 'place' }]
</script>

<template>
  <p
    v-if="!grid || !ground"
    class="text-[15px] leading-snug"
  >
    Choose a way of connecting it first.
  </p>
  <template v-else>
    <SlipTabs
      v-model="part"
      :parts="parts"
    />
    <GroundThing v-if="part === 'thing'" />
    <GroundRun v-else-if="part === 'run'" />
    <GroundPlace v-else />
  </template>
</template>
