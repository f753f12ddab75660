<script setup lang="ts">
import { faceAxes, type LaidFace, planOutline } from '#core/roof'
import { windName } from '#core/units'

/** The roof from above, north up: each face is pressed to carry modules or to stay bare. */
const { faces, carries, modules } = defineProps<{ faces: LaidFace[], carries: string[], /** Modules that each face carries as planned, by its place in the list. */ modules: number[] }>()
const emit = defineEmits<{ toggle: [name: string] }>()
const outlines = computed(() => faces.map(face => ({ face, points: planOutline(face) })))
const box = computed(() => {
  const all = outlines.value.flatMap(one => one.points)
  const [xs, ys] = [all.map(point => point.x), all.map(point => point.y)]
  const [minX, maxX, minY, maxY] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
  const pad = Math.max(maxX - minX, maxY - minY) * 0.06
  return { x: minX - pad, y: -maxY - pad, width: maxX - minX + 2 * pad, height: maxY - minY + 2 * pad }
})
const unit = computed(() => Math.max(box.value.width / 2.4, box.value.height) / 100)
const d = (points: { x: number, y: number }[]) => `M${points.map(point => `${point.x} ${-point.y}`).join('L')}Z`
const middleOf = (points: { x: number, y: number }[]) => ({ x: points.reduce((sum, point) => sum + point.x, 0) / points.length, y: -points.reduce((sum, point) => sum + point.y, 0) / points.length })
const arrow = (face: LaidFace, points: { x: number, y: number }[]) => {
  const { uphill } = faceAxes(face.place.azimuthDeg)
  const at = middleOf(points)
  // Below the name on the slope, or beside it, so that neither hides the other.
  const [x, y] = [-uphill.x * unit.value, uphill.y * unit.value]
  return `M${at.x + 9 * x} ${at.y + 9 * y} l${12 * x} ${12 * y}`
}
const does = (face: LaidFace) => carries.includes(face.name)
</script>

<template>
  <svg
    :viewBox="`${box.x} ${box.y} ${box.width} ${box.height}`"
    class="h-44 w-full"
    role="group"
    aria-label="The roof from above, north up: press a face to carry modules"
  >
    <g
      v-for="({ face, points }, i) in outlines"
      :key="face.name"
      role="checkbox"
      tabindex="0"
      class="cursor-pointer"
      :aria-label="`${face.name}, faces ${windName(face.place.azimuthDeg)}`"
      :aria-checked="does(face)"
      @click="emit('toggle', face.name)"
      @keydown.enter="emit('toggle', face.name)"
      @keydown.space.prevent="emit('toggle', face.name)"
    >
      <path
        :d="d(points)"
        :fill="does(face) ? 'var(--color-chalk-500)' : 'var(--color-graphite-100)'"
        stroke="var(--color-graphite-900)"
        stroke-linejoin="round"
        :stroke-width="unit * 0.9"
      />
      <path
        :d="arrow(face, points)"
        :stroke="does(face) ? 'var(--color-sheet)' : 'var(--color-graphite-500)'"
        :stroke-width="unit"
        fill="none"
      />
      <text
        :x="middleOf(points).x"
        :y="middleOf(points).y + unit * 3"
        text-anchor="middle"
        :font-size="unit * 9"
        font-weight="700"
        :fill="does(face) ? 'var(--color-sheet)' : 'var(--color-graphite-700)'"
      >{{ face.name }}{{ does(face) ? `: ${modules[i] ?? 0}` : '' }}</text>
    </g>
  </svg>
</template>
