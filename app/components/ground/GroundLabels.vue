<script setup lang="ts">
import { labelMade } from '#core/ground'

/** Labels of the edition, each with its words, its place and how it is made. */
const { grid, pick } = useGrid()
</script>

<template>
  <div>
    <p class="text-[15px] text-muted">
      By {{ grid!.rules.us ? `the NEC, ${grid!.rules.set}` : 'IEC 60364-7-712' }}, from memory: the authority’s own wording comes first.
    </p>
    <ul>
      <li
        v-for="(label, i) in grid!.labels"
        :key="label.id"
        class="grid break-inside-avoid grid-cols-1 gap-x-4 border-b border-dotted border-graphite-300 py-2 md:grid-cols-2"
      >
        <!-- A label is red with white words by day and in the dark alike. -->
        <span
          class="self-start border-2 px-2 py-1 text-[15px] leading-snug font-semibold"
          :class="label.reflective ? 'border-[#8c2116] bg-[#8c2116] text-white' : 'border-graphite-900'"
        >{{ label.text }}</span>
        <span class="text-[15px] leading-snug"><b>L{{ i + 1 }}</b>
          <button
            v-if="label.thingId"
            type="button"
            class="text-left underline decoration-2 underline-offset-4"
            @click="pick('thing', label.thingId)"
          >{{ label.where }}</button>
          <span
            v-else
          >{{ label.where }}</span>
          <span class="block text-muted">{{ label.clause }}. {{ labelMade(label, grid!.rules.us) }}.</span>
        </span>
      </li>
    </ul>
  </div>
</template>
