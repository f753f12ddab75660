<script setup lang="ts">
import type { FacePlan } from '#core/plan'
import { type Rafter, rafterAt, rafterName, type SupportState } from '#core/supports'
import type { FaceScale } from '../../composables/useFaceScale'

/** What fixings go into, at true width: solid where proved, pale where inferred, only an outline where guessed. */
const { plan, scale, selection } = defineProps<{ plan: FacePlan, scale: FaceScale, selection: string }>()
const emit = defineEmits<{ select: [what: string] }>()
const up = computed(() => plan.shape.up)

function band(rafter: Rafter): string {
  const half = Math.max(rafter.widthMm / 2, 1 / scale.pxPerMm)
  const [low, high] = [rafterAt(rafter, up.value.fromMm), rafterAt(rafter, up.value.toMm)]
  return `M${scale.x(low - half)} ${scale.bottom}L${scale.x(low + half)} ${scale.bottom}L${scale.x(high + half)} ${scale.top}L${scale.x(high - half)} ${scale.top}Z`
}
const fill: Record<SupportState, string> = { proved: 'var(--color-timber)', inferred: '#f0e1c6', guessed: 'none' }
const dash: Record<SupportState, string | undefined> = { proved: undefined, inferred: undefined, guessed: '5 4' }
</script>

<template>
  <g>
    <path
      v-for="rafter in plan.supports.rafters"
      :key="rafter.number"
      :d="band(rafter)"
      :fill="fill[rafter.state]"
      stroke="var(--color-timber-edge)"
      :stroke-width="selection === rafterName(rafter.number) ? 2.5 : 1"
      :stroke-dasharray="dash[rafter.state]"
      pointer-events="all"
      class="cursor-pointer"
      @click="emit('select', rafterName(rafter.number))"
    />
    <rect
      v-for="line in plan.supports.across"
      :key="line.number"
      :x="scale.left"
      :width="scale.right - scale.left"
      :y="scale.y(line.centreMm + line.widthMm / 2)"
      :height="Math.max(2, line.widthMm * scale.pxPerMm)"
      :fill="fill[line.state]"
      stroke="var(--color-timber-edge)"
      :stroke-dasharray="dash[line.state]"
    />
    <line
      v-for="seam in plan.supports.seams"
      :key="seam.number"
      :x1="scale.x(seam.xMm)"
      :x2="scale.x(seam.xMm)"
      :y1="scale.bottom"
      :y2="scale.top"
      stroke="#7b8794"
      stroke-width="2.5"
    />
    <template
      v-for="rowMm in plan.supports.screws.rowsMm"
      :key="rowMm"
    >
      <circle
        v-for="xMm in plan.supports.screws.xMm"
        :key="xMm"
        :cx="scale.x(xMm)"
        :cy="scale.y(rowMm)"
        r="2"
        fill="#6b6b68"
      />
    </template>
    <rect
      v-for="(area, i) in plan.supports.areas"
      :key="i"
      :x="scale.x(area.along.fromMm)"
      :width="(area.along.toMm - area.along.fromMm) * scale.pxPerMm"
      :y="scale.y(area.up.toMm)"
      :height="(area.up.toMm - area.up.fromMm) * scale.pxPerMm"
      fill="var(--color-timber)"
      fill-opacity="0.28"
      stroke="var(--color-timber-edge)"
      stroke-width="1"
    />
  </g>
</template>
