<script setup lang="ts">
import { aboveOf, sectionOf } from '#core/openings'

/** The cut through the roof at one fixing, and the same seen square-on; the others are a key away. */
const { job, face, facePlan } = useFace()
const { openings, opening, at, go } = useOpening()
const section = computed(() => opening.value && sectionOf(job.value, face.value, facePlan.value, opening.value))
const above = computed(() => opening.value && aboveOf(job.value, face.value, facePlan.value, opening.value))
</script>

<template>
  <div
    v-if="opening && section"
    class="flex flex-col px-4 pb-3 max-md:overflow-y-auto max-md:px-2"
    tabindex="0"
    role="region"
    aria-label="Section through one fixing"
    @keydown.left.prevent="go(-1)"
    @keydown.right.prevent="go(1)"
  >
    <div class="no-print flex items-center justify-between gap-2 py-1">
      <UButton
        size="sm"
        color="neutral"
        variant="outline"
        icon="i-lucide-chevron-left"
        label="Before"
        :disabled="at <= 0"
        @click="go(-1)"
      />
      <p class="text-center text-[15px] leading-tight font-semibold">
        Rail {{ opening.rail }}, fixing {{ opening.place }} of {{ opening.of }}<span class="block text-sm font-normal text-muted">{{ at + 1 }} of {{ openings.length }} on this face{{ opening.first ? ', opened first' : '' }}</span>
      </p>
      <UButton
        size="sm"
        color="neutral"
        variant="outline"
        trailing-icon="i-lucide-chevron-right"
        label="Next"
        :disabled="at >= openings.length - 1"
        @click="go(1)"
      />
    </div>
    <div class="flex min-h-0 flex-1 gap-3 max-md:flex-none max-md:flex-col">
      <CoveringSectionFigure
        class="min-h-0 min-w-0 flex-[8] border border-graphite-300 max-md:h-96 max-md:flex-none"
        :drawing="section"
        data-testid="section"
      />
      <figure
        v-if="above"
        class="flex min-h-0 min-w-0 flex-[5] flex-col"
      >
        <CoveringSectionFigure
          class="min-h-0 flex-1 border border-graphite-300 max-md:h-96 max-md:flex-none"
          :drawing="above"
        />
        <figcaption class="pt-1 text-sm leading-snug text-muted">
          Seen from above: courses from the eave, units from the {{ face.datum }}. Yellow is lifted, red is cut, green the flashing, blue the rail.
        </figcaption>
      </figure>
    </div>
  </div>
</template>
