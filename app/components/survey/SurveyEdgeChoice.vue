<script setup lang="ts">
import { type EdgeKind, edgeKinds } from '#core/job'

/** What an edge is. */
defineProps<{ label: string, value: EdgeKind }>()
const emit = defineEmits<{ choose: [kind: EdgeKind] }>()
const items = edgeKinds.map(kind => ({ label: kind, value: kind as string }))
</script>

<template>
  <USelect
    :model-value="value as string"
    :items="items"
    size="xs"
    color="neutral"
    class="w-20"
    :aria-label="label"
    @update:model-value="emit('choose', $event as EdgeKind)"
  />
</template>
