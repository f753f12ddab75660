<script setup lang="ts">
import type { FacePlan } from '#core/plan'
import type { FaceScale } from '../../composables/useFaceScale'

/** Course lines where they are, and the joints of tiles, slates and sheets where there is room to see them. */
const { plan, scale } = defineProps<{ plan: FacePlan, scale: FaceScale }>()
const LEAST_PX = 7
const joints = computed(() => {
  const [a, b] = plan.joints
  if (!a || !b) return ''
  const gap = Math.abs(b.xMm - a.xMm) || 1000
  return gap * scale.pxPerMm < LEAST_PX ? '' : plan.joints.map(joint => `M${scale.x(joint.xMm).toFixed(1)} ${scale.y(joint.fromMm).toFixed(1)}V${scale.y(joint.toMm).toFixed(1)}`).join('')
})
/** Courses closer than this on the screen would be a grey: every second, third … one is drawn. */
const courses = computed(() => {
  const apart = plan.courses.length > 1 ? (plan.courses[1]! - plan.courses[0]!) * scale.pxPerMm : 99
  const every = Math.max(1, Math.ceil(3.5 / apart))
  return plan.courses.filter((_, i) => i % every === 0)
})
</script>

<template>
  <g
    class="pointer-events-none"
    stroke="#ddd8c9"
    stroke-width="1"
    fill="none"
  >
    <line
      v-for="course in courses"
      :key="course"
      :x1="scale.left"
      :x2="scale.right"
      :y1="scale.y(course)"
      :y2="scale.y(course)"
    />
    <path
      v-if="joints"
      :d="joints"
      stroke="#e6e1d3"
    />
  </g>
</template>
