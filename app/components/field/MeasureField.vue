<script setup lang="ts">
import { done, type Outcome } from '#core/outcome'
import { formatMeasure, type Measure, parseMeasure, type UnitSystem } from '#core/units'

/** A figure typed with its unit: a pressure, a force, a speed, a share, a factor. With `optional`, an emptied field means “by rule”. */
const { label, value, measure, units, commit, hint, optional } = defineProps<{
  label: string
  value: number | null
  measure: Measure
  units: UnitSystem
  commit: (value: number | null) => Outcome<unknown>
  hint?: string
  optional?: boolean
}>()

const shown = computed(() => value === null ? '' : formatMeasure(value, measure, units))

function take(text: string): Outcome<unknown> {
  if (optional && !text.trim()) return value === null ? done(true) : commit(null)
  const parsed = parseMeasure(text, measure, units)
  return parsed.ok ? commit(parsed.value) : parsed
}
</script>

<template>
  <FieldTypedField
    :label="label"
    :shown="shown"
    :hint="hint"
    :commit="take"
  />
</template>
