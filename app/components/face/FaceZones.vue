<script setup lang="ts">
import type { FacePlan } from '#core/plan'
import type { FaceScale } from '../../composables/useFaceScale'

/** Roof zones for wind, tinted by their suction, with their names; of several directions the one that is asked for. */
const { plan, scale, set } = defineProps<{ plan: FacePlan, scale: FaceScale, set: number }>()
const shown = computed(() => plan.loading.loads?.sets[Math.min(set, (plan.loading.loads.sets.length || 1) - 1)]?.zones ?? [])
const path = (rings: { x: number, y: number }[][]) => rings.map(ring => `M${ring.map(({ x, y }) => `${scale.x(x).toFixed(2)} ${scale.y(y).toFixed(2)}`).join('L')}Z`).join('')
const worst = computed(() => Math.max(1, ...Object.values(plan.loading.loads?.wind.rail ?? {}).map(one => one.upPa)))
const strength = (zone: string) => 0.06 + 0.3 * (plan.loading.loads?.wind.rail[zone]?.upPa ?? 0) / worst.value
/** Where a zone's name stands: near the lower left of its first ring. */
const labelAt = (rings: { x: number, y: number }[][]) => {
  const ring = rings[0]!
  const low = Math.min(...ring.map(point => point.y))
  const left = Math.min(...ring.map(point => point.x))
  return { x: scale.x(left) + 5, y: scale.y(low) - 5 }
}
</script>

<template>
  <g class="pointer-events-none">
    <path
      v-for="zone in shown"
      :key="zone.name"
      :d="path(zone.region)"
      fill="#1c5fae"
      fill-rule="evenodd"
      :fill-opacity="strength(zone.name)"
      stroke="#1c5fae"
      stroke-width="1"
      stroke-dasharray="5 3"
    />
    <text
      v-for="zone in shown"
      :key="`${zone.name}-name`"
      :x="labelAt(zone.region).x"
      :y="labelAt(zone.region).y"
      font-size="13"
      font-weight="700"
      fill="#14437f"
      stroke="#fff"
      stroke-width="3"
      paint-order="stroke"
    >
      {{ zone.name }}
    </text>
  </g>
</template>
