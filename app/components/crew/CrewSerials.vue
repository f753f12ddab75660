<script setup lang="ts">
/** Serial numbers as modules go on: the place in hand large, the face small beside it. */
const serials = useSerials()
const faceId = computed(() => serials.place.value?.faceId)
</script>

<template>
  <div class="min-h-0 flex-1 overflow-y-auto px-3 pt-2 pb-4">
    <ProofMap
      v-if="faceId"
      :serials="serials"
      :face-id="faceId"
    />
    <ProofSerialEntry
      :serials="serials"
      glare
    />
  </div>
</template>
