<script setup lang="ts">
import type { OpeningGroup } from '#core/openings'

/** How a face's fixings go through its covering: a section to scale and a card, those alike together. */
const { groups } = defineProps<{ groups: OpeningGroup[] }>()
</script>

<template>
  <section class="mb-6">
    <h4 class="border-b border-graphite-900 text-[17px] font-bold">
      Through the covering
    </h4>
    <article
      v-for="group in groups"
      :key="group.title"
      class="mb-4 break-inside-avoid pt-2"
    >
      <h5 class="font-bold">
        {{ group.title }}
      </h5>
      <p class="text-[15px] text-muted">
        {{ group.card.way }}. About {{ group.card.minutes }} minutes each. Only when: {{ group.card.conditions.join('; ') || 'any weather' }}.
      </p>
      <CoveringSectionFigure
        class="my-2 h-80 border border-graphite-300"
        :drawing="group.section"
      />
      <ol class="list-decimal pl-6 text-[15px] leading-snug">
        <li
          v-for="step in group.card.steps"
          :key="step.id"
          class="py-0.5"
        >
          {{ step.words }}
        </li>
      </ol>
      <p
        v-for="caution in group.card.cautions"
        :key="caution"
        class="mt-1 border-l-4 border-amber-500 pl-3 text-[15px] leading-snug"
      >
        {{ caution }}
      </p>
    </article>
  </section>
</template>
