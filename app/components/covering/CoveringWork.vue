<script setup lang="ts">
/** The covering's rung: the section through one fixing, all of them, the face with what is opened, and what it takes. */
const { face, facePlan } = useFace()
const tabs = [{ label: 'Section', value: 'section' }, { label: 'All fixings', value: 'all' }, { label: 'Units to lift', value: 'units' }, { label: 'Take-off', value: 'take-off' }]
const tab = ref('section')
// The face is looked at there for what is opened, which modules would lie over.
useBorrowedLayers(() => tab.value === 'units' && !face.value.inRoof ? { o: true, m: false } : null)
</script>

<template>
  <InRoofWork v-if="face.inRoof">
    <slot />
  </InRoofWork>
  <div v-else>
    <PlannerStageTabs
      v-model="tab"
      :items="tabs"
    />
    <p
      v-if="!facePlan.openings.length && tab !== 'units'"
      class="max-w-prose p-6 text-lg"
    >
      No fixing goes through this covering yet. {{ facePlan.fixings.total ? 'The shelf does not say how the chosen mount is closed here: put its way on the shelf, or take another mount.' : 'Set the rows and rails first: each fixing then gets its section, its card and its parts.' }}
    </p>
    <CoveringSection
      v-else-if="tab === 'section'"
      class="min-h-0 flex-1"
    />
    <CoveringList
      v-else-if="tab === 'all'"
      class="min-h-0 flex-1 overflow-y-auto px-4 pb-4"
    />
    <template v-else-if="tab === 'units'">
      <FaceLayerBar class="no-print px-4 py-1 max-md:flex-nowrap max-md:overflow-x-auto" />
      <slot />
    </template>
    <CoveringTakeoff
      v-else
      class="min-h-0 flex-1 overflow-y-auto px-4 pb-4"
    />
  </div>
</template>
