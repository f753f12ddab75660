<script setup lang="ts">
import { type LayerId, useLayers } from '../../composables/useLayers'
import { tapeReadings } from '#core/markout'
import { cornerLetter, placeAlong, readingAlong } from '#core/roof'
import type { Face, Job } from '#core/job'
import type { FacePlan } from '#core/plan'
import { chanceAt, rafterAt } from '#core/supports'

/** One face, square-on and to scale, with its two tapes. */
const { job, face, plan, selection, showsHits = false } = defineProps<{ job: Job, face: Face, plan: FacePlan, selection: string, showsHits?: boolean }>()
const emit = defineEmits<{ select: [what: string], nudge: [event: KeyboardEvent] }>()

const box = useTemplateRef('box')
const { width, height } = useElementSize(box)
const { shows } = useLayers()
const TAPE = 24
const margins = computed(() => ({ left: face.datum === 'left' ? 128 : 44, right: face.datum === 'left' ? 44 : 128, top: 30, bottom: 118 }))
const scale = computed(() => faceScale(plan.shape, width.value, height.value, margins.value))
const readings = computed(() => tapeReadings(face, plan, selection))
const upAt = computed(() => face.datum === 'left' ? scale.value.left - TAPE - 8 : scale.value.right + 8)
const ready = computed(() => width.value > 0 && height.value > 0)

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

const layer = (id: LayerId) => shows.value[id]
const path = (rings: { x: number, y: number }[][]) => rings.map(ring => `M${ring.map(({ x, y }) => `${scale.value.x(x).toFixed(2)} ${scale.value.y(y).toFixed(2)}`).join('L')}Z`).join('')
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
  return [{ key: i, name: edge.kind[0]!.toUpperCase() + edge.kind.slice(1), transform: `translate(${(from.x + to.x) / 2 + out.x * (below ? 18 : 9)} ${(from.y + to.y) / 2 + out.y * (below ? 18 : 9)}) rotate(${angle})` }]
}))
const selectedRail = computed(() => plan.rails.findIndex(rail => rail.id === selection))
/** Module numbers run along each row from the eave up, as the rows are laid. */
const firstNumber = (row: number) => plan.rows.rows.slice(0, row).reduce((sum, one) => sum + one.count, 1)
const summary = computed(() => `${face.name} to scale, ridge up: ${plan.modules} modules in ${plan.rows.rows.length} rows, ${plan.rails.length} rails, ${plan.fixings.total} fixings.`)
/** Spans and overhangs of the selected rail, as dimension lines on its outer side, clear of the module numbers. */
const dimensions = computed(() => {
  const rail = plan.rails[selectedRail.value]
  if (!rail) return []
  const xs = [rail.leftMm, ...plan.fixings.rails[selectedRail.value]!.fixings.map(fixing => fixing.xMm), rail.rightMm]
  return xs.slice(1).map((to, i) => ({ from: xs[i]!, to, overhang: i === 0 || i === xs.length - 2 })).filter(one => one.to - one.from > 0.5)
    .map(one => ({ ...one, bad: one.to - one.from > (one.overhang ? plan.limits.maxOverhangMm : plan.limits.maxSpanMm) + 0.01, y: scale.value.y(rail.yMm) + (rail.side === 'upper' ? -19 : 19) }))
})
</script>

<template>
  <div
    ref="box"
    class="relative h-full w-full select-none"
    tabindex="0"
    role="application"
    :aria-label="`Drawing of ${face.name}. Arrow keys nudge what is selected.`"
    @pointermove="point"
    @pointerleave="pointer = null"
    @keydown="emit('nudge', $event)"
  >
    <svg
      v-if="ready"
      :width="width"
      :height="height"
      class="absolute inset-0"
      role="img"
      :aria-label="summary"
      @click.self="emit('select', 'face')"
    >
      <defs>
        <pattern
          id="keep-clear-hatch"
          width="9"
          height="9"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect
            width="9"
            height="9"
            fill="#e9e2d0"
            fill-opacity="0.72"
          />
          <line
            x1="0"
            x2="0"
            y1="0"
            y2="9"
            stroke="#a3987c"
            stroke-width="1.6"
          />
        </pattern>
      </defs>

      <clipPath id="face-outline">
        <path :d="path(plan.shape.region)" />
      </clipPath>
      <path
        :d="path(plan.shape.region)"
        fill="#fdfcf8"
        @click="emit('select', 'face')"
      />
      <g clip-path="url(#face-outline)">
        <FaceCovering
          v-if="layer('courses')"
          :plan="plan"
          :scale="scale"
        />
        <FaceSupports
          v-if="layer('rafters')"
          :plan="plan"
          :scale="scale"
          :selection="selection"
          @select="emit('select', $event)"
        />
      </g>
      <g v-if="layer('keepClear')">
        <path
          v-for="(strip, i) in plan.strips"
          :key="i"
          :d="path(strip.region)"
          fill="url(#keep-clear-hatch)"
          class="pointer-events-none"
        />
        <path
          :d="path(plan.region)"
          fill="none"
          stroke="#8d8468"
          stroke-width="1"
          stroke-dasharray="2 3"
          class="pointer-events-none"
        />
      </g>
      <path
        :d="path(plan.shape.region)"
        fill="none"
        stroke="#22272e"
        stroke-width="2"
        class="pointer-events-none"
      />
      <FaceObstructions
        :obstructions="face.obstructions"
        :scale="scale"
        :selection="selection"
        @select="emit('select', $event)"
      />
      <g
        v-if="selection === 'face' && face.outline.kind !== 'rectangle'"
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
            fill="#22272e"
          />
          <text
            :x="scale.x(corner.x)"
            :y="scale.y(corner.y) + 4.5"
            text-anchor="middle"
            font-size="13"
            font-weight="700"
            fill="#fff"
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
        fill="#55575a"
        class="pointer-events-none"
      >{{ edge.name }}</text>

      <g v-if="layer('modules')">
        <template
          v-for="row in plan.rows.rows"
          :key="row.index"
        >
          <g
            v-for="(leftMm, i) in row.moduleLeftsMm"
            :key="i"
            class="cursor-pointer"
            @click="emit('select', `row ${row.index + 1}`)"
          >
            <rect
              :x="scale.x(leftMm)"
              :y="scale.y(row.topMm)"
              :width="row.moduleWidthMm * scale.pxPerMm"
              :height="row.moduleHeightMm * scale.pxPerMm"
              fill="var(--color-slate-module)"
              fill-opacity="0.86"
              :stroke="selection === `row ${row.index + 1}` ? 'var(--color-chalk-500)' : row.fits ? 'var(--color-slate-edge)' : 'var(--color-brick-500)'"
              :stroke-width="selection === `row ${row.index + 1}` || !row.fits ? 2.5 : 1.2"
            />
            <text
              v-if="row.moduleWidthMm * scale.pxPerMm > 16"
              :x="scale.x(leftMm + row.moduleWidthMm / 2)"
              :y="scale.y((row.bottomMm + row.topMm) / 2) + 5"
              text-anchor="middle"
              font-size="14"
              font-weight="600"
              fill="#e8ebee"
              class="pointer-events-none"
            >{{ firstNumber(row.index) + i }}</text>
          </g>
        </template>
      </g>

      <g
        v-if="layer('rafters') && layer('modules')"
        clip-path="url(#face-outline)"
        class="pointer-events-none"
      >
        <line
          v-for="rafter in plan.supports.rafters"
          :key="rafter.number"
          :x1="scale.x(rafterAt(rafter, plan.shape.up.fromMm))"
          :x2="scale.x(rafterAt(rafter, plan.shape.up.toMm))"
          :y1="scale.bottom"
          :y2="scale.top"
          stroke="var(--color-timber)"
          stroke-opacity="0.55"
          stroke-width="1"
          stroke-dasharray="3 5"
        />
      </g>

      <g v-if="layer('rails')">
        <g
          v-for="rail in plan.rails"
          :key="rail.id"
          class="cursor-pointer"
          @click="emit('select', rail.id)"
        >
          <line
            :x1="scale.x(rail.fromMm)"
            :x2="scale.x(rail.toMm)"
            :y1="scale.y(rail.yMm)"
            :y2="scale.y(rail.yMm)"
            stroke="transparent"
            stroke-width="22"
          />
          <line
            v-if="rail.id === selection"
            :x1="scale.x(rail.fromMm)"
            :x2="scale.x(rail.toMm)"
            :y1="scale.y(rail.yMm)"
            :y2="scale.y(rail.yMm)"
            stroke="#fff"
            stroke-width="8"
          />
          <line
            :x1="scale.x(rail.fromMm)"
            :x2="scale.x(rail.toMm)"
            :y1="scale.y(rail.yMm)"
            :y2="scale.y(rail.yMm)"
            :stroke="rail.inZone ? (rail.id === selection ? '#1c5fae' : '#7db2ea') : '#e0705f'"
            :stroke-width="rail.id === selection ? 4 : 3"
            :stroke-dasharray="rail.inZone ? undefined : '8 4'"
          />
        </g>
        <g
          v-for="(splice, i) in plan.sticks.splices"
          :key="i"
          class="pointer-events-none"
        >
          <rect
            :x="scale.x(splice.xMm) - 2"
            :y="scale.y(plan.rails.find(rail => rail.id === splice.railId)!.yMm) - 6"
            width="4"
            height="12"
            fill="#fff"
            stroke="#1c5fae"
            stroke-width="1.2"
          />
        </g>
      </g>

      <g
        v-if="layer('fixings')"
        class="pointer-events-none"
      >
        <template
          v-for="(rail, r) in plan.fixings.rails"
          :key="rail.railId"
        >
          <g
            v-for="fixing in rail.fixings"
            :key="fixing.xMm"
            :transform="`translate(${scale.x(fixing.xMm)} ${scale.y(plan.rails[r]!.yMm)})`"
          >
            <path
              d="M-6 -6 L6 6 M6 -6 L-6 6"
              stroke="#fff"
              stroke-width="5.5"
            />
            <path
              d="M-6 -6 L6 6 M6 -6 L-6 6"
              stroke="var(--color-crayon)"
              stroke-width="3"
            />
            <circle
              v-if="fixing.state !== 'proved'"
              r="9"
              fill="none"
              stroke="#fff"
              stroke-width="1.6"
              stroke-dasharray="3 2.6"
            />
          </g>
        </template>
      </g>

      <FaceHits
        v-if="showsHits && face.supports.kind === 'rafters'"
        :supports="face.supports"
        :fit="plan.supports.fit"
        :scale="scale"
      />

      <g class="pointer-events-none">
        <g
          v-for="(one, i) in dimensions"
          :key="i"
        >
          <path
            :d="`M${scale.x(one.from)} ${one.y - 4} v8 M${scale.x(one.to)} ${one.y - 4} v8 M${scale.x(one.from)} ${one.y} H${scale.x(one.to)}`"
            :stroke="one.bad ? '#ffb4a8' : '#fff'"
            stroke-width="1.4"
            fill="none"
          />
          <g v-if="scale.x(one.to) - scale.x(one.from) > 34">
            <rect
              :x="(scale.x(one.from) + scale.x(one.to)) / 2 - runsWidth(lengthRuns(one.to - one.from, job.units), 11) / 2 - 4"
              :y="one.y - 8.5"
              :width="runsWidth(lengthRuns(one.to - one.from, job.units), 11) + 8"
              height="16"
              :fill="one.bad ? '#a3291c' : '#fff'"
            />
            <FaceFractionText
              :mm="one.to - one.from"
              :units="job.units"
              :size="11"
              :x="(scale.x(one.from) + scale.x(one.to)) / 2"
              :y="one.y + 4"
              text-anchor="middle"
              font-weight="600"
              :fill="one.bad ? '#fff' : '#22272e'"
            />
          </g>
        </g>
      </g>

      <g
        v-if="pointer"
        class="pointer-events-none"
        stroke="#1c5fae"
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

      <FaceTapeAlong
        :face="face"
        :scale="scale"
        :readings="readings.along"
        :units="job.units"
        :top="scale.bottom + 10"
      />
      <FaceTapeUp
        :face="face"
        :scale="scale"
        :readings="readings.up"
        :units="job.units"
        :at="upAt"
      />
      <text
        :x="scale.x(placeAlong(face, 0)) + (face.datum === 'left' ? -6 : 6)"
        :y="scale.bottom + 27"
        :text-anchor="face.datum === 'left' ? 'end' : 'start'"
        font-size="13"
        font-weight="700"
        fill="#22272e"
      >Datum</text>
    </svg>
    <output
      v-if="pointer"
      class="pointer-events-none absolute top-1 right-3 bg-chalk-500 px-2 py-0.5 text-sm font-semibold text-white"
      data-testid="pointer-reading"
    >
      Along <FieldLengthText
        :mm="readingAlong(face, pointer.xMm)"
        :units="job.units"
      />, up <FieldLengthText
        :mm="pointer.yMm"
        :units="job.units"
      /><template v-if="chance !== null">, sound timber {{ Math.round(100 * chance) }} %</template>
    </output>
  </div>
</template>
