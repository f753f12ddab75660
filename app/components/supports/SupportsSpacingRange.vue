<script setup lang="ts">
import type { RafterSupports } from '#core/job'

/** Which spacings the fit may consider. */
const { supports } = defineProps<{ supports: RafterSupports }>()
const emit = defineEmits<{ set: [spacings: RafterSupports['spacings']] }>()
const { units } = useFace()
const free = computed(() => supports.spacings.kind === 'free' ? supports.spacings : null)
const choose = (kind: 'nominals' | 'free') => emit('set', kind === 'nominals' ? { kind } : { kind, fromMm: supports.spacingMm * 0.6, toMm: supports.spacingMm * 1.4 })
function change(values: { fromMm?: number, toMm?: number }) {
  const range = { ...free.value!, ...values }
  if (range.toMm <= range.fromMm) return { ok: false as const, problem: 'The greatest spacing must be above the least.' }
  emit('set', range)
  return { ok: true as const, value: true }
}
</script>

<template>
  <FieldChoiceField
    label="The fit looks among"
    :value="supports.spacings.kind"
    :choices="[{ label: 'Usual spacings and the typed one', value: 'nominals' }, { label: 'Any spacing in a range', value: 'free' }]"
    @choose="choose"
  />
  <template v-if="free">
    <FieldLengthField
      label="Least spacing"
      :mm="free.fromMm"
      :units="units"
      :commit="mm => change({ fromMm: mm! })"
    />
    <FieldLengthField
      label="Greatest spacing"
      :mm="free.toMm"
      :units="units"
      :commit="mm => change({ toMm: mm! })"
    />
  </template>
</template>
