<script setup lang="ts">
/** Parts of a slip, one shown at a time. */
defineProps<{ parts: { label: string, value: string }[] }>()
const part = defineModel<string>({ required: true })
</script>

<template>
  <UTabs
    v-model="part"
    :items="parts"
    :content="false"
    size="xs"
    color="neutral"
    variant="link"
    class="mb-3"
    :ui="{ list: 'p-0', trigger: 'px-2.5 text-sm' }"
  />
</template>
