<script setup lang="ts">
/** Light by day, dark for the van at night; the choice is kept on this device. */
const mode = useColorMode()
const dark = computed(() => mode.value === 'dark')
</script>

<template>
  <UButton
    size="sm"
    color="neutral"
    variant="ghost"
    class="max-md:size-11 max-md:justify-center"
    :icon="dark ? 'i-lucide-sun' : 'i-lucide-moon'"
    :aria-label="dark ? 'Light theme' : 'Dark theme'"
    :title="dark ? 'Light theme' : 'Dark theme, for the van'"
    @click="mode.preference = dark ? 'light' : 'dark'"
  />
</template>
