<script setup lang="ts">
import { v4 as newId } from 'uuid'
import { type Hit, type HitState, hitStates, type RafterSupports } from '#core/job'
import { type Outcome, refused } from '#core/outcome'
import { placeAlong, placeUp, readingAlong, readingUp, shapeOf } from '#core/roof'
import { type CalledReading, chanceAt, hitProblem, hitStateNames } from '#core/supports'
import { formatLength, formatShare, parseLength } from '#core/units'
import { simulatedMeter } from '../../instruments/simulated-meter'

/** The hit log: one reading after the other as they are called out, typed, pasted or sent by a meter. */
const { supports } = defineProps<{ supports: RafterSupports }>()
const { face, facePlan, units, commit } = useFace()
const stateChoices = hitStates.map(value => ({ value, label: hitStateNames[value] }))

const reading = ref('')
const state = ref<HitState>('knock')
const heightText = ref(formatLength(units.value === 'imperial' ? 36 * 25.4 : 900, units.value))
const problem = ref('')
const readingId = useId()

const toHit = ({ readingMm, yMm, state: how }: CalledReading): Hit => ({
  id: newId(),
  xMm: placeAlong(face.value, readingMm),
  yMm: placeUp(face.value, yMm),
  state: how,
  use: 'rafter',
})

/** Puts readings at the end of the log, all or none. */
function log(readings: CalledReading[]): Outcome<unknown> {
  const { along, up } = shapeOf(face.value.outline)
  const hits = [...supports.hits]
  for (const [i, called] of readings.entries()) {
    const hit = toHit(called)
    const wrong = hitProblem(hits, hit, along, up, units.value)
    if (wrong) return refused(readings.length > 1 ? `Reading ${i + 1}: ${wrong}` : wrong)
    hits.push(hit)
  }
  return commit({ type: 'log-hits', faceId: face.value.id, hits: hits.slice(supports.hits.length).map((hit, i) => ({ at: supports.hits.length + i, hit })) })
}
function called(readingMm: number): Outcome<unknown> {
  const height = parseLength(heightText.value, units.value)
  return height.ok ? log([{ readingMm, yMm: height.value, state: state.value }]) : refused(`Height: ${height.problem}`)
}
function logTyped() {
  const typed = parseLength(reading.value, units.value)
  const outcome = typed.ok ? called(typed.value) : typed
  problem.value = outcome.ok ? '' : outcome.problem
  if (outcome.ok) reading.value = ''
  document.getElementById(readingId)?.focus()
}

const pasting = ref(false)
const pastingOpened = useOpened(pasting)

const meter = shallowRef<ReturnType<typeof simulatedMeter> | null>(null)
async function toggleMeter() {
  if (meter.value) {
    meter.value.disconnect()
    meter.value = null
    return
  }
  const { eave } = shapeOf(face.value.outline)
  const made = simulatedMeter(eave.toMm - eave.fromMm, supports.spacingMm)
  await made.connect()
  made.onReading((mm) => {
    const outcome = called(mm)
    problem.value = outcome.ok ? '' : outcome.problem
  })
  meter.value = made
}
onBeforeUnmount(() => meter.value?.disconnect())

/** The chance that all of the mount's screws would find sound timber at the reading as it stands typed. */
const chance = computed(() => {
  const at = parseLength(reading.value, units.value)
  const height = parseLength(heightText.value, units.value)
  const { supports: found, parts } = facePlan.value
  return at.ok && height.ok && parts.mount.fasteners && found.rafters.length ? chanceAt(found.rafters, parts.mount.fasteners, placeAlong(face.value, at.value), placeUp(face.value, height.value)) : null
})

const checks = computed(() => new Map(facePlan.value.supports.fit?.checks.map(check => [check.hitId, check])))
function said(hit: Hit): string {
  if (hit.use === 'set-aside') return 'set aside'
  if (hit.use === 'doubled') return 'second timber'
  if (hit.state === 'pilot-miss') return 'no timber here'
  const check = checks.value.get(hit.id)
  if (!check) return ''
  if (check.outlier) return `fits no rafter, ${formatLength(Math.abs(check.offMm), units.value)} off`
  return check.rafter === null ? '' : `rafter ${check.rafter}${Math.abs(check.offMm) < 0.8 ? '' : `, ${formatLength(Math.abs(check.offMm), units.value)} ${check.offMm > 0 ? 'right' : 'left'}`}`
}
const isOutlier = (hit: Hit) => hit.use === 'rafter' && Boolean(checks.value.get(hit.id)?.outlier)
const drop = (hit: Hit) => commit({ type: 'drop-hits', faceId: face.value.id, hitIds: [hit.id] })
const use = (hit: Hit) => commit({ type: 'use-hit', faceId: face.value.id, hitId: hit.id, use: hit.use === 'rafter' ? 'set-aside' : 'rafter' })
</script>

<template>
  <section
    class="mt-4"
    aria-label="Hit log"
  >
    <h2 class="slip-title">
      Hit log
    </h2>
    <form
      class="grid grid-cols-[1fr_1fr] gap-x-2 gap-y-1"
      @submit.prevent="logTyped"
    >
      <label class="text-[13px] text-muted">Reading from the {{ face.datum }}
        <UInput
          :id="readingId"
          v-model="reading"
          size="sm"
          class="w-full"
          :color="problem ? 'error' : 'neutral'"
          :highlight="Boolean(problem)"
          autocomplete="off"
          :ui="{ base: 'text-right font-medium' }"
        /></label>
      <label class="text-[13px] text-muted">Height up
        <UInput
          v-model="heightText"
          size="sm"
          class="w-full"
          color="neutral"
          autocomplete="off"
          :ui="{ base: 'text-right font-medium' }"
        /></label>
      <FieldChoiceList
        :value="state"
        :choices="stateChoices"
        size="sm"
        aria-label="How it was found"
        class="w-full"
        @choose="state = $event"
      />
      <UButton
        type="submit"
        size="sm"
        color="neutral"
        block
        label="Log it"
      />
    </form>
    <p
      v-if="problem"
      role="alert"
      class="mt-1 text-sm font-medium text-brick-600"
    >
      {{ problem }}
    </p>
    <p
      v-if="chance !== null"
      class="mt-1 text-sm text-muted"
    >
      A {{ facePlan.parts.mount.name }} there: {{ formatShare(chance) }} to have every screw in sound timber.
    </p>
    <div class="mt-1 flex flex-wrap gap-1">
      <UButton
        size="xs"
        color="neutral"
        variant="outline"
        label="Paste a column"
        @click="pasting = true"
      />
      <UButton
        size="xs"
        color="neutral"
        :variant="meter ? 'solid' : 'outline'"
        :label="meter ? 'Meter off' : 'Try a meter'"
        title="A simulated distance meter: its readings are made up"
        @click="toggleMeter"
      />
      <UButton
        v-if="meter"
        size="xs"
        color="primary"
        label="Measure"
        @click="meter.measure()"
      />
    </div>
    <p
      v-if="meter"
      class="mt-1 text-[13px] text-muted"
    >
      Simulated meter: its readings are made up. Undo takes them back.
    </p>
    <p
      v-if="!supports.hits.length"
      class="mt-2 text-sm text-muted"
    >
      Knock, type the reading, press Enter, call the next. Two hits or more are fitted.
    </p>
    <ol
      v-else
      class="mt-2"
    >
      <li
        v-for="(hit, i) in supports.hits"
        :key="hit.id"
        class="flex items-center justify-between gap-1 border-b border-dotted border-graphite-300 py-0.5"
        :class="isOutlier(hit) ? 'border-l-4 border-l-amber-500 pl-1.5' : ''"
        :data-hit="i + 1"
      >
        <span class="min-w-0">
          <span
            class="text-[15px]"
            :class="hit.use === 'set-aside' ? 'text-muted line-through' : 'font-semibold'"
          ><FieldLengthText
            :mm="readingAlong(face, hit.xMm)"
            :units="units"
          /></span>
          <span class="text-[13px] text-muted"> up <FieldLengthText
            :mm="readingUp(face, hit.yMm)"
            :units="units"
          /></span>
          <span
            class="block text-[13px]"
            :class="isOutlier(hit) ? 'font-semibold text-amber-600' : 'text-muted'"
          >{{ hitStateNames[hit.state] }}{{ said(hit) ? `: ${said(hit)}` : '' }}</span>
        </span>
        <span class="flex shrink-0">
          <UButton
            v-if="hit.state !== 'pilot-miss'"
            size="xs"
            color="neutral"
            variant="ghost"
            :label="hit.use === 'rafter' ? 'Set aside' : 'Use'"
            :aria-label="`${hit.use === 'rafter' ? 'Set aside' : 'Use'} hit ${i + 1}`"
            @click="use(hit)"
          />
          <UButton
            size="xs"
            color="neutral"
            variant="ghost"
            icon="i-lucide-x"
            :aria-label="`Take hit ${i + 1} out of the log`"
            @click="drop(hit)"
          />
        </span>
      </li>
    </ol>
    <LazySupportsPaste
      v-if="pastingOpened"
      v-model:open="pasting"
      :units="units"
      :start="() => ({ state, heightText })"
      :log="log"
    />
  </section>
</template>
