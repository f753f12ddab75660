<script setup lang="ts">
/** Free words, typed or, where the browser can, spoken. */
const { label, taken } = defineProps<{ label: string, taken: string }>()
const emit = defineEmits<{ take: [words: string] }>()
const text = ref('')
const { isSupported, isListening, result, start, stop } = useSpeechRecognition({ continuous: false, interimResults: false })
watch(result, (heard) => {
  if (heard) text.value = `${text.value} ${heard}`.trim()
})
function take() {
  const words = text.value.trim().slice(0, 600)
  if (!words) return
  emit('take', words)
  text.value = ''
}
const id = useId()
</script>

<template>
  <form
    class="py-1"
    @submit.prevent="take"
  >
    <label
      :for="id"
      class="text-lg font-semibold"
    >{{ label }}</label>
    <textarea
      :id="id"
      v-model="text"
      rows="2"
      maxlength="600"
      class="block w-full border-4 border-black bg-white px-3 py-2 text-xl"
    />
    <div class="mt-2 flex gap-2">
      <CrewButton
        v-if="isSupported"
        class="flex-1"
        :pressed="isListening"
        @press="isListening ? stop() : start()"
      >
        {{ isListening ? 'Listening…' : 'Speak' }}
      </CrewButton>
      <CrewButton
        class="flex-1"
        dark
        @press="take"
      >
        {{ taken }}
      </CrewButton>
    </div>
  </form>
</template>
