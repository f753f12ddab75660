<script setup lang="ts">
import { formatUse } from '#core/capacity'
import type { FacePlan } from '#core/plan'
import { onFace } from '#core/rails'
import { type Ref as FaceRef, sameRef } from '#core/trade'
import type { FaceScale } from '../../composables/useFaceScale'

/** Where loads are known, a bar over each fixing: how much of what it holds is used, full at the top, with figures on the rail that is held. */
const { plan, scale, selection } = defineProps<{ plan: FacePlan, scale: FaceScale, selection: FaceRef }>()
const BAR = 18
const colour = (share: number) => share > 1 ? 'var(--color-brick-500)' : share > 0.9 ? 'var(--color-amber-500)' : 'var(--color-lichen-500)'
const bars = computed(() => plan.fixings.rails.flatMap((own, r) => {
  const rail = plan.rails[r]!
  const held = sameRef(selection, { kind: 'rail', id: rail.id })
  return own.fixings.flatMap((fixing, i) => {
    const use = plan.uses[r]?.fixings[i]?.worst
    if (use === undefined) return []
    const { xMm, yMm } = onFace(rail, fixing.atMm)
    return [{ id: fixing.id, at: `translate(${scale.x(xMm)} ${scale.y(yMm)})`, use, label: held ? labelAt(rail.way, rail.side) : null }]
  })
}))
/** On the side of its rail where the dimensions are not. */
function labelAt(way: string, side: string) {
  if (way === 'across') return { 'x': 3, 'y': side === 'upper' ? 24 : -16, 'text-anchor': 'middle' }
  return side === 'left' ? { 'x': -12, 'y': 5, 'text-anchor': 'end' } : { 'x': 19, 'y': 5, 'text-anchor': 'start' }
}
</script>

<template>
  <g class="pointer-events-none">
    <g
      v-for="one in bars"
      :key="one.id"
      :transform="one.at"
    >
      <rect
        x="9"
        :y="-BAR + 6"
        width="6"
        :height="BAR"
        fill="var(--color-sheet)"
        stroke="var(--color-graphite-900)"
        stroke-width="1"
      />
      <rect
        x="9.5"
        :y="6.5 - (BAR - 1) * Math.min(1, one.use)"
        width="5"
        :height="(BAR - 1) * Math.min(1, one.use)"
        :fill="colour(one.use)"
      />
      <text
        v-if="one.label"
        v-bind="one.label"
        font-size="13"
        font-weight="700"
        fill="var(--color-graphite-900)"
        stroke="var(--color-sheet)"
        stroke-width="3.5"
        paint-order="stroke"
      >
        {{ formatUse(one.use, 'none') }}
      </text>
    </g>
  </g>
</template>
