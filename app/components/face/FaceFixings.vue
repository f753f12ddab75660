<script setup lang="ts">
import type { FacePlan } from '#core/plan'
import type { FaceScale } from '../../composables/useFaceScale'

/** Fixings as crayon crosses; one whose timber is not proved has a broken ring. */
const { plan, scale } = defineProps<{ plan: FacePlan, scale: FaceScale }>()
</script>

<template>
  <g class="pointer-events-none">
    <template
      v-for="(rail, r) in plan.fixings.rails"
      :key="rail.railId"
    >
      <g
        v-for="fixing in rail.fixings"
        :key="fixing.xMm"
        :transform="`translate(${scale.x(fixing.xMm)} ${scale.y(plan.rails[r]!.yMm)})`"
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
      </g>
    </template>
  </g>
</template>
