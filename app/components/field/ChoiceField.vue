<script setup lang="ts" generic="T extends string">
/** A choice among a few, as a list that opens. */
const { label, value, choices, placeholder = 'Choose', assumed = false } = defineProps<{ label: string, value: T, choices: { label: string, value: T }[], placeholder?: string, assumed?: boolean }>()
const emit = defineEmits<{ choose: [value: T] }>()
const id = useId()
</script>

<template>
  <div class="border-b border-dotted border-graphite-300 py-1">
    <label
      :for="id"
      class="block text-[13px] text-muted"
    >{{ label }}<FieldAssumed v-if="assumed" /></label>
    <FieldChoiceList
      :id="id"
      :value="value"
      :choices="choices"
      size="sm"
      :placeholder="placeholder"
      class="w-full font-medium"
      @choose="emit('choose', $event)"
    />
  </div>
</template>
