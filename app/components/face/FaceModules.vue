<script setup lang="ts">
import type { FacePlan } from '#core/plan'
import type { FaceScale } from '../../composables/useFaceScale'

/** Modules where they lie, numbered along each row from the eave up, as the rows are laid. */
const { plan, scale, selection } = defineProps<{ plan: FacePlan, scale: FaceScale, selection: string }>()
const emit = defineEmits<{ select: [what: string] }>()
const firstNumber = (row: number) => plan.rows.rows.slice(0, row).reduce((sum, one) => sum + one.count, 1)
</script>

<template>
  <g>
    <template
      v-for="row in plan.rows.rows"
      :key="row.index"
    >
      <g
        v-for="(leftMm, i) in row.moduleLeftsMm"
        :key="i"
        class="cursor-pointer"
        @click="emit('select', `row ${row.index + 1}`)"
      >
        <rect
          :x="scale.x(leftMm)"
          :y="scale.y(row.topMm)"
          :width="row.moduleWidthMm * scale.pxPerMm"
          :height="row.moduleHeightMm * scale.pxPerMm"
          fill="var(--color-slate-module)"
          fill-opacity="0.86"
          :stroke="selection === `row ${row.index + 1}` ? 'var(--color-chalk-500)' : row.fits ? 'var(--color-slate-edge)' : 'var(--color-brick-500)'"
          :stroke-width="selection === `row ${row.index + 1}` || !row.fits ? 2.5 : 1.2"
        />
        <text
          v-if="row.moduleWidthMm * scale.pxPerMm > 16"
          :x="scale.x(leftMm + row.moduleWidthMm / 2)"
          :y="scale.y((row.bottomMm + row.topMm) / 2) + 5"
          text-anchor="middle"
          font-size="14"
          font-weight="600"
          fill="#e8ebee"
          class="pointer-events-none"
        >
          {{ firstNumber(row.index) + i }}
        </text>
      </g>
    </template>
  </g>
</template>
