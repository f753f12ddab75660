<script setup lang="ts">
import { signedAreaMm2 } from '#core/geometry'
import { zoneWords } from '#core/loads'
import type { FacePlan } from '#core/plan'
import type { FaceScale } from '../../composables/useFaceScale'

/** Roof zones for wind, tinted by their suction, with their names; of several directions the one that is asked for. */
const { plan, scale, set } = defineProps<{ plan: FacePlan, scale: FaceScale, set: number }>()
const shown = computed(() => plan.loading.loads?.wind.sets[Math.min(set, (plan.loading.loads.wind.sets.length || 1) - 1)]?.zones ?? [])
const path = (rings: { x: number, y: number }[][]) => rings.map(ring => `M${ring.map(({ x, y }) => `${scale.x(x).toFixed(2)} ${scale.y(y).toFixed(2)}`).join('L')}Z`).join('')
const worst = computed(() => Math.max(1, ...Object.values(plan.loading.loads?.onModule ?? {}).map(one => one.upPa)))
const strength = (zone: string) => 0.06 + 0.3 * (plan.loading.loads?.onModule[zone]?.upPa ?? 0) / worst.value
/** A zone's name near the lower left of each of its outer rings that has room for it. */
const labels = computed(() => shown.value.flatMap(zone => zone.region.flatMap((ring) => {
  const xs = ring.map(point => scale.x(point.x))
  const ys = ring.map(point => scale.y(point.y))
  if (signedAreaMm2(ring) < 0 || Math.max(...xs) - Math.min(...xs) < 16 || Math.max(...ys) - Math.min(...ys) < 14) return []
  return [{ key: `${zone.name} ${xs[0]} ${ys[0]}`, name: zoneWords(zone.name), x: Math.min(...xs) + 5, y: Math.max(...ys) - 5 }]
})))
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
      v-for="label in labels"
      :key="label.key"
      :x="label.x"
      :y="label.y"
      font-size="13"
      font-weight="700"
      fill="#14437f"
      stroke="#fff"
      stroke-width="3"
      paint-order="stroke"
    >
      {{ label.name }}
    </text>
  </g>
</template>
