<script setup lang="ts">
import { closureFor, goesOn, goesWith, offered } from '#core/catalogue'
import type { ArrayRules } from '#core/job'
import { type Outcome, refused } from '#core/outcome'

/** By which way all of a face's fixings go through its covering: the mount, its way, what is opened first, and doubled ends. */
const { face, facePlan, catalogue, commit } = useFace()
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
  <InRoofTake />
  <SlipAllFaces
    what="way through"
    :array="['mountId', 'closureId', 'openFirst', 'doubledEnds']"
  />
</template>
