<script setup lang="ts">
import type { FacePlan } from '#core/plan'
import type { FaceScale } from '../../composables/useFaceScale'

/** Rails with their splices; one outside its clamp zone is broken and brick. */
const { plan, scale, selection } = defineProps<{ plan: FacePlan, scale: FaceScale, selection: string }>()
const emit = defineEmits<{ select: [railId: string] }>()
</script>

<template>
  <g>
    <g
      v-for="rail in plan.rails"
      :key="rail.id"
      class="cursor-pointer"
      @click="emit('select', rail.id)"
    >
      <line
        :x1="scale.x(rail.fromMm)"
        :x2="scale.x(rail.toMm)"
        :y1="scale.y(rail.yMm)"
        :y2="scale.y(rail.yMm)"
        stroke="transparent"
        stroke-width="22"
      />
      <line
        v-if="rail.id === selection"
        :x1="scale.x(rail.fromMm)"
        :x2="scale.x(rail.toMm)"
        :y1="scale.y(rail.yMm)"
        :y2="scale.y(rail.yMm)"
        stroke="#fff"
        stroke-width="8"
      />
      <line
        :x1="scale.x(rail.fromMm)"
        :x2="scale.x(rail.toMm)"
        :y1="scale.y(rail.yMm)"
        :y2="scale.y(rail.yMm)"
        :stroke="rail.inZone ? (rail.id === selection ? '#1c5fae' : '#7db2ea') : '#e0705f'"
        :stroke-width="rail.id === selection ? 4 : 3"
        :stroke-dasharray="rail.inZone ? undefined : '8 4'"
      />
    </g>
    <g
      v-for="(splice, i) in plan.sticks.splices"
      :key="i"
      class="pointer-events-none"
    >
      <rect
        :x="scale.x(splice.xMm) - 2"
        :y="scale.y(plan.rails.find(rail => rail.id === splice.railId)!.yMm) - 6"
        width="4"
        height="12"
        fill="#fff"
        stroke="#1c5fae"
        stroke-width="1.2"
      />
    </g>
  </g>
</template>
