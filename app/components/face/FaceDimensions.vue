<script setup lang="ts">
import type { FacePlan } from '#core/plan'
import { type Ref as FaceRef, sameRef } from '#core/trade'
import type { UnitSystem } from '#core/units'
import type { FaceScale } from '../../composables/useFaceScale'

const { plan, scale, selection, units } = defineProps<{ plan: FacePlan, scale: FaceScale, selection: FaceRef, units: UnitSystem }>()
const selectedRail = computed(() => plan.rails.findIndex(rail => sameRef(selection, { kind: 'rail', id: rail.id })))
/** Dimensions up the slope are drawn as those along the eave, and the whole turned to be read from the right. */
const turned = computed(() => plan.rails[selectedRail.value]?.way === 'up')
/** Spans and overhangs of the selected rail, as dimension lines clear of the module numbers and of the next rail. */
const dimensions = computed(() => {
  const rail = plan.rails[selectedRail.value]
  if (!rail) return []
  const xs = [rail.reach.fromMm, ...plan.fixings.rails[selectedRail.value]!.fixings.map(fixing => fixing.atMm), rail.reach.toMm]
  const run = (mm: number) => turned.value ? -scale.y(mm) : scale.x(mm)
  const line = turned.value ? scale.x(rail.lineMm) : scale.y(rail.lineMm)
  const beside = rail.side === 'upper' || rail.side === 'right' ? -19 : 19
  return xs.slice(1).map((to, i) => ({ mm: to - xs[i]!, from: run(xs[i]!), to: run(to), overhang: i === 0 || i === xs.length - 2 })).filter(one => one.mm > 0.5)
    .map(one => ({ ...one, bad: one.mm > (one.overhang ? plan.limits.maxOverhangMm : plan.limits.maxSpanMm) + 0.01, y: line + beside }))
})
</script>

<template>
  <g
    class="pointer-events-none"
    :transform="turned ? 'rotate(-90)' : undefined"
  >
    <g
      v-for="(one, i) in dimensions"
      :key="i"
    >
      <path
        :d="`M${one.from} ${one.y - 4} v8 M${one.to} ${one.y - 4} v8 M${one.from} ${one.y} H${one.to}`"
        :stroke="one.bad ? 'var(--color-brick-100)' : 'var(--color-sheet)'"
        stroke-width="1.4"
        fill="none"
      />
      <g v-if="one.to - one.from > 34">
        <rect
          :x="(one.from + one.to) / 2 - runsWidth(lengthRuns(one.mm, units), 11) / 2 - 4"
          :y="one.y - 8.5"
          :width="runsWidth(lengthRuns(one.mm, units), 11) + 8"
          height="16"
          :fill="one.bad ? 'var(--color-brick-500)' : 'var(--color-sheet)'"
        />
        <FaceFractionText
          :mm="one.mm"
          :units="units"
          :size="11"
          :x="(one.from + one.to) / 2"
          :y="one.y + 4"
          text-anchor="middle"
          font-weight="600"
          :fill="one.bad ? 'var(--color-sheet)' : 'var(--color-graphite-900)'"
        />
      </g>
    </g>
  </g>
</template>
