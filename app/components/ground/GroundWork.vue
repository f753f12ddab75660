<script setup lang="ts">
/** The rung of the wall and the grid: walls to scale, one-line diagram, runs and joints, connection, labels. */
const { grid } = useGrid()
const tabs = [{ label: 'Wall', value: 'wall' }, { label: 'One-line', value: 'line' }, { label: 'Runs', value: 'runs' }, { label: 'Connection', value: 'connection' }, { label: 'Labels', value: 'labels' }]
const tab = ref('wall')
</script>

<template>
  <div>
    <GroundBegin v-if="!grid" />
    <template v-else>
      <PlannerStageTabs
        v-model="tab"
        :items="tabs"
      />
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
