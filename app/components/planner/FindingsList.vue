<script setup lang="ts">
import type { Cure, Finding } from '#core/trade'

/** The judgement calls with their cures: pointing at a cure shows it on the face, pressing it makes the edit. */
const { findings, rests = false } = defineProps<{ findings: Finding[], /** What is shown stands on something that nobody has read. */ rests?: boolean }>()
const emit = defineEmits<{ cure: [cure: Cure], preview: [cure: Cure | null], show: [finding: Finding] }>()
const words = { stop: 'Stop', caution: 'Look', note: 'Note' }
const edges = { stop: 'border-brick-500', caution: 'border-amber-500', note: 'border-graphite-400' }
</script>

<template>
  <section
    aria-label="Findings"
    tabindex="0"
  >
    <h2 class="slip-title max-md:sr-only">
      Findings
    </h2>
    <p
      v-if="!findings.length"
      class="border-l-4 py-1 pl-3 text-[15px]"
      :class="rests ? 'border-dashed border-amber-500' : 'border-lichen-500'"
    >
      <template v-if="rests">
        <b>Assumed.</b> Nothing here stops you, but it stands on what nobody has read yet.
      </template>
      <template v-else>
        <b>Clear.</b> Nothing here stops you.
      </template>
    </p>
    <article
      v-for="finding in findings"
      :key="finding.id"
      class="mb-3 border-l-4 py-0.5 pl-3 text-[15px] leading-snug"
      :class="[edges[finding.severity], finding.assumed ? 'border-dashed' : '']"
      :data-finding="finding.id"
    >
      <p class="text-pretty">
        <b>{{ finding.assumed ? 'Assumed' : words[finding.severity] }}.</b> {{ finding.sentence }}
      </p>
      <div class="mt-1.5 flex flex-wrap gap-1.5">
        <UButton
          v-for="cure in finding.cures"
          :key="cure.label"
          size="sm"
          color="neutral"
          :variant="cure === finding.cures[0] ? 'solid' : 'outline'"
          :label="cure.label"
          class="max-w-full text-left"
          :ui="{ label: 'whitespace-normal' }"
          @click="emit('cure', cure)"
          @pointerenter="emit('preview', cure)"
          @pointerleave="emit('preview', null)"
          @focus="emit('preview', cure)"
          @blur="emit('preview', null)"
        />
        <UButton
          v-if="finding.about"
          size="sm"
          color="neutral"
          variant="link"
          class="px-1"
          label="Show it"
          @click="emit('show', finding)"
        />
      </div>
    </article>
  </section>
</template>
