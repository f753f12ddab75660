<script setup lang="ts">
/** The rung of proof: what is open, serial numbers, tests, commissioning, photographs, papers, hand-over. */
const { ask, open } = useProof()
const tabs = computed(() => [{ label: `Open: ${open.value.length}`, value: 'open' }, { label: 'Serials', value: 'serials' }, { label: 'Tests', value: 'tests' }, { label: 'Commissioning', value: 'gateway' }, { label: 'Photographs', value: 'pictures' }, { label: 'Papers', value: 'papers' }, { label: 'Hand-over', value: 'hand-over' }])
const tab = ref('open')
const views = { 'serials': resolveComponent('LazyProofSerials'), 'tests': resolveComponent('LazyProofTests'), 'gateway': resolveComponent('LazyProofCommission'), 'pictures': resolveComponent('LazyProofPictures'), 'papers': resolveComponent('LazyProofPapers'), 'hand-over': resolveComponent('LazyProofHandOver') } as Record<string, string | object>
</script>

<template>
  <div class="flex h-full flex-col">
    <PlannerStageTabs
      v-model="tab"
      :items="tabs"
    />
    <div
      v-if="ask"
      class="min-h-0 flex-1 overflow-y-auto px-4 pt-2 pb-4"
    >
      <ProofOpen
        v-if="tab === 'open'"
        @go="tab = $event"
      />
      <component
        :is="views[tab]"
        v-else
      />
    </div>
  </div>
</template>
