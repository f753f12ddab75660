<script setup lang="ts" generic="F extends string">
/** Says of a stand-in that it is one, and plants a fault in it, to see that it is found. */
const { name, faults, glare = false } = defineProps<{ name: string, faults: Record<F, string>, glare?: boolean }>()
const fault = defineModel<F>({ required: true })
const choices = computed(() => Object.entries(faults) as [F, string][])
</script>

<template>
  <details :class="glare ? 'text-[15px]' : 'text-[13px] text-muted'">
    <summary class="cursor-pointer py-1 max-md:min-h-11 max-md:py-2.5">
      {{ name }}. Try a fault: {{ faults[fault].toLowerCase() }}
    </summary>
    <div class="flex flex-wrap gap-1.5 py-1">
      <button
        v-for="[id, words] in choices"
        :key="id"
        type="button"
        :class="[glare ? 'min-h-16 border-4 border-black px-3 text-xl leading-tight font-bold' : 'min-h-9 border border-graphite-400 px-2 max-md:min-h-11', fault === id ? glare ? 'bg-black text-[#fff7c4]' : 'bg-graphite-900 text-paper' : '']"
        :aria-pressed="fault === id"
        @click="fault = id"
      >
        {{ words }}
      </button>
    </div>
  </details>
</template>
