<script setup lang="ts">
import { type Move, moveWords } from '#core/fieldwork'
import type { Face, Job } from '#core/job'
import type { FacePlan, Plan } from '#core/plan'

/** What is to be marked otherwise than the crew has it, what limit is broken, and what it would cost to mend that. */
const { moves, job, face, facePlan, plan, proving, only = null } = defineProps<{ moves: Move[], job: Job, face: Face, facePlan: FacePlan, plan: Plan, proving: boolean, /** One rail's alone. */ only?: string | null }>()
const shown = computed(() => moves.filter(one => only === null || one.railId === only))
const rails = computed(() => [...new Set(shown.value.map(one => one.railId))].map(id => ({
  rail: facePlan.rails.find(one => one.id === id)!, fixings: facePlan.fixings.rails.find(one => one.railId === id)!, moves: shown.value.filter(one => one.railId === id),
})))
const ofRoof = computed(() => plan.findings.filter(one => one.faceId === face.id && one.stage === 'on-roof' && one.severity !== 'note' && (only === null || one.about === null || ('id' in one.about && one.about.id === only))))
const emit = defineEmits<{ cure: [edit: Plan['findings'][number]['cures'][number]['edit']] }>()
</script>

<template>
  <section aria-label="What moves">
    <div
      v-for="one in rails"
      :key="one.rail.id"
      class="border-b-2 border-black/30 py-2"
    >
      <h2 class="text-xl font-extrabold">
        Rail {{ one.rail.number }}
      </h2>
      <ul class="text-lg leading-snug font-semibold">
        <li
          v-for="(move, i) in one.moves"
          :key="i"
        >
          {{ moveWords(job, face, one.rail.way, move) }}.
        </li>
      </ul>
      <p class="text-[15px]">
        {{ !one.fixings.followed?.passes ? 'A limit is broken.' : one.fixings.followed.proved ? 'Proved: nothing changes less and keeps every limit.' : proving ? 'Keeps every limit; not yet the fewest changes: still looking.' : 'Keeps every limit; fewer changes are not excluded.' }}{{ one.fixings.followed?.splicesStay === false ? ' Its splices move: cut nothing by the old list.' : '' }}
      </p>
    </div>
    <div
      v-for="finding in ofRoof"
      :key="finding.id"
      class="border-l-8 border-[#a3291c] py-2 pl-3"
    >
      <p class="text-lg leading-snug font-bold">
        {{ finding.severity === 'stop' ? 'Stop: ' : '' }}{{ finding.sentence }}
      </p>
      <div class="mt-2 flex flex-col gap-2">
        <CrewButton
          v-for="cure in finding.cures"
          :key="cure.label"
          @press="emit('cure', cure.edit)"
        >
          {{ cure.label }}
        </CrewButton>
      </div>
    </div>
    <p
      v-if="!rails.length && !ofRoof.length"
      class="py-2 text-lg font-semibold"
    >
      {{ face.following ? 'Nothing moves: what is drilled suits the plan.' : 'Nothing is drilled here yet. From the first hole on the plan follows what is there.' }}
    </p>
  </section>
</template>
