<script setup lang="ts">
import type { Ref as FaceRef } from '#core/trade'
import type { Working } from '#core/working'

/** A figure that opens its own working where it stands, by a press or by `.` once it has the focus. */
const { what, about = null, given = [] } = defineProps<{ /** Workings of the whole roof, which no face has. */ given?: Working[], /** What its working is of, as the trade calls it, or how that begins. */ what: string, /** What it is a figure of; what is selected where that is left out. */ about?: FaceRef | null }>()
const open = ref(false)
const opened = useOpened(open)
const button = useTemplateRef('button')
</script>

<template>
  <button
    ref="button"
    type="button"
    class="text-right underline decoration-graphite-400 decoration-dotted decoration-2 underline-offset-4 hover:decoration-chalk-500"
    title="How it comes about: press, or key ."
    aria-haspopup="dialog"
    :aria-expanded="open"
    @click="open = !open"
    @keydown="$event.key === '.' && ($event.preventDefault(), $event.stopPropagation(), open = true)"
  >
    <slot />
    <LazyWorkingPop
      v-if="opened && button"
      v-model:open="open"
      :what="what"
      :about="about"
      :given="given"
      :at="button"
    />
  </button>
</template>
