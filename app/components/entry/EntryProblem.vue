<script setup lang="ts">
/** What is wrong, in the place where it is looked for. */
defineProps<{ problem: string }>()
</script>

<template>
  <p
    v-if="problem"
    role="alert"
    class="mb-3 border-l-4 border-brick-500 py-1 pl-3 text-[15px]"
  >
    {{ problem }}
  </p>
</template>
