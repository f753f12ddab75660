<script setup lang="ts">
import type { Face } from '#core/job'
import type { TapeReading } from '#core/hand'
import { placeUp, readingUp, shapeOf } from '#core/roof'
import type { UnitSystem } from '#core/units'
import type { FaceScale } from '../../composables/useFaceScale'

/** The tape up the slope, on the datum's side of the face, with a tag for every running reading. */
const { face, scale, readings, units, at } = defineProps<{ face: Face, scale: FaceScale, readings: TapeReading[], units: UnitSystem, at: number }>()

const WIDTH = 24
const FONT = 13
/** Tags stand outside the tape, away from the face. */
const outward = computed(() => face.datum === 'left' ? -1 : 1)
const outer = computed(() => outward.value < 0 ? at : at + WIDTH)
const ticks = computed(() => tapeTicks(readingUp(face, shapeOf(face.outline).up.toMm), units, scale.pxPerMm).map(tick => ({ ...tick, px: scale.y(placeUp(face, tick.mm)) })))
const tags = computed(() => {
  const sorted = readings.map(reading => ({ reading, middle: scale.y(reading.placeMm) })).sort((a, b) => a.middle - b.middle)
  const places = spread(sorted.map(tag => tag.middle), 22, scale.top - 12, scale.bottom + 12)
  return sorted.map((tag, i) => ({ ...tag, place: places[i]!, width: runsWidth(lengthRuns(tag.reading.readingMm, units), FONT) + 12 }))
})
const fill = { rafter: '#6d4c14', fixing: '#cf3a1a', line: '#1c5fae', module: '#3f4347', edge: '#22272e' }
</script>

<template>
  <g aria-hidden="true">
    <rect
      :x="at"
      :y="scale.top"
      :width="WIDTH"
      :height="scale.bottom - scale.top"
      fill="var(--color-tape)"
      stroke="#22272e"
      stroke-width="1.2"
    />
    <g
      v-for="tick in ticks"
      :key="tick.mm"
    >
      <line
        :x1="outward < 0 ? at + WIDTH : at"
        :x2="outward < 0 ? at + WIDTH - (tick.numeral ? 9 : tick.half ? 6 : 3) : at + (tick.numeral ? 9 : tick.half ? 6 : 3)"
        :y1="tick.px"
        :y2="tick.px"
        stroke="#22272e"
        :stroke-width="tick.numeral ? 1.4 : 0.8"
      />
      <text
        v-if="tick.numeral && tick.px > scale.top + 8"
        :x="outward < 0 ? at + 9 : at + WIDTH - 9"
        :y="tick.px + 4"
        text-anchor="middle"
        :font-size="tick.numeral.length > 2 ? 9 : 11"
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
        :d="`M${outer} ${tag.middle} L${outer + outward * 12} ${tag.place}`"
        :stroke="fill[tag.reading.tone]"
        stroke-width="1.5"
        fill="none"
      />
      <rect
        :x="outward < 0 ? outer - 12 - tag.width : outer + 12"
        :y="tag.place - 10"
        :width="tag.width"
        height="20"
        rx="2"
        :fill="fill[tag.reading.tone]"
      />
      <FaceFractionText
        :mm="tag.reading.readingMm"
        :units="units"
        :size="FONT"
        :x="outward < 0 ? outer - 12 - tag.width / 2 : outer + 12 + tag.width / 2"
        :y="tag.place + 4.5"
        text-anchor="middle"
        font-weight="650"
        fill="#fff"
      />
      <title>{{ tag.reading.label }}</title>
    </g>
  </g>
</template>
