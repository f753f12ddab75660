<script setup lang="ts">
import { stages, type StageId } from '#core/job/stages'

definePageMeta({ validate: route => stages.some(stage => stage.id === route.params.stage), key: route => String(route.params.id) })

const route = useRoute()
const store = useJobStore()
const stage = computed(() => route.params.stage as StageId)
// The page is another for each job.
const jobId = String(route.params.id)
await useOpenJob(jobId)
useHead({ title: () => store.job ? `${store.job.title} · ${stages.find(one => one.id === stage.value)!.title} · Upper Deck` : 'Upper Deck' })
</script>

<template>
  <div class="flex h-dvh flex-col print:block print:h-auto">
    <PlannerJobHead />
    <main
      v-if="store.loadProblem"
      class="p-8"
    >
      <p
        role="alert"
        class="max-w-prose border-l-4 border-brick-500 py-1 pl-3 text-lg"
      >
        {{ store.loadProblem }}
      </p>
      <NuxtLink
        to="/"
        class="mt-4 inline-block font-semibold text-chalk-600 underline"
      >All jobs</NuxtLink>
    </main>
    <p
      v-else-if="store.planProblem"
      role="alert"
      class="m-8 border-l-4 border-brick-500 py-1 pl-3 text-lg"
    >
      {{ store.planProblem }}
    </p>
    <PlannerWorkbench
      v-else-if="store.plan && store.planned && store.catalogue"
      :job-id="jobId"
      :stage="stage"
    />
    <LazyPlannerTooBig v-else-if="store.slow" />
    <p
      v-else
      class="p-8 text-lg text-muted"
    >
      Working out the plan…
    </p>
  </div>
</template>
