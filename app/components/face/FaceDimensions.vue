<script setup lang="ts">
import type { UnitSystem } from '#core/units'

/** Spans and overhangs of the held rail, as dimension lines; those of rails up the slope are drawn along the eave and the whole turned. */
const { labels, units } = defineProps<{ labels: RailLabels, units: UnitSystem }>()
</script>

<template>
  <g
    class="pointer-events-none"
    :transform="labels.turned ? 'rotate(-90)' : undefined"
  >
    <g
      v-for="(one, i) in labels.dimensions"
      :key="i"
    >
      <path
        :d="`M${one.from} ${one.y - 4} v8 M${one.to} ${one.y - 4} v8 M${one.from} ${one.y} H${one.to}`"
        :stroke="one.bad ? 'var(--color-brick-500)' : 'var(--color-sheet)'"
        stroke-width="1.4"
        fill="none"
      />
      <g v-if="one.box">
        <rect
          :x="(one.from + one.to) / 2 - runsWidth(lengthRuns(one.mm, units), SPAN_FONT) / 2 - 4"
          :y="one.y - 8.5"
          :width="runsWidth(lengthRuns(one.mm, units), SPAN_FONT) + 8"
          height="16"
          :fill="one.bad ? 'var(--color-brick-500)' : 'var(--color-sheet)'"
        />
        <FaceFractionText
          :mm="one.mm"
          :units="units"
          :size="SPAN_FONT"
          :x="(one.from + one.to) / 2"
          :y="one.y + 4"
          text-anchor="middle"
          font-weight="600"
          :fill="one.bad ? 'var(--color-sheet)' : 'var(--color-graphite-900)'"
        />
      </g>
    </g>
  </g>
</template>
