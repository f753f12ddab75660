<script setup lang="ts">
import { type Arrival, arrivals, type ArrivalThing, arrivalThings, type InRoofFacts, type OtherTrade, otherTrades, tradeTaskSchema } from '#core/job'
import { arrivalNames, gaugesRead, thingNames, tradeNames } from '#core/inroof'
import { done, type Outcome, refused } from '#core/outcome'
import { placeUp, readingUp } from '#core/roof'
import { formatLength, parseLength } from '#core/units'

/** What was found on arrival: what other trades left, battens as they read, and what they are asked for by when. */
const { face, units, commit } = useFace()
const me = useMe()
const readsOnly = useReadsOnly()
const facts = computed(() => face.value.inRoof!)
const set = (values: Partial<Omit<InRoofFacts, 'tasks'>>) => commit(inRoofEdit(face.value.id, values))
const seen = arrivals.map(value => ({ value, label: arrivalNames[value] }))
const say = (thing: ArrivalThing, state: Arrival) => set({ found: { ...facts.value.found, [thing]: state }, foundBy: me.me?.personName ?? '', foundOn: today() })
function takeCourses(text: string): Outcome<unknown> {
  if (!text.trim()) return facts.value.coursesLaid === null ? done(true) : set({ coursesLaid: null })
  const n = Number(text.trim())
  return Number.isInteger(n) && n >= 0 && n <= 200 ? set({ coursesLaid: n }) : refused('Type how many courses lie, 0 to 200.')
}
const read = computed(() => [...facts.value.battensRead].sort((a, b) => a.batten - b.batten))
const gauges = computed(() => gaugesRead(facts.value.battensRead))
const [number, reading] = [ref(''), ref('')]
const problem = ref('')
function addReading() {
  const batten = Number(number.value.trim())
  if (!Number.isInteger(batten) || batten < 1) return problem.value = 'Type the batten’s number from the eave, the lowest being 1.'
  const mm = parseLength(reading.value, units.value)
  if (!mm.ok) return problem.value = mm.problem
  const outcome = set({ battensRead: [...facts.value.battensRead.filter(one => one.batten !== batten), { batten, mm: placeUp(face.value, mm.value) }].sort((a, b) => a.batten - b.batten) })
  problem.value = outcome.ok ? '' : outcome.problem
  if (outcome.ok) [number.value, reading.value] = ['', '']
}
const [trade, what, due] = [ref<OtherTrade>('roofer'), ref(''), ref('')]
const trades = otherTrades.map(value => ({ value, label: tradeNames[value] }))
const taskProblem = ref('')
function addTask() {
  const task = tradeTaskSchema.safeParse({ id: `t${crypto.randomUUID().slice(0, 8)}`, trade: trade.value, what: what.value, due: due.value || null, done: false })
  if (!task.success) return taskProblem.value = task.error.issues[0]!.message
  const outcome = commit({ type: 'put-task', faceId: face.value.id, task: task.data })
  taskProblem.value = outcome.ok ? '' : outcome.problem
  if (outcome.ok) [what.value, due.value] = ['', '']
}
</script>

<template>
  <section>
    <FieldChoiceField
      v-for="thing in arrivalThings"
      :key="thing"
      :label="thingNames[thing]"
      :value="facts.found[thing]"
      :choices="seen"
      @choose="say(thing, $event)"
    />
    <p
      v-if="facts.foundOn"
      class="text-sm text-muted"
    >
      {{ [facts.foundBy, facts.foundOn].filter(Boolean).join(', ') }}
    </p>
    <FieldTypedField
      label="Courses laid below"
      hint="two at least before the array begins"
      :shown="facts.coursesLaid === null ? '' : String(facts.coursesLaid)"
      :commit="takeCourses"
    />
  </section>
  <section class="mt-4">
    <h2 class="slip-title">
      Battens, upper edges
    </h2>
    <ul>
      <li
        v-for="(one, i) in read"
        :key="one.batten"
        class="flex items-center justify-between gap-2 border-b border-dotted border-graphite-300 py-1 text-[15px]"
      >
        <span>Batten {{ one.batten }}</span>
        <span class="text-right"><FieldLengthText
          :mm="readingUp(face, one.mm)"
          :units="units"
        /><span
          v-if="i"
          class="block text-sm text-muted"
        >gauge {{ formatLength(gauges[i - 1]!.gaugeMm, units) }}</span></span>
        <UButton
          size="xs"
          color="neutral"
          variant="ghost"
          icon="i-lucide-x"
          :disabled="readsOnly"
          :aria-label="`Take out batten ${one.batten}`"
          @click="set({ battensRead: facts.battensRead.filter(other => other.batten !== one.batten) })"
        />
      </li>
    </ul>
    <form
      class="my-2 grid grid-cols-[4.5rem_1fr_auto] items-end gap-2"
      @submit.prevent="addReading"
    >
      <FieldPlainInput
        v-model="number"
        label="Batten"
        numeric
      />
      <FieldPlainInput
        v-model="reading"
        label="reads from the datum"
      />
      <UButton
        type="submit"
        color="neutral"
        label="Log"
        :disabled="readsOnly"
      />
    </form>
    <p
      v-if="problem"
      role="alert"
      class="border-l-4 border-brick-500 pl-3 text-[15px]"
    >
      {{ problem }}
    </p>
  </section>
  <section class="mt-4">
    <h2 class="slip-title">
      Other trades
    </h2>
    <ul>
      <li
        v-for="task in facts.tasks"
        :key="task.id"
        class="flex items-start justify-between gap-2 border-b border-dotted border-graphite-300 py-1.5 text-[15px] leading-snug"
      >
        <UCheckbox
          :model-value="task.done"
          :disabled="readsOnly"
          :label="task.what"
          :ui="{ label: task.done ? 'line-through text-muted' : '' }"
          @update:model-value="commit({ type: 'put-task', faceId: face.id, task: { ...task, done: $event === true } })"
        >
          <template #description>
            <span class="text-sm text-muted">{{ tradeNames[task.trade] }}</span>
            <input
              type="date"
              class="ml-2 border-b border-graphite-300 bg-transparent text-sm"
              :value="task.due ?? ''"
              :disabled="readsOnly"
              :aria-label="`Day by which: ${task.what}`"
              @change="commit({ type: 'put-task', faceId: face.id, task: { ...task, due: ($event.target as HTMLInputElement).value || null } })"
            >
          </template>
        </UCheckbox>
        <UButton
          size="xs"
          color="neutral"
          variant="ghost"
          icon="i-lucide-x"
          :disabled="readsOnly"
          :aria-label="`Take out: ${task.what}`"
          @click="commit({ type: 'drop-task', faceId: face.id, taskId: task.id })"
        />
      </li>
    </ul>
    <form
      class="my-2 grid gap-2"
      @submit.prevent="addTask"
    >
      <FieldChoiceList
        :value="trade"
        :choices="trades"
        aria-label="Which trade"
        @choose="trade = $event"
      />
      <FieldPlainInput
        v-model="what"
        label="What has to be done"
      />
      <div class="grid grid-cols-[1fr_auto] items-end gap-2">
        <FieldPlainInput
          v-model="due"
          label="by"
          type="date"
        />
        <UButton
          type="submit"
          color="neutral"
          label="Ask for it"
          :disabled="readsOnly"
        />
      </div>
    </form>
    <p
      v-if="taskProblem"
      role="alert"
      class="border-l-4 border-brick-500 pl-3 text-[15px]"
    >
      {{ taskProblem }}
    </p>
  </section>
</template>
