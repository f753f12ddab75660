<script setup lang="ts">
/** Asks before a job is gone for good, and offers to archive it instead. */
const { job } = defineProps<{ job: JobLine | null }>()
const emit = defineEmits<{ close: [], remove: [], archive: [] }>()
</script>

<template>
  <UModal
    :open="job !== null"
    :title="`Delete ${job?.title ?? ''}?`"
    description="Its edits, photographs, issued sheets and ticks go with it. It is out of sight at once and gone for good after a month; on this page it can’t be brought back."
    @update:open="$event || emit('close')"
  >
    <template #footer>
      <UButton
        color="error"
        label="Delete it for good"
        @click="emit('remove')"
      />
      <UButton
        v-if="!job?.archived"
        color="neutral"
        variant="outline"
        label="Archive it instead"
        @click="emit('archive')"
      />
      <UButton
        color="neutral"
        variant="ghost"
        label="Keep it"
        @click="emit('close')"
      />
    </template>
  </UModal>
</template>
