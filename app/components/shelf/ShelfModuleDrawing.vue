<script setup lang="ts">
import { z } from 'zod'
import { moduleSchema } from '#core/catalogue'
import { formatLength, type UnitSystem } from '#core/units'

/** A module seen from the front, to scale: where clamps may hold its frame, where it is rated, where its box sits. A misread zone shows here at once. */
const { item, units } = defineProps<{ item: Record<string, unknown>, units: UnitSystem }>()
const { longMm, shortMm, clampZones, junctionBox } = moduleSchema.shape
const sizes = z.object({ longMm, shortMm, clampZones })
const module = computed(() => sizes.safeParse(item).data ?? null)
const junction = computed(() => junctionBox.safeParse(item.junctionBox).data ?? null)
const BAND = 55
/** A zone counts from both corners of its edge, on both edges. */
const bands = computed(() => {
  if (!module.value) return []
  const { longMm: long, shortMm: short, clampZones: { longEdge, shortEdge } } = module.value
  const wide = Math.max(0, longEdge.toMm - longEdge.fromMm)
  const high = Math.max(0, shortEdge.toMm - shortEdge.fromMm)
  return [
    ...[0, short - BAND].flatMap(y => [longEdge.fromMm, long - longEdge.fromMm - wide].map(x => ({ x, y, width: wide, height: BAND }))),
    ...[0, long - BAND].flatMap(x => [shortEdge.fromMm, short - shortEdge.fromMm - high].map(y => ({ x, y, width: BAND, height: high }))),
  ]
})
</script>

<template>
  <figure
    v-if="module"
    class="my-2"
  >
    <svg
      :viewBox="`-10 -10 ${module.longMm + 20} ${module.shortMm + 20}`"
      role="img"
      :aria-label="`The module to scale, ${formatLength(module.longMm, units)} by ${formatLength(module.shortMm, units)}, with its clamp zones`"
      class="mx-auto max-h-44 w-full"
    >
      <rect
        :width="module.longMm"
        :height="module.shortMm"
        class="fill-module stroke-module-edge"
        stroke-width="10"
      />
      <rect
        v-for="(band, i) in bands"
        :key="i"
        v-bind="band"
        class="fill-crayon"
      />
      <rect
        v-if="junction"
        :x="junction.fromEndMm - 55"
        :y="module.shortMm / 2 + junction.fromMiddleMm - 40"
        width="110"
        height="80"
        class="fill-none stroke-white"
        stroke-width="9"
        stroke-dasharray="24 14"
      />
    </svg>
    <figcaption class="mt-1 text-[13px] text-muted">
      <span class="mr-1 inline-block size-2.5 bg-crayon" />clamp zones: {{ formatLength(module.clampZones.longEdge.fromMm, units) }} to {{ formatLength(module.clampZones.longEdge.toMm, units) }} on the long edges, {{ formatLength(module.clampZones.shortEdge.fromMm, units) }} to {{ formatLength(module.clampZones.shortEdge.toMm, units) }} on the short ones{{ junction ? '; dashed: the junction box' : '' }}
    </figcaption>
  </figure>
</template>
