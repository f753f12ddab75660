<script setup lang="ts">
import type { LoadLine } from '#core/sheets/loadout'
import type { UnitSystem } from '#core/units'

/** A part by its name, and by its length where it is sold by length. */
const { line } = defineProps<{ line: LoadLine, units: UnitSystem }>()
</script>

<template>
  <span>{{ line.name }}{{ line.lengthMm ? ', ' : '' }}<FieldLengthText
    v-if="line.lengthMm"
    :mm="line.lengthMm"
    :units="units"
  /></span>
</template>
