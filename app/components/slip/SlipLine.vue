<script setup lang="ts">
/** One figure of the slip: what it is, and its value. */
defineProps<{ label: string, bad?: boolean }>()
</script>

<template>
  <div class="flex items-baseline justify-between gap-3 border-b border-dotted border-graphite-300 py-1.5">
    <dt class="text-[15px]">
      {{ label }}
    </dt>
    <dd
      class="text-right text-[15px] font-semibold"
      :class="bad ? 'text-brick-600' : ''"
    >
      <slot />
    </dd>
  </div>
</template>
