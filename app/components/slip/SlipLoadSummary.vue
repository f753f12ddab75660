<script setup lang="ts">
import { formatUse } from '#core/capacity'
import { checkTitle, checkWords, supportSums } from '#core/strength'
import { loadEditionNames } from '#core/job'
import { zonesOver, zoneWind } from '#core/loads'
import { force, formatQuantity, pressure } from '#core/units'

/** What loads the face and how far the worst of everything is used. */
const { job, facePlan, units } = useFace()
const loads = computed(() => facePlan.value.loading.loads)
const worst = computed(() => {
  const used = facePlan.value.uses.flatMap((use, r) => use ? [{ use, railId: facePlan.value.rails[r]!.id }] : [])
  return used.length ? used.reduce((a, b) => b.use.worst > a.use.worst ? b : a) : null
})
/** The suction of the zones that really lie over rails. */
const up = computed(() => {
  const found = loads.value
  const zones = new Set(facePlan.value.strength?.lines.flat().flatMap(one => zonesOver(one).slice(0, 1)) ?? [])
  const all = [...zones].map(zone => ({ zone, pa: found?.onModule[zone]?.upPa ?? 0 })).sort((a, b) => a.pa - b.pa)
  return all.length ? { least: all[0]!.pa, most: all.at(-1)!.pa, worst: all.at(-1)!.zone } : null
})
/** The working of the snow that is shown: the drift where there is one, else the greatest uniform case. */
const snowOf = computed(() => {
  const snow = loads.value?.snow
  return (snow?.drift ? snow.workings.at(-1) : snow?.workings.find(one => one.result.kind === 'pressure' && one.result.pa === snow.uniformPa) ?? snow?.workings[0])?.what ?? ''
})
const busiest = computed(() => {
  const plan = facePlan.value
  const sums = supportSums(plan.uses.flatMap((use, r) => use ? use.fixings.map((duty, i) => ({ duty, member: plan.fixings.rails[r]!.fixings[i]!.member })) : []))
  return sums.length ? sums.reduce((a, b) => b.downN > a.downN ? b : a) : null
})
</script>

<template>
  <dl
    class="mb-2 border-b border-graphite-300 pb-1"
    data-testid="load-summary"
  >
    <SlipLine label="Rules">
      {{ loadEditionNames[job.loads.rules.edition].split(':')[0] }}
    </SlipLine>
    <template v-if="loads">
      <SlipLine
        v-if="up"
        label="Wind up on a module"
        :working="zoneWind(up.worst)"
      >
        {{ formatQuantity(pressure(up.least), units) }}{{ up.most - up.least > 1 ? ` to ${formatQuantity(pressure(up.most), units)}` : '' }}
      </SlipLine>
      <SlipLine
        v-else-if="loads.wind.unknown.length"
        label="Wind"
        bad
      >
        not known
      </SlipLine>
      <SlipLine
        label="Snow on plan"
        :working="snowOf"
      >
        {{ formatQuantity(pressure(loads.snow.uniformPa), units) }}{{ loads.snow.drift ? `, to ${formatQuantity(pressure(loads.snow.balancedPa + loads.snow.drift.pa), units)} by the ridge` : '' }}
      </SlipLine>
      <SlipLine
        v-if="worst"
        label="Most used"
        :working="checkTitle(worst.use.governs)"
        :about="{ kind: 'rail', id: worst.railId }"
        :bad="worst.use.worst > 1.000001"
      >
        {{ formatUse(worst.use.worst) }}, {{ checkWords[worst.use.governs].name }}
      </SlipLine>
      <SlipLine
        v-if="busiest"
        label="Busiest support"
        working="Busiest support"
      >
        {{ busiest.member }}: {{ formatQuantity(force(busiest.downN), units) }} down
      </SlipLine>
    </template>
  </dl>
</template>
