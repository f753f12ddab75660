<script setup lang="ts">
import { layerSwitches, useLayers } from '../../composables/useLayers'

/** Switches the drawing's layers. */
const { shows, toggle } = useLayers()
const { face } = useFace()
const switches = computed(() => layerSwitches.filter(({ only }) => !only || only === (face.value.inRoof ? 'in-roof' : 'on-rails')))
</script>

<template>
  <div
    class="flex flex-wrap items-center gap-0.5"
    role="group"
    aria-label="Layers of the drawing"
  >
    <button
      v-for="layer in switches"
      :key="layer.key"
      type="button"
      class="shrink-0 border-b-2 px-1 py-0.5 text-sm whitespace-nowrap"
      :class="shows[layer.key] ? 'border-chalk-500 text-graphite-900' : 'border-transparent text-graphite-500 line-through'"
      :aria-pressed="shows[layer.key]"
      :title="`${layer.name}: key ${layer.key.toUpperCase()}`"
      @click="toggle(layer.key)"
    >
      {{ layer.name }}
    </button>
  </div>
</template>
