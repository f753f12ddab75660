<script setup lang="ts">
import { formatQuantity, type Quantity, type UnitSystem } from '#core/units'

/** What a check has to come to: a length as a tape shows it, anything else with its unit. */
const { value, units } = defineProps<{ value: Quantity, units: UnitSystem }>()
</script>

<template>
  <FieldLengthText
    v-if="value.kind === 'length'"
    :mm="value.mm"
    :units="units"
  />
  <template v-else>
    {{ formatQuantity(value, units) }}
  </template>
</template>
