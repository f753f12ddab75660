<script setup lang="ts">
import { closingSteps, type Move, photographedOf, photographsOf, stepsLeft } from '#core/fieldwork'
import type { Face, Job } from '#core/job'
import type { FacePlan, Plan } from '#core/plan'
import { onFace } from '#core/rails'
import { placeAlong, placeUp, readingAlong, readingUp } from '#core/roof'
import type { Drilled } from '#core/rooflog'
import { formatLength, formatQuantity, torque } from '#core/units'
import { simulatedWrench } from '../../instruments/torque-wrench'
import type { useCrew } from '../../composables/useCrew'

/** One fixing: what the bit found, and then each step until it is closed and tight. Nothing here is swiped, and everything can be taken back. */
const { jobId, job, face, facePlan, plan, crew, spot, title, railId, moves, proving } = defineProps<{
  jobId: string
  job: Job
  face: Face
  facePlan: FacePlan
  plan: Plan
  crew: ReturnType<typeof useCrew>
  /** Where it is planned, or where it was drilled. */
  spot: { xMm: number, yMm: number }
  title: string
  railId: string | null
  moves: Move[]
  proving: boolean
}>()
const emit = defineEmits<{ cure: [edit: Plan['findings'][number]['cures'][number]['edit']] }>()
const units = computed(() => job.units)
/** The hole keeps its card though the plan moves the fixing away from it. */
const drilledAt = ref<{ xMm: number, yMm: number } | null>(null)
watch(() => spot, () => {
  drilledAt.value = null
  nextAt.value = null
})
/** Where the plan has the fixing after a miss. */
const nextAt = ref<{ xMm: number, yMm: number } | null>(null)
const hole = computed((): Drilled | null => crew.holeAt(nextAt.value ?? drilledAt.value ?? spot))
const at = computed(() => hole.value ?? nextAt.value ?? spot)
const rail = computed(() => facePlan.rails.find(one => one.id === railId) ?? null)
const alongRail = computed(() => rail.value?.way !== 'up')
const reading = computed(() => alongRail.value ? readingAlong(face, at.value.xMm) : readingUp(face, at.value.yMm))
const steps = computed(() => closingSteps(job, face, facePlan, at.value))
const asksPlace = ref(false)
const wrench = useLocalStorage('crew/wrench', '')
const driver = useLocalStorage<'wrench' | 'drill' | 'impact'>('crew/driver', 'wrench')
const instrument = simulatedWrench()
async function pull(holeId: string) {
  crew.say({ kind: 'torque', holeId, torqueNm: await instrument.pull(facePlan.parts.mount.torqueNm), driver: 'wrench', wrench: wrench.value || 'stand-in' })
}
/** A missed fixing is often only a hand's width away: the nearest on its rail that is not drilled yet. */
const NEAR_MM = 400
const again = computed(() => {
  const own = rail.value
  if (!own || hole.value?.state !== 'abandoned') return null
  const places = facePlan.fixings.rails.find(one => one.railId === own.id)!.fixings.map(one => onFace(own, one.atMm)).filter(one => !crew.holeAt(one))
  const off = (one: { xMm: number, yMm: number }) => Math.hypot(one.xMm - at.value.xMm, one.yMm - at.value.yMm)
  const [nearest] = places.sort((a, b) => off(a) - off(b))
  return nearest && off(nearest) < NEAR_MM ? nearest : null
})
function drill(result: 'hit' | 'miss', timber: 'left' | 'right' | null = null, dust: 'pale' | 'dark' | null = null) {
  drilledAt.value = { xMm: at.value.xMm, yMm: at.value.yMm }
  nextAt.value = null
  crew.drilled(drilledAt.value, result, timber, dust)
}
function movedTo(mm: number) {
  nextAt.value = null
  drilledAt.value = alongRail.value ? { xMm: placeAlong(face, mm), yMm: at.value.yMm } : { xMm: at.value.xMm, yMm: placeUp(face, mm) }
  asksPlace.value = false
  crew.drilled(drilledAt.value, 'hit', null, 'pale')
}
const wanted = computed(() => hole.value ? photographsOf(hole.value, steps.value) : [])
const has = computed(() => hole.value ? photographedOf(job.log, hole.value.id) : [])
const left = computed(() => hole.value ? stepsLeft(steps.value, hole.value) : [])
const lacking = computed(() => wanted.value.flatMap(one => one.asked && one.before && !has.value.includes(one.step) ? [one.step] : []))
const photographed = (photoId: string, step: string) => crew.say({ kind: 'photograph', holeId: hole.value!.id, photoId, step })
const notes = computed(() => job.log.flatMap(entry => entry.kind === 'note' && hole.value && entry.holeId === hole.value.id ? [entry] : []))
</script>

<template>
  <div class="min-h-0 flex-1 overflow-y-auto px-3 pb-4">
    <p class="pt-2 text-lg font-semibold">
      {{ title }}
    </p>
    <p
      class="text-[3.2rem] leading-none font-extrabold whitespace-nowrap"
      data-hole-reading
    >
      <FieldLengthText
        :mm="reading"
        :units="units"
      />
    </p>

    <template v-if="!hole">
      <div class="mt-3 grid gap-2">
        <CrewButton
          dark
          class="!min-h-20 text-2xl"
          @press="drill('hit', null, 'pale')"
        >
          Hit: pale dust
        </CrewButton>
        <div class="grid grid-cols-3 gap-2">
          <CrewButton @press="drill('miss', 'left')">
            ◀ Miss, timber left
          </CrewButton>
          <CrewButton @press="drill('miss', null, 'dark')">
            Miss
          </CrewButton>
          <CrewButton @press="drill('miss', 'right')">
            Miss, timber right ▶
          </CrewButton>
        </div>
        <div class="grid grid-cols-2 gap-2">
          <CrewButton
            :pressed="asksPlace"
            @press="asksPlace = !asksPlace"
          >
            Moved to…
          </CrewButton>
          <CrewButton @press="crew.seen(at)">
            Timber seen, not drilled
          </CrewButton>
        </div>
        <CrewLength
          v-if="asksPlace"
          :label="alongRail ? 'Drilled at, along' : 'Drilled at, up'"
          :units="units"
          taken="Hit there"
          @take="movedTo"
        />
      </div>
    </template>

    <template v-else-if="hole.state === 'used'">
      <p class="mt-1 text-xl font-bold">
        ✓ In timber{{ hole.dust ? `, ${hole.dust} dust` : '' }}, {{ hole.by }}
      </p>
      <ol class="mt-1">
        <li
          v-for="step in steps"
          :key="step.id"
        >
          <CrewPhotograph
            v-for="one in wanted.filter(photo => photo.before === step.id)"
            :key="one.step"
            :job-id="jobId"
            :step="one.step"
            :asked="one.asked"
            :has="has.includes(one.step)"
            @taken="photographed($event, one.step)"
          />
          <button
            type="button"
            class="flex min-h-16 w-full items-center gap-3 border-b-2 border-black/30 py-1 text-left text-lg leading-snug font-semibold"
            :aria-pressed="hole.closure.includes(step.id)"
            @click="crew.say({ kind: 'closure', holeId: hole.id, step: step.id, done: !hole.closure.includes(step.id) })"
          >
            <span class="grid size-9 shrink-0 place-items-center border-4 border-black text-2xl leading-none font-extrabold">{{ hole.closure.includes(step.id) ? '✓' : '' }}</span>{{ step.words }}
          </button>
        </li>
      </ol>
      <CrewButton
        v-if="left.length"
        class="mt-2 w-full"
        dark
        @press="crew.closed(hole, left)"
      >
        All of these are done
      </CrewButton>
      <p
        v-else-if="lacking.length"
        class="mt-2 text-lg font-semibold"
      >
        Covered without a photograph: {{ lacking.join(', ').toLowerCase() }}. The record says so.
      </p>
      <p
        v-if="hole.torque"
        class="mt-3 text-xl font-bold"
      >
        ✓ {{ formatQuantity(torque(hole.torque.nm), units) }}, {{ hole.torque.driver }}{{ hole.torque.wrench ? ` ${hole.torque.wrench}` : '' }}, {{ hole.torque.by }}
      </p>
      <div class="mt-2 grid grid-cols-3 gap-2">
        <CrewButton
          v-for="one in (['wrench', 'drill', 'impact'] as const)"
          :key="one"
          :pressed="driver === one"
          @press="driver = one"
        >
          {{ one === 'wrench' ? 'Torque wrench' : one === 'drill' ? 'Drill’s clutch' : 'Impact' }}
        </CrewButton>
      </div>
      <label class="mt-2 block text-lg font-semibold">Which wrench<input
        v-model="wrench"
        maxlength="60"
        class="block h-16 w-full border-4 border-black bg-white px-3 text-xl"
      ></label>
      <CrewButton
        class="mt-2 w-full"
        @press="crew.say({ kind: 'torque', holeId: hole.id, torqueNm: facePlan.parts.mount.torqueNm, driver, wrench })"
      >
        Tight at {{ formatQuantity(torque(facePlan.parts.mount.torqueNm), units) }}
      </CrewButton>
      <CrewButton
        v-if="driver === 'wrench'"
        class="mt-2 w-full"
        :title="instrument.name"
        @press="pull(hole.id)"
      >
        Read the wrench (a stand-in)
      </CrewButton>
      <p
        v-if="driver === 'impact'"
        class="py-1 text-lg font-semibold"
      >
        An impact driver has no torque that can be read: snug with it, finish with a wrench.
      </p>
      <CrewLength
        :label="`Height of the seat${hole.heightMm === null ? '' : `: ${formatLength(hole.heightMm, units)}`}`"
        :units="units"
        taken="Set"
        @take="crew.say({ kind: 'height', holeId: hole.id, heightMm: $event })"
      />
      <CrewWords
        label="A note"
        taken="Keep"
        @take="crew.say({ kind: 'note', holeId: hole.id, words: $event })"
      />
      <CrewButton
        class="mt-2 w-full"
        @press="crew.say({ kind: 'give-up', holeId: hole.id })"
      >
        Nothing stands in it: give the hole up
      </CrewButton>
    </template>

    <template v-else-if="hole.state === 'abandoned'">
      <p class="mt-1 text-xl font-bold">
        ✕ {{ hole.missed ? 'Missed' : 'Given up' }}{{ hole.timber ? `, timber to the ${hole.timber}` : '' }}, {{ hole.by }}
      </p>
      <p
        v-if="hole.sealed"
        class="text-xl font-bold"
      >
        ✓ Sealed
      </p>
      <CrewButton
        v-else
        dark
        class="mt-2 !min-h-20 w-full"
        @press="crew.say({ kind: 'seal', holeId: hole.id })"
      >
        It is sealed now
      </CrewButton>
      <CrewButton
        v-if="again"
        class="mt-2 !min-h-20 w-full text-2xl"
        @press="nextAt = again"
      >
        Drill at {{ formatLength(alongRail ? readingAlong(face, again.xMm) : readingUp(face, again.yMm), units) }} instead ▸
      </CrewButton>
    </template>

    <p
      v-else
      class="mt-1 text-xl leading-snug font-bold"
    >
      Two people say this hole differently. Look, and settle it below.
    </p>

    <CrewPhotograph
      v-for="one in wanted.filter(photo => photo.before === null || !steps.some(step => step.id === photo.before))"
      :key="one.step"
      :job-id="jobId"
      :step="one.step"
      :asked="one.asked"
      :has="has.includes(one.step)"
      @taken="photographed($event, one.step)"
    />
    <p
      v-for="note in notes"
      :key="note.id"
      class="border-b-2 border-black/30 py-2 text-lg"
    >
      {{ note.words }} ({{ note.by }})
    </p>
    <h2
      v-if="hole"
      class="mt-4 border-t-4 border-black pt-2 text-xl font-extrabold"
    >
      What this does to the plan
    </h2>
    <CrewMoves
      v-if="hole"
      :moves="moves"
      :job="job"
      :face="face"
      :face-plan="facePlan"
      :plan="plan"
      :proving="proving"
      :only="railId"
      @cure="emit('cure', $event)"
    />
  </div>
</template>
