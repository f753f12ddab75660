<script setup lang="ts" generic="T">
/** A question that a file leaves open, with its answers as buttons. */
const { label, question, answers, given = null } = defineProps<{ label: string, question: string, answers: { label: string, value: T }[], given?: T | null }>()
const emit = defineEmits<{ answer: [value: T] }>()
</script>

<template>
  <div
    class="mt-3"
    role="group"
    :aria-label="label"
  >
    <p class="mb-2 text-[15px] font-semibold">
      {{ question }}
    </p>
    <div class="flex flex-wrap gap-2">
      <UButton
        v-for="one in answers"
        :key="one.label"
        color="neutral"
        :variant="given === one.value ? 'solid' : 'outline'"
        :aria-pressed="given === one.value"
        :label="one.label"
        @click="emit('answer', one.value)"
      />
    </div>
  </div>
</template>
