<script setup lang="ts">
import { v4 as newId } from 'uuid'
import { photoProblem } from '#core/job'

/** A photograph of a step, taken with the phone's own camera; it waits on the phone until the office has it. */
const { jobId, steps, has } = defineProps<{ jobId: string, /** Steps that ask for one. */ steps: string[], /** Steps that have one. */ has: string[] }>()
const emit = defineEmits<{ taken: [photoId: string, step: string] }>()
const queue = useQueue()
const problem = ref('')
function take(event: Event, step: string) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  problem.value = photoProblem(file.type, file.size) ?? ''
  if (problem.value) return
  const photoId = newId()
  queue.add(jobId, { channel: 'photographs', photoId, caption: step, picture: file })
  emit('taken', photoId, step)
}
</script>

<template>
  <div class="flex flex-col gap-2 py-1">
    <label
      v-for="step in steps"
      :key="step"
      class="flex min-h-16 cursor-pointer items-center justify-between gap-3 border-4 border-black px-3 text-xl font-bold focus-within:outline-4 focus-within:outline-[#005a9c]"
    >
      {{ step }}<span>{{ has.includes(step) ? '✓ again' : 'Photograph' }}</span>
      <input
        type="file"
        accept="image/*"
        capture="environment"
        class="sr-only"
        @change="take($event, step)"
      >
    </label>
    <p
      v-if="problem"
      role="alert"
      class="text-lg font-semibold text-[#a3291c]"
    >
      {{ problem }}
    </p>
  </div>
</template>
