<script setup lang="ts">
import type { Face, Site } from '#core/job'
import { planOutline } from '#core/roof'
import { windName } from '#core/units'

/** The whole roof from above, north up, with the street's side: a face is picked here. */
const { faces, site, current, size = 'large' } = defineProps<{ faces: Face[], site: Site, current: string, size?: 'small' | 'large' }>()
const emit = defineEmits<{ pick: [faceId: string] }>()

const outlines = computed(() => faces.map(face => ({ face, points: planOutline(face) })))
const box = computed(() => planBox(outlines.value.map(one => one.points), size === 'large' ? 0.24 : 0.06))
const unit = computed(() => Math.max(box.value.width, box.value.height) / 100)
const sides = computed(() => [
  ...(site.streetDeg === null ? [] : [{ name: 'Street', deg: site.streetDeg }]),
  ...(site.drivewayDeg === null ? [] : [{ name: 'Drive', deg: site.drivewayDeg }]),
].map((side) => {
  const angle = side.deg * Math.PI / 180
  const [sin, cos] = [Math.sin(angle), -Math.cos(angle)]
  const reach = Math.min(box.value.width / 2 / Math.max(Math.abs(sin), 1e-6), box.value.height / 2 / Math.max(Math.abs(cos), 1e-6)) - unit.value * 6
  return { ...side, x: box.value.middle.x + sin * reach, y: box.value.middle.y + cos * reach }
}))
</script>

<template>
  <svg
    :viewBox="`${box.x} ${box.y} ${box.width} ${box.height}`"
    :class="size === 'large' ? 'h-52 w-full' : 'h-11 w-24'"
    role="group"
    aria-label="The roof from above, north up"
  >
    <g
      v-for="{ face, points } in outlines"
      :key="face.id"
      role="button"
      :tabindex="size === 'large' || faces.length > 1 ? 0 : -1"
      class="cursor-pointer"
      :aria-label="`${face.name}, faces ${windName(face.place.azimuthDeg)}`"
      :aria-pressed="face.id === current"
      @click="emit('pick', face.id)"
      @keydown.enter="emit('pick', face.id)"
      @keydown.space.prevent="emit('pick', face.id)"
    >
      <path
        :d="planPath(points)"
        :fill="face.id === current ? 'var(--color-chalk-500)' : 'var(--color-graphite-100)'"
        stroke="var(--color-graphite-900)"
        stroke-linejoin="round"
        :stroke-width="size === 'large' ? unit * 0.9 : unit * 2.2"
      />
      <template v-if="size === 'large'">
        <path
          :d="downhillPath(face.place.azimuthDeg, points, 0, 9 * unit)"
          :stroke="face.id === current ? 'var(--color-sheet)' : 'var(--color-graphite-500)'"
          :stroke-width="unit * 0.9"
          fill="none"
          marker-end="url(#downhill)"
        />
      </template>
    </g>
    <template v-if="size === 'large'">
      <defs>
        <marker
          id="downhill"
          viewBox="0 0 6 6"
          refX="3"
          refY="3"
          markerWidth="5"
          markerHeight="5"
          orient="auto"
        >
          <path
            d="M0 0 L6 3 L0 6 z"
            fill="context-stroke"
          />
        </marker>
      </defs>
      <text
        v-for="side in sides"
        :key="side.name"
        :x="side.x"
        :y="side.y + unit * 1.6"
        text-anchor="middle"
        :font-size="unit * 5"
        font-weight="700"
        fill="var(--color-chalk-600)"
      >{{ side.name }}</text>
      <text
        :x="box.x + unit * 3"
        :y="box.y + unit * 6"
        :font-size="unit * 5"
        font-weight="700"
        fill="var(--color-graphite-900)"
      >N ↑</text>
    </template>
  </svg>
</template>
