<script setup lang="ts">
/** The rung of the wall and the grid: walls to scale, one-line diagram, runs and joints, connection, labels. */
const { grid, ground } = useGrid()
const route = useRoute()
const file = (name: string) => ({ to: `/api/jobs/${String(route.params.id)}/${name}`, external: true, target: '_blank' })
const files = computed(() => [
  { label: 'Permit pack (PDF)', ...file('permit.pdf') }, { label: 'One-line (SVG)', ...file('ground/one-line.svg') }, { label: 'One-line (DXF)', ...file('ground/one-line.dxf') },
  ...ground.value!.walls.flatMap(wall => [{ label: `${wall.name} (SVG)`, ...file(`ground/${wall.id}.svg`) }, { label: `${wall.name} (DXF)`, ...file(`ground/${wall.id}.dxf`) }]),
])
const tabs = [{ label: 'Wall', value: 'wall' }, { label: 'One-line', value: 'line' }, { label: 'Runs', value: 'runs' }, { label: 'Connection', value: 'connection' }, { label: 'Labels', value: 'labels' }]
const tab = ref('wall')
</script>

<template>
  <div>
    <GroundBegin v-if="!grid || !ground" />
    <template v-else>
      <div class="flex items-center justify-between gap-2 pr-4">
        <PlannerStageTabs
          v-model="tab"
          :items="tabs"
          class="min-w-0 flex-1"
        />
        <UDropdownMenu :items="files">
          <UButton
            size="xs"
            color="neutral"
            variant="outline"
            icon="i-lucide-download"
            label="Files"
            trailing-icon="i-lucide-chevron-down"
            class="no-print shrink-0"
          />
        </UDropdownMenu>
      </div>
      <GroundWalls
        v-if="tab === 'wall'"
        class="min-h-0 flex-1 overflow-y-auto px-4 pt-2 pb-3"
        tabindex="0"
        role="region"
        aria-label="Wall"
      />
      <GroundOneLine
        v-else-if="tab === 'line'"
        class="min-h-0 flex-1 px-4 pb-2"
      />
      <GroundRuns
        v-else-if="tab === 'runs'"
        class="min-h-0 flex-1 overflow-y-auto px-4 pt-2 pb-4"
        tabindex="0"
        role="region"
        aria-label="Runs and joints"
      />
      <GroundConnection
        v-else-if="tab === 'connection'"
        class="min-h-0 flex-1 overflow-y-auto px-4 pt-2 pb-4"
        tabindex="0"
        role="region"
        aria-label="Connection"
      />
      <GroundLabels
        v-else
        class="min-h-0 flex-1 overflow-y-auto px-4 pt-2 pb-4"
        tabindex="0"
        role="region"
        aria-label="Labels"
      />
    </template>
  </div>
</template>
