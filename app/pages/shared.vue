<script setup lang="ts">
import { type PackFor, packNames } from '#core/sheets/handover/names'
import { revisionName } from '#core/sheets/markout'

useHead({ title: 'Shared · Upper Deck' })
const token = useRoute().hash.slice(1)
const me = useMe()
const { problem, ask } = useAsking()
interface Opened { jobId: string, revision: number | null, pack: PackFor | null }
const opened = shallowRef<Opened | null>(null)
onMounted(async () => {
  opened.value = await ask(() => $fetch<Opened>('/api/links/open', { method: 'POST', body: { token } })) ?? null
  if (!opened.value) return
  await me.refresh()
  if (opened.value.revision === null && opened.value.pack === null) await navigateTo(`/jobs/${opened.value.jobId}/survey`, { replace: true })
})
</script>

<template>
  <EntryPage :title="opened?.pack ? packNames[opened.pack] : opened?.revision ? `Mark-out, revision ${revisionName(opened.revision)}` : 'Shared with you'">
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
    <template v-else-if="opened?.pack">
      <p class="mb-4 text-[17px]">
        {{ me.me?.firmName }} shares this with you, to read and to keep: what was built, how it was tested, how it is switched off, and whom to call.
      </p>
      <UButton
        size="lg"
        icon="i-lucide-file-text"
        label="Open it (PDF)"
        external
        target="_blank"
        :to="`/api/jobs/${opened.jobId}/hand-over.pdf?for=${opened.pack}`"
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
