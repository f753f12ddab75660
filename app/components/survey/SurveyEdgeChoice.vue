<script setup lang="ts">
import { type EdgeKind, edgeKinds } from '#core/job'

/** What an edge is. */
defineProps<{ label: string, value: EdgeKind }>()
const emit = defineEmits<{ choose: [kind: EdgeKind] }>()
const choices = edgeKinds.map(kind => ({ label: kind, value: kind }))
</script>

<template>
  <FieldChoiceList
    :value="value"
    :choices="choices"
    size="xs"
    class="w-20"
    :aria-label="label"
    @choose="emit('choose', $event)"
  />
</template>
