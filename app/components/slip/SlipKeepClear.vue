<script setup lang="ts">
import { areaMm2 } from '#core/geometry'
import type { EdgeKind, Setbacks, Side } from '#core/job'

const { face, facePlan, units, commit } = useFace()
/** Every setback that an edge of this face keeps, top first. */
const all: { key: keyof Setbacks, label: string, of: (edge: { kind: EdgeKind, side: Side | null }) => boolean }[] = [
  { key: 'ridgeMm', label: 'Below the ridge', of: edge => edge.kind === 'ridge' },
  { key: 'hipMm', label: 'From a hip', of: edge => edge.kind === 'hip' },
  { key: 'valleyMm', label: 'From a valley', of: edge => edge.kind === 'valley' },
  { key: 'wallMm', label: 'From a wall', of: edge => edge.kind === 'wall' },
  { key: 'leftRakeMm', label: 'From the left rake', of: edge => edge.kind === 'rake' && edge.side !== 'right' },
  { key: 'rightRakeMm', label: 'From the right rake', of: edge => edge.kind === 'rake' && edge.side === 'right' },
  { key: 'eaveMm', label: 'Above the eave', of: edge => edge.kind === 'eave' },
]
const edges = computed(() => all.filter(one => facePlan.value.shape.edges.some(one.of)))
const areaM2 = computed(() => facePlan.value.regionAreaMm2 / 1e6)
const faceM2 = computed(() => areaMm2(facePlan.value.shape.region) / 1e6)
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
