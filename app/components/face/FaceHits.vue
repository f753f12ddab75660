<script setup lang="ts">
import type { RafterSupports } from '#core/job'
import { hitStateNames, type RafterFit } from '#core/supports'
import type { FaceScale } from '../../composables/useFaceScale'

/** The hit log on the face: a filled mark for each reading, an open ring for a pilot that missed, a brick one for a hit that fits nowhere. */
const { supports, fit, scale } = defineProps<{ supports: RafterSupports, fit: RafterFit | null, scale: FaceScale }>()
const outliers = computed(() => new Set(fit?.checks.filter(check => check.outlier).map(check => check.hitId)))
const colour = (id: string, use: string) => use === 'set-aside' ? 'var(--color-graphite-400)' : outliers.value.has(id) ? 'var(--color-brick-500)' : 'var(--color-chalk-500)'
</script>

<template>
  <g class="pointer-events-none">
    <g
      v-for="hit in supports.hits"
      :key="hit.id"
      :transform="`translate(${scale.x(hit.xMm)} ${scale.y(hit.yMm)})`"
    >
      <circle
        r="6.5"
        fill="var(--color-sheet)"
        fill-opacity="0.9"
      />
      <circle
        v-if="hit.state === 'pilot-miss'"
        r="4.5"
        fill="none"
        stroke="var(--color-graphite-900)"
        stroke-width="2"
      />
      <path
        v-else-if="outliers.has(hit.id) || hit.use === 'set-aside'"
        d="M-4 -4L4 4M4 -4L-4 4"
        :stroke="colour(hit.id, hit.use)"
        stroke-width="2.4"
      />
      <circle
        v-else
        r="4.2"
        :fill="colour(hit.id, hit.use)"
      />
      <title>{{ hitStateNames[hit.state] }}</title>
    </g>
  </g>
</template>
