<script setup lang="ts">
import { v4 as newId } from 'uuid'
import type { Outcome } from '#core/outcome'

useHead({ title: 'Jobs · Upper Deck' })
const me = useMe()
// Whoever reads one job has no list: there is that one.
watchEffect(() => me.me?.jobId && me.me.revision === null && me.me.pack === null && void navigateTo(`/jobs/${me.me.jobId}/survey`, { replace: true }))

const sought = ref('')
const order = useLocalStorage<JobOrder>('job-order', 'changed')
const archived = ref(false)
const { jobs, counts, error, status, hasMore, loadMore, loading, problem, copy, archive, remove } = useJobList({ order, archived, sought })
const put = computed(() => counts.value?.archived ?? 0)
const many = (n: number) => n >= (counts.value?.mostCounted ?? Infinity) ? `${n} and more` : String(n)
const none = computed(() => counts.value !== undefined && counts.value !== null && counts.value.atWork + counts.value.archived === 0)
const orders = Object.entries(jobOrders).map(([value, label]) => ({ value: value as JobOrder, label }))

const told = ref('')
const failed = ref(false)
async function tell(asked: Promise<Outcome<unknown>>, words: string) {
  const outcome = await asked
  failed.value = !outcome.ok
  told.value = outcome.ok ? words : outcome.problem
}
const duplicate = (job: JobLine) => tell(copy(job.jobId), `“${job.title}, copy” stands beside it, without its photographs, sheets and ticks.`)
const putAway = (job: JobLine) => tell(archive(job.jobId, !job.archived), job.archived ? `${job.title} is back.` : `${job.title} is archived. It is under “Archived” below.`)
/** The job that somebody wants gone. */
const going = shallowRef<JobLine | null>(null)
const asking = computed(() => going.value !== null)
/** The job whose links somebody looks at. */
const sharing = shallowRef<JobLine | null>(null)
const shareOpened = useOpened(computed(() => sharing.value !== null))
const goingOpened = useOpened(asking)
function answered(act: ((job: JobLine) => unknown) | null) {
  const job = going.value
  going.value = null
  if (job && act) void act(job)
}
const destroy = (job: JobLine) => tell(remove(job.jobId), `${job.title} is deleted.`)

/** Opens a job from a job file; the server says what is wrong with one that it can't read. */
const fileProblem = ref('')
async function openFile(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  fileProblem.value = ''
  try {
    const { jobId } = await $fetch<{ jobId: string }>('/api/jobs/file', { method: 'POST', query: { id: newId() }, body: await file.text(), headers: { 'content-type': 'application/json' } })
    await navigateTo(`/jobs/${jobId}/survey`)
  }
  catch (failure) {
    fileProblem.value = sentencesFrom(failure, 'The server can’t be reached. Try again in a minute.', true)
  }
}
</script>

<template>
  <div class="mx-auto max-w-4xl px-5 py-8">
    <PageHead title="Upper Deck">
      <NuxtLink
        to="/shelf"
        class="mr-3 text-[15px] font-semibold underline underline-offset-4"
      >
        Shelf
      </NuxtLink>
      <label
        v-if="me.may('jobs')"
        class="flex cursor-pointer items-center gap-1.5 border border-graphite-400 px-2.5 py-1.5 text-sm font-medium focus-within:outline-3 focus-within:outline-chalk-400 hover:bg-sheet"
      >
        <UIcon
          name="i-lucide-folder-open"
          class="size-5"
        />Open a job file
        <input
          type="file"
          accept=".json,application/json"
          class="sr-only"
          @change="openFile"
        >
      </label>
      <UButton
        v-if="me.may('jobs')"
        label="New job"
        icon="i-lucide-plus"
        to="/jobs/new"
      />
    </PageHead>
    <p
      v-if="fileProblem"
      role="alert"
      class="mb-4 border-l-4 border-brick-500 py-1 pl-3"
    >
      This file was not opened. {{ fileProblem }}
    </p>
    <p
      v-if="told"
      :role="failed ? 'alert' : 'status'"
      class="mb-4 border-l-4 py-1 pl-3"
      :class="failed ? 'border-brick-500' : 'border-lichen-500'"
    >
      {{ told }}
    </p>
    <p
      v-if="me.me?.revision"
      class="text-lg"
    >
      You hold a link to one issued sheet: <a
        class="font-semibold text-chalk-600 underline"
        :href="`/api/jobs/${me.me.jobId}/mark-out.pdf?revision=${me.me.revision}`"
      >open it</a>. To see more, sign in.
    </p>
    <p
      v-else-if="me.me?.pack"
      class="text-lg"
    >
      You hold a link to one pack: <a
        class="font-semibold text-chalk-600 underline"
        :href="`/api/jobs/${me.me.jobId}/hand-over.pdf?for=${me.me.pack}`"
      >open it</a>. To see more, sign in.
    </p>
    <p
      v-else-if="error"
      role="alert"
      class="border-l-4 border-brick-500 py-1 pl-3"
    >
      The jobs can’t be read. {{ sentencesFrom(error, 'The office can’t be reached. Load the page again in a minute.') }}
      <NuxtLink
        v-if="error.statusCode === 401"
        to="/sign-in"
        class="font-semibold underline"
      >Sign in</NuxtLink>
    </p>
    <p
      v-else-if="none"
      class="text-lg"
    >
      No jobs yet. Open a new one with what you know of the roof: the rest is assumed until it is read.
    </p>
    <template v-else-if="jobs">
      <div class="no-print flex flex-wrap items-center justify-between gap-3 pb-2">
        <UInput
          v-model="sought"
          icon="i-lucide-search"
          placeholder="Name or place"
          aria-label="Search jobs"
          class="w-64 max-sm:w-full"
        />
        <label class="flex items-center gap-2 text-[13px] text-muted">Sorted by
          <FieldChoiceList
            :value="order"
            :choices="orders"
            size="sm"
            class="w-40 font-medium"
            aria-label="Sorted by"
            @choose="order = $event"
          /></label>
      </div>
      <p
        v-if="!jobs.length && status !== 'pending'"
        class="border-l-4 border-graphite-300 py-1 pl-3"
      >
        {{ sought ? `No ${archived ? 'archived ' : ''}job answers to “${sought}”.` : archived ? 'Nothing is archived.' : 'All jobs are archived.' }}
      </p>
      <ul>
        <JobsLine
          v-for="job in jobs"
          :key="job.jobId"
          :job="job"
          @copy="duplicate(job)"
          @archive="putAway(job)"
          @remove="going = job"
          @share="sharing = job"
        />
      </ul>
      <EntryProblem :problem="problem" />
      <p
        v-if="hasMore"
        class="pt-3"
      >
        <UButton
          color="neutral"
          variant="outline"
          :label="sought ? 'Show more' : `Show more of ${many(archived ? put : counts?.atWork ?? 0)}`"
          :loading="loading"
          @click="loadMore"
        />
      </p>
      <p
        v-if="put || archived"
        class="pt-4"
      >
        <UButton
          color="neutral"
          variant="link"
          :label="archived ? 'Jobs at work' : `Archived: ${many(put)}`"
          @click="archived = !archived"
        />
      </p>
    </template>
    <LazyShareLinks
      v-if="shareOpened"
      :job="sharing"
      @close="sharing = null"
    />
    <LazyJobsDelete
      v-if="goingOpened"
      :job="going"
      @close="going = null"
      @remove="answered(destroy)"
      @archive="answered(putAway)"
    />
  </div>
</template>
