<script setup lang="ts">
import { type LaidFace, planOutline } from '#core/roof'
import { windName } from '#core/units'

/** The roof from above, north up: each face is pressed to carry modules or to stay bare. */
const { faces, carries, modules } = defineProps<{ faces: LaidFace[], carries: string[], /** Modules that each face carries as planned, by its place in the list. */ modules: number[] }>()
const emit = defineEmits<{ toggle: [name: string] }>()
const outlines = computed(() => faces.map(face => ({ face, points: planOutline(face) })))
const box = computed(() => planBox(outlines.value.map(one => one.points), 0.06))
const unit = computed(() => Math.max(box.value.width / 2.4, box.value.height) / 100)
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
        :d="planPath(points)"
        :fill="does(face) ? 'var(--color-chalk-500)' : 'var(--color-graphite-100)'"
        stroke="var(--color-graphite-900)"
        stroke-linejoin="round"
        :stroke-width="unit * 0.9"
      />
      <path
        :d="downhillPath(face.place.azimuthDeg, points, 9 * unit, 12 * unit)"
        :stroke="does(face) ? 'var(--color-sheet)' : 'var(--color-graphite-500)'"
        :stroke-width="unit"
        fill="none"
      />
      <text
        :x="planMiddle(points).x"
        :y="planMiddle(points).y + unit * 3"
        text-anchor="middle"
        :font-size="unit * 9"
        font-weight="700"
        :fill="does(face) ? 'var(--color-sheet)' : 'var(--color-graphite-700)'"
      >{{ face.name }}{{ does(face) ? `: ${modules[i] ?? 0}` : '' }}</text>
    </g>
  </svg>
</template>
