<script setup lang="ts">
/** The survey in four parts: the whole roof, this face's shape, what stands on it, and what covers it. */
const { selection } = useFace()
const part = ref<string>('shape')
const parts = [{ label: 'Roof', value: 'roof' }, { label: 'Shape', value: 'shape' }, { label: 'On it', value: 'obstructions' }, { label: 'Covering', value: 'covering' }]
// An obstruction picked on the drawing brings its figures with it.
watch(selection, (what) => {
  if (what.kind === 'obstruction') part.value = 'obstructions'
}, { immediate: true })
</script>

<template>
  <SlipTabs
    v-model="part"
    :parts="parts"
  />
  <SurveyRoof v-if="part === 'roof'" />
  <SurveyShape v-else-if="part === 'shape'" />
  <SurveyObstructions v-else-if="part === 'obstructions'" />
  <SurveyCovering v-else />
</template>
