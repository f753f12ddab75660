<script setup lang="ts">
import type { Outline } from '#core/job'
import { cornerLetter, diagonalPairs, squareness, tapedLengths } from '#core/roof'
import { formatLength } from '#core/units'

/** A face by taped lengths: its sides, whatever diagonals were taped, and what they say of each other. */
type Taped = Extract<Outline, { kind: 'taped' }>
const { outline } = defineProps<{ outline: Taped }>()
const { face, facePlan, units, commit } = useFace()
const set = (values: Partial<Taped>) => commit(faceEdit(face.value.id, { outline: { ...outline, ...values } }))

const between = (from: number, to: number) => `${cornerLetter(from)} to ${cornerLetter(to)}`
const adjusted = computed(() => facePlan.value.shape.adjusted)
/** What the other lengths say of this one, by its place in the list of all taped lengths. */
function check(i: number): string {
  if (adjusted.value?.kind !== 'adjusted') return ''
  const { residualMm, detectableMm } = adjusted.value.adjustment.checks[i]!
  return detectableMm === null
    ? 'nothing checks it'
    : `fits to ${formatLength(Math.abs(residualMm), units.value)}; an error over ${formatLength(detectableMm, units.value)} would show`
}
const isSuspect = (i: number) => adjusted.value?.kind === 'adjusted' && adjusted.value.adjustment.suspects.includes(i)

const setSide = (i: number, change: Partial<Taped['sides'][number]>) => set({ sides: outline.sides.map((side, k) => k === i ? { ...side, ...change } : side) })
/** A first reading of each diagonal has a field of its own; further readings are kept in a list below. */
const firsts = computed(() => diagonalPairs(outline.sides.length).map(([from, to]) => ({ from, to, at: outline.diagonals.findIndex(one => one.from === from && one.to === to) })))
const others = computed(() => outline.diagonals.flatMap((one, at) => firsts.value.some(first => first.at === at) ? [] : [{ ...one, at }]))
function setDiagonal(from: number, to: number, at: number, mm: number | null) {
  if (mm === null) return set({ diagonals: outline.diagonals.filter((_, k) => k !== at) })
  return set({ diagonals: at < 0 ? [...outline.diagonals, { from, to, mm }] : outline.diagonals.map((one, k) => k === at ? { ...one, mm } : one) })
}
const again = ref('')
const pairs = computed(() => [...outline.sides.map((_, i) => [i, (i + 1) % outline.sides.length] as const), ...diagonalPairs(outline.sides.length)]
  .map(([from, to]) => ({ label: between(from, to), value: `${from}-${to}` })))
function tapeAgain(mm: number | null) {
  const [from, to] = again.value.split('-').map(Number)
  return mm === null || from === undefined || to === undefined ? { ok: true as const, value: true } : set({ diagonals: [...outline.diagonals, { from, to, mm }] })
}
const square = computed(() => squareness(outline))
const lengthsTaped = computed(() => tapedLengths(outline).length)
</script>

<template>
  <p class="mt-2 text-sm text-muted">
    Corners are lettered on the drawing, A and B on the eave. Sides and diagonals are taped along the slope.
  </p>
  <div
    v-for="(side, i) in outline.sides"
    :key="i"
    :class="isSuspect(i) ? 'border-l-4 border-amber-500 pl-2' : ''"
  >
    <FieldLengthField
      :label="between(i, (i + 1) % outline.sides.length)"
      :hint="check(i)"
      :mm="side.mm"
      :units="units"
      :commit="mm => setSide(i, { mm: mm! })"
    />
    <div class="flex items-center justify-between pt-1 text-sm text-muted">
      <span>is {{ side.edge === 'eave' ? 'an' : 'a' }}</span>
      <SurveyEdgeChoice
        :label="`Side ${between(i, (i + 1) % outline.sides.length)} is`"
        :value="side.edge"
        @choose="setSide(i, { edge: $event })"
      />
    </div>
  </div>
  <template v-if="firsts.length">
    <h2 class="slip-title mt-4">
      Diagonals
    </h2>
    <div
      v-for="first in firsts"
      :key="`${first.from}-${first.to}`"
      :class="first.at >= 0 && isSuspect(outline.sides.length + first.at) ? 'border-l-4 border-amber-500 pl-2' : ''"
    >
      <FieldLengthField
        :label="between(first.from, first.to)"
        :hint="first.at < 0 ? 'not taped' : check(outline.sides.length + first.at)"
        :mm="first.at < 0 ? null : outline.diagonals[first.at]!.mm"
        :units="units"
        optional
        :commit="mm => setDiagonal(first.from, first.to, first.at, mm)"
      />
    </div>
  </template>
  <h2 class="slip-title mt-4">
    Taped again
  </h2>
  <FieldLengthField
    v-for="one in others"
    :key="one.at"
    :label="between(one.from, one.to)"
    :hint="check(outline.sides.length + one.at) || 'empty to forget it'"
    :mm="one.mm"
    :units="units"
    optional
    :commit="mm => setDiagonal(one.from, one.to, one.at, mm)"
  />
  <div class="flex items-end gap-2 py-1">
    <FieldChoiceList
      :value="again"
      :choices="pairs"
      size="sm"
      class="w-28"
      placeholder="Which"
      aria-label="Which length was taped again"
      @choose="again = $event"
    />
    <FieldLengthField
      v-if="again"
      :key="`${again} ${outline.diagonals.length}`"
      class="flex-1"
      label="reads"
      :mm="null"
      :units="units"
      optional
      :commit="tapeAgain"
    />
  </div>
  <dl>
    <SlipLine
      label="Lengths taped"
      working="Lengths taped"
    >
      {{ lengthsTaped }}, {{ 2 * outline.sides.length - 3 }} needed
    </SlipLine>
    <SlipLine
      v-if="adjusted?.kind === 'adjusted' && adjusted.adjustment.redundancy > 0"
      label="Misclosure"
      working="Misclosure"
    >
      <FieldLengthText
        :mm="adjusted.adjustment.misclosureMm"
        :units="units"
      />
    </SlipLine>
    <SlipLine
      label="Angle at A, at B"
      working="Angle at A"
    >
      {{ square.leftDeg.toFixed(1) }}°, {{ square.rightDeg.toFixed(1) }}°
    </SlipLine>
    <SlipLine
      label="Left edge leans right"
      working="Lean of the left edge"
    >
      <FieldLengthText
        :mm="square.leanMm"
        :units="units"
      />
    </SlipLine>
  </dl>
  <FieldLengthField
    label="Tape good to"
    hint="one standard deviation"
    :mm="outline.tapeSdMm"
    :units="units"
    :commit="mm => set({ tapeSdMm: mm! })"
  />
</template>
