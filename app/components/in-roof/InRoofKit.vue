<script setup lang="ts">
import { pieceKinds, pieceLetters, pieceNames } from '#core/inroof'
import { formatLength } from '#core/units'

/** The flashing kit: how many of each piece, and the order in which they are laid. */
const { facePlan, units } = useFace()
const kit = computed(() => facePlan.value.inRoof!.kit)
const counts = computed(() => pieceKinds.map(kind => ({ kind, n: kit.value.pieces.filter(piece => piece.kind === kind).length })).filter(one => one.n))
const edges = computed(() => [['Bottoms in all', kit.value.edgesMm.bottom], ['Sides in all', kit.value.edgesMm.left + kit.value.edgesMm.right], ['Tops in all', kit.value.edgesMm.top]] as const)
</script>

<template>
  <div class="grid gap-x-8 gap-y-2 md:grid-cols-[minmax(0,1fr)_minmax(0,2fr)]">
    <section>
      <h3 class="slip-title mt-2">
        Pieces
      </h3>
      <dl>
        <SlipLine
          v-for="one in counts"
          :key="one.kind"
          :label="`${pieceLetters[one.kind]}  ${pieceNames[one.kind]}`"
        >
          {{ one.n }}
        </SlipLine>
        <SlipLine
          v-for="[name, mm] in edges"
          :key="name"
          :label="name"
          working="Length of the outline"
        >
          {{ formatLength(mm, units) }}
        </SlipLine>
      </dl>
    </section>
    <section>
      <h3 class="slip-title mt-2">
        In this order
      </h3>
      <ol>
        <li
          v-for="step in kit.steps"
          :key="step.number"
          class="flex gap-2.5 border-b border-dotted border-graphite-300 py-1 text-[15px] leading-snug"
        >
          <span
            class="grid size-6 shrink-0 place-items-center rounded-full border-2 border-graphite-900 text-[13px] font-bold"
            aria-hidden="true"
          >{{ step.number }}</span>
          <span>{{ step.words }}<span
            v-if="step.marks.length"
            class="block text-sm text-muted"
          >{{ step.marks.join(' ') }}</span></span>
        </li>
      </ol>
      <p class="mt-2 border-l-4 border-amber-500 pl-3 text-[15px] leading-snug">
        Nobody goes down with a row half flashed: finish it to its end, or take it back to the last joint, cap it, and lap a sheet from under the course above over what is laid.
      </p>
    </section>
  </div>
</template>
