<script setup lang="ts">
import type { Face } from '#core/job'
import type { TapeReading } from '#core/hand'
import { placeAlong, shapeOf } from '#core/roof'
import { formatLength, type UnitSystem } from '#core/units'
import type { FaceScale } from '../../composables/useFaceScale'

/** The tape along the eave: its divisions from the datum corner, and a tag for every running reading. */
const { face, scale, readings, units, top } = defineProps<{ face: Face, scale: FaceScale, readings: TapeReading[], units: UnitSystem, top: number }>()

const HEIGHT = 24
const LANE = 24
const MOST_LANES = 3
const FONT = 13
const eave = computed(() => shapeOf(face.outline).eave)
const left = computed(() => scale.x(eave.value.fromMm))
const right = computed(() => scale.x(eave.value.toMm))
const ticks = computed(() => tapeTicks(eave.value.toMm - eave.value.fromMm, units, scale.pxPerMm).map(tick => ({ ...tick, px: scale.x(placeAlong(face, tick.mm)) })))
const tags = computed(() => {
  const sized = readings.map(reading => ({
    reading,
    middle: scale.x(reading.placeMm),
    width: runsWidth(lengthRuns(reading.readingMm, units), FONT) + 14,
    bar: 2 * (reading.sdMm ?? 0) * scale.pxPerMm,
  }))
    .sort((a, b) => a.middle - b.middle)
  const lanes = lanesFor(sized, 4)
  // Where there is no room for all, some keep their mark on the tape and go without a tag.
  return sized.map((tag, i) => ({ ...tag, lane: lanes[i]!, top: top + HEIGHT + 10 + Math.min(lanes[i]!, MOST_LANES - 1) * LANE }))
})
const fill = { rafter: '#6d4c14', fixing: '#cf3a1a', line: '#1c5fae', module: '#3f4347', edge: '#22272e' }
</script>

<template>
  <g aria-hidden="true">
    <rect
      :x="left"
      :y="top"
      :width="right - left"
      :height="HEIGHT"
      fill="var(--color-tape)"
      stroke="#22272e"
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
        stroke="#22272e"
        :stroke-width="tick.numeral ? 1.4 : 0.8"
      />
      <text
        v-if="tick.numeral && tick.px > left + 8 && tick.px < right - 8"
        :x="tick.px"
        :y="top + HEIGHT - 4"
        text-anchor="middle"
        font-size="11"
        font-weight="700"
        fill="#8c2116"
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
        fill="#fff"
      />
      <title>{{ tag.reading.label }}{{ tag.reading.sdMm ? `, give or take ${formatLength(2 * tag.reading.sdMm, units)}` : '' }}</title>
    </g>
  </g>
</template>
