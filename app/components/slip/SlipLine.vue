<script setup lang="ts">
import type { Ref as FaceRef } from '#core/trade'
import type { Working } from '#core/working'

/** A named figure of the slip. Where its working is named it opens there. */
const { label, bad = false, working = '', about = null, given = [] } = defineProps<{ label: string, bad?: boolean, /** What its working is of. */ working?: string, about?: FaceRef | null, given?: Working[] }>()
</script>

<template>
  <div class="flex items-baseline justify-between gap-3 border-b border-dotted border-graphite-300 py-1.5">
    <dt class="text-[15px]">
      {{ label }}
    </dt>
    <dd
      class="text-right text-[15px] font-semibold"
      :class="bad ? 'text-brick-600' : ''"
    >
      <WorkingFigure
        v-if="working"
        :what="working"
        :about="about"
        :given="given"
      >
        <slot />
      </WorkingFigure>
      <slot v-else />
    </dd>
  </div>
</template>
