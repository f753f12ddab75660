<script setup lang="ts">
import type { Face } from '#core/job'
import type { TapeReading } from '#core/hand'
import { placeAlong, shapeOf } from '#core/roof'
import { formatLength, type UnitSystem } from '#core/units'
import type { FaceScale } from '../../composables/useFaceScale'
import type { Window } from '../../composables/useFaceZoom'

/** The tape along the eave: its divisions from the datum corner, and a tag for every running reading. */
const { face, scale, readings, units, top, frame = null } = defineProps<{ face: Face, scale: FaceScale, readings: TapeReading[], units: UnitSystem, top: number, /** What is in sight of an enlarged drawing. */ frame?: Window | null }>()

const HEIGHT = 24
const LANE = 24
const MOST_LANES = 3
const FONT = 13
const eave = computed(() => shapeOf(face.outline).eave)
const left = computed(() => Math.max(scale.x(eave.value.fromMm), frame?.left ?? -Infinity))
const right = computed(() => Math.min(scale.x(eave.value.toMm), frame?.right ?? Infinity))
const inSight = (px: number) => !frame || (px >= frame.left - 1 && px <= frame.right + 1)
const ticks = computed(() => tapeTicks(eave.value.toMm - eave.value.fromMm, units, scale.pxPerMm).map(tick => ({ ...tick, px: scale.x(placeAlong(face, tick.mm)) })).filter(tick => inSight(tick.px)))
const tags = computed(() => {
  const sized = readings.map(reading => ({
    reading,
    middle: scale.x(reading.placeMm),
    width: runsWidth(lengthRuns(reading.readingMm, units), FONT) + 14,
    bar: 2 * (reading.sdMm ?? 0) * scale.pxPerMm,
  })).filter(tag => inSight(tag.middle))
    .sort((a, b) => a.middle - b.middle)
  const lanes = lanesFor(sized, 4)
  // Where there is no room for all, some keep their mark on the tape and go without a tag.
  return sized.map((tag, i) => ({ ...tag, lane: lanes[i]!, top: top + HEIGHT + 10 + Math.min(lanes[i]!, MOST_LANES - 1) * LANE }))
})
const fill = { rafter: 'var(--color-tag-rafter)', fixing: 'var(--color-crayon)', line: 'var(--color-chalk-500)', module: 'var(--color-graphite-700)', edge: 'var(--color-graphite-900)' }
</script>

<template>
  <g aria-hidden="true">
    <rect
      :x="left"
      :y="top"
      :width="Math.max(0, right - left)"
      :height="HEIGHT"
      fill="var(--color-tape)"
      stroke="var(--color-tape-line)"
      stroke-width="1.2"
    />
    <g
      v-for="tick in ticks"
      :key="tick.mm"
    >
      <line
        :x1="tick.px"
        :x2="tick.px"
        :y1="top"
        :y2="top + (tick.numeral ? 10 : tick.half ? 7 : 4)"
        stroke="var(--color-tape-line)"
        :stroke-width="tick.numeral ? 1.4 : 0.8"
      />
      <text
        v-if="tick.numeral && tick.px > left + 8 && tick.px < right - 8"
        :x="tick.px"
        :y="top + HEIGHT - 4"
        text-anchor="middle"
        font-size="11"
        font-weight="700"
        fill="var(--color-tape-ink)"
      >
        {{ tick.numeral }}
      </text>
    </g>
    <g
      v-for="tag in tags"
      :key="tag.reading.key"
    >
      <path
        v-if="tag.bar > 1.5"
        :d="`M${tag.middle - tag.bar} ${top + HEIGHT + 4} h${2 * tag.bar} m0 -4 v8 M${tag.middle - tag.bar} ${top + HEIGHT} v8`"
        :stroke="fill[tag.reading.tone]"
        stroke-width="1.6"
        fill="none"
      />
      <line
        v-if="tag.lane < MOST_LANES"
        :x1="tag.middle"
        :x2="tag.middle"
        :y1="top + HEIGHT"
        :y2="tag.top"
        :stroke="fill[tag.reading.tone]"
        stroke-width="1.2"
      />
      <path
        :d="`M${tag.middle} ${top + HEIGHT} l-5 8 h10 z`"
        :fill="fill[tag.reading.tone]"
      />
      <rect
        v-if="tag.lane < MOST_LANES"
        :x="tag.middle - tag.width / 2"
        :y="tag.top"
        :width="tag.width"
        height="20"
        rx="2"
        :fill="fill[tag.reading.tone]"
      />
      <FaceFractionText
        v-if="tag.lane < MOST_LANES"
        :mm="tag.reading.readingMm"
        :units="units"
        :size="FONT"
        :x="tag.middle"
        :y="tag.top + 14.5"
        text-anchor="middle"
        font-weight="650"
        fill="var(--color-sheet)"
      />
      <title>{{ tag.reading.label }}{{ tag.reading.sdMm ? `, give or take ${formatLength(2 * tag.reading.sdMm, units)}` : '' }}</title>
    </g>
  </g>
</template>
