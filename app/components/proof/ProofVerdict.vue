<script setup lang="ts">
import type { Verdict } from '#core/proof'

/** What a reading comes to: the sentence, and where it lies in the band of a good one. */
const { verdict, glare = false } = defineProps<{ verdict: Verdict, glare?: boolean }>()
/** Where the reading lies, with as much room on both sides of the band as shows it. */
const scale = computed(() => {
  const { expected } = verdict
  if (!expected || expected.to === Infinity || expected.from === 0) return null
  const half = Math.max(expected.to - expected.value, 1.2 * Math.abs(expected.read - expected.value)) * 1.25
  const at = (value: number) => 50 + 50 * (value - expected.value) / half
  return { from: at(expected.from), to: at(expected.to), read: Math.min(99, Math.max(1, at(expected.read))) }
})
</script>

<template>
  <div>
    <p
      class="leading-snug"
      :class="[glare ? 'text-lg font-semibold' : 'text-[15px]', verdict.state === 'fail' ? glare ? 'text-[#a3291c]' : 'font-semibold text-brick-600' : '']"
    >
      {{ verdict.sentence }}
    </p>
    <svg
      v-if="scale"
      viewBox="0 0 100 8"
      preserveAspectRatio="none"
      class="mt-1 h-3 w-full"
      role="img"
      :aria-label="`Read ${verdict.expected!.read} ${verdict.expected!.unit}; a good one lies from ${verdict.expected!.from.toFixed(1)} to ${verdict.expected!.to.toFixed(1)} ${verdict.expected!.unit}`"
    >
      <line
        x1="0"
        x2="100"
        y1="4"
        y2="4"
        class="stroke-graphite-400"
        stroke-width="0.6"
        vector-effect="non-scaling-stroke"
      />
      <rect
        :x="scale.from"
        y="1.5"
        :width="scale.to - scale.from"
        height="5"
        class="fill-lichen-500/30"
      />
      <rect
        :x="scale.read - 0.5"
        y="0"
        width="1"
        height="8"
        :class="verdict.state === 'fail' ? 'fill-brick-500' : 'fill-graphite-900'"
      />
    </svg>
  </div>
</template>
