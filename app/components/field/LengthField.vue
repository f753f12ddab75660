<script setup lang="ts">
import { done, type Outcome } from '#core/outcome'
import { formatLength, parseLength, type UnitSystem } from '#core/units'

/** A length typed the way people write lengths. With `optional`, an emptied field means “by rule”. */
const { label, mm, units, commit, hint, optional } = defineProps<{
  label: string
  mm: number | null
  units: UnitSystem
  commit: (mm: number | null) => Outcome<unknown>
  hint?: string
  optional?: boolean
}>()

const shown = computed(() => mm === null ? '' : formatLength(mm, units))

function take(text: string): Outcome<unknown> {
  if (optional && !text.trim()) return mm === null ? done(true) : commit(null)
  const parsed = parseLength(text, units)
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
