<script setup lang="ts">
import type { Obstruction } from '#core/job'
import { obstructionNames } from '#core/keepclear'
import type { FaceScale } from '../../composables/useFaceScale'

/** What stands on the face, to scale and named where there is room; each can be picked and then nudged. */
const { obstructions, scale, selection } = defineProps<{ obstructions: Obstruction[], scale: FaceScale, selection: string }>()
const emit = defineEmits<{ select: [id: string] }>()
const LEAST_PX_FOR_NAME = 40
const drawn = computed(() => obstructions.map(one => ({
  ...one, name: obstructionNames[one.kind][0]!.toUpperCase() + obstructionNames[one.kind].slice(1),
  named: one.widthMm * scale.pxPerMm > LEAST_PX_FOR_NAME, edge: one.id === selection ? 'var(--color-chalk-500)' : '#22272e', weight: one.id === selection ? 3 : 1.5,
})))
</script>

<template>
  <g
    v-for="one in drawn"
    :key="one.id"
    class="cursor-pointer"
    @click="emit('select', one.id)"
  >
    <ellipse
      v-if="one.round"
      :cx="scale.x(one.xMm)"
      :cy="scale.y(one.yMm)"
      :rx="Math.max(4, one.widthMm / 2 * scale.pxPerMm)"
      :ry="Math.max(4, one.widthMm / 2 * scale.pxPerMm)"
      fill="#e7d5cb"
      :stroke="one.edge"
      :stroke-width="one.weight"
    />
    <rect
      v-else
      :x="scale.x(one.xMm - one.widthMm / 2)"
      :y="scale.y(one.yMm + one.heightMm / 2)"
      :width="one.widthMm * scale.pxPerMm"
      :height="one.heightMm * scale.pxPerMm"
      fill="#e7d5cb"
      :stroke="one.edge"
      :stroke-width="one.weight"
    />
    <text
      v-if="one.named"
      :x="scale.x(one.xMm)"
      :y="scale.y(one.yMm) + 4"
      text-anchor="middle"
      font-size="10"
      font-weight="600"
      fill="#22272e"
      class="pointer-events-none"
    >
      {{ one.name.split(' ')[0] }}
    </text>
    <title>{{ one.name }}</title>
  </g>
</template>
