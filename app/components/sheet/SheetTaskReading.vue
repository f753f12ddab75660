<script setup lang="ts">
import type { MarkTask } from '#core/sheets/markout'
import type { UnitSystem } from '#core/units'

/** What the tape reads at a mark, or what a check has to come to. */
const { task, units } = defineProps<{ task: MarkTask, units: UnitSystem }>()
</script>

<template>
  <SheetQuantity
    :value="task.kind === 'check' ? task.check.value : { kind: 'length', mm: task.mark.readingMm }"
    :units="units"
  />
</template>
