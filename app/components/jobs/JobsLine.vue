<script setup lang="ts">
import { formatPower } from '#core/units'

/** One job of the list: its first face with modules to scale, what it comes to, and what can be done with it. */
const { job } = defineProps<{ job: JobLine }>()
const emit = defineEmits<{ copy: [], archive: [], remove: [], share: [] }>()
const me = useMe()
const stops = computed(() => job.summary?.totals.stops ?? 0)
/** The next day by which somebody wants something. */
const reminder = computed(() => job.summary?.reminders?.[0] ?? null)
const isLate = computed(() => reminder.value !== null && reminder.value.due < today())
const day = computed(() => reminder.value && new Date(`${reminder.value.due}T12:00:00Z`).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' }))
const menu = computed(() => [[
  ...me.may('jobs')
    ? [
        { label: 'Duplicate', icon: 'i-lucide-copy', onSelect: () => emit('copy') },
        { label: job.archived ? 'Bring back' : 'Archive', icon: job.archived ? 'i-lucide-archive-restore' : 'i-lucide-archive', onSelect: () => emit('archive') },
      ]
    : [],
  ...me.may('share') ? [{ label: 'Links to share…', icon: 'i-lucide-link', onSelect: () => emit('share') }] : [],
  { label: 'Save the job file', icon: 'i-lucide-download', to: `/api/jobs/${job.jobId}/job.json`, external: true, target: '_self' },
], ...me.may('jobs') ? [[{ label: 'Delete…', icon: 'i-lucide-trash-2', onSelect: () => emit('remove') }]] : []])
</script>

<template>
  <li class="flex items-center border-b border-graphite-300 hover:bg-sheet">
    <NuxtLink
      :to="`/jobs/${job.jobId}/${stops ? 'rails' : 'survey'}`"
      class="grid min-w-0 flex-1 grid-cols-[7.5rem_1fr_auto] items-center gap-5 px-2 py-4 max-sm:grid-cols-[4.5rem_1fr] max-sm:gap-x-3 max-sm:gap-y-1"
    >
      <svg
        v-if="job.summary?.face"
        :viewBox="`${job.summary.face.along.fromMm - 150} -150 ${job.summary.face.along.toMm - job.summary.face.along.fromMm + 300} ${job.summary.face.up.toMm + 300}`"
        class="h-16 w-full"
        aria-hidden="true"
      >
        <path
          :d="job.summary.face.region.map(ring => `M${ring.map(({ x, y }) => `${x} ${job.summary!.face!.up.toMm - y}`).join('L')}Z`).join('')"
          class="fill-sheet stroke-graphite-900"
          stroke-width="110"
        />
        <rect
          v-for="row in job.summary.face.rows"
          :key="row.bottomMm"
          :x="row.leftMm"
          :y="job.summary.face.up.toMm - row.topMm"
          :width="row.rightMm - row.leftMm"
          :height="row.topMm - row.bottomMm"
          class="fill-module"
        />
      </svg>
      <span
        v-else
        class="h-16"
      />
      <span class="min-w-0">
        <span class="block text-lg leading-tight font-bold">{{ job.title }}</span>
        <span class="block text-[15px] text-muted">{{ job.place }}{{ job.summary?.handedOver ? ', handed over' : '' }}</span>
        <span
          v-if="reminder"
          class="block text-[15px]"
          :class="isLate ? 'font-semibold text-brick-600' : ''"
        >{{ day }}{{ isLate ? ', late' : '' }}: {{ reminder.words }}</span>
      </span>
      <span
        v-if="job.summary"
        class="flex items-center gap-3 text-right text-[15px] max-sm:col-span-2 max-sm:justify-self-start max-sm:text-left"
      >
        <span>{{ job.summary.totals.modules }} modules, {{ formatPower(job.summary.totals.powerW) }}<br>{{ job.summary.totals.fixings }} fixings, {{ job.summary.totals.sticks }} sticks<span
          v-if="job.older && !job.archived"
          class="block text-[13px] text-muted"
        >as of an earlier state</span></span>
        <span class="inline-flex w-28 items-center gap-1.5 font-semibold whitespace-nowrap">
          <PlannerStateMark :state="stops ? 'stop' : 'clear'" />
          {{ stops ? `${stops} to settle` : 'Clear' }}
        </span>
      </span>
      <span
        v-else
        class="text-[15px] text-muted"
        :title="job.problem?.sentence"
      >{{ job.problem ? job.problem.kind === 'too-long' ? 'Takes too long to work out' : 'Can’t be worked out' : job.archived ? 'Archived' : 'Working it out…' }}</span>
    </NuxtLink>
    <UDropdownMenu
      :items="menu"
      :content="{ align: 'end' }"
    >
      <UButton
        icon="i-lucide-ellipsis-vertical"
        color="neutral"
        variant="ghost"
        class="size-11 justify-center"
        :aria-label="`What to do with ${job.title}`"
      />
    </UDropdownMenu>
  </li>
</template>
