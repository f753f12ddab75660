<script setup lang="ts">
import { oneLineFigure } from '#core/sheets/ground'

/** The one-line diagram, laid out by itself. */
const { grid, plan, units, held, pick } = useGrid()
const drawn = computed(() => oneLineFigure(grid.value!, plan.value.wiring, units.value === 'metric'))
</script>

<template>
  <div class="flex min-h-0 flex-col">
    <!-- On a phone its words would be too small to read: there it is moved about. -->
    <div class="flex min-h-0 flex-1 max-md:overflow-auto">
      <GroundDrawing
        :drawn="drawn"
        :picked="held ? `${held.kind} ${held.id}` : null"
        label="One-line diagram, from the roof down to the grid"
        class="min-h-0 w-full flex-1 max-md:min-w-[46rem] max-md:shrink-0"
        @pick="pick($event.kind, $event.id)"
      />
    </div>
    <p class="shrink-0 text-sm text-muted">
      Letters are those of the wall, numbers those of the runs. Press a box or a run for its figures.
    </p>
  </div>
</template>
