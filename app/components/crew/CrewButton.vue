<script setup lang="ts">
/** A target for a thumb in a glove: 60 px and more, black on pale yellow or the other way round. */
const { dark = false, pressed = null, disabled = false } = defineProps<{ dark?: boolean, pressed?: boolean | null, disabled?: boolean }>()
defineEmits<{ press: [] }>()
</script>

<template>
  <button
    type="button"
    class="min-h-16 min-w-16 border-4 border-black px-3 py-2 text-xl leading-tight font-bold disabled:opacity-30"
    :class="dark || pressed ? 'bg-black text-[#fff7c4]' : ''"
    :aria-pressed="pressed ?? undefined"
    :disabled="disabled"
    @click="$emit('press')"
  >
    <slot />
  </button>
</template>
