<script setup lang="ts">
import type { Setbacks } from '#core/job'

const { face, facePlan, units, commit } = useFace()
const edges: { key: keyof Setbacks, label: string }[] = [
  { key: 'ridgeMm', label: 'Below the ridge' },
  { key: 'leftRakeMm', label: 'From the left rake' },
  { key: 'rightRakeMm', label: 'From the right rake' },
  { key: 'eaveMm', label: 'Above the eave' },
]
const areaM2 = computed(() => facePlan.value.regionAreaMm2 / 1e6)
const faceM2 = computed(() => face.value.outline.eaveLengthMm * face.value.outline.slopeLengthMm / 1e6)
const SQUARE_FEET_PER_M2 = 1 / 0.3048 ** 2
const area = (m2: number) => units.value === 'imperial' ? `${Math.round(m2 * SQUARE_FEET_PER_M2)} sq ft` : `${m2.toFixed(1)} m²`
</script>

<template>
  <h2 class="slip-title">
    Setbacks of this face
  </h2>
  <FieldLengthField
    v-for="edge in edges"
    :key="edge.key"
    :label="edge.label"
    :mm="face.setbacks[edge.key]"
    :units="units"
    :commit="mm => commit(faceEdit(face.id, { setbacks: { ...face.setbacks, [edge.key]: mm! } }))"
  />
  <dl class="mt-3">
    <SlipLine label="Face">
      {{ area(faceM2) }}
    </SlipLine>
    <SlipLine label="Left for modules">
      {{ area(areaM2) }}, {{ Math.round(100 * areaM2 / faceM2) }} %
    </SlipLine>
  </dl>
  <p class="mt-4 text-sm text-muted">
    What must stay clear for the fire service depends on the code’s edition, the whole roof and the local authority. These are the figures you type; three feet from ridge and rakes is common practice, not a rule.
  </p>
</template>
