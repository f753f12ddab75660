<script setup lang="ts">
import type { Point } from '#core/geometry'
import { sectionLook, type SectionDrawing } from '#core/openings'

/** A section, or a view from above, drawn to scale from its plain data. */
const { drawing } = defineProps<{ drawing: SectionDrawing }>()
const box = computed(() => {
  const { fromX, toX, fromY, toY } = drawing.box
  return `${fromX} ${-toY} ${toX - fromX} ${toY - fromY}`
})
const path = (points: Point[]) => points.map(({ x, y }) => `${x.toFixed(1)},${(-y).toFixed(1)}`).join(' ')
const middle = (a: Point, b: Point): Point => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 })
const turn = (a: Point, b: Point) => -Math.atan2(b.y - a.y, b.x - a.x) * 180 / Math.PI
/** Ticks at the ends of a dimension, square to it. */
function ticks(a: Point, b: Point): [Point, Point][] {
  const long = Math.hypot(b.x - a.x, b.y - a.y) || 1
  const [nx, ny] = [-(b.y - a.y) / long * drawing.textMm * 0.5, (b.x - a.x) / long * drawing.textMm * 0.5]
  return [a, b].map(({ x, y }) => [{ x: x + nx, y: y + ny }, { x: x - nx, y: y - ny }])
}
</script>

<template>
  <svg
    :viewBox="box"
    role="img"
    :aria-label="`${drawing.title}: ${drawing.labels.map(one => one.text).join('; ')}`"
    preserveAspectRatio="xMidYMid meet"
    class="block size-full bg-[#fdfcf8]"
  >
    <polygon
      v-for="(area, i) in drawing.areas"
      :key="`a${i}`"
      :points="path(area.points)"
      :fill="sectionLook[area.tone].fill ?? 'none'"
      :stroke="sectionLook[area.tone].stroke"
      :stroke-width="sectionLook[area.tone].width"
      stroke-linejoin="round"
      vector-effect="non-scaling-stroke"
    />
    <polyline
      v-for="(line, i) in drawing.lines"
      :key="`l${i}`"
      :points="path(line.points)"
      fill="none"
      :stroke="sectionLook[line.tone].stroke"
      :stroke-width="sectionLook[line.tone].width"
      stroke-linecap="round"
      stroke-linejoin="round"
      vector-effect="non-scaling-stroke"
    />
    <g
      v-for="(label, i) in drawing.labels"
      :key="`t${i}`"
    >
      <polyline
        v-if="label.leader"
        :points="path(label.leader)"
        fill="none"
        stroke="#22272e"
        stroke-width="0.8"
        vector-effect="non-scaling-stroke"
      />
      <circle
        v-if="label.leader"
        :cx="label.leader[1].x"
        :cy="-label.leader[1].y"
        :r="drawing.textMm * 0.16"
        fill="#22272e"
      />
      <text
        :x="label.at.x"
        :y="-label.at.y"
        :font-size="drawing.textMm"
        :text-anchor="label.middle ? 'middle' : 'start'"
        fill="#22272e"
        font-weight="600"
      >{{ label.text }}</text>
    </g>
    <g
      v-for="(one, i) in drawing.dimensions"
      :key="`d${i}`"
      stroke="#22272e"
    >
      <polyline
        :points="path([one.from, one.to])"
        vector-effect="non-scaling-stroke"
      />
      <polyline
        v-for="(tick, t) in ticks(one.from, one.to)"
        :key="t"
        :points="path(tick)"
        vector-effect="non-scaling-stroke"
      />
      <text
        :transform="`translate(${middle(one.from, one.to).x} ${-middle(one.from, one.to).y}) rotate(${turn(one.from, one.to)})`"
        :dy="drawing.textMm * 1.1"
        :font-size="drawing.textMm"
        text-anchor="middle"
        paint-order="stroke"
        stroke="#fdfcf8"
        :stroke-width="drawing.textMm * 0.35"
        stroke-linejoin="round"
        fill="#22272e"
        font-weight="600"
      >{{ one.text }}</text>
    </g>
  </svg>
</template>
