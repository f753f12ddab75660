<script setup lang="ts">
import type { LevelledFeet } from '#core/asks'
import { onFace } from '#core/rails'
import type { Face, Job } from '#core/job'
import type { FacePlan } from '#core/plan'
import { readingAlong, readingUp } from '#core/roof'
import { plural } from '#core/trade'
import { formatLength } from '#core/units'
import type { useCrew } from '../../composables/useCrew'

/** Feet brought to a plane: readings along a string or by the meter, and how each foot is set by them. */
const { job, face, facePlan, crew } = defineProps<{ job: Job, face: Face, facePlan: FacePlan, crew: ReturnType<typeof useCrew> }>()
const store = useJobStore()
const units = computed(() => job.units)
const say = (mm: number) => formatLength(mm, job.units)
const from = useLocalStorage<'string' | 'meter'>('crew/level-by', 'string')
const at = ref(0)
const rail = computed(() => facePlan.rails[Math.min(at.value, facePlan.rails.length - 1)] ?? null)
const feet = computed(() => rail.value
  ? facePlan.fixings.rails.find(one => one.railId === rail.value!.id)!.fixings.map((fixing, i) => {
      const place = onFace(rail.value!, fixing.atMm)
      const gap = job.log.filter(entry => entry.kind === 'gap' && entry.faceId === face.id && entry.from === from.value && Math.hypot(entry.xMm - place.xMm, entry.yMm - place.yMm) < 60).at(-1)
      return { id: fixing.id, number: i + 1, place, gapMm: gap?.kind === 'gap' ? gap.gapMm : null, reading: rail.value!.way === 'across' ? readingAlong(face, place.xMm) : readingUp(face, place.yMm) }
    })
  : [])
const chosen = ref<string | null>(null)
const next = computed(() => feet.value.find(one => one.id === chosen.value) ?? feet.value.find(one => one.gapMm === null) ?? null)
const levelled = shallowRef<LevelledFeet[]>([])
const problem = ref('')
const gaps = computed(() => job.log.filter(entry => entry.kind === 'gap' && entry.faceId === face.id).length)
watch([gaps, () => face.feet], async () => {
  if (!gaps.value || !store.job || !store.catalogue) return void (levelled.value = [])
  try {
    levelled.value = await usePlanner().levelFace(JSON.parse(JSON.stringify(store.job)), store.catalogue, face.id)
    problem.value = ''
  }
  catch (error) {
    problem.value = `The feet could not be worked out: ${(error as Error).message}`
  }
}, { immediate: true })
const own = computed(() => levelled.value.find(one => one.from === from.value && (one.line === null || one.line === rail.value?.id)) ?? null)
const setOf = (id: string) => own.value?.feet.find(one => one.id === id) ?? null
const order = computed(() => own.value?.order.filter(id => feet.value.some(one => one.id === id)) ?? [])
const how = computed(() => {
  if (!own.value) return ''
  const { how: kind, reserveMm, pieces, stepMm, proved, read } = own.value
  const by = `By ${plural(read, 'reading')}: `
  if (kind === 'plane') return `${by}all feet reach one plane without shims; each keeps ${say(reserveMm)} of its travel.`
  if (kind === 'shims') return `${by}one plane with ${plural(pieces, 'shim')}${proved ? ', and none with fewer or thinner' : '; fewer are not excluded'}.`
  return `${by}${proved ? 'no plane lies inside the feet’s travel with the shims in the van' : 'no plane was found with the shims in the van'}. Steps between neighbours as small as can be: ${say(stepMm)} at most.`
})
</script>

<template>
  <div class="min-h-0 flex-1 overflow-y-auto px-3 pb-4">
    <div class="mt-2 grid grid-cols-2 gap-2">
      <CrewButton
        :pressed="from === 'string'"
        @press="from = 'string'"
      >
        Gap to a string
      </CrewButton>
      <CrewButton
        :pressed="from === 'meter'"
        @press="from = 'meter'"
      >
        Height by the meter
      </CrewButton>
    </div>
    <div
      v-if="rail"
      class="mt-2 flex items-center gap-2"
    >
      <CrewButton
        :disabled="at === 0"
        aria-label="Rail before"
        @press="at--"
      >
        ‹
      </CrewButton>
      <p class="flex-1 text-center text-2xl font-extrabold">
        Rail {{ rail.number }}
      </p>
      <CrewButton
        :disabled="at >= facePlan.rails.length - 1"
        aria-label="Next rail"
        @press="at++"
      >
        ›
      </CrewButton>
    </div>
    <CrewLength
      v-if="next"
      :key="next.id"
      :label="`Foot ${next.number} at ${say(next.reading)}: ${from === 'string' ? 'string down to the covering' : 'laser down to the covering'}`"
      :units="units"
      taken="Read"
      @take="crew.say({ kind: 'gap', ...next.place, gapMm: $event, from }); chosen = null"
    />
    <p
      v-if="how"
      class="mt-2 border-l-8 border-black py-1 pl-3 text-lg leading-snug font-bold"
    >
      {{ how }}
    </p>
    <p
      v-else
      class="text-lg"
    >
      Two readings on a line and more tell how its feet are set.
    </p>
    <p
      v-if="problem"
      role="alert"
      class="text-lg font-semibold text-[#a3291c]"
    >
      {{ problem }}
    </p>
    <ol class="mt-1">
      <li
        v-for="foot in feet"
        :key="foot.id"
      >
        <button
          type="button"
          class="flex min-h-16 w-full items-center gap-2 border-b-2 border-black/30 py-1 text-left"
          @click="chosen = foot.id"
        >
          <span class="w-20 shrink-0 text-lg leading-tight font-semibold">Foot {{ foot.number }}<span class="block text-[15px] font-normal">{{ foot.gapMm === null ? 'not read' : say(foot.gapMm) }}</span></span>
          <template v-if="setOf(foot.id)">
            <span class="min-w-0 flex-1 text-lg leading-tight font-semibold">{{ setOf(foot.id)!.out ? 'Out of travel' : `${say(Math.abs(setOf(foot.id)!.byMm))} ${setOf(foot.id)!.byMm >= 0 ? 'up' : 'down'}` }}<span class="block text-[15px] font-normal">{{ setOf(foot.id)!.shims.sizes.length ? `shim ${setOf(foot.id)!.shims.sizes.map(say).join(' + ')}` : 'no shim' }}{{ order.indexOf(foot.id) >= 0 ? `, set ${order.indexOf(foot.id) + 1} of ${order.length}` : '' }}</span></span>
            <span class="shrink-0 text-[1.7rem] leading-none font-extrabold whitespace-nowrap"><FieldLengthText
              :mm="setOf(foot.id)!.setMm"
              :units="units"
            /></span>
          </template>
        </button>
      </li>
    </ol>
    <details class="mt-3 text-lg">
      <summary class="flex min-h-15 cursor-pointer items-center font-bold">
        ▾ The feet’s travel and the shims in the van
      </summary>
      <p>Seat above the covering from {{ say(face.feet.lowestMm) }} to {{ say(face.feet.highestMm) }}, shims {{ face.feet.shimsMm.map(say).join(', ') || 'none' }}, {{ face.feet.mostShims }} under a foot at most. Usual sizes until somebody types the maker’s.</p>
      <CrewLength
        label="Lowest seat"
        :units="units"
        taken="Set"
        @take="store.commit({ type: 'set-face', faceId: face.id, values: { feet: { ...face.feet, lowestMm: $event } } })"
      />
      <CrewLength
        label="Highest seat"
        :units="units"
        taken="Set"
        @take="store.commit({ type: 'set-face', faceId: face.id, values: { feet: { ...face.feet, highestMm: $event } } })"
      />
      <CrewLength
        :label="`Greatest height of the seat that the wind’s method holds for${face.feet.greatestMm === null ? '' : `: ${say(face.feet.greatestMm)}`}`"
        :units="units"
        taken="Set"
        @take="store.commit({ type: 'set-face', faceId: face.id, values: { feet: { ...face.feet, greatestMm: $event } } })"
      />
      <CrewLength
        label="Another shim in the van"
        :units="units"
        taken="Add"
        @take="store.commit({ type: 'set-face', faceId: face.id, values: { feet: { ...face.feet, shimsMm: [...face.feet.shimsMm, $event].slice(-8).sort((a, b) => a - b) } } })"
      />
      <CrewButton
        v-if="face.feet.shimsMm.length"
        class="w-full"
        @press="store.commit({ type: 'set-face', faceId: face.id, values: { feet: { ...face.feet, shimsMm: [] } } })"
      >
        No shims in the van
      </CrewButton>
      <CrewButton
        class="mt-2 w-full"
        @press="store.commit({ type: 'set-face', faceId: face.id, values: { feet: { ...face.feet, school: face.feet.school === 'string' ? 'top' : 'string' } } })"
      >
        {{ face.feet.school === 'string' ? 'Ends first, then a string: change to all up and lowered' : 'All up, lowered by eye: change to ends and a string' }}
      </CrewButton>
    </details>
  </div>
</template>
