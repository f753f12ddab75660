<script setup lang="ts">
import type { Interval, Region } from '#core/geometry'
import type { PlanTotals } from '#core/plan'
import { formatPower, type UnitSystem } from '#core/units'

useHead({ title: 'Jobs · Upper Deck' })
interface JobLine { jobId: string, title: string, place: string, units: UnitSystem, updatedAt: string, faces: { along: Interval, up: Interval, region: Region, rows: { leftMm: number, rightMm: number, bottomMm: number, topMm: number }[] }[], totals: PlanTotals }
const { data: jobs, error } = await useFetch<JobLine[]>('/api/jobs')
const { data: me } = await useFetch<{ personName: string, firmName: string }>('/api/me')

/** Opens a job from a job file; the server says what is wrong with one that it can't read. */
const fileProblem = ref('')
async function openFile(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  fileProblem.value = ''
  try {
    const { jobId } = await $fetch<{ jobId: string }>('/api/jobs/file', { method: 'POST', body: await file.text(), headers: { 'content-type': 'application/json' } })
    await navigateTo(`/jobs/${jobId}/survey`)
  }
  catch (failure) {
    fileProblem.value = sentencesFrom(failure, 'The server can’t be reached. Try again in a minute.', true)
  }
}

const creating = ref(false)
const draft = reactive({ title: '', place: '', units: 'imperial' as UnitSystem })
const problem = ref('')
async function create() {
  problem.value = ''
  try {
    const { jobId } = await $fetch<{ jobId: string }>('/api/jobs', { method: 'POST', body: draft })
    await navigateTo(`/jobs/${jobId}/survey`)
  }
  catch (failure) {
    problem.value = sentencesFrom(failure, 'The server can’t be reached. Try again in a minute.')
  }
}
</script>

<template>
  <div class="mx-auto max-w-4xl px-5 py-8">
    <header class="mb-8 flex flex-wrap items-end justify-between gap-4 border-b-2 border-graphite-900 pb-3">
      <div class="flex items-center gap-3">
        <img
          :src="MARK"
          alt=""
          class="size-10"
        >
        <div>
          <h1 class="text-2xl font-bold">
            Upper Deck
          </h1>
          <p class="text-[15px] text-muted">
            {{ me ? `${me.firmName}, ${me.personName}` : ' ' }}
          </p>
        </div>
      </div>
      <div class="flex flex-wrap items-center gap-2">
        <NuxtLink
          to="/shelf"
          class="mr-3 text-[15px] font-semibold underline underline-offset-4"
        >
          Shelf
        </NuxtLink>
        <label class="flex cursor-pointer items-center gap-1.5 border border-graphite-400 px-2.5 py-1.5 text-sm font-medium focus-within:outline-3 focus-within:outline-chalk-400 hover:bg-sheet">
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
          label="New job"
          icon="i-lucide-plus"
          @click="creating = true"
        />
      </div>
    </header>
    <p
      v-if="fileProblem"
      role="alert"
      class="mb-4 border-l-4 border-brick-500 py-1 pl-3"
    >
      This file was not opened. {{ fileProblem }}
    </p>

    <p
      v-if="error"
      role="alert"
      class="border-l-4 border-brick-500 py-1 pl-3"
    >
      The jobs can’t be read: {{ error.statusCode === 401 ? 'you are signed out. Load the page again.' : 'the server can’t be reached. Load the page again in a minute.' }}
    </p>
    <p
      v-else-if="jobs && !jobs.length"
      class="text-lg"
    >
      No jobs yet. Open a new one with the address and the units your tape reads in; the survey comes next.
    </p>
    <ul v-else>
      <li
        v-for="job in jobs"
        :key="job.jobId"
        class="border-b border-graphite-300"
      >
        <NuxtLink
          :to="`/jobs/${job.jobId}/${job.totals.stops ? 'rails' : 'survey'}`"
          class="grid grid-cols-[7.5rem_1fr_auto] items-center gap-5 px-2 py-4 hover:bg-sheet max-sm:grid-cols-[4.5rem_1fr]"
        >
          <svg
            v-for="(face, i) in job.faces.slice(0, 1)"
            :key="i"
            :viewBox="`${face.along.fromMm - 150} -150 ${face.along.toMm - face.along.fromMm + 300} ${face.up.toMm + 300}`"
            class="h-16 w-full"
            aria-hidden="true"
          >
            <path
              :d="face.region.map(ring => `M${ring.map(({ x, y }) => `${x} ${face.up.toMm - y}`).join('L')}Z`).join('')"
              fill="#fdfcf8"
              stroke="#22272e"
              stroke-width="110"
            />
            <rect
              v-for="row in face.rows"
              :key="row.bottomMm"
              :x="row.leftMm"
              :y="face.up.toMm - row.topMm"
              :width="row.rightMm - row.leftMm"
              :height="row.topMm - row.bottomMm"
              fill="#59626b"
            />
          </svg>
          <span>
            <span class="block text-lg leading-tight font-bold">{{ job.title }}</span>
            <span class="block text-[15px] text-muted">{{ job.place }}</span>
          </span>
          <span class="flex items-center gap-3 text-right text-[15px] max-sm:col-span-2 max-sm:justify-self-start">
            <span>{{ job.totals.modules }} modules, {{ formatPower(job.totals.powerW) }}<br>{{ job.totals.fixings }} fixings, {{ job.totals.sticks }} sticks</span>
            <span class="inline-flex w-28 items-center gap-1.5 whitespace-nowrap font-semibold">
              <PlannerStateMark :state="job.totals.stops ? 'stop' : 'clear'" />
              {{ job.totals.stops ? `${job.totals.stops} to settle` : 'Clear' }}
            </span>
          </span>
        </NuxtLink>
      </li>
    </ul>

    <UModal
      v-model:open="creating"
      title="New job"
      description="It starts with one face at usual sizes; type your tape’s readings over them."
    >
      <template #body>
        <form
          class="space-y-4"
          @submit.prevent="create"
        >
          <UFormField
            label="Name or address"
            required
          >
            <UInput
              v-model="draft.title"
              class="w-full"
              autofocus
            />
          </UFormField>
          <UFormField label="Place">
            <UInput
              v-model="draft.place"
              class="w-full"
            />
          </UFormField>
          <UFormField label="Lengths are read in">
            <FieldChoiceList
              :value="draft.units"
              class="w-full"
              :choices="[{ label: 'Feet, inches and sixteenths', value: 'imperial' }, { label: 'Millimetres', value: 'metric' }]"
              @choose="draft.units = $event"
            />
          </UFormField>
          <p
            v-if="problem"
            role="alert"
            class="font-medium text-brick-600"
          >
            {{ problem }}
          </p>
          <UButton
            type="submit"
            label="Open it"
          />
        </form>
      </template>
    </UModal>
  </div>
</template>
