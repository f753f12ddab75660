<script setup lang="ts">
import { codesName, type Job } from '#core/job'

/** What a printed sheet must say of itself. */
defineProps<{ title: string, job: Job, version: number, updatedAt: string }>()
</script>

<template>
  <header class="mb-4 border-b-2 border-graphite-900 pb-2">
    <div class="flex flex-wrap items-end justify-between gap-3">
      <div>
        <h2 class="text-2xl leading-tight font-bold">
          {{ title }}
        </h2>
        <p class="text-[15px]">
          {{ job.title }}{{ job.place ? `, ${job.place}` : '' }}. As of change {{ version }}, {{ new Date(updatedAt).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' }) }}<template v-if="job.codes.kind !== 'unsaid'">
            . By {{ codesName(job.codes) }}
          </template>
        </p>
      </div>
      <div class="no-print flex gap-2">
        <slot />
      </div>
    </div>
    <p
      v-if="job.loads.engineer.asked"
      class="mt-1 border-l-4 border-brick-500 py-0.5 pl-2 text-[15px] font-semibold"
    >
      {{ job.loads.engineer.name ? `The structure rests on the work of ${job.loads.engineer.name}.` : 'A licensed engineer is asked for and not named yet: fix nothing by this sheet.' }}
    </p>
  </header>
</template>
