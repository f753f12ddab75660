<script setup lang="ts">
/** Clear, assumed, caution or stop as a shape as well as a colour: tick, dashed ring, triangle, square. */
defineProps<{ state: 'clear' | 'assumed' | 'caution' | 'stop' | 'note', onDark?: boolean }>()
</script>

<template>
  <svg
    width="16"
    height="16"
    viewBox="0 0 16 16"
    aria-hidden="true"
    class="shrink-0"
  >
    <path
      v-if="state === 'clear'"
      d="M2 9 L6 13 L14 4"
      fill="none"
      :stroke="onDark ? 'var(--color-inverse-lichen)' : 'var(--color-lichen-500)'"
      stroke-width="2.4"
    />
    <path
      v-else-if="state === 'caution'"
      d="M8 2 L15 14 H1 Z"
      fill="none"
      :stroke="onDark ? 'var(--color-inverse-amber)' : 'var(--color-amber-500)'"
      stroke-width="2"
    />
    <circle
      v-else-if="state === 'assumed'"
      cx="8"
      cy="8"
      r="5.6"
      fill="none"
      :stroke="onDark ? 'var(--color-inverse-amber)' : 'var(--color-amber-500)'"
      stroke-width="2.2"
      stroke-dasharray="3 2.9"
    />
    <rect
      v-else-if="state === 'stop'"
      x="2"
      y="2"
      width="12"
      height="12"
      :fill="onDark ? 'var(--color-inverse-brick)' : 'var(--color-brick-500)'"
    />
    <circle
      v-else
      cx="8"
      cy="8"
      r="4"
      :fill="onDark ? 'var(--color-paper)' : 'var(--color-graphite-600)'"
    />
  </svg>
</template>
