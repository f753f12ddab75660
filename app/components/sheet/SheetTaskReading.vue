<script setup lang="ts">
import type { MarkTask } from '#core/markout'
import { formatQuantity, type UnitSystem } from '#core/units'

/** What the tape reads at a mark, or what a check has to come to. */
const { task, units } = defineProps<{ task: MarkTask, units: UnitSystem }>()
const mm = computed(() => task.kind !== 'check' ? task.mark.readingMm : task.check.value.kind === 'length' ? task.check.value.mm : null)
</script>

<template>
  <FieldLengthText
    v-if="mm !== null"
    :mm="mm"
    :units="units"
  />
  <template v-else-if="task.kind === 'check'">
    {{ formatQuantity(task.check.value, units) }}
  </template>
</template>
