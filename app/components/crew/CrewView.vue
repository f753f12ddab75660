<script setup lang="ts">
import type { Move, OpenItem } from '#core/fieldwork'
import type { Edit, Face, Job } from '#core/job'
import type { FacePlan, Plan } from '#core/plan'
import type { useCrew } from '../../composables/useCrew'
import type { CrewViewId, HeldFixing } from '../../utils/crew-views'

/** One of the crew's tasks, in place of a line. */
const { view, jobId, job, face, facePlan, plan, crew, held, moves, items, proving } = defineProps<{
  view: CrewViewId
  jobId: string
  job: Job
  face: Face
  facePlan: FacePlan
  plan: Plan
  crew: ReturnType<typeof useCrew>
  held: HeldFixing | null
  moves: Move[]
  items: OpenItem[]
  proving: boolean
}>()
const emit = defineEmits<{ cure: [edit: Edit] }>()
</script>

<template>
  <CrewHole
    v-if="view === 'hole' && held"
    :job-id="jobId"
    :job="job"
    :face="face"
    :face-plan="facePlan"
    :plan="plan"
    :crew="crew"
    :spot="held.spot"
    :title="held.title"
    :rail-id="held.railId"
    :moves="moves"
    :proving="proving"
    @cure="emit('cure', $event)"
  />
  <div
    v-else-if="view === 'moves'"
    class="min-h-0 flex-1 overflow-y-auto px-3 pb-4"
  >
    <CrewMoves
      :moves="moves"
      :job="job"
      :face="face"
      :face-plan="facePlan"
      :plan="plan"
      :proving="proving"
      @cure="emit('cure', $event)"
    />
  </div>
  <CrewLaid
    v-else-if="view === 'laid'"
    :job="job"
    :face="face"
    :face-plan="facePlan"
    :crew="crew"
  />
  <CrewLevel
    v-else-if="view === 'level'"
    :job="job"
    :face="face"
    :face-plan="facePlan"
    :crew="crew"
  />
  <CrewTurn
    v-else-if="view === 'turn'"
    :job="job"
    :face="face"
    :face-plan="facePlan"
  />
  <CrewSerials v-else-if="view === 'serials'" />
  <CrewTests v-else-if="view === 'tests'" />
  <CrewPause
    v-else-if="view === 'pause'"
    :job="job"
    :face="face"
    :face-plan="facePlan"
    :items="items"
    :crew="crew"
  />
  <CrewDamage
    v-else-if="view === 'damage'"
    :job-id="jobId"
    :job="job"
    :face="face"
    :crew="crew"
  />
  <CrewPhone
    v-else-if="view === 'phone'"
    :job-id="jobId"
  />
</template>
