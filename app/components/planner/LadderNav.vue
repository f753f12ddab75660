<script setup lang="ts">
import { type StageId, stages } from '#core/job'
import type { Finding } from '#core/trade'

/** The stages of the job as rungs, ground at the bottom; each says whether something there wants a person. */
const { stage, findings, jobId } = defineProps<{ stage: StageId, findings: Finding[], jobId: string }>()

const rungs = computed(() => [...stages].reverse().map((one) => {
  // The mark-out waits for whatever stops the work, wherever it is.
  const own = findings.filter(finding => finding.stage === one.id || (one.id === 'mark-out' && finding.severity === 'stop'))
  return { ...one, state: stateOf(own, restsOnAssumed(one.id, findings)) }
}))
function stateOf(own: Finding[], assumed: boolean) {
  if (own.some(finding => finding.severity === 'stop' && !finding.assumed)) return 'stop' as const
  if (own.some(finding => finding.assumed)) return 'assumed' as const
  return own.some(finding => finding.severity === 'caution') ? 'caution' as const : assumed ? 'assumed' as const : 'clear' as const
}
/** On a phone the rungs lie in a line that scrolls: the one stood on comes into view. */
const line = useTemplateRef('line')
const bringIntoView = () => line.value?.querySelector<HTMLElement>(`[data-stage="${stage}"]`)?.scrollIntoView({ inline: 'center', block: 'nearest' })
watch(() => stage, bringIntoView, { flush: 'post' })
useResizeObserver(line, bringIntoView)
const stagePath = useStagePath()
const words = { stop: 'stopped', assumed: 'assumed', caution: 'needs you', clear: 'clear' }
</script>

<template>
  <nav aria-label="Stages of the job">
    <div
      ref="line"
      class="relative flex max-md:overflow-x-auto md:h-full md:w-32 md:flex-col md:overflow-y-auto md:border-x-4 md:border-graphite-900"
    >
      <NuxtLink
        v-for="(rung, i) in rungs"
        :key="rung.id"
        :style="{ '--from-ground': rungs.length - i }"
        :data-stage="rung.id"
        :to="stagePath(jobId, rung.id)"
        class="flex items-end justify-between gap-1 border-graphite-900 px-2 pb-1 text-[15px] leading-tight font-semibold max-md:order-(--from-ground) max-md:min-h-11 max-md:shrink-0 max-md:items-center max-md:border-b-4 max-md:py-2 md:min-h-9 md:border-b-4"
        :class="rung.id === stage ? 'bg-graphite-900 text-paper md:flex-[1.8]' : 'text-graphite-700 hover:bg-graphite-100 md:flex-1'"
        :aria-current="rung.id === stage ? 'page' : undefined"
      >
        <span>{{ rung.title }}<span class="sr-only">, {{ words[rung.state] }}</span></span>
        <PlannerStateMark
          :state="rung.state"
          :on-dark="rung.id === stage"
        />
      </NuxtLink>
    </div>
  </nav>
</template>
