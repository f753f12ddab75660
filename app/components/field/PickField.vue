<script setup lang="ts" generic="T extends string">
/** A choice among few, all of them in sight: one press, or the arrow keys. */
const { label, value, choices, hint } = defineProps<{ label: string, value: T | null, choices: readonly { label: string, value: T }[], hint?: string }>()
const emit = defineEmits<{ choose: [value: T] }>()
const name = useId()
const readsOnly = useReadsOnly()
</script>

<template>
  <div
    role="radiogroup"
    class="border-b border-dotted border-graphite-300 py-1"
    :aria-labelledby="`${name}-label`"
  >
    <p
      :id="`${name}-label`"
      class="text-[15px] leading-tight"
    >
      {{ label }}<span
        v-if="hint"
        class="block text-[13px] text-muted"
      >{{ hint }}</span>
    </p>
    <div class="flex flex-wrap pt-1">
      <label
        v-for="one in choices"
        :key="one.value"
        class="relative -mt-px -ml-px flex min-h-7 cursor-pointer items-center border border-graphite-400 px-2 text-sm leading-tight font-medium has-focus-visible:z-10 has-focus-visible:outline-3 has-focus-visible:outline-chalk-400 max-md:min-h-11 max-md:min-w-11 max-md:justify-center"
        :class="one.value === value ? 'bg-graphite-900 text-paper' : 'hover:bg-graphite-100'"
      >
        <input
          type="radio"
          class="absolute inset-0 cursor-pointer opacity-0"
          :name="name"
          :value="one.value"
          :checked="one.value === value"
          :disabled="readsOnly"
          @change="emit('choose', one.value)"
        >{{ one.label }}
      </label>
    </div>
  </div>
</template>
