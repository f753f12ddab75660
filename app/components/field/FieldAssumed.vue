<script setup lang="ts">
/** Marks a figure that nobody has read. */
</script>

<template>
  <span class="ml-1.5 border border-dashed border-amber-600 px-1 text-[12px] font-semibold whitespace-nowrap text-amber-700">assumed</span>
</template>
