<script setup lang="ts">
import { parseLength, type UnitSystem } from '#core/units'

/** One length typed with a thumb, taken by a button of its own. */
const { label, units, taken } = defineProps<{ label: string, units: UnitSystem, /** What the button says. */ taken: string }>()
const emit = defineEmits<{ take: [mm: number] }>()
const text = ref('')
const problem = ref('')
function take() {
  const read = parseLength(text.value, units)
  problem.value = read.ok ? '' : read.problem
  if (!read.ok) return
  emit('take', read.value)
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
    <div class="flex gap-2">
      <input
        :id="id"
        v-model="text"
        inputmode="text"
        autocomplete="off"
        :placeholder="units === 'imperial' ? '8\' 2 1/4' : '2480'"
        class="h-16 w-0 min-w-0 flex-1 border-4 border-black bg-white px-3 text-2xl font-bold"
      >
      <button
        type="submit"
        class="h-16 shrink-0 bg-black px-4 text-xl font-bold text-[#fff7c4]"
      >
        {{ taken }}
      </button>
    </div>
    <p
      v-if="problem"
      role="alert"
      class="text-lg font-semibold text-[#a3291c]"
    >
      {{ problem }}
    </p>
  </form>
</template>
