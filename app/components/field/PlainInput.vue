<script setup lang="ts">
/** A field of a form with its name above it; what is typed is judged when the form is sent. */
const { label, type = 'text', numeric = false } = defineProps<{ label: string, type?: 'text' | 'date', numeric?: boolean }>()
const typed = defineModel<string>({ required: true })
const readsOnly = useReadsOnly()
const id = useId()
</script>

<template>
  <div>
    <label
      :for="id"
      class="block text-[13px] text-muted"
    >{{ label }}</label>
    <UInput
      :id="id"
      v-model="typed"
      :type="type"
      :inputmode="numeric ? 'numeric' : undefined"
      :disabled="readsOnly"
      class="w-full"
    />
  </div>
</template>
