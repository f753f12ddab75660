<script setup lang="ts">
import { workingsFor } from '#core/hand'
import type { Ref as FaceRef } from '#core/trade'

/** A figure that opens its own working where it stands, by a press or by `.` once it has the focus. */
const { what, about = null } = defineProps<{ /** What its working is of, as the trade calls it, or how that begins. */ what: string, /** What it is a figure of; what is selected where that is left out. */ about?: FaceRef | null }>()
const { job, face, facePlan, units, selection } = useFace()
const open = ref(false)
const all = computed(() => open.value ? workingsFor({ job: job.value, face: face.value, plan: facePlan.value }, about ?? selection.value) : [])
const working = computed(() => all.value.find(one => one.what === what) ?? all.value.find(one => one.what.startsWith(what)) ?? null)
</script>

<template>
  <UPopover
    v-model:open="open"
    :ui="{ content: 'w-88 max-w-[calc(100vw-1rem)] max-h-[70dvh] overflow-y-auto rounded-sm border border-graphite-400 bg-sheet p-3' }"
    :content="{ side: 'left', align: 'start', collisionPadding: 8 }"
  >
    <button
      type="button"
      class="text-right underline decoration-graphite-400 decoration-dotted decoration-2 underline-offset-4 hover:decoration-chalk-500"
      :aria-label="undefined"
      title="How it comes about: press, or key ."
      @keydown="$event.key === '.' && ($event.preventDefault(), $event.stopPropagation(), open = true)"
    >
      <slot />
    </button>
    <template #content>
      <WorkingCard
        v-if="working"
        :working="working"
        :all="all"
        :units="units"
      />
      <p
        v-else-if="open"
        class="text-[15px]"
      >
        Nothing was worked out here: it is as it was typed or read.
      </p>
    </template>
  </UPopover>
</template>
