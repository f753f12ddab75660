<script setup lang="ts">
import { v4 as newId } from 'uuid'
import { photoProblem } from '#core/job'

/** A photograph of a step, taken with the phone's own camera; it waits on the phone until the office has it. */
const { jobId, step, asked = false, has } = defineProps<{ jobId: string, step: string, /** Whether the record wants it. */ asked?: boolean, has: boolean }>()
const emit = defineEmits<{ taken: [photoId: string] }>()
const queue = useQueue()
const problem = ref('')
function take(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  problem.value = photoProblem(file.type, file.size) ?? ''
  if (problem.value) return
  const photoId = newId()
  queue.add(jobId, { channel: 'photographs', photoId, caption: step, picture: file })
  emit('taken', photoId)
}
</script>

<template>
  <div class="py-1">
    <label class="flex min-h-16 cursor-pointer items-center justify-between gap-3 border-4 border-black px-3 text-xl leading-tight font-bold focus-within:outline-4 focus-within:outline-[#005a9c]">
      <span>{{ step }}<span
        v-if="asked && !has"
        class="block text-[15px]"
      >asked for</span></span><span class="shrink-0">{{ has ? '✓ again' : 'Photograph' }}</span>
      <input
        type="file"
        accept="image/*"
        capture="environment"
        class="sr-only"
        @change="take"
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
