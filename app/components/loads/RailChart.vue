<script setup lang="ts">
import { ticks } from 'd3-array'
import { axisBottom, axisLeft } from 'd3-axis'
import { scaleLinear } from 'd3-scale'
import { select } from 'd3-selection'
import { area, line } from 'd3-shape'
import { type BeamPiece, pieceAt } from '#core/beam'
import { jointsOn } from '#core/plan'
import { railCurves, settingOf } from '#core/strength'
import { force, formatQuantity, length, moment, N_PER_LBF, type Quantity } from '#core/units'
import { runTape } from '#core/rails'
import { placeOn, readingOn } from '#core/roof'

/** Moment, shear or sag all along one rail under one combination, with its limits; pointing at a place gives its values. */
const { railId } = defineProps<{ railId: string }>()
const { face, facePlan, units } = useFace()
const kinds = [{ value: 'moment', label: 'Moment' }, { value: 'shear', label: 'Shear' }, { value: 'sag', label: 'Sag' }] as const
type Kind = typeof kinds[number]['value']
const kind = ref<Kind>('moment')
const index = computed(() => facePlan.value.rails.findIndex(rail => rail.id === railId))
const rail = computed(() => facePlan.value.rails[index.value]!)
const strength = computed(() => facePlan.value.strength!)
const setting = computed(() => settingOf(strength.value, index.value, rail.value, facePlan.value.parts, face.value.array))
const use = computed(() => facePlan.value.uses[index.value])
const combinations = computed(() => kind.value === 'sag' ? strength.value.loads.combinations.service : strength.value.loads.combinations.strength)
/** The combination that is worst for what is drawn, until another is chosen. */
const worstName = computed(() => use.value?.shares[kind.value === 'moment' ? 'bending' : kind.value === 'shear' ? 'shear' : 'deflection']?.combination ?? combinations.value[0]!.name)
const chosen = ref<string | null>(null)
watch([kind, () => railId], () => chosen.value = null)
const combination = computed(() => combinations.value.find(one => one.name === (chosen.value ?? worstName.value)) ?? combinations.value[0]!)
const xs = computed(() => facePlan.value.fixings.rails[index.value]!.fixings.map(fixing => fixing.atMm))
const curves = computed(() => railCurves(setting.value, xs.value, jointsOn(facePlan.value, railId), combination.value))

const STEPS = 14
interface Sample { xMm: number, value: number }
const valueAt = (piece: BeamPiece, x: number) => pieceAt(piece, x, curves.value!.stiffness)[kind.value]
const samples = computed((): Sample[] => (curves.value?.pieces ?? []).flatMap(piece => Array.from({ length: STEPS + 1 }, (_, i) => {
  const x = (piece.toMm - piece.fromMm) * i / STEPS
  return { xMm: piece.fromMm + x, value: valueAt(piece, x) }
})))
/** The limit at a place, both ways. */
const limits = computed((): { fromMm: number, toMm: number, value: number }[] => {
  const { fromMm, toMm } = setting.value
  if (kind.value === 'moment') return [{ fromMm, toMm, value: strength.value.strength.momentX }]
  if (kind.value === 'shear') return [{ fromMm, toMm, value: strength.value.strength.shearN }]
  const over = face.value.array.deflectionOver
  return xs.value.slice(1).map((to, i) => ({ fromMm: xs.value[i]!, toMm: to, value: (to - xs.value[i]!) / over }))
})
const quantity = (value: number): Quantity => kind.value === 'moment' ? moment(value) : kind.value === 'shear' ? force(value) : length(value)
// A sag is far below any tape's division: it is written in tenths of a millimetre in either system.
const write = (value: number) => kind.value === 'sag' ? `${value.toFixed(1)} mm` : formatQuantity(quantity(value), units.value)

const box = useTemplateRef('box')
const { width } = useElementSize(box)
const HEIGHT = 168
const margin = { left: 74, right: 14, top: 10, bottom: 34 }
const x = computed(() => scaleLinear([setting.value.fromMm, setting.value.toMm], [margin.left, Math.max(margin.left + 10, width.value - margin.right)]))
const greatest = computed(() => Math.max(1e-9, ...samples.value.map(one => Math.abs(one.value))))
/** Limits very far beyond the curve would flatten it: then only their figure stands there. */
const MOST_ROOM = 5
const span = computed(() => Math.min(greatest.value * MOST_ROOM, Math.max(greatest.value, ...limits.value.map(one => one.value)) * 1.12))
// A sagging moment and a sag are drawn downwards, as the rail bends.
const y = computed(() => scaleLinear([-span.value, span.value], kind.value === 'shear' ? [HEIGHT - margin.bottom, margin.top] : [margin.top, HEIGHT - margin.bottom]))
const path = computed(() => line<Sample>(one => x.value(one.xMm), one => y.value(one.value))(samples.value) ?? '')
const fill = computed(() => area<Sample>(one => x.value(one.xMm), () => y.value(0), one => y.value(one.value))(samples.value) ?? '')
/** What the rail's own tape reads at a place along it, and the place that reads so. */
const readingOf = (mm: number) => readingOn(face.value, runTape(rail.value), mm)
const placeOf = (readingMm: number) => placeOn(face.value, runTape(rail.value), readingMm)
const axes = useTemplateRef('axes')
const axisX = useTemplateRef('axisX')
watchEffect(() => {
  // Round figures in the unit that is read, not in the one that is computed in.
  const unit = kind.value === 'sag' ? 1 : units.value === 'metric' ? (kind.value === 'moment' ? 1000 : 1) : kind.value === 'moment' ? N_PER_LBF * 304.8 : N_PER_LBF
  const round = ticks(-span.value / unit, span.value / unit, 5).map(value => value * unit)
  if (axes.value) select(axes.value).call(axisLeft(y.value).tickValues(round).tickFormat(value => kind.value === 'sag' ? `${Number(value).toFixed(1).replace('-', '−')} mm` : write(Number(value))))
  const step = (setting.value.toMm - setting.value.fromMm) > 4000 ? (units.value === 'imperial' ? 1219.2 : 1000) : (units.value === 'imperial' ? 609.6 : 500)
  const readings = Array.from({ length: 60 }, (_, i) => i * step)
  const places = readings.map(placeOf).filter(mm => mm >= setting.value.fromMm && mm <= setting.value.toMm)
  if (axisX.value) select(axisX.value).call(axisBottom(x.value).tickValues(places).tickFormat(value => formatQuantity(length(readingOf(Number(value))), units.value)))
})
const pointed = ref<number | null>(null)
function point(event: PointerEvent) {
  const rect = box.value!.getBoundingClientRect()
  const at = x.value.invert(event.clientX - rect.left)
  pointed.value = at >= setting.value.fromMm && at <= setting.value.toMm ? at : null
}
const there = computed(() => {
  const at = pointed.value
  const piece = at === null ? null : curves.value?.pieces.find(one => at >= one.fromMm && at <= one.toMm)
  return at === null || !piece ? null : { at, ...pieceAt(piece, at - piece.fromMm, curves.value!.stiffness) }
})
const summary = computed(() => `${kinds.find(one => one.value === kind.value)!.label} along rail ${rail.value.number} under ${combination.value.name}: at most ${write(greatest.value)}.`)
</script>

<template>
  <section
    class="border-t border-graphite-300 bg-sheet px-3 pt-1.5"
    :aria-label="`Chart along rail ${rail.number}`"
    data-testid="rail-chart"
  >
    <div class="flex flex-wrap items-center gap-x-3 gap-y-1">
      <h2 class="text-[15px] font-bold">
        Along rail {{ rail.number }}
      </h2>
      <div
        class="flex"
        role="group"
        aria-label="What is drawn"
      >
        <button
          v-for="one in kinds"
          :key="one.value"
          type="button"
          class="border-b-2 px-2 text-sm"
          :class="kind === one.value ? 'border-chalk-500 font-semibold' : 'border-transparent text-graphite-600'"
          :aria-pressed="kind === one.value"
          @click="kind = one.value"
        >
          {{ one.label }}
        </button>
      </div>
      <FieldChoiceList
        :value="combination.name"
        :choices="combinations.map(one => ({ label: one.name, value: one.name }))"
        size="xs"
        aria-label="Combination"
        class="w-60"
        @choose="chosen = $event"
      />
      <output
        class="ml-auto text-sm font-semibold whitespace-nowrap"
        data-testid="rail-values"
      >
        <template v-if="there">
          <FieldLengthText
            :mm="readingOf(there.at)"
            :units="units"
          />: {{ formatQuantity(moment(there.moment), units) }}, {{ formatQuantity(force(there.shear), units) }}, sag {{ there.sag.toFixed(1).replace('-', '−') }} mm
        </template>
        <template v-else>
          At most {{ write(greatest) }}
        </template>
      </output>
    </div>
    <div
      ref="box"
      class="relative h-[168px]"
      @pointermove="point"
      @pointerleave="pointed = null"
    >
      <svg
        v-if="width > 0 && curves"
        :width="width"
        :height="HEIGHT"
        class="absolute inset-0"
        role="img"
        :aria-label="summary"
      >
        <path
          :d="fill"
          fill="var(--color-chalk-500)"
          fill-opacity="0.16"
        />
        <path
          :d="path"
          fill="none"
          stroke="var(--color-chalk-500)"
          stroke-width="2.2"
        />
        <line
          :x1="margin.left"
          :x2="width - margin.right"
          :y1="y(0)"
          :y2="y(0)"
          stroke="var(--color-graphite-900)"
        />
        <template
          v-for="limit in limits"
          :key="limit.fromMm"
        >
          <template
            v-for="sign in [-1, 1]"
            :key="sign"
          >
            <line
              v-if="limit.value <= span"
              :x1="x(limit.fromMm)"
              :x2="x(limit.toMm)"
              :y1="y(sign * limit.value)"
              :y2="y(sign * limit.value)"
              stroke="var(--color-brick-500)"
              stroke-width="1.6"
              stroke-dasharray="6 3"
            />
          </template>
        </template>
        <text
          :x="width - margin.right - 4"
          :y="Math.max(margin.top + 11, limits[0]!.value <= span ? Math.min(y(limits[0]!.value), y(-limits[0]!.value)) + 15 : 0)"
          text-anchor="end"
          font-size="13"
          font-weight="600"
          fill="var(--color-brick-600)"
          stroke="var(--color-sheet)"
          stroke-width="3"
          paint-order="stroke"
        >{{ kind === 'sag' ? `limit: span / ${face.array.deflectionOver}` : `limit ${write(limits[0]!.value)}` }}{{ limits.every(one => one.value > span) ? ', far off the chart' : '' }}</text>
        <path
          v-for="xMm in xs"
          :key="xMm"
          :transform="`translate(${x(xMm)} ${y(0)})`"
          d="M0 0 L-6 10 L6 10 Z"
          fill="var(--color-crayon)"
        />
        <g
          ref="axes"
          class="axis"
          :transform="`translate(${margin.left} 0)`"
        />
        <g
          ref="axisX"
          class="axis"
          :transform="`translate(0 ${HEIGHT - margin.bottom + 4})`"
        />
        <line
          v-if="there"
          :x1="x(there.at)"
          :x2="x(there.at)"
          :y1="margin.top"
          :y2="HEIGHT - margin.bottom"
          stroke="var(--color-crayon)"
          stroke-dasharray="2 3"
        />
      </svg>
    </div>
  </section>
</template>
