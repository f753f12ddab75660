<script setup lang="ts">
import type { FacePlan } from '#core/plan'
import { onFace, type RailPlan, skirtedLines } from '#core/rails'
import type { FaceScale } from '../../composables/useFaceScale'

/** Rails with their splices, or lines of coupled frames with their couplers and skirt; one outside its clamp zone is broken and brick. */
const { plan, scale, selection } = defineProps<{ plan: FacePlan, scale: FaceScale, selection: string }>()
const emit = defineEmits<{ select: [railId: string] }>()
const at = (rail: RailPlan, mm: number) => {
  const { xMm, yMm } = onFace(rail, mm)
  return { x: scale.x(xMm), y: scale.y(yMm) }
}
const ends = (rail: RailPlan) => {
  const [from, to] = [at(rail, rail.fromMm), at(rail, rail.toMm)]
  return { x1: from.x, y1: from.y, x2: to.x, y2: to.y }
}
/** Splices of rails and couplers of frames: small bars across the line. */
const joints = computed(() => [
  ...plan.sticks.splices.map((splice) => {
    const rail = plan.rails.find(one => one.id === splice.railId)!
    return { ...at(rail, splice.atMm), up: rail.way === 'up' }
  }),
  ...plan.rails.flatMap(rail => rail.couplers.map(mm => ({ ...at(rail, mm), up: false }))),
])
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
        v-bind="ends(rail)"
        stroke="transparent"
        stroke-width="22"
      />
      <line
        v-if="rail.id === selection"
        v-bind="ends(rail)"
        stroke="#fff"
        stroke-width="8"
      />
      <line
        v-bind="ends(rail)"
        :stroke="rail.inZone ? (rail.id === selection ? '#1c5fae' : '#7db2ea') : '#e0705f'"
        :stroke-width="rail.id === selection ? 4 : 3"
        :stroke-dasharray="rail.inZone ? undefined : '8 4'"
      />
    </g>
    <line
      v-for="line in skirtedLines(plan.rails)"
      :key="`skirt-${line.id}`"
      v-bind="ends(line)"
      class="pointer-events-none"
      transform="translate(0 5)"
      stroke="#22272e"
      stroke-width="4"
    />
    <rect
      v-for="(joint, i) in joints"
      :key="i"
      class="pointer-events-none"
      :x="joint.x - (joint.up ? 6 : 2)"
      :y="joint.y - (joint.up ? 2 : 6)"
      :width="joint.up ? 12 : 4"
      :height="joint.up ? 4 : 12"
      fill="#fff"
      stroke="#1c5fae"
      stroke-width="1.2"
    />
  </g>
</template>
