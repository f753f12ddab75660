<script setup lang="ts">
import type { OpeningCard, SectionDrawing } from '#core/openings'
import { endReadings, gaugeWords, type LineCard, type MarkTask } from '#core/sheets/markout'
import type { Drilled } from '#core/rooflog'
import type { UnitSystem } from '#core/units'

/** One line on the phone: the reading that is called out large, all of the line's readings below it, each to be ticked by itself. */
const { card, units, ticked, current, tells, opening = null, drill = null, drilled = new Map<string, Drilled['state']>() } = defineProps<{ card: LineCard, units: UnitSystem, ticked: ReadonlySet<string>, current: MarkTask, tells: boolean, /** How the fixing that is called out goes through the covering. */ opening?: { section: SectionDrawing, card: OpeningCard } | null, /** What is known of the hole of the fixing that is called out; null where it is none. */ drill?: Drilled['state'] | 'none' | null, /** What is drilled already, by task. */ drilled?: ReadonlyMap<string, Drilled['state']> }>()
const asksCard = ref(false)
watch(() => card.step.id, () => asksCard.value = false)
const emit = defineEmits<{ call: [key: string], tick: [key: string, done: boolean], drill: [] }>()
const stateWords: Record<Drilled['state'], string> = { used: 'drilled ✓', abandoned: 'missed ✕', disputed: 'two differ !' }
const drillWords: Record<Drilled['state'] | 'none', string> = { none: 'Drill: hit or miss ▸', used: '✓ Drilled: its steps ▸', abandoned: '✕ Missed here ▸', disputed: '! Two people differ ▸' }
const labelOf = (task: MarkTask) => task.kind === 'check' ? task.check.label : task.kind === 'closing' ? `Closes at: ${task.mark.label}` : task.mark.label
const noteOf = (task: MarkTask) => task.kind === 'check' ? task.check.note : task.kind === 'closing' ? '' : task.mark.note
const where = computed(() => card.step.marks.length ? `${card.step.tape === 'along' ? 'Along the eave' : 'Up the slope'}${card.step.lineMm ? ', line at' : ''}` : '')
/** Figures as large as the screen takes them. */
const size = computed(() => units === 'imperial' ? 'text-[3.4rem]' : 'text-[4.2rem]')
const list = useTemplateRef('list')
watch(() => current.key, () => nextTick(() => list.value?.querySelector('[data-called=true]')?.scrollIntoView({ block: 'nearest' })))
</script>

<template>
  <main class="flex min-h-0 flex-1 flex-col">
    <section
      class="border-b-4 border-black px-4 py-2"
      aria-label="Called out"
    >
      <p class="flex flex-wrap items-baseline gap-x-2 text-lg font-semibold">
        {{ where }} <FieldLengthText
          v-if="card.step.lineMm && where"
          :mm="card.step.lineMm"
          :units="units"
        />
      </p>
      <h1 class="text-2xl leading-tight font-bold">
        {{ labelOf(current) }}
      </h1>
      <p
        class="leading-none font-extrabold whitespace-nowrap"
        :class="size"
        data-reading
      >
        <SheetTaskReading
          :task="current"
          :units="units"
        />
      </p>
      <template v-if="current.kind !== 'check'">
        <p
          v-if="current.mark.upMm !== null"
          class="mt-1 text-2xl font-bold"
        >
          up <FieldLengthText
            :mm="current.mark.upMm"
            :units="units"
          />
        </p>
        <p
          v-for="end in endReadings(current.mark)"
          :key="end.where"
          class="mt-1 text-xl font-bold"
        >
          {{ end.where }} <FieldLengthText
            :mm="end.mm"
            :units="units"
          />
        </p>
      </template>
      <p
        v-if="noteOf(current)"
        class="mt-1 text-xl leading-tight font-semibold"
      >
        {{ noteOf(current) }}
      </p>
    </section>
    <button
      v-if="drill"
      type="button"
      class="min-h-16 bg-black px-4 text-left text-2xl font-bold text-[#fff7c4]"
      @click="emit('drill')"
    >
      {{ drillWords[drill] }}
    </button>
    <button
      v-if="opening"
      type="button"
      class="min-h-15 border-b-4 border-black px-4 text-left text-xl font-bold"
      :aria-expanded="asksCard"
      @click="asksCard = !asksCard"
    >
      {{ asksCard ? '▴ Back to the readings' : '▾ Section and steps' }}
    </button>
    <div
      v-if="opening && asksCard"
      class="min-h-0 flex-1 overflow-y-auto"
    >
      <CoveringSectionFigure
        class="h-96 border-b-2 border-black"
        :drawing="opening.section"
      />
      <p class="px-4 pt-2 text-lg font-bold">
        {{ opening.card.where }}
      </p>
      <ol class="px-4 pb-3">
        <li
          v-for="(step, i) in opening.card.steps"
          :key="step.id"
          class="flex gap-3 border-b-2 border-black/30 py-2 text-lg leading-snug font-semibold"
        >
          <b aria-hidden="true">{{ i + 1 }}</b>{{ step.words }}
        </li>
        <li
          v-for="caution in opening.card.cautions"
          :key="caution"
          class="mt-2 border-l-8 border-[#a3291c] pl-3 text-lg leading-snug font-bold"
        >
          {{ caution }}
        </li>
      </ol>
    </div>
    <div
      v-else
      ref="list"
      class="min-h-0 flex-1 overflow-y-auto"
    >
      <p
        v-if="tells"
        class="px-4 pt-2 text-lg leading-snug"
      >
        {{ card.step.instruction }}
      </p>
      <p
        v-if="card.step.gauge"
        class="px-4 pt-1 text-lg leading-snug font-semibold"
      >
        {{ gaugeWords(card.step.gauge, units) }}
      </p>
      <ol class="px-2 pb-2">
        <li
          v-for="task in card.tasks"
          :key="task.key"
          class="flex items-stretch border-b-2 border-black/30"
          :class="task.key === current.key ? 'bg-black/10' : ''"
          :data-called="task.key === current.key"
        >
          <button
            type="button"
            class="grid w-16 shrink-0 place-items-center"
            :aria-pressed="ticked.has(task.key)"
            :aria-label="`${labelOf(task)}: ${ticked.has(task.key) ? 'done' : 'tick'}`"
            @click="emit('tick', task.key, !ticked.has(task.key))"
          >
            <span class="grid size-9 place-items-center border-4 border-black text-2xl leading-none font-extrabold">{{ ticked.has(task.key) ? '✓' : '' }}</span>
          </button>
          <button
            type="button"
            class="flex min-h-16 min-w-0 flex-1 items-center justify-between gap-2 py-1 pr-2 text-left"
            @click="emit('call', task.key)"
          >
            <span class="min-w-0 text-lg leading-tight font-semibold">{{ labelOf(task) }}<template v-if="drilled.has(task.key)">, {{ stateWords[drilled.get(task.key)!] }}</template><span
              v-if="task.kind === 'mark' && task.mark.note"
              class="block text-[15px] leading-tight font-normal"
            >{{ task.mark.note }}</span></span>
            <span class="shrink-0 text-[1.7rem] leading-none font-extrabold whitespace-nowrap">
              <SheetTaskReading
                :task="task"
                :units="units"
              />
            </span>
          </button>
        </li>
      </ol>
    </div>
  </main>
</template>
