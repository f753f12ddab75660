<script setup lang="ts">
import type { Point } from '#core/geometry'
import { byDepth, MM_PER_POINT, styleOf } from '#core/sheets/figure'
import type { GroundFigure, Hold } from '#core/sheets/ground'

/** A wall or a one-line diagram, drawn as it is on paper, with what can be taken hold of on it. */
const { drawn, picked, label } = defineProps<{ drawn: GroundFigure, picked: string | null, label: string }>()
const emit = defineEmits<{ pick: [hold: Hold] }>()
const box = computed(() => {
  const { along, up } = drawn.figure
  return { x: along.fromMm, top: up.toMm, wide: along.toMm - along.fromMm, high: up.toMm - up.fromMm }
})
const layers = computed(() => byDepth(drawn.figure.layers).map(one => ({ ...one, style: styleOf(one.layer) })))
const down = ({ x, y }: Point) => `${x} ${box.value.top - y}`
const ring = (points: Point[]) => `M${points.map(down).join('L')}Z`
</script>

<template>
  <svg
    :viewBox="`${box.x} 0 ${box.wide} ${box.high}`"
    role="group"
    :aria-label="label"
  >
    <g
      v-for="one in layers"
      :key="one.layer"
      :stroke="one.style.stroke"
      :stroke-width="one.style.width * MM_PER_POINT"
      :stroke-dasharray="one.style.dash?.map(n => n * MM_PER_POINT).join(' ')"
      stroke-linejoin="round"
      fill="none"
    >
      <path
        v-for="(points, i) in one.rings"
        :key="`r${i}`"
        :d="ring(points)"
        :fill="one.style.fill ?? 'none'"
      />
      <path
        v-for="([a, b], i) in one.lines"
        :key="`l${i}`"
        :d="`M${down(a)}L${down(b)}`"
      />
      <text
        v-for="(words, i) in one.texts"
        :key="`t${i}`"
        :x="words.at.x"
        :y="box.top - words.at.y"
        :font-size="one.style.text * MM_PER_POINT"
        :fill="one.style.ink"
        :font-weight="one.layer === 'line-names' || one.layer === 'wall-things' || one.layer === 'wall-there' ? 700 : 400"
        stroke="none"
        text-anchor="middle"
        dominant-baseline="central"
      >{{ words.text }}</text>
    </g>
    <rect
      v-for="hold in drawn.holds"
      :key="`${hold.kind} ${hold.id}`"
      :x="hold.x"
      :y="box.top - hold.y - hold.high"
      :width="hold.wide"
      :height="hold.high"
      fill="transparent"
      :stroke="picked === `${hold.kind} ${hold.id}` ? 'var(--color-crayon-600, #c8461e)' : 'transparent'"
      :stroke-width="MM_PER_POINT * 3"
      class="cursor-pointer outline-offset-2"
      role="button"
      tabindex="0"
      :aria-label="hold.name"
      :aria-pressed="picked === `${hold.kind} ${hold.id}`"
      @click="emit('pick', hold)"
      @keydown.enter.prevent="emit('pick', hold)"
      @keydown.space.prevent="emit('pick', hold)"
    />
  </svg>
</template>
