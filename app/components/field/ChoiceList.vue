<script setup lang="ts" generic="T extends string">
/**
 * A list that opens. What can be chosen is made when it opens and kept until it has faded out: a closed list of the library
 * holds all its options ready, out of sight, which a slip with six lists pays for whenever it is shown.
 */
const { value, choices } = defineProps<{ value: T | undefined, choices: readonly { label: string, value: T }[] }>()
const emit = defineEmits<{ choose: [value: T] }>()
const made = ref(false)
const readsOnly = useReadsOnly()
const shown = computed(() => (made.value ? [...choices] : choices.filter(one => one.value === value)) as { label: string, value: string }[])
</script>

<template>
  <USelect
    :model-value="value as string"
    :items="shown"
    :content="{ onCloseAutoFocus: () => { made = false } }"
    color="neutral"
    :disabled="readsOnly"
    :ui="{ itemLabel: 'whitespace-normal' }"
    @update:open="made ||= $event"
    @update:model-value="emit('choose', $event as T)"
  />
</template>
