<script setup lang="ts">
import type { FacePlan } from '#core/plan'
import type { UnitSystem } from '#core/units'
import type { FaceScale } from '../../composables/useFaceScale'

const { plan, scale, selection, units } = defineProps<{ plan: FacePlan, scale: FaceScale, selection: string, units: UnitSystem }>()
const selectedRail = computed(() => plan.rails.findIndex(rail => rail.id === selection))
/** Spans and overhangs of the selected rail, as dimension lines on its outer side, clear of the module numbers. */
const dimensions = computed(() => {
  const rail = plan.rails[selectedRail.value]
  if (!rail) return []
  const xs = [rail.leftMm, ...plan.fixings.rails[selectedRail.value]!.fixings.map(fixing => fixing.xMm), rail.rightMm]
  return xs.slice(1).map((to, i) => ({ from: xs[i]!, to, overhang: i === 0 || i === xs.length - 2 })).filter(one => one.to - one.from > 0.5)
    .map(one => ({ ...one, bad: one.to - one.from > (one.overhang ? plan.limits.maxOverhangMm : plan.limits.maxSpanMm) + 0.01, y: scale.y(rail.yMm) + (rail.side === 'upper' ? -19 : 19) }))
})
</script>

<template>
  <g class="pointer-events-none">
    <g
      v-for="(one, i) in dimensions"
      :key="i"
    >
      <path
        :d="`M${scale.x(one.from)} ${one.y - 4} v8 M${scale.x(one.to)} ${one.y - 4} v8 M${scale.x(one.from)} ${one.y} H${scale.x(one.to)}`"
        :stroke="one.bad ? '#ffb4a8' : '#fff'"
        stroke-width="1.4"
        fill="none"
      />
      <g v-if="scale.x(one.to) - scale.x(one.from) > 34">
        <rect
          :x="(scale.x(one.from) + scale.x(one.to)) / 2 - runsWidth(lengthRuns(one.to - one.from, units), 11) / 2 - 4"
          :y="one.y - 8.5"
          :width="runsWidth(lengthRuns(one.to - one.from, units), 11) + 8"
          height="16"
          :fill="one.bad ? '#a3291c' : '#fff'"
        />
        <FaceFractionText
          :mm="one.to - one.from"
          :units="units"
          :size="11"
          :x="(scale.x(one.from) + scale.x(one.to)) / 2"
          :y="one.y + 4"
          text-anchor="middle"
          font-weight="600"
          :fill="one.bad ? '#fff' : '#22272e'"
        />
      </g>
    </g>
  </g>
</template>
