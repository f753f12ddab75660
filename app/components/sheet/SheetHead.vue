<script setup lang="ts">
import type { Job } from '#core/job'

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
          {{ job.title }}{{ job.place ? `, ${job.place}` : '' }}. As of change {{ version }}, {{ new Date(updatedAt).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' }) }}
        </p>
      </div>
      <div class="no-print flex gap-2">
        <slot />
      </div>
    </div>
  </header>
</template>
