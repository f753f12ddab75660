<script setup lang="ts">
import type { BetterModule } from '#core/asks'

/** Open jobs that could take a module that was approved, with what it changes on each; taken job by job, never all at once. */
const { approvalId } = defineProps<{ approvalId: string }>()
interface Found { jobId: string, title: string, version: number, offers: BetterModule[] }
const found = shallowRef<Found[]>([])
const next = ref<string | null>(null)
const asked = ref(false)
const done = ref<Record<string, string>>({})
const { busy, problem, ask } = useAsking()
const me = useMe()

async function look() {
  const answer = await ask(() => $fetch<{ jobs: Found[], next: string | null }>(`/api/approvals/${encodeURIComponent(approvalId)}/jobs`, { query: next.value ? { after: next.value } : {} }))
  if (!answer) return
  asked.value = true
  found.value = [...found.value, ...answer.jobs]
  next.value = answer.next
}
async function take({ jobId, version }: Found, offer: BetterModule) {
  const answer = await ask(() => $fetch<{ version: number, refused: { sentence: string }[] }>(`/api/jobs/${jobId}/edits`, { method: 'POST', body: { baseVersion: version, entries: [{ id: crypto.randomUUID(), kind: 'edit', edit: offer.edit }] } }))
  if (answer) done.value = { ...done.value, [`${jobId} ${offer.faceId}`]: answer.refused[0]?.sentence ?? 'Taken. Undo it in the job.' }
}
</script>

<template>
  <section class="mt-5">
    <h3 class="slip-title">
      Open jobs that could take it
    </h3>
    <p
      v-if="problem"
      role="alert"
      class="my-2 border-l-4 border-brick-500 pl-3 text-[15px]"
    >
      {{ problem }}
    </p>
    <p
      v-if="asked && !found.length && !next"
      class="text-[15px] text-muted"
    >
      No open job has this system with another module.
    </p>
    <template
      v-for="job in found"
      :key="job.jobId"
    >
      <article
        v-for="offer in job.offers"
        :key="`${job.jobId} ${offer.faceId}`"
        class="border-b border-dotted border-graphite-300 py-2 text-[15px] leading-snug"
      >
        <div class="flex items-start justify-between gap-2">
          <NuxtLink
            :to="`/jobs/${job.jobId}/covering`"
            class="font-semibold underline underline-offset-2"
          >{{ job.title }}, {{ offer.face.toLowerCase() }}</NuxtLink>
          <UButton
            v-if="!done[`${job.jobId} ${offer.faceId}`]"
            size="sm"
            color="neutral"
            label="Take it"
            :disabled="busy || !me.may('plan')"
            @click="take(job, offer)"
          />
        </div>
        <p>{{ offer.changes.join('; ') || 'Nothing that is counted changes.' }}</p>
        <p
          v-for="stop in offer.newStops"
          :key="stop"
          class="mt-1 border-l-4 border-brick-500 pl-2 text-sm"
        >
          {{ stop }}
        </p>
        <p
          v-if="done[`${job.jobId} ${offer.faceId}`]"
          role="status"
          class="font-medium text-lichen-700"
        >
          {{ done[`${job.jobId} ${offer.faceId}`] }}
        </p>
      </article>
    </template>
    <UButton
      v-if="!asked || next"
      class="mt-2"
      color="neutral"
      variant="outline"
      :label="busy ? 'Planning…' : asked ? 'Look on' : 'Look for them'"
      :disabled="busy"
      @click="look"
    />
  </section>
</template>
