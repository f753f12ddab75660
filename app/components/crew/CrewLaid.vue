<script setup lang="ts">
import type { Face, Job } from '#core/job'
import type { FacePlan } from '#core/plan'
import { liesAt, modulesThere, railsThere, thereOfRail } from '#core/rooflog'
import { formatLength } from '#core/units'
import type { useCrew } from '../../composables/useCrew'

/** Rails that are cut or laid, modules that lie: what is there is held when the plan is made again. */
const { job, face, facePlan, crew } = defineProps<{ job: Job, face: Face, facePlan: FacePlan, crew: ReturnType<typeof useCrew> }>()
const there = computed(() => railsThere(job.log, face.id))
const rails = computed(() => facePlan.rails.map(rail => ({
  rail, splicesMm: facePlan.sticks.splices.filter(one => one.railId === rail.id).map(one => one.atMm),
  state: thereOfRail(there.value, rail)?.state ?? null,
})))
const laid = computed(() => modulesThere(job.log, face.id))
const rows = computed(() => facePlan.rows.rows.map(row => ({
  row, modules: row.moduleLeftsMm.map((left) => {
    const at = { xMm: left + row.moduleWidthMm / 2, yMm: (row.bottomMm + row.topMm) / 2 }
    return { at, isLaid: liesAt(laid.value, at) }
  }),
})))
const say = (one: (typeof rails.value)[number], state: 'cut' | 'placed') => crew.say({ kind: 'rail', way: one.rail.way, lineMm: one.rail.lineMm, fromMm: one.rail.fromMm, toMm: one.rail.toMm, splicesMm: one.splicesMm, state })
</script>

<template>
  <div class="min-h-0 flex-1 overflow-y-auto px-3 pb-4">
    <h2 class="pt-2 text-xl font-extrabold">
      Rails
    </h2>
    <div
      v-for="one in rails"
      :key="one.rail.id"
      class="flex items-center gap-2 border-b-2 border-black/30 py-2"
    >
      <p class="min-w-0 flex-1 text-lg leading-tight font-bold">
        Rail {{ one.rail.number }}<span class="block text-[15px] font-normal">{{ one.state === 'placed' ? 'laid' : one.state === 'cut' ? 'cut' : `${formatLength(one.rail.toMm - one.rail.fromMm, job.units)} long` }}</span>
      </p>
      <CrewButton
        :pressed="one.state === 'cut'"
        @press="say(one, 'cut')"
      >
        Cut
      </CrewButton>
      <CrewButton
        :pressed="one.state === 'placed'"
        @press="say(one, 'placed')"
      >
        Laid
      </CrewButton>
    </div>
    <template
      v-for="{ row, modules } in rows"
      :key="row.index"
    >
      <h2 class="pt-3 text-xl font-extrabold">
        Row {{ row.index + 1 }}: {{ modules.filter(one => one.isLaid).length }} of {{ modules.length }} laid
      </h2>
      <div class="mt-1 grid grid-cols-5 gap-2">
        <CrewButton
          v-for="(one, i) in modules"
          :key="i"
          class="text-center"
          :pressed="one.isLaid"
          :aria-label="`Module ${i + 1} of row ${row.index + 1}`"
          @press="crew.say({ kind: 'module', ...one.at, state: one.isLaid ? 'lifted' : 'laid' })"
        >
          {{ i + 1 }}
        </CrewButton>
      </div>
    </template>
  </div>
</template>
