<script setup lang="ts">
import { type ArrayRules, type ColumnRule, type Orientation, plainRow, type StackEnd } from '#core/job'
import { gapBelow, type RowPlan } from '#core/rows'
import { placeUp, readingAlong, readingUp } from '#core/roof'

const { job, face, facePlan, units, holds, select, commit } = useFace()
const array = computed(() => face.value.array)
const rows = computed(() => facePlan.value.rows.rows)
const set = (values: Partial<Omit<ArrayRules, 'rows'>>) => commit(arrayEdit(face.value.id, values))
const setRow = (row: number, values: Parameters<typeof rowEdit>[2]) => commit(rowEdit(face.value.id, row, values))
const { choicesOf, choosePart } = usePartChoices()
const moduleChoices = choicesOf('moduleId')
const orientationChoices: { label: string, value: Orientation }[] = [{ label: 'Upright', value: 'upright' }, { label: 'On their side', value: 'on-side' }]
const columnChoices: { label: string, value: ColumnRule }[] = [
  { label: 'On common columns', value: 'aligned' },
  { label: 'Each in the middle of its stretch', value: 'free' },
  { label: 'Half a module over in turn', value: 'brick' },
]
const stackChoices: { label: string, value: StackEnd }[] = [{ label: 'The lower line, eave up', value: 'eave' }, { label: 'The upper line, ridge down', value: 'ridge' }]
function takeWanted(text: string) {
  const wanted = parseWanted(text)
  return wanted.ok ? commit({ type: 'set-job', values: { wanted: wanted.value } }) : wanted
}
const asksRows = ref(false)
const rowsAsked = useOpened(asksRows)
/** A locked row keeps its modules where they are and its gap, so that neither a solve nor a wider strip changes it. */
const lock = (row: RowPlan) => setRow(row.index, row.locked
  ? { locked: false, held: [], count: null }
  : { locked: true, held: row.moduleLeftsMm, skip: [], count: row.count, gapBelowMm: keptGap(row) })
const keptGap = (row: RowPlan) => Math.max(0, gapBelow(facePlan.value.rows, row.index))
/** What pressing a place does: leave it empty, hold its module where it is, or part the row after it. */
const placeModes = [{ value: 'drop', label: 'Press to drop' }, { value: 'hold', label: 'Press to hold' }, { value: 'part', label: 'Press to part after' }] as const
const placeMode = shallowRef<typeof placeModes[number]>(placeModes[0])
const nextMode = () => placeMode.value = placeModes[(placeModes.indexOf(placeMode.value) + 1) % placeModes.length]!
const toggled = (places: number[], place: number) => places.includes(place) ? places.filter(one => one !== place) : [...places, place].sort((a, b) => a - b)
const isHeld = (row: RowPlan, leftMm: number) => ruleOf(row.index).held.some(mm => Math.abs(mm - leftMm) < 0.01)
/** The row's places from the left, dropped ones among them, with the left edge of those that have a module. */
function placesOf(row: RowPlan) {
  const { skip } = ruleOf(row.index)
  const lefts = [...row.moduleLeftsMm]
  return Array.from({ length: row.count + skip.filter(place => place <= row.fills).length }, (_, i) => {
    const dropped = skip.includes(i + 1)
    const leftMm = dropped ? null : lefts.shift() ?? null
    return { place: i + 1, dropped, leftMm, held: leftMm !== null && isHeld(row, leftMm) }
  })
}
function pressPlace(row: RowPlan, { place, leftMm, held }: ReturnType<typeof placesOf>[number]) {
  const rule = ruleOf(row.index)
  if (placeMode.value.value === 'part') return setRow(row.index, { breaks: toggled(rule.breaks, place) })
  // Places count from the left.
  if (placeMode.value.value === 'drop' || leftMm === null) return setRow(row.index, { skip: toggled(rule.skip, place) })
  return setRow(row.index, { held: held ? rule.held.filter(mm => Math.abs(mm - leftMm) >= 0.01) : [...rule.held, leftMm].sort((a, b) => a - b), gapBelowMm: keptGap(row) })
}
/** Puts the array in the middle of its slack. */
const equalMargins = () => facePlan.value.rows.slack && set({ shiftMm: facePlan.value.shiftMm + (facePlan.value.rows.slack.fromMm + facePlan.value.rows.slack.toMm) / 2 })
const rowOrientation: { label: string, value: Orientation | 'array' }[] = [{ label: 'As the array', value: 'array' }, ...orientationChoices]
const ruleOf = (row: number) => array.value.rows[row] ?? plainRow

/** The row's edge nearer the datum, as the tape reads it. */
const nearEdgeMm = (index: number) => {
  const row = rows.value[index]!
  return readingAlong(face.value, face.value.datum === 'left' ? row.leftMm : row.rightMm)
}
function moveRow(index: number, readingMm: number) {
  const change = readingMm - nearEdgeMm(index)
  return setRow(index, { shiftMm: ruleOf(index).shiftMm + (face.value.datum === 'left' ? change : -change) })
}
function raiseRow(index: number, mm: number) {
  return setRow(index, { gapBelowMm: gapBelow(facePlan.value.rows, index) + placeUp(face.value, mm) - rows.value[index]!.bottomMm })
}
/**
 * Coming to a row by keyboard selects it. By pointer the click does, once it is over: selecting on the press would open and
 * close rows under the pointer, and the click would be lost.
 */
function selectByKey(event: FocusEvent, index: number) {
  if ((event.target as HTMLElement).matches(':focus-visible')) select({ kind: 'row', index })
}
/** From the eave up as it is built; shown with the top row first, as it is seen. */
const shownRows = computed(() => [...rows.value].reverse())
</script>

<template>
  <InRoofSetOut v-if="face.inRoof" />
  <template v-else>
    <UButton
      color="neutral"
      block
      class="mb-3"
      label="Find the best rows…"
      @click="asksRows = true"
    />
    <LazyRowsDialog
      v-if="rowsAsked"
      v-model:open="asksRows"
    />
    <FieldTypedField
      label="Modules wanted"
      hint="on the whole roof; empty for as many as fit"
      :shown="job.wanted === null ? '' : String(job.wanted)"
      :commit="takeWanted"
    />
    <h2 class="slip-title mt-4">
      Parts
    </h2>
    <FieldChoiceField
      label="Module"
      :value="array.moduleId"
      :choices="moduleChoices"
      @choose="choosePart('moduleId', $event)"
    />
    <SlipAllFaces
      what="module"
      :array="['moduleId', 'railId', 'mountId', 'clampsId', 'supplyIds']"
    />
    <FieldChoiceField
      label="Modules lie"
      :value="array.orientation"
      :choices="orientationChoices"
      @choose="set({ orientation: $event })"
    />
    <FieldLengthField
      label="Gap between columns"
      :hint="array.columnGapMm === null ? 'by the mid clamp' : 'typed; empty for the clamp’s'"
      :mm="facePlan.rows.columnGapMm"
      :units="units"
      optional
      :commit="mm => set({ columnGapMm: mm })"
    />
    <FieldLengthField
      label="Gap between rows"
      :mm="array.rowGapMm"
      :units="units"
      :commit="mm => set({ rowGapMm: mm! })"
    />
    <FieldChoiceField
      label="Columns"
      :value="array.columns"
      :choices="columnChoices"
      @choose="set({ columns: $event })"
    />
    <FieldChoiceField
      label="Rows start from"
      :value="array.stackFrom"
      :choices="stackChoices"
      @choose="set({ stackFrom: $event })"
    />
    <div class="mt-5 flex items-center justify-between">
      <h2 class="slip-title mb-0">
        Rows
      </h2>
      <div class="flex items-center gap-1">
        <UButton
          size="xs"
          color="neutral"
          variant="outline"
          icon="i-lucide-minus"
          aria-label="One row fewer"
          :disabled="rows.length === 0"
          @click="set({ rowCount: rows.length - 1 })"
        />
        <span class="w-6 text-center font-semibold">{{ rows.length }}</span>
        <UButton
          size="xs"
          color="neutral"
          variant="outline"
          icon="i-lucide-plus"
          aria-label="One row more"
          @click="set({ rowCount: rows.length + 1 })"
        />
        <UButton
          v-if="array.rowCount !== null"
          size="xs"
          color="neutral"
          variant="ghost"
          label="Fill"
          @click="set({ rowCount: null })"
        />
      </div>
    </div>
    <section
      v-for="row in shownRows"
      :key="row.index"
      class="mt-1 border-l-4 py-1 pl-2"
      :class="holds({ kind: 'row', index: row.index }) ? 'border-chalk-500 bg-chalk-50' : row.fits ? 'border-graphite-200' : 'border-brick-500'"
      :aria-label="`Row ${row.index + 1}`"
      @focusin="selectByKey($event, row.index)"
      @click="select({ kind: 'row', index: row.index })"
    >
      <div class="flex items-center justify-between gap-2">
        <span class="font-semibold whitespace-nowrap">Row {{ row.index + 1 }}</span>
        <span class="mr-auto text-sm text-muted">{{ row.locked ? 'locked' : row.held ? `of ${row.fills}` : 'filled' }}</span>
        <div class="flex items-center gap-1">
          <UButton
            size="xs"
            color="neutral"
            variant="outline"
            icon="i-lucide-minus"
            :aria-label="`Drop a module from row ${row.index + 1}`"
            :disabled="row.count < 2"
            @click="setRow(row.index, { count: row.count - 1 })"
          />
          <span class="w-6 text-center font-semibold"><WorkingFigure
            :what="row.working.what"
            :about="{ kind: 'row', index: row.index }"
          >{{ row.count }}</WorkingFigure></span>
          <UButton
            size="xs"
            color="neutral"
            variant="outline"
            icon="i-lucide-plus"
            :aria-label="`Add a module to row ${row.index + 1}`"
            @click="setRow(row.index, { count: row.count + 1 })"
          />
          <UButton
            size="xs"
            color="neutral"
            variant="ghost"
            :label="row.held ? 'Fill' : 'Hold'"
            :aria-label="row.held ? `Let row ${row.index + 1} fill` : `Hold row ${row.index + 1} at ${row.count}`"
            @click="setRow(row.index, { count: row.held ? null : row.count })"
          />
        </div>
      </div>
      <template v-if="holds({ kind: 'row', index: row.index })">
        <FieldLengthField
          :label="`${face.datum === 'left' ? 'Left' : 'Right'} edge`"
          hint="reading along the eave"
          :mm="nearEdgeMm(row.index)"
          :units="units"
          :commit="mm => moveRow(row.index, mm!)"
        />
        <FieldLengthField
          label="Lower edge"
          hint="reading up the slope"
          :mm="readingUp(face, row.bottomMm)"
          :units="units"
          :commit="mm => raiseRow(row.index, mm!)"
        />
        <FieldChoiceField
          label="This row lies"
          :value="ruleOf(row.index).orientation ?? 'array'"
          :choices="rowOrientation"
          @choose="setRow(row.index, { orientation: $event === 'array' ? null : $event as Orientation })"
        />
        <div
          class="flex flex-wrap items-center gap-1 py-1.5"
          role="group"
          :aria-label="`Places of row ${row.index + 1}, from the left`"
        >
          <UButton
            size="xs"
            color="neutral"
            variant="outline"
            class="mr-1"
            :label="placeMode.label"
            title="What pressing a place does: leave it empty, hold its module where it is, or part the row after it by an expansion break"
            @click.stop="nextMode"
          />
          <button
            v-for="one in placesOf(row)"
            :key="one.place"
            type="button"
            class="min-w-6 border px-1 text-sm"
            :class="[ruleOf(row.index).breaks.includes(one.place) ? 'mr-2 border-r-4 border-r-crayon' : '', one.dropped ? 'border-dashed border-graphite-400 text-graphite-600 line-through' : one.held ? 'border-graphite-900 bg-graphite-900 font-semibold text-paper' : 'border-graphite-700 font-semibold']"
            :aria-pressed="!one.dropped"
            :aria-label="`Place ${one.place}${one.held ? ', held' : ''}${ruleOf(row.index).breaks.includes(one.place) ? ', expansion break after it' : ''}`"
            :disabled="row.locked"
            @click.stop="pressPlace(row, one)"
          >
            {{ one.place }}
          </button>
        </div>
        <UButton
          size="xs"
          color="neutral"
          :variant="row.locked ? 'solid' : 'outline'"
          :icon="row.locked ? 'i-lucide-lock' : 'i-lucide-lock-open'"
          :label="row.locked ? 'Locked' : 'Lock this row'"
          :aria-pressed="row.locked"
          @click.stop="lock(row)"
        />
      </template>
    </section>
    <dl
      v-if="facePlan.rows.slack"
      class="mt-3"
    >
      <SlipLine
        label="The array may move"
        working="Room to move the array"
      >
        <FieldLengthText
          :mm="-facePlan.rows.slack.fromMm"
          :units="units"
        /> left, <FieldLengthText
          :mm="facePlan.rows.slack.toMm"
          :units="units"
        /> right
      </SlipLine>
    </dl>
    <div
      v-if="facePlan.rows.slack"
      class="mt-2 flex flex-wrap gap-1"
    >
      <UButton
        size="xs"
        color="neutral"
        variant="outline"
        label="Equal margins"
        @click="equalMargins"
      />
      <UButton
        v-if="array.shiftMm !== null"
        size="xs"
        color="neutral"
        variant="outline"
        label="Stand by rule"
        title="Where the fewest fixings are, overhangs alike"
        @click="set({ shiftMm: null })"
      />
      <span class="self-center text-[13px] text-muted">{{ array.shiftMm === null ? 'stands by rule: fewest fixings of those tried, overhangs alike' : 'shifted by hand; or Balance, for even overhangs' }}</span>
    </div>
    <p
      v-if="!rows.length"
      class="mt-2 text-[15px]"
    >
      No rows yet. Press + to add one, or see the findings if none fits.
    </p>
  </template>
</template>
