<script setup lang="ts" generic="T extends string">
/**
 * A list that opens. What can be chosen is made while it is open and not before: a closed list of the library holds all its
 * options ready, out of sight, and a slip with six lists took most of its time for them.
 */
const { value, choices } = defineProps<{ value: T | undefined, choices: readonly { label: string, value: T }[] }>()
const emit = defineEmits<{ choose: [value: T] }>()
const open = ref(false)
const shown = computed(() => (open.value ? [...choices] : choices.filter(one => one.value === value)) as { label: string, value: string }[])
</script>

<template>
  <USelect
    v-model:open="open"
    :model-value="value as string"
    :items="shown"
    color="neutral"
    @update:model-value="emit('choose', $event as T)"
  />
</template>
