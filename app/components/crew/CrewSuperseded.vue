<script setup lang="ts">
import { type Move, moveWords } from '#core/fieldwork'
import type { Face, Job } from '#core/job'
import type { FacePlan } from '#core/plan'
import { revisionName } from '#core/sheets/markout'

/** A sheet that came while the crew is up, in large words, with what of it moves that is not drilled yet. */
const { from, to, moves, job, face, facePlan } = defineProps<{ from: number | null, to: number, moves: Move[], job: Job, face: Face, facePlan: FacePlan }>()
defineEmits<{ follow: [], later: [] }>()
const wayOf = (move: Move) => facePlan.rails.find(one => one.id === move.railId)?.way ?? 'across'
</script>

<template>
  <section
    role="alert"
    class="max-h-[60dvh] overflow-y-auto bg-black px-4 py-3 text-[#fff7c4]"
  >
    <p class="text-3xl leading-tight font-extrabold">
      Stop: revision {{ revisionName(to) }} is out{{ from ? `. You have ${revisionName(from)}` : '' }}.
    </p>
    <p
      v-if="!moves.length"
      class="text-xl font-bold"
    >
      Nothing moves that is not drilled yet.
    </p>
    <ul class="text-xl leading-snug font-bold">
      <li
        v-for="(move, i) in moves.slice(0, 12)"
        :key="i"
      >
        Rail {{ move.rail }}: {{ moveWords(job, face, wayOf(move), move) }}.
      </li>
    </ul>
    <p
      v-if="moves.length > 12"
      class="text-lg"
    >
      And {{ moves.length - 12 }} more, under “What moves”.
    </p>
    <div class="mt-3 grid grid-cols-2 gap-2">
      <button
        type="button"
        class="min-h-16 bg-[#fff7c4] px-3 text-xl font-bold text-black"
        @click="$emit('follow')"
      >
        Follow {{ revisionName(to) }} from here
      </button>
      <button
        type="button"
        class="min-h-16 border-4 border-[#fff7c4] px-3 text-xl font-bold"
        @click="$emit('later')"
      >
        Ask first
      </button>
    </div>
  </section>
</template>
