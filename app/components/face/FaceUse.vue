<script setup lang="ts">
import type { FacePlan } from '#core/plan'
import { onFace } from '#core/rails'
import type { FaceScale } from '../../composables/useFaceScale'

/** Where loads are known, a bar over each fixing: how much of what it holds is used, full at the top, with figures on the rail that is held. */
const { plan, scale, labels } = defineProps<{ plan: FacePlan, scale: FaceScale, labels: RailLabels }>()
const BAR = 18
/** Drawn smaller than this the bars would hide the crosses that they belong to: px for a metre. */
const LEAST_PX_PER_M = 34
const colour = (share: number) => share > 1 ? 'var(--color-brick-500)' : share > 0.9 ? 'var(--color-amber-500)' : 'var(--color-lichen-500)'
const bars = computed(() => scale.pxPerMm * 1000 < LEAST_PX_PER_M
  ? []
  : plan.fixings.rails.flatMap((own, r) => own.fixings.flatMap((fixing, i) => {
      const use = plan.uses[r]?.fixings[i]?.worst
      if (use === undefined) return []
      const { xMm, yMm } = onFace(plan.rails[r]!, fixing.atMm)
      return [{ id: fixing.id, at: `translate(${scale.x(xMm)} ${scale.y(yMm)})`, use }]
    })))
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
    </g>
    <text
      v-for="one in labels.uses"
      :key="one.id"
      :x="one.x"
      :y="one.y"
      :text-anchor="one.anchor"
      :font-size="USE_FONT"
      font-weight="700"
      fill="var(--color-graphite-900)"
      stroke="var(--color-sheet)"
      stroke-width="3.5"
      paint-order="stroke"
    >
      {{ one.text }}
    </text>
  </g>
</template>
