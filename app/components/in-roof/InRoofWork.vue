<script setup lang="ts">
import { pieceLetters, pieceNames } from '#core/inroof'

/** The rung of an in-roof array: set-out, battens and flashing on the face, what they are in order, and the face built both ways. */
const tabs = [{ label: 'Set-out', value: 'set-out' }, { label: 'Battens', value: 'battens' }, { label: 'Batten list', value: 'batten-list' }, { label: 'Flashing kit', value: 'flashing' }, { label: 'In order', value: 'order' }, { label: 'Both ways', value: 'compare' }, { label: 'Approved', value: 'approved' }]
const tab = ref('set-out')
const { facePlan } = useFace()
/** What the colours and letters of the drawing mean. */
const told = computed(() => {
  const within = facePlan.value.inRoof
  if (!within?.parts.length) return ''
  if (tab.value === 'battens') return 'Brown stays and carries, green is added, blue is moved, red is cut out; a dot is a screw.'
  if (tab.value === 'flashing') return `${[...new Set(within.kit.pieces.map(piece => piece.kind))].map(kind => `${pieceLetters[kind]} ${pieceNames[kind].toLowerCase()}`).join(', ')}.`
  return 'The pale ground is where units of the covering are left out.'
})
const layers: Record<string, Record<string, boolean>> = { 'set-out': { m: true, d: false, h: false }, 'battens': { m: false, d: true, h: false }, 'flashing': { m: true, d: false, h: true } }
useBorrowedLayers(() => layers[tab.value] ?? null)
</script>

<template>
  <div>
    <PlannerStageTabs
      v-model="tab"
      :items="tabs"
    />
    <InRoofCompare
      v-if="tab === 'compare'"
      class="min-h-0 flex-1 overflow-y-auto px-4 pb-4"
      tabindex="0"
      role="region"
      aria-label="Both ways"
    />
    <InRoofApproved
      v-else-if="tab === 'approved'"
      class="min-h-0 flex-1 overflow-y-auto px-4 pb-4"
      tabindex="0"
      role="region"
      aria-label="Modules approved"
    />
    <InRoofBattens
      v-else-if="tab === 'batten-list'"
      class="min-h-0 flex-1 overflow-y-auto px-4 pb-4"
      tabindex="0"
      role="region"
      aria-label="Battens"
    />
    <InRoofKit
      v-else-if="tab === 'order'"
      class="min-h-0 flex-1 overflow-y-auto px-4 pb-4"
      tabindex="0"
      role="region"
      aria-label="Kit, in order"
    />
    <template v-else>
      <FaceLayerBar class="no-print px-4 py-1 max-md:flex-nowrap max-md:overflow-x-auto" />
      <slot />
      <p
        v-if="told"
        class="shrink-0 px-4 pb-2 text-sm text-muted"
      >
        {{ told }}
      </p>
    </template>
  </div>
</template>
