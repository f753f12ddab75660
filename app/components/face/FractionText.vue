<script setup lang="ts">
import type { UnitSystem } from '#core/units'

/** A length inside a drawing, with a real fraction. */
const { mm, units, size = 13 } = defineProps<{ mm: number, units: UnitSystem, size?: number }>()
const runs = computed(() => lengthRuns(mm, units))
const SHIFT = { over: -0.34, slash: 0, under: 0.1, figures: 0 }
/** SVG shifts each run from where the one before left off, so each undoes the last. */
const shifts = computed(() => runs.value.map((run, i) => (SHIFT[run.kind] - (i ? SHIFT[runs.value[i - 1]!.kind] : 0)) * size))
</script>

<template>
  <text :font-size="size">
    <tspan
      v-for="(run, i) in runs"
      :key="i"
      :dy="shifts[i]"
      :font-size="run.kind === 'over' || run.kind === 'under' ? size * 0.68 : size"
      :dx="run.kind === 'over' ? 1.5 : 0"
    >
      {{ run.text }}
    </tspan>
  </text>
</template>
