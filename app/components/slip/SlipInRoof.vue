<script setup lang="ts">
/** An in-roof array: where it stands, what was found on arrival, what holds it; or the choice of its system. */
const { face } = useFace()
const part = ref('set-out')
const parts = [{ label: 'Set-out', value: 'set-out' }, { label: 'Arrival', value: 'arrival' }, { label: 'Holding', value: 'holding' }]
</script>

<template>
  <template v-if="face.inRoof">
    <SlipTabs
      v-model="part"
      :parts="parts"
    />
    <InRoofSetOut
      v-if="part === 'set-out'"
      :key="face.id"
    />
    <InRoofArrival
      v-else-if="part === 'arrival'"
      :key="face.id"
    />
    <InRoofHolding
      v-else
      :key="face.id"
    />
  </template>
  <template v-else>
    <p class="mb-2 text-[15px] leading-snug">
      This face is felt and battens: the array will be its covering. Say on the survey which tile or slate will lie round it, and choose the system here.
    </p>
    <InRoofTake />
  </template>
</template>
