<script setup lang="ts">
/** What is kept clear: the rules for the whole roof first, then what is asked of this face, then who took what. */
const part = ref<string>('rules')
const parts = [{ label: 'Rules', value: 'rules' }, { label: 'This face', value: 'face' }, { label: 'Who took what', value: 'taken' }]
</script>

<template>
  <SlipTabs
    v-model="part"
    :parts="parts"
  />
  <KeepClearRules v-if="part === 'rules'" />
  <KeepClearFace v-else-if="part === 'face'" />
  <KeepClearTaken v-else />
</template>
