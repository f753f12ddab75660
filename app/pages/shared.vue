<script setup lang="ts">
import { revisionName } from '#core/sheets/markout'

useHead({ title: 'Shared · Upper Deck' })
const token = useRoute().hash.slice(1)
const me = useMe()
const { problem, ask } = useAsking()
const opened = shallowRef<{ jobId: string, revision: number | null } | null>(null)
onMounted(async () => {
  opened.value = await ask(() => $fetch<{ jobId: string, revision: number | null }>('/api/links/open', { method: 'POST', body: { token } })) ?? null
  if (!opened.value) return
  await me.refresh()
  if (opened.value.revision === null) await navigateTo(`/jobs/${opened.value.jobId}/survey`, { replace: true })
})
</script>

<template>
  <EntryPage :title="opened?.revision ? `Mark-out, revision ${revisionName(opened.revision)}` : 'Shared with you'">
    <EntryProblem :problem="problem" />
    <template v-if="opened?.revision">
      <p class="mb-4 text-[17px]">
        {{ me.me?.firmName }} shares this issued sheet with you, to read. It stays as it was issued; whether it is superseded stands at its top.
      </p>
      <UButton
        size="lg"
        icon="i-lucide-file-text"
        label="Open the sheet (PDF)"
        external
        target="_blank"
        :to="`/api/jobs/${opened.jobId}/mark-out.pdf?revision=${opened.revision}`"
      />
    </template>
    <p
      v-else-if="!problem"
      class="text-muted"
    >
      Opening the link…
    </p>
  </EntryPage>
</template>
