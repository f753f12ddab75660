<script setup lang="ts">
import type { Face } from '#core/job'
import type { TapeReading } from '#core/hand'
import { placeUp, readingUp, shapeOf } from '#core/roof'
import type { UnitSystem } from '#core/units'
import type { FaceScale } from '../../composables/useFaceScale'
import type { Window } from '../../composables/useFaceZoom'

/** The tape up the slope, on the datum's side of the face, with a tag for every running reading. */
const { face, scale, readings, units, at, frame = null } = defineProps<{ face: Face, scale: FaceScale, readings: TapeReading[], units: UnitSystem, at: number, /** What is in sight of an enlarged drawing. */ frame?: Window | null }>()

const WIDTH = 24
const FONT = 13
/** Tags stand outside the tape, away from the face. */
const outward = computed(() => face.datum === 'left' ? -1 : 1)
const outer = computed(() => outward.value < 0 ? at : at + WIDTH)
const top = computed(() => Math.max(scale.top, frame?.top ?? -Infinity))
const bottom = computed(() => Math.min(scale.bottom, frame?.bottom ?? Infinity))
const inSight = (px: number) => px >= top.value - 1 && px <= bottom.value + 1
const ticks = computed(() => tapeTicks(readingUp(face, shapeOf(face.outline).up.toMm), units, scale.pxPerMm).map(tick => ({ ...tick, px: scale.y(placeUp(face, tick.mm)) })).filter(tick => inSight(tick.px)))
const tags = computed(() => {
  const sorted = readings.map(reading => ({ reading, middle: scale.y(reading.placeMm) })).filter(tag => !frame || inSight(tag.middle)).sort((a, b) => a.middle - b.middle)
  const places = spread(sorted.map(tag => tag.middle), 22, top.value - 12, bottom.value + 12)
  return sorted.map((tag, i) => ({ ...tag, place: places[i]!, width: runsWidth(lengthRuns(tag.reading.readingMm, units), FONT) + 12 }))
})
const fill = { rafter: 'var(--color-tag-rafter)', fixing: 'var(--color-crayon)', line: 'var(--color-chalk-500)', module: 'var(--color-graphite-700)', edge: 'var(--color-graphite-900)' }
</script>

<template>
  <g aria-hidden="true">
    <rect
      :x="at"
      :y="top"
      :width="WIDTH"
      :height="Math.max(0, bottom - top)"
      fill="var(--color-tape)"
      stroke="var(--color-tape-line)"
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
        stroke="var(--color-tape-line)"
        :stroke-width="tick.numeral ? 1.4 : 0.8"
      />
      <text
        v-if="tick.numeral && tick.px > top + 8"
        :x="outward < 0 ? at + 9 : at + WIDTH - 9"
        :y="tick.px + 4"
        text-anchor="middle"
        :font-size="tick.numeral.length > 2 ? 9 : 11"
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
        fill="var(--color-sheet)"
      />
      <title>{{ tag.reading.label }}</title>
    </g>
  </g>
</template>
