<script setup lang="ts">
import { againstSealing, closingSteps, mayPause, type OpenItem, stepsLeft, workWindow } from '#core/fieldwork'
import type { Face, Job } from '#core/job'
import type { FacePlan } from '#core/plan'
import { drilledOn } from '#core/rooflog'
import { simulatedForecast } from '../../instruments/forecast'
import { simulatedThermometer } from '../../instruments/thermometer'
import type { useCrew } from '../../composables/useCrew'

/** Rain, or the day's end: what is open, nearest first, and what closes it. Nothing is closed for the day over an open hole. */
const { job, face, facePlan, items, crew } = defineProps<{ job: Job, face: Face, facePlan: FacePlan, items: OpenItem[], crew: ReturnType<typeof useCrew> }>()
const thermometer = simulatedThermometer()
const forecast = simulatedForecast()
const closure = computed(() => facePlan.through.usual?.closure ?? null)
const weather = computed(() => job.log.findLast(entry => entry.kind === 'weather'))
const against = computed(() => weather.value?.kind === 'weather' ? againstSealing(weather.value, closure.value, job.units) : [])
const degrees = (c: number) => job.units === 'imperial' ? `${Math.round(c * 9 / 5 + 32)} °F` : `${c} °C`
async function readNow() {
  const read = await thermometer.read()
  crew.say({ kind: 'weather', ...read, from: 'thermometer' })
}
const start = ref('')
async function look() {
  const found = workWindow(await forecast.day(new Date().toISOString().slice(0, 10)), closure.value)
  const time = (at: string) => at.slice(11, 16)
  start.value = found ? `Open covering from ${time(found.from)}${found.before ? ` (${found.before} before)` : ''} to ${time(found.to)}${found.after ? ` (${found.after} after)` : ''}.` : 'No hour of this day is good for opening covering.'
}
const refused = ref('')
const paused = computed(() => {
  const last = job.log.findLast(entry => entry.kind === 'pause' || entry.kind === 'resume')
  return last?.kind === 'pause' ? last : null
})
function pause(why: 'rain' | 'day') {
  refused.value = mayPause(items) ? '' : why === 'day' ? 'Not yet: what lets water in or hangs loose is closed first.' : ''
  if (why === 'day' && refused.value) return
  crew.say({ kind: 'pause', why })
}
function close(item: OpenItem) {
  if (item.kind === 'miss' && item.of) return crew.say({ kind: 'seal', holeId: item.of })
  if (item.kind === 'damage' && item.of) return crew.say({ kind: 'mended', damageId: item.of, with: 'new' })
  const hole = drilledOn(job.log, face.id).find(one => one.id === item.of)
  if (!hole) return
  const steps = closingSteps(job, face, facePlan, hole)
  if (!steps.length) return crew.say({ kind: 'seal', holeId: hole.id })
  return crew.closed(hole, stepsLeft(steps, hole))
}
const done: Partial<Record<OpenItem['kind'], string>> = { miss: 'Sealed', hole: 'Closed', course: 'Closed', damage: 'Made good' }
</script>

<template>
  <div class="min-h-0 flex-1 overflow-y-auto px-3 pb-4">
    <div class="mt-2 grid grid-cols-2 gap-2">
      <CrewButton
        dark
        class="!min-h-20 text-2xl"
        @press="pause('rain')"
      >
        Rain
      </CrewButton>
      <CrewButton
        dark
        class="!min-h-20 text-2xl"
        @press="pause('day')"
      >
        End of the day
      </CrewButton>
    </div>
    <p
      v-if="refused"
      role="alert"
      class="mt-2 bg-[#a3291c] px-3 py-2 text-lg font-bold text-white"
    >
      {{ refused }}
    </p>
    <p
      v-if="paused"
      class="mt-2 text-lg font-bold"
    >
      Paused for {{ paused.why === 'rain' ? 'rain' : paused.why === 'day' ? 'the day' : 'a break' }} by {{ paused.by }}.
      <CrewButton
        class="mt-1 w-full"
        @press="crew.say({ kind: 'resume' })"
      >
        Work goes on
      </CrewButton>
    </p>
    <h2 class="mt-3 text-2xl font-extrabold">
      {{ items.length ? `${items.length} open, nearest first` : 'Nothing is open' }}
    </h2>
    <ol>
      <li
        v-for="item in items"
        :key="`${item.kind} ${item.id}`"
        class="flex items-stretch gap-2 border-b-2 border-black/30 py-2"
      >
        <div class="min-w-0 flex-1">
          <p class="text-lg leading-snug font-bold">
            {{ item.words }}
          </p>
          <p class="text-[15px] leading-snug">
            {{ item.close }}{{ item.waits ? '. It may wait, the job’s end may not.' : '.' }}
          </p>
        </div>
        <CrewButton
          v-if="done[item.kind]"
          class="w-28 shrink-0 text-center"
          @press="close(item)"
        >
          {{ done[item.kind] }}
        </CrewButton>
      </li>
    </ol>
    <h2 class="mt-4 text-xl font-extrabold">
      Sealant and weather
    </h2>
    <p class="text-lg">
      {{ weather?.kind === 'weather' ? `${degrees(weather.airC)}, ${weather.surface}, by ${weather.from === 'typed' ? weather.by : weather.from}.` : 'Nobody has read the temperature yet.' }}
    </p>
    <p
      v-for="one in against"
      :key="one"
      class="border-l-8 border-[#a3291c] pl-3 text-lg font-bold"
    >
      {{ one }}
    </p>
    <div class="mt-2 grid grid-cols-2 gap-2">
      <CrewButton @press="readNow">
        Read the thermometer
      </CrewButton>
      <CrewButton @press="look">
        When to start
      </CrewButton>
    </div>
    <p class="text-[15px]">
      {{ thermometer.name }}. {{ forecast.name }}.
    </p>
    <p
      v-if="start"
      class="text-lg font-bold"
    >
      {{ start }}
    </p>
  </div>
</template>
