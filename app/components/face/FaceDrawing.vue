<script setup lang="ts">
import { useLayers } from '../../composables/useLayers'
import { tapeReadings } from '#core/hand'
import { cornerLetter, placeAlong, readingAlong, readingUp } from '#core/roof'
import type { Face, Job } from '#core/job'
import type { FacePlan } from '#core/plan'
import { layers } from '#core/sheets/figure'
import { chanceAt } from '#core/supports'
import { faceRef, type Ref as FaceRef } from '#core/trade'
import { formatShare } from '#core/units'

/** One face, square-on and to scale, with its two tapes. */
const { job, face, plan, selection, showsHits = false, showsUse = false, still = false } = defineProps<{
  job: Job
  face: Face
  plan: FacePlan
  selection: FaceRef
  showsHits?: boolean
  showsUse?: boolean
  /** Part of a sheet: neither enlarged nor moved. */
  still?: boolean
}>()
const emit = defineEmits<{ select: [what: FaceRef], nudge: [event: KeyboardEvent], kind: [by: 1 | -1] }>()

const box = useTemplateRef('box')
const { width, height } = useElementSize(box)
const { shows } = useLayers()
const TAPE = 24
/** A phone has no room beside the tape for more than its tags. */
const margins = computed(() => {
  const [tape, other] = width.value < 500 ? [112, 14] : [128, 44]
  return { left: face.datum === 'left' ? tape : other, right: face.datum === 'left' ? other : tape, top: 30, bottom: 118 }
})
const svg = useTemplateRef('svg')
const { view, larger, smaller, fit, key } = useFaceZoom(svg as Ref<SVGSVGElement | null>, width, height, () => !still)
watch(() => face.id, fit)
const scale = computed(() => viewed(faceScale(plan.shape, width.value, height.value, margins.value), view.value))
/** Between the tapes: what is enlarged past them is cut there, and they stay in sight. */
const frame = computed(() => windowOf(width.value, height.value, margins.value))
const enlarged = computed(() => view.value.k > 1)
const clip = useId()
const tapeTop = computed(() => (enlarged.value ? Math.min(scale.value.bottom, frame.value.bottom) : scale.value.bottom) + 10)
const readings = computed(() => tapeReadings({ job, face, plan }, selection))
const upAt = computed(() => {
  if (face.datum === 'left') return (enlarged.value ? Math.max(scale.value.left, frame.value.left) : scale.value.left) - TAPE - 8
  return (enlarged.value ? Math.min(scale.value.right, frame.value.right) : scale.value.right) + 8
})
const ready = computed(() => width.value > 0 && height.value > 0)

function press(event: KeyboardEvent) {
  if (key(event)) return
  if (event.key === 'PageUp' || event.key === 'PageDown') {
    event.preventDefault()
    return emit('kind', event.key === 'PageUp' ? 1 : -1)
  }
  emit('nudge', event)
}

const pointer = ref<{ xMm: number, yMm: number } | null>(null)
function point(event: PointerEvent) {
  const rect = box.value!.getBoundingClientRect()
  const xMm = scale.value.xMm(event.clientX - rect.left)
  const yMm = scale.value.yMm(event.clientY - rect.top)
  const { along, up } = plan.shape
  const inside = xMm >= along.fromMm && yMm >= up.fromMm && xMm <= along.toMm && yMm <= up.toMm
  pointer.value = inside ? { xMm, yMm } : null
}

/** The chance that all of a mount's screws find sound timber where the pointer is; null where the supports are not rafters. */
const chance = computed(() => {
  const { fasteners } = plan.parts.mount
  const at = pointer.value
  if (!showsHits || !at || !fasteners || !plan.supports.rafters.length) return null
  return chanceAt(plan.supports.rafters, fasteners, at.xMm, at.yMm)
})

/** Of drawings that lie over each other, as of winds from several sides, the one that is looked at. */
const variant = ref(0)
const shownLayers = computed(() => layers.filter(layer => (showsHits || !layer.whileProbing) && (!layer.toggle || shows.value[layer.toggle.key])).map(layer => ({ ...layer, drawn: layer.shapes({ job, face, plan }) })))
const variants = computed(() => [...new Set(shownLayers.value.flatMap(layer => layer.drawn.flatMap(one => one.variant ?? [])))])
const lookedAt = computed(() => variants.value[variant.value % (variants.value.length || 1)])
const drawn = computed(() => shownLayers.value.map(layer => ({ ...layer, drawn: layer.drawn.filter(one => one.variant === undefined || one.variant === lookedAt.value) })))
/** What is written along the held rail, which numbers of modules give way to. */
const labels = computed(() => railLabels(plan, scale.value, selection, job.units, showsUse))
const avoid = computed(() => labelBoxes(labels.value))
const hatch = useId()
const path = (rings: {
  x: number
  y: number
}[][]) => rings.map(ring => `M${ring.map(({ x, y }) => `${scale.value.x(x).toFixed(2)} ${scale.value.y(y).toFixed(2)}`).join('L')}Z`).join('')
/** Names of the edges other than eave and plain rakes, written outside along them. */
const edgeLabels = computed(() => plan.shape.edges.flatMap((edge, i) => {
  if (edge.kind === 'eave' || (edge.kind === 'rake' && Math.abs(edge.to.x - edge.from.x) < 1)) return []
  const from = { x: scale.value.x(edge.from.x), y: scale.value.y(edge.from.y) }
  const to = { x: scale.value.x(edge.to.x), y: scale.value.y(edge.to.y) }
  const length = Math.hypot(to.x - from.x, to.y - from.y)
  if (length < 40) return []
  // Outward is to the right of the way the edge runs; the text reads from left to right.
  const out = { x: -(to.y - from.y) / length, y: (to.x - from.x) / length }
  let angle = Math.atan2(to.y - from.y, to.x - from.x) * 180 / Math.PI
  if (angle > 90 || angle < -90) angle += 180
  const below = out.y > 0.2
  return [{
    key: i,
    name: edge.kind[0]!.toUpperCase() + edge.kind.slice(1),
    transform: `translate(${(from.x + to.x) / 2 + out.x * (below ? 18 : 9)} ${(from.y + to.y) / 2 + out.y * (below ? 18 : 9)}) rotate(${angle})`,
  }]
}))
const summary = computed(() => `${face.name} to scale, ridge up: ${plan.modules} modules in ${plan.rows.rows.length} rows, ${plan.rails.length} rails, ${plan.fixings.total} fixings.`)
</script>

<template>
  <div
    ref="box"
    class="drawing-on-paper relative h-full w-full select-none"
    tabindex="0"
    role="application"
    :aria-label="`Drawing of ${face.name}. Arrow keys nudge what is selected; Page up and down take hold of another kind of thing, [ and ] of the next one.`"
    @pointermove="point"
    @pointerleave="pointer = null"
    @keydown="press"
  >
    <svg
      v-if="ready"
      ref="svg"
      :width="width"
      :height="height"
      :viewBox="`0 0 ${width} ${height}`"
      class="absolute inset-0"
      :class="still ? '' : enlarged ? 'cursor-grab touch-none' : 'touch-pan-y'"
      role="img"
      :aria-label="summary"
      @click.self="emit('select', faceRef)"
    >
      <defs>
        <pattern
          :id="hatch"
          width="9"
          height="9"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect
            width="9"
            height="9"
            fill="var(--color-hatch-ground)"
            fill-opacity="0.72"
          />
          <line
            x1="0"
            x2="0"
            y1="0"
            y2="9"
            stroke="var(--color-hatch)"
            stroke-width="1.6"
          />
        </pattern>
        <clipPath :id="clip">
          <rect
            :x="frame.left - 1"
            :y="frame.top"
            :width="Math.max(0, frame.right - frame.left + 2)"
            :height="Math.max(0, frame.bottom - frame.top + 2)"
          />
        </clipPath>
      </defs>
      <g :clip-path="enlarged ? `url(#${clip})` : undefined">

        <path
          :d="path(plan.shape.region)"
          fill="var(--color-face)"
          @click="emit('select', faceRef)"
        />
        <FaceLayer
          v-for="one in drawn"
          :key="one.id"
          :layer-style="one.style"
          :shapes="one.drawn"
          :scale="scale"
          :held="selection"
          :hatch="hatch"
          :avoid="avoid"
          @select="emit('select', $event)"
        />
        <g
          v-if="selection.kind === 'face' && face.outline.kind !== 'rectangle'"
          class="pointer-events-none"
        >
          <g
            v-for="(corner, i) in plan.shape.region[0]"
            :key="i"
          >
            <circle
              :cx="scale.x(corner.x)"
              :cy="scale.y(corner.y)"
              r="10"
              fill="var(--color-graphite-900)"
            />
            <text
              :x="scale.x(corner.x)"
              :y="scale.y(corner.y) + 4.5"
              text-anchor="middle"
              font-size="13"
              font-weight="700"
              fill="var(--color-sheet)"
            >{{ cornerLetter(i) }}</text>
          </g>
        </g>
        <text
          v-for="edge in edgeLabels"
          :key="edge.key"
          :transform="edge.transform"
          text-anchor="middle"
          font-size="14"
          font-weight="600"
          fill="var(--color-graphite-600)"
          class="pointer-events-none"
        >{{ edge.name }}</text>

        <FaceUse
          v-if="showsUse"
          :plan="plan"
          :scale="scale"
          :labels="labels"
        />
        <FaceHits
          v-if="showsHits && face.supports.kind === 'rafters'"
          :supports="face.supports"
          :fit="plan.supports.fit"
          :scale="scale"
        />

        <FaceDimensions
          :labels="labels"
          :units="job.units"
        />

        <g
          v-if="pointer"
          class="pointer-events-none"
          stroke="var(--color-chalk-500)"
          stroke-width="1"
          stroke-dasharray="2 3"
        >
          <line
            :x1="scale.x(pointer.xMm)"
            :x2="scale.x(pointer.xMm)"
            :y1="scale.y(pointer.yMm)"
            :y2="scale.bottom"
          />
          <line
            :x1="face.datum === 'left' ? scale.left : scale.right"
            :x2="scale.x(pointer.xMm)"
            :y1="scale.y(pointer.yMm)"
            :y2="scale.y(pointer.yMm)"
          />
        </g>

      </g>
      <FaceTapeAlong
        :face="face"
        :scale="scale"
        :readings="readings.along"
        :units="job.units"
        :top="tapeTop"
        :frame="enlarged ? frame : null"
      />
      <FaceTapeUp
        :face="face"
        :scale="scale"
        :readings="readings.up"
        :units="job.units"
        :at="upAt"
        :frame="enlarged ? frame : null"
      />
      <text
        v-if="!enlarged"
        :x="scale.x(placeAlong(face, 0)) + (face.datum === 'left' ? -6 : 6)"
        :y="scale.bottom + 27"
        :text-anchor="face.datum === 'left' ? 'end' : 'start'"
        font-size="13"
        font-weight="700"
        fill="var(--color-graphite-900)"
      >Datum</text>
    </svg>
    <button
      v-if="variants.length > 1"
      type="button"
      class="absolute top-1 left-3 border border-chalk-500 bg-sheet px-2 py-0.5 text-sm font-semibold text-chalk-700"
      title="Press for the next direction of the wind"
      @click="variant++"
    >
      Wind {{ lookedAt }} ({{ variants.indexOf(lookedAt!) + 1 }} of {{ variants.length }})
    </button>
    <div
      v-if="!still"
      class="no-print absolute top-9 flex flex-col gap-0.5"
      :class="face.datum === 'left' ? 'right-1' : 'left-1'"
      role="group"
      aria-label="Size of the drawing"
    >
      <button
        v-for="[sign, name, act] in [['+', 'Enlarge: key +', larger], ['−', 'Reduce: key −', smaller], ['⤢', 'Fit the whole face: key Home', fit]] as const"
        :key="name"
        type="button"
        class="grid size-8 place-items-center border border-graphite-400 bg-sheet text-lg leading-none font-semibold hover:bg-graphite-100 disabled:opacity-40 max-md:size-11"
        :title="name"
        :aria-label="name.split(':')[0]"
        :disabled="!enlarged && sign !== '+'"
        @click="act()"
      >
        {{ sign }}
      </button>
    </div>
    <output
      v-if="pointer"
      class="pointer-events-none absolute top-1 right-3 bg-chalk-500 px-2 py-0.5 text-sm font-semibold text-sheet"
      data-testid="pointer-reading"
    >
      Along <FieldLengthText
        :mm="readingAlong(face, pointer.xMm)"
        :units="job.units"
      />, up <FieldLengthText
        :mm="readingUp(face, pointer.yMm)"
        :units="job.units"
      /><template v-if="chance !== null">, sound timber {{ formatShare(chance) }}</template>
    </output>
  </div>
</template>
