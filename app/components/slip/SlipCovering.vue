<script setup lang="ts">
import { readingOn } from '#core/roof'

/** One fixing's card, the way through the covering for all of them, and what was found broken. */
const { face, units } = useFace()
const { card, opening } = useOpening()
const part = ref('card')
const parts3 = [{ label: 'Card', value: 'card' }, { label: 'Way through', value: 'way' }, { label: 'Broken', value: 'broken' }]
</script>

<template>
  <SlipInRoof v-if="face.inRoof || face.covering.kind === 'felt-and-battens'" />
  <SlipTabs
    v-else
    v-model="part"
    :parts="parts3"
  />
  <template v-if="face.inRoof || face.covering.kind === 'felt-and-battens'" />
  <template v-else-if="part === 'card'">
    <template v-if="card && opening">
      <h2 class="slip-title">
        {{ card.title }}
      </h2>
      <p class="text-[15px] text-muted">
        {{ card.where }}
      </p>
      <p class="mb-1 text-[15px] font-semibold">
        {{ card.way }}
      </p>
      <dl class="mb-2">
        <SlipLine label="Plate, along the eave">
          <FieldLengthText
            :mm="readingOn(face, 'along', opening.plate.xMm)"
            :units="units"
          />
        </SlipLine>
        <SlipLine label="Plate, up the slope">
          <FieldLengthText
            :mm="readingOn(face, 'up', opening.plate.yMm)"
            :units="units"
          />
        </SlipLine>
        <SlipLine label="Rail, up the slope">
          <FieldLengthText
            :mm="readingOn(face, 'up', opening.railAt.yMm)"
            :units="units"
          />
        </SlipLine>
      </dl>
      <ol>
        <li
          v-for="(step, i) in card.steps"
          :key="step.id"
          class="flex gap-2.5 border-b border-dotted border-graphite-300 py-1.5 text-[15px] leading-snug"
        >
          <span
            class="grid size-6 shrink-0 place-items-center rounded-full border-2 border-graphite-900 text-[13px] font-bold"
            aria-hidden="true"
          >{{ i + 1 }}</span>{{ step.words }}
        </li>
      </ol>
      <p
        v-for="caution in card.cautions"
        :key="caution"
        class="mt-2 border-l-4 border-amber-500 pl-3 text-[15px] leading-snug"
      >
        {{ caution }}
      </p>
      <dl class="mt-2">
        <SlipLine label="Only when">
          {{ card.conditions.join('; ') || 'any weather' }}
        </SlipLine>
        <SlipLine label="About">
          {{ card.minutes }} minutes
        </SlipLine>
      </dl>
      <p class="mt-2 text-sm text-muted">
        {{ card.parts.join(', ') }}.
      </p>
    </template>
    <p
      v-else
      class="text-[15px] text-muted"
    >
      Each fixing gets a card here: what is lifted, cut, screwed, sealed and put back, in its order.
    </p>
  </template>
  <CoveringWay v-else-if="part === 'way'" />
  <CoveringBroken
    v-else
    :key="face.id"
  />
</template>
