<script setup lang="ts">
import { lineCards, markTasks, restsOn, revisionName, spokenTask } from '#core/sheets/markout'
import { movesOn, openOn } from '#core/fieldwork'
import { cardOf, LINES_WHERE_SMALL, sectionOf } from '#core/openings'
import { plural } from '#core/trade'
import { datumName } from '#core/roof'
import { drilledOn } from '#core/rooflog'
import { type CrewViewId, drilledTasks, fixingOfTask, type HeldFixing } from '../../../utils/crew-views'

/**
 * The day on the roof with the phone alone: one card a line, readable at arm's length in the sun, read aloud, ticked whole or mark by mark with
 * one thumb; each fixing's hole logged, the plan following what is there, feet levelled, rain and damage.
 */
const jobId = String(useRoute().params.id)
const SHEET_RESTS_MS = 5000
const store = useJobStore()
const { sheet, error } = useSheet(jobId, SHEET_RESTS_MS)
// The job itself is kept and planned on the phone; the office's sheet says what is issued.
void useOpenJob(jobId)
const live = computed(() => store.planned && store.plan ? { job: store.planned, plan: store.plan } : null)
const shown = computed(() => live.value ?? (sheet.value ? { job: sheet.value.job, plan: sheet.value.plan } : null))
useHead({ title: () => `${shown.value ? `${shown.value.job.title} · ` : ''}On the roof · Upper Deck` })
const units = computed(() => shown.value?.job.units ?? 'metric')
const last = computed(() => sheet.value?.issued[0] ?? null)
const changed = computed(() => sheet.value?.changes.reduce((sum, face) => sum + face.changes.length, 0) ?? 0)
/** Once somebody follows a layout its own moves tell what has changed. */
const isFollowed = computed(() => shown.value?.job.faces.some(one => one.following) ?? false)
const stops = computed(() => shown.value?.plan.totals.stops ?? 0)
const rests = computed(() => shown.value ? restsOn(shown.value.plan) : [])
/** Ticks are of the sheet in hand: that which a crew follows, whatever is issued meanwhile. */
const inUse = computed(() => {
  // At once, not when the plan that follows from it is there.
  const followed = (store.job ?? shown.value?.job)?.faces.flatMap(one => one.following ? [one.following.revision ?? 0] : []) ?? []
  return followed.length ? Math.max(...followed) : changed.value ? 0 : last.value?.revision ?? 0
})
const list = computed(() => inUse.value ? `mark-out:${revisionName(inUse.value)}` : 'mark-out')

const tasks = computed(() => markTasks((shown.value?.plan.faces ?? []).flatMap((plan, f) => plan.modules
  ? [{
      faceId: plan.faceId,
      name: shown.value!.job.faces[f]!.name,
      marks: plan.marks,
    }]
  : [])))
const cards = computed(() => lineCards(tasks.value))
const { struck, set, setAll, reached, refused } = useStruck(jobId, list, tasks)
const faces = computed(() => new Set(cards.value.map(one => one.faceId)).size)
/** What is drilled, by the task that marks it: whatever stands in its hole needs no mark any more. */
const drilled = computed(() => new Map((shown.value?.plan.faces ?? []).flatMap((plan) => {
  const holes = drilledOn(shown.value!.job.log, plan.faceId)
  return holes.length ? cards.value.filter(one => one.faceId === plan.faceId).flatMap(one => drilledTasks(one, plan, holes)) : []
})))
/** Ticked, or drilled. */
const ticked = computed(() => new Set([...struck.value, ...[...drilled.value].flatMap(([key, state]) => state === 'used' ? [key] : [])]))
const { at, card, task, called, isDone, done, tells, go, marked, wholeLine } = useLineInHand(cards, ticked, { struck, set, setAll })
/** The face that the card in hand is of, and its plan. */
const inHand = computed(() => {
  const f = shown.value?.plan.faces.findIndex(one => one.faceId === card.value?.faceId) ?? -1
  return shown.value && f >= 0 ? { face: shown.value.job.faces[f]!, plan: shown.value.plan.faces[f]! } : null
})
const face = computed(() => inHand.value?.face ?? null)
const facePlan = computed(() => inHand.value?.plan ?? null)
const crew = useCrew(face, facePlan, computed(() => last.value?.revision ?? null))
/** The fixing that is called out, with its hole. */
const fixing = computed(() => {
  const found = task.value && facePlan.value && fixingOfTask(task.value, facePlan.value)
  return found ? { ...found, hole: crew.holeAt(found.spot) } : null
})
/** The section and the steps of the fixing that is called out: worked out on the phone, from the plan that it has. */
const opening = computed(() => {
  if (!shown.value || !face.value || !facePlan.value || !fixing.value) return null
  const own = facePlan.value.openings.find(one => one.fixingId === fixing.value!.id)
  return own ? { section: sectionOf(shown.value.job, face.value, facePlan.value, own, LINES_WHERE_SMALL), card: cardOf(shown.value.job, face.value, facePlan.value, own) } : null
})
const moves = computed(() => shown.value && face.value && facePlan.value ? movesOn(shown.value.job, face.value, facePlan.value) : [])
const items = computed(() => shown.value?.job.faces.flatMap((one, f) => one.following || shown.value!.job.log.some(entry => entry.faceId === one.id) ? openOn(shown.value!.job, one, shown.value!.plan.faces[f]!, crew.holes.value.at(-1) ?? null) : []) ?? [])

/** What stands on the screen: one thing at a time. */
const view = ref<'line' | 'lines' | CrewViewId>('line')
const viewNames: Record<Exclude<CrewViewId, 'hole'>, string> = { moves: 'What moves', laid: 'Rails, modules', level: 'Level the feet', turn: 'Is the row true', pause: 'Rain, day’s end', damage: 'Damage', serials: 'Serial numbers', tests: 'Tests', phone: 'On this phone' }
/** The fixing whose card is open keeps it while the plan moves others. */
const held = shallowRef<HeldFixing | null>(null)
function openHole() {
  held.value = fixing.value
  view.value = 'hole'
}
function undo() {
  const outcome = store.undo()
  crew.told.value = outcome.ok ? 'Taken back.' : outcome.problem
}
watch(view, () => crew.told.value = '')
/** A sheet issued after the one that is followed. */
const later = ref(0)
const superseded = computed(() => {
  const to = last.value?.revision ?? 0
  const from = face.value?.following?.revision ?? null
  return face.value?.following && to > (from ?? 0) && to > later.value ? { from, to } : null
})
/** What is struck where the new sheet has it too is struck. */
function followAnew() {
  const here = [...struck.value]
  crew.followAnew()
  setAll(here)
}
const { isSupported, aloud, toggle: toggleAloud } = useReadAloud(computed(() => task.value ? spokenTask(task.value, units.value) : ''), computed(() => task.value?.key))
</script>

<template>
  <div class="glare fixed inset-0 flex flex-col">
    <p
      v-if="error && !shown && (store.loadProblem || !store.job)"
      role="alert"
      class="p-6 text-xl font-semibold"
    >
      The marks can’t be read from the server, and this job is not on this phone. What was ticked or logged is kept on this phone; come back when there is a signal, and take the job along.
    </p>
    <template v-else-if="shown && card && task">
      <header class="flex items-center gap-2 border-b-4 border-black px-3 py-1">
        <NuxtLink
          :to="`/jobs/${jobId}/mark-out`"
          class="grid size-15 place-items-center text-3xl font-bold"
          aria-label="Back to the sheet"
        >✕</NuxtLink>
        <button
          type="button"
          class="min-h-15 min-w-0 flex-1 text-left"
          :aria-expanded="view === 'lines'"
          @click="view = view === 'lines' ? 'line' : 'lines'"
        >
          <span class="block truncate text-lg leading-tight font-bold">{{ view === 'line' || view === 'lines' || view === 'hole' ? card.step.title : viewNames[view] }}</span>
          <span class="block truncate text-[15px] leading-tight">{{ done }} of {{ cards.length }} done, all lines ▾{{ faces > 1 ? ` ${card.faceName}` : '' }}</span>
        </button>
        <button
          v-if="isSupported"
          type="button"
          class="grid size-15 shrink-0 place-items-center border-2 border-black"
          :class="aloud ? 'bg-black text-[#fff7c4]' : ''"
          :aria-pressed="aloud"
          aria-label="Read the marks aloud"
          @click="toggleAloud"
        >
          <UIcon
            name="i-lucide-volume-2"
            class="size-7"
          />
        </button>
      </header>
      <div class="h-2 bg-black/15">
        <div
          class="h-2 bg-black"
          :style="{ width: `${100 * done / cards.length}%` }"
        />
      </div>

      <CrewSuperseded
        v-if="superseded && face && facePlan"
        :from="superseded.from"
        :to="superseded.to"
        :moves="moves"
        :job="shown.job"
        :face="face"
        :face-plan="facePlan"
        @follow="followAnew"
        @later="later = superseded!.to"
      />
      <p
        v-if="changed && !isFollowed"
        role="alert"
        class="border-b-4 border-black bg-black px-4 py-2 text-lg font-bold text-[#fff7c4]"
      >
        Not the issued sheet: {{ changed }} {{ changed === 1 ? 'mark has' : 'marks have' }} changed since revision {{ revisionName(last!.revision) }}. Ask the office.
      </p>
      <p
        v-if="stops && (view === 'line' || view === 'lines')"
        role="alert"
        class="border-b-4 border-black bg-[#a3291c] px-4 py-2 text-lg leading-snug font-bold text-white"
      >
        {{ stops === 1 ? 'A stop is' : `${stops} stops are` }} open{{ last?.despite && !changed ? `. ${last.issuedBy} issued it all the same: ${last.despite.reason}` : ': nothing is to be fixed by this yet. Ask the office.' }}
      </p>
      <p
        v-if="!changed || isFollowed"
        class="px-4 pt-1 text-[15px] font-semibold"
      >
        {{ store.waiting ? `${store.waiting} on this phone, not at the office yet. ` : '' }}{{ store.keptAt ? `No signal: as the office had it ${agoWords(store.keptAt)}. ` : '' }}{{ last ? `Revision ${revisionName(last.revision)}, ${last.issuedBy}` : 'Not issued yet' }}; {{ reached ? 'ticks have reached the office' : refused.length ? `${plural(refused.length, 'tick')} not taken by the office: ${refused[0]!.refused} Open the sheet to try again` : 'ticks kept on this phone' }}
      </p>

      <details
        v-if="rests.length && view === 'line' && !isFollowed"
        class="border-b-2 border-black/30 px-4 py-1 text-[15px] leading-snug"
      >
        <summary class="flex min-h-15 cursor-pointer items-center font-bold">
          ▾ {{ plural(rests.length, 'thing') }} this sheet rests on: read {{ rests.length === 1 ? 'it' : 'them' }} first
        </summary>
        <p
          v-for="one in rests"
          :key="one"
          class="pb-2"
        >
          {{ one }}
        </p>
      </details>
      <div
        v-if="view === 'lines'"
        class="grid grid-cols-2 gap-2 px-3 pt-2"
      >
        <CrewButton
          v-for="(name, id) in viewNames"
          :key="id"
          @press="view = id"
        >
          {{ name }}{{ id === 'moves' && moves.length ? ` (${moves.length})` : id === 'pause' && items.length ? ` (${items.length})` : '' }}
        </CrewButton>
      </div>
      <ol
        v-if="view === 'lines'"
        class="flex-1 overflow-y-auto px-4 py-2"
      >
        <li
          v-for="(one, i) in cards"
          :key="`${one.faceId} ${one.step.id}`"
        >
          <button
            type="button"
            class="flex min-h-16 w-full items-center justify-between gap-3 border-b-2 border-black/30 text-left text-xl font-semibold"
            @click="go(i); view = 'line'"
          >
            <span class="leading-tight">{{ one.step.title }}<span
              v-if="faces > 1"
              class="block text-[15px] font-normal"
            >{{ one.faceName }}</span></span><span class="shrink-0">{{ isDone(one) ? '✓' : `${one.tasks.filter(task => ticked.has(task.key)).length}/${one.tasks.length}` }}</span>
          </button>
        </li>
      </ol>
      <CrewView
        v-else-if="view !== 'line' && face && facePlan"
        :view="view"
        :job-id="jobId"
        :job="shown.job"
        :face="face"
        :face-plan="facePlan"
        :plan="shown.plan"
        :crew="crew"
        :held="held"
        :moves="moves"
        :items="items"
        :proving="store.proving"
        @cure="crew.make"
      />
      <SheetRoofLine
        v-else
        :card="card"
        :units="units"
        :ticked="ticked"
        :current="task"
        :tells="tells"
        :opening="opening"
        :drill="fixing === null || !live ? null : fixing.hole?.state ?? 'none'"
        :drilled="drilled"
        @drill="openHole"
        @call="called = $event"
        @tick="set"
      />

      <footer
        v-if="view !== 'line' && view !== 'lines'"
        class="border-t-4 border-black p-3"
      >
        <p
          v-if="crew.told.value"
          role="status"
          class="pb-1 text-lg leading-tight font-semibold"
        >
          {{ crew.told.value }}
        </p>
        <div class="flex gap-2">
          <CrewButton
            class="flex-1 text-center"
            :disabled="!store.canUndo"
            @press="undo"
          >
            Undo
          </CrewButton>
          <CrewButton
            class="flex-1 text-center"
            dark
            @press="view = view === 'hole' ? 'line' : 'lines'"
          >
            {{ view === 'hole' ? 'Back to the line' : 'Back' }}
          </CrewButton>
        </div>
      </footer>
      <footer
        v-else-if="view === 'line'"
        class="border-t-4 border-black p-3"
      >
        <p class="mb-2 truncate text-[15px]">
          Tape from the {{ datumName(shown.job.faces.find(one => one.id === card!.faceId)!) }}
        </p>
        <div class="flex gap-2">
          <button
            type="button"
            class="h-20 w-16 shrink-0 border-4 border-black text-3xl font-bold disabled:opacity-30"
            :disabled="at === 0"
            aria-label="Back"
            @click="go(at - 1)"
          >
            ‹
          </button>
          <button
            type="button"
            class="h-20 flex-1 border-4 border-black text-2xl leading-tight font-bold"
            @click="marked"
          >
            {{ task.kind === 'mark' ? 'Marked' : 'It proves' }}
          </button>
          <button
            type="button"
            class="h-20 flex-1 bg-black text-2xl leading-tight font-bold text-[#fff7c4]"
            @click="wholeLine"
          >
            {{ done === cards.length ? 'All done ✓' : isDone(card) ? '✓ Next' : 'Whole line' }}
          </button>
        </div>
      </footer>
    </template>
    <div
      v-else-if="shown"
      class="p-6 text-2xl font-semibold"
    >
      <p>Nothing to mark out yet: no row stands on any face.</p>
      <NuxtLink
        :to="`/jobs/${jobId}/rows`"
        class="mt-4 inline-block underline"
      >Set the rows</NuxtLink>
    </div>
    <p
      v-else
      class="p-6 text-2xl font-semibold"
    >
      Working out the marks…
    </p>
  </div>
</template>
