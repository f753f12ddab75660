<script setup lang="ts">
/** The wiring's rung: the face and the whole roof with units, trunks and strings; circuits and their figures; the sheet by row; shutdown and bond. */
const tabs = [{ label: 'This face', value: 'face' }, { label: 'Whole roof', value: 'roof' }, { label: 'Circuits', value: 'circuits' }, { label: 'Sheet', value: 'sheet' }, { label: 'Shutdown and bond', value: 'safety' }, { label: 'Plugs', value: 'plugs' }]
const tab = ref('face')
useBorrowedLayers(() => tab.value === 'face' ? { w: true, c: false, k: false, f: false, r: false } : null)
</script>

<template>
  <div>
    <PlannerStageTabs
      v-model="tab"
      :items="tabs"
    />
    <WiringRoof
      v-if="tab === 'roof'"
      class="min-h-0 flex-1 px-4 pb-2"
    />
    <WiringCircuits
      v-else-if="tab === 'circuits'"
      class="min-h-0 flex-1 overflow-y-auto px-4 pb-4"
      tabindex="0"
      role="region"
      aria-label="Circuits"
    />
    <WiringSheet
      v-else-if="tab === 'sheet'"
      class="min-h-0 flex-1 overflow-y-auto px-4 pb-4 print:overflow-visible"
      tabindex="0"
      role="region"
      aria-label="Wiring sheet"
    />
    <WiringSafety
      v-else-if="tab === 'safety'"
      class="min-h-0 flex-1 overflow-y-auto px-4 pb-4"
      tabindex="0"
      role="region"
      aria-label="Shutdown and bond"
    />
    <WiringPlugs
      v-else-if="tab === 'plugs'"
      class="min-h-0 flex-1 overflow-y-auto px-4 pb-4"
      tabindex="0"
      role="region"
      aria-label="Plugs made on site"
    />
    <template v-else>
      <FaceLayerBar class="no-print px-4 py-1 max-md:flex-nowrap max-md:overflow-x-auto" />
      <slot />
      <p class="shrink-0 px-4 pb-2 text-sm text-muted">
        A square is a unit, the cross the roof box. 2.5 is the fifth on circuit 2; each circuit’s line is drawn its own way. + and − are where a string’s home runs leave.
      </p>
    </template>
  </div>
</template>
