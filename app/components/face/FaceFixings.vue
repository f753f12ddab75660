<script setup lang="ts">
import { formatUse } from '#core/capacity'
import type { FacePlan } from '#core/plan'
import { onFace } from '#core/rails'
import type { FaceScale } from '../../composables/useFaceScale'

/**
 * Fixings as crayon crosses; one whose timber is not proved has a broken ring. Where loads are known a bar over each shows how
 * much of what it holds is used, full at the top, with figures on the selected rail.
 */
const { plan, scale, selection = '', showsUse = false } = defineProps<{ plan: FacePlan, scale: FaceScale, selection?: string, showsUse?: boolean }>()
const screen = (r: number, atMm: number) => {
  const { xMm, yMm } = onFace(plan.rails[r]!, atMm)
  return `${scale.x(xMm)} ${scale.y(yMm)}`
}
/** Over the fixing; beside a rail up the slope, on the side where its dimensions are not. */
const labelAt = (r: number) => {
  const { way, side } = plan.rails[r]!
  if (way === 'across') return { 'x': 3, 'y': -16, 'text-anchor': 'middle' }
  return side === 'left' ? { 'x': -12, 'y': 5, 'text-anchor': 'end' } : { 'x': 19, 'y': 5, 'text-anchor': 'start' }
}
const BAR = 18
const colour = (share: number) => share > 1 ? 'var(--color-brick-500)' : share > 0.9 ? 'var(--color-amber-500)' : 'var(--color-lichen-500)'
const useOf = (r: number, i: number) => showsUse ? plan.uses[r]?.fixings[i]?.worst ?? null : null
</script>

<template>
  <g class="pointer-events-none">
    <template
      v-for="(rail, r) in plan.fixings.rails"
      :key="rail.railId"
    >
      <g
        v-for="(fixing, i) in rail.fixings"
        :key="fixing.atMm"
        :transform="`translate(${screen(r, fixing.atMm)})`"
      >
        <path
          d="M-6 -6 L6 6 M6 -6 L-6 6"
          stroke="#fff"
          stroke-width="5.5"
        />
        <path
          d="M-6 -6 L6 6 M6 -6 L-6 6"
          stroke="var(--color-crayon)"
          stroke-width="3"
        />
        <circle
          v-if="fixing.state !== 'proved'"
          r="9"
          fill="none"
          stroke="#fff"
          stroke-width="1.6"
          stroke-dasharray="3 2.6"
        />
        <template v-if="useOf(r, i) !== null">
          <rect
            x="9"
            :y="-BAR + 6"
            width="6"
            :height="BAR"
            fill="#fff"
            stroke="#22272e"
            stroke-width="1"
          />
          <rect
            x="9.5"
            :y="6.5 - (BAR - 1) * Math.min(1, useOf(r, i)!)"
            width="5"
            :height="(BAR - 1) * Math.min(1, useOf(r, i)!)"
            :fill="colour(useOf(r, i)!)"
          />
          <text
            v-if="rail.railId === selection"
            v-bind="labelAt(r)"
            font-size="13"
            font-weight="700"
            fill="#22272e"
            stroke="#fff"
            stroke-width="3.5"
            paint-order="stroke"
          >
            {{ formatUse(useOf(r, i)!, 'none') }}
          </text>
        </template>
      </g>
    </template>
  </g>
</template>
