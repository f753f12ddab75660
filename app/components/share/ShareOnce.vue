<script setup lang="ts">
/** A link that was just made: its secret is kept nowhere, so it is shown once and can be copied. */
const { link } = defineProps<{ link: string }>()
const { copy, copied } = useClipboard({ legacy: true })
</script>

<template>
  <p
    role="status"
    class="mt-3 border-l-4 border-lichen-500 py-1 pl-3 text-[15px] wrap-anywhere"
  >
    Copy it now, it is shown once: <b data-testid="link">{{ link }}</b>
    <UButton
      size="sm"
      color="neutral"
      variant="outline"
      class="ml-2"
      :label="copied ? 'Copied' : 'Copy'"
      @click="copy(link)"
    />
  </p>
</template>
