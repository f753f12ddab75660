<script setup lang="ts">
/** A choice between two, each in its own words. */
const { label, value, yes, no } = defineProps<{ label: string, value: boolean, yes: string, no: string }>()
const emit = defineEmits<{ choose: [value: boolean] }>()
const choices = computed(() => [{ value: 'no', label: no }, { value: 'yes', label: yes }])
</script>

<template>
  <FieldChoiceField
    :label="label"
    :value="value ? 'yes' : 'no'"
    :choices="choices"
    @choose="emit('choose', $event === 'yes')"
  />
</template>
