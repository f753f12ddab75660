<script setup lang="ts">
import { type LineCard, lineCards, markTasks, restsOn, revisionName, spokenTask } from '#core/sheets/markout'
import { cardOf, LINES_WHERE_SMALL, sectionOf } from '#core/openings'
import { plural } from '#core/trade'
import { datumName } from '#core/roof'

/** The mark-out on the roof: one card a line, readable at arm's length in the sun, read aloud, ticked whole or mark by mark with one thumb. */
const jobId = String(useRoute().params.id)
const { sheet, error } = useSheet(jobId)
useHead({ title: () => `${sheet.value ? `${sheet.value.job.title} · ` : ''}On the roof · Upper Deck` })
const units = computed(() => sheet.value?.job.units ?? 'metric')
const last = computed(() => sheet.value?.issued[0] ?? null)
const changed = computed(() => sheet.value?.changes.reduce((sum, face) => sum + face.changes.length, 0) ?? 0)
const stops = computed(() => sheet.value?.plan.totals.stops ?? 0)
const rests = computed(() => sheet.value ? restsOn(sheet.value.plan) : [])
const list = computed(() => last.value && !changed.value ? `mark-out:${revisionName(last.value.revision)}` : 'mark-out')
const { ticked, set, reached, refused } = useTicks(jobId, list)

const tasks = computed(() => markTasks((sheet.value?.plan.faces ?? []).flatMap((plan, f) => plan.modules
  ? [{
      faceId: plan.faceId,
      name: sheet.value!.job.faces[f]!.name,
      marks: plan.marks,
    }]
  : [])))
const cards = computed(() => lineCards(tasks.value))
const faces = computed(() => new Set(cards.value.map(one => one.faceId)).size)
const isDone = (card: LineCard) => card.tasks.every(task => ticked.value.has(task.key))
const at = ref(0)
const card = computed(() => cards.value[Math.min(at.value, cards.value.length - 1)] ?? null)
/** The reading that is being called out: what was pressed, else the first on the line that is not done. */
const called = ref<string | null>(null)
const task = computed(() => card.value && (card.value.tasks.find(one => one.key === called.value) ?? card.value.tasks.find(one => !ticked.value.has(one.key)) ?? card.value.tasks[0]!))
/** The section and the steps of the fixing that is called out: worked out on the phone, from the plan that it has. */
const opening = computed(() => {
  const of = task.value?.kind === 'mark' ? task.value.mark.of : undefined
  const f = sheet.value?.plan.faces.findIndex(one => one.faceId === card.value?.faceId) ?? -1
  if (!sheet.value || f < 0 || of?.kind !== 'fixing') return null
  const [job, face, plan] = [sheet.value.job, sheet.value.job.faces[f]!, sheet.value.plan.faces[f]!]
  const own = plan.openings.find(one => one.fixingId === of.id)
  return own ? { section: sectionOf(job, face, plan, own, LINES_WHERE_SMALL), card: cardOf(job, face, plan, own) } : null
})
/** An instruction is told once: where the line before says the same it would only take room. */
const tells = computed(() => card.value !== null && cards.value[at.value - 1]?.step.instruction !== card.value.step.instruction)
/** Opens on the first line that is not done, once the ticks are here. */
let opened = false
watch([cards, ticked], () => {
  if (opened || !cards.value.length) return
  const next = cards.value.findIndex(one => !isDone(one))
  if (ticked.value.size) opened = true
  at.value = Math.max(0, next)
}, { immediate: true })
const done = computed(() => cards.value.filter(isDone).length)
const lists = ref(false)

const aloud = useLocalStorage('read-marks-aloud', false)
const spoken = computed(() => task.value ? spokenTask(task.value, units.value) : '')
const { isSupported, speak, stop } = useSpeechSynthesis(spoken, { rate: 0.95, lang: 'en-GB' })
function say() {
  stop()
  // The voice needs a moment to let go of what it was saying.
  setTimeout(() => speak(), 60)
}
watch(() => task.value?.key, () => {
  if (aloud.value && isSupported.value) say()
})
function toggleAloud() {
  aloud.value = !aloud.value
  if (aloud.value) say()
  else stop()
}
onBeforeUnmount(stop)

const go = (to: number) => {
  opened = true
  called.value = null
  at.value = Math.min(Math.max(0, to), cards.value.length - 1)
}
/** Ticks the reading called out and goes on to the next on the line, or to the next line after its last. */
function marked() {
  if (!card.value || !task.value) return
  const { key } = task.value
  set(key, true)
  navigator.vibrate?.(30)
  called.value = null
  if (card.value.tasks.every(one => one.key === key || ticked.value.has(one.key))) go(at.value + 1)
}
function wholeLine() {
  if (!card.value) return
  if (isDone(card.value)) return go(at.value + 1)
  for (const one of card.value.tasks) if (!ticked.value.has(one.key)) set(one.key, true)
  navigator.vibrate?.(60)
  go(at.value + 1)
}
</script>

<template>
  <div class="glare fixed inset-0 flex flex-col">
    <p
      v-if="error"
      role="alert"
      class="p-6 text-xl font-semibold"
    >
      The marks can’t be read from the server. What was ticked is kept on this phone; come back when there is a signal.
    </p>
    <template v-else-if="sheet && card && task">
      <header class="flex items-center gap-2 border-b-4 border-black px-3 py-2">
        <NuxtLink
          :to="`/jobs/${jobId}/mark-out`"
          class="grid size-12 place-items-center text-3xl font-bold"
          aria-label="Back to the sheet"
        >✕</NuxtLink>
        <button
          type="button"
          class="min-w-0 flex-1 text-left"
          :aria-expanded="lists"
          @click="lists = !lists"
        >
          <span class="block truncate text-lg leading-tight font-bold">{{ card.step.title }}</span>
          <span class="block truncate text-[15px] leading-tight">{{ done }} of {{ cards.length }} done, all lines ▾ {{ card.faceName }}</span>
        </button>
        <button
          v-if="isSupported"
          type="button"
          class="grid size-12 shrink-0 place-items-center border-2 border-black"
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

      <p
        v-if="changed"
        role="alert"
        class="border-b-4 border-black bg-black px-4 py-2 text-lg font-bold text-[#fff7c4]"
      >
        Not the issued sheet: {{ changed }} {{ changed === 1 ? 'mark has' : 'marks have' }} changed since revision {{ revisionName(last!.revision) }}. Ask the office.
      </p>
      <p
        v-if="stops"
        role="alert"
        class="border-b-4 border-black bg-[#a3291c] px-4 py-2 text-lg leading-snug font-bold text-white"
      >
        {{ stops === 1 ? 'A stop is' : `${stops} stops are` }} open{{ last?.despite && !changed ? `. ${last.issuedBy} issued it all the same: ${last.despite.reason}` : ': nothing is to be fixed by this yet. Ask the office.' }}
      </p>
      <p
        v-if="!changed"
        class="px-4 pt-1 text-[15px] font-semibold"
      >
        {{ last ? `Revision ${revisionName(last.revision)}, ${last.issuedBy}` : 'Not issued yet' }}; {{ reached ? 'ticks have reached the office' : refused.length ? `${plural(refused.length, 'tick')} not taken by the office: ${refused[0]!.refused} Open the sheet to try again` : 'ticks kept on this phone' }}
      </p>

      <details
        v-if="rests.length"
        class="border-b-2 border-black/30 px-4 py-1 text-[15px] leading-snug"
      >
        <summary class="flex min-h-11 cursor-pointer items-center font-bold">
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
      <ol
        v-if="lists"
        class="flex-1 overflow-y-auto px-4 py-2"
      >
        <li
          v-for="(one, i) in cards"
          :key="`${one.faceId} ${one.step.id}`"
        >
          <button
            type="button"
            class="flex min-h-16 w-full items-center justify-between gap-3 border-b-2 border-black/30 text-left text-xl font-semibold"
            @click="go(i); lists = false"
          >
            <span class="leading-tight">{{ one.step.title }}<span
              v-if="faces > 1"
              class="block text-[15px] font-normal"
            >{{ one.faceName }}</span></span><span class="shrink-0">{{ isDone(one) ? '✓' : `${one.tasks.filter(task => ticked.has(task.key)).length}/${one.tasks.length}` }}</span>
          </button>
        </li>
      </ol>
      <SheetRoofLine
        v-else
        :card="card"
        :units="units"
        :ticked="ticked"
        :current="task"
        :tells="tells"
        :opening="opening"
        @call="called = $event"
        @tick="set"
      />

      <footer
        v-if="!lists"
        class="border-t-4 border-black p-3"
      >
        <p class="mb-2 truncate text-[15px]">
          Tape from the {{ datumName(sheet.job.faces.find(one => one.id === card!.faceId)!) }}
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
      v-else-if="sheet"
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
