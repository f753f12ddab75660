<script setup lang="ts">
import { areaMm2 } from '#core/geometry'
import { formatShare } from '#core/units'

/** Every part that was kept clear with the rule that took it and how much, and what is left. */
const { facePlan, units } = useFace()
const SQUARE_FEET_PER_M2 = 1 / 0.3048 ** 2
const area = (mm2: number) => units.value === 'imperial' ? `${(mm2 / 1e6 * SQUARE_FEET_PER_M2).toFixed(mm2 < 1e6 ? 1 : 0)} sq ft` : `${(mm2 / 1e6).toFixed(mm2 < 1e6 ? 2 : 1)} m²`
/** Strips that lie wholly under others take nothing and are left out. */
const taking = computed(() => facePlan.value.strips.filter(strip => strip.takesMm2 > 1000))
const faceMm2 = computed(() => areaMm2(facePlan.value.shape.region))
</script>

<template>
  <dl>
    <SlipLine
      label="Face"
      working="Area of the face"
    >
      {{ area(faceMm2) }}
    </SlipLine>
  </dl>
  <ul>
    <li
      v-for="(strip, i) in taking"
      :key="i"
      class="border-b border-dotted border-graphite-300 py-1.5"
    >
      <span class="flex items-baseline justify-between gap-3 text-[15px]">
        <span>{{ strip.of[0]!.toUpperCase() }}{{ strip.of.slice(1) }}<template v-if="strip.depthMm > 0">, <FieldLengthText
          :mm="strip.depthMm"
          :units="units"
        /></template></span>
        <b class="whitespace-nowrap"><WorkingFigure what="Left for modules">{{ area(strip.takesMm2) }}</WorkingFigure></b>
      </span>
      <span class="block text-[13px] text-muted">{{ strip.rule }}</span>
    </li>
  </ul>
  <dl>
    <SlipLine
      label="Left for modules"
      working="Left for modules"
    >
      {{ area(facePlan.regionAreaMm2) }}, {{ formatShare(facePlan.regionAreaMm2 / faceMm2) }}
    </SlipLine>
  </dl>
  <p class="mt-3 text-sm text-muted">
    Where strips lie over each other the first in this list is counted.
  </p>
</template>
