<script setup lang="ts">
/** Views of one rung's work area, one shown at a time. */
defineProps<{ items: { label: string, value: string }[] }>()
const tab = defineModel<string>({ required: true })
</script>

<template>
  <UTabs
    v-model="tab"
    :items="items"
    :content="false"
    size="sm"
    color="neutral"
    variant="link"
    class="no-print shrink-0 px-4"
    :ui="{ list: 'p-0 overflow-x-auto', trigger: 'px-2.5 text-[15px] shrink-0' }"
  />
</template>
