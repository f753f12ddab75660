<script setup lang="ts">
import { closureFor, goesOn, goesWith, offered } from '#core/catalogue'
import type { ArrayRules } from '#core/job'
import { type Outcome, refused } from '#core/outcome'
import { readingOn } from '#core/roof'

/** One fixing's card, the way through the covering for all of them, and what was found broken. */
const { face, facePlan, catalogue, units, commit } = useFace()
const { card, opening } = useOpening()
const part = ref('card')
const parts3 = [{ label: 'Card', value: 'card' }, { label: 'Way through', value: 'way' }, { label: 'Broken', value: 'broken' }]
const array = computed(() => face.value.array)
const set = (values: Partial<Omit<ArrayRules, 'rows'>>) => commit(arrayEdit(face.value.id, values))

const mount = computed(() => facePlan.value.parts.mount)
const ways = computed(() => mount.value.closures.filter(one => one.coverings.includes(face.value.covering.kind)))
const way = computed(() => closureFor(mount.value, face.value.covering.kind, array.value.closureId))
const { choicesOf, choosePart } = usePartChoices()
const mountChoices = choicesOf('mountId')
const ground = computed(() => ({ covering: face.value.covering.kind, support: face.value.supports.kind }))
const opens = computed(() => [{ value: '-', label: 'All fixings alike' }, ...offered(catalogue.value.mounts)
  .filter(one => one.id !== mount.value.id && goesOn(one, ground.value) && goesWith(catalogue.value, facePlan.value.parts.rail.id, one.id)).map(one => ({ value: one.id, label: one.name }))])
function takeCount(text: string): Outcome<unknown> {
  const count = Number(text.trim())
  return Number.isInteger(count) && count >= 1 && count <= 12 ? set({ openFirst: { ...array.value.openFirst!, count } }) : refused('Type a whole number from 1 to 12.')
}
const firstOnes = computed(() => facePlan.value.openings.filter(one => one.first))
</script>

<template>
  <SlipTabs
    v-model="part"
    :parts="parts3"
  />
  <template v-if="part === 'card'">
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
          :key="step"
          class="flex gap-2.5 border-b border-dotted border-graphite-300 py-1.5 text-[15px] leading-snug"
        >
          <span
            class="grid size-6 shrink-0 place-items-center rounded-full border-2 border-graphite-900 text-[13px] font-bold"
            aria-hidden="true"
          >{{ i + 1 }}</span>{{ step }}
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
  <template v-else-if="part === 'way'">
    <FieldChoiceField
      label="Mount"
      :value="array.mountId"
      :choices="mountChoices"
      @choose="choosePart('mountId', $event)"
    />
    <FieldChoiceField
      v-if="ways.length"
      label="Way through the covering"
      :value="way?.id ?? ''"
      :choices="ways.map(one => ({ value: one.id, label: one.name }))"
      @choose="set({ closureId: $event })"
    />
    <p
      v-else
      class="my-2 border-l-4 border-amber-500 py-0.5 pl-3 text-sm"
    >
      The shelf has no way of {{ mount.name }} through this covering. <NuxtLink
        to="/shelf/mounts"
        class="underline underline-offset-2"
      >Put it there</NuxtLink>.
    </p>
    <p class="my-2 text-sm text-muted">
      {{ mount.sealant }}.
    </p>
    <template v-if="face.supports.kind === 'rafters'">
      <FieldChoiceField
        label="Opened first, to see the rafters"
        :value="array.openFirst?.mountId ?? '-'"
        :choices="opens"
        @choose="set({ openFirst: $event === '-' ? null : { mountId: $event, count: array.openFirst?.count ?? 3 } })"
      />
      <template v-if="array.openFirst">
        <FieldTypedField
          label="So many at most"
          :shown="String(array.openFirst.count)"
          :commit="takeCount"
          hint="where seeing a rafter tells most of the others"
        />
        <p class="my-1 text-sm text-muted">
          {{ firstOnes.length ? `Rail and fixing: ${firstOnes.map(one => `${one.rail}, ${one.place}`).join('; ')}.` : 'None would tell anything more: all are made alike.' }}
        </p>
      </template>
    </template>
    <FieldYesNoField
      label="Rail ends"
      :value="array.doubledEnds"
      yes="Held by two fixings each"
      no="Held by one fixing each"
      @choose="set({ doubledEnds: $event })"
    />
  </template>
  <CoveringBroken
    v-else
    :key="face.id"
  />
</template>
