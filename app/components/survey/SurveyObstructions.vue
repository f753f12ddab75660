<script setup lang="ts">
import { faceRef } from '#core/trade'
import { v4 as newId } from 'uuid'
import type { Obstruction, ObstructionKind } from '#core/job'
import { obstructionNames } from '#core/keepclear'
import { placeAlong, placeUp, readingAlong, readingUp, shapeOf } from '#core/roof'

/** What stands on the face, by running readings of its middle from the datum corner. */
const { face, units, holds, select, commit } = useFace()
const set = (obstructions: Obstruction[]) => commit(faceEdit(face.value.id, { obstructions }))
const change = (id: string, values: Partial<Obstruction>) => set(face.value.obstructions.map(one => one.id === id ? { ...one, ...values } : one))
const remove = (id: string) => set(face.value.obstructions.filter(one => one.id !== id))
const kinds = Object.entries(obstructionNames).map(([value, label]) => ({ value: value as ObstructionKind, label: label[0]!.toUpperCase() + label.slice(1) }))

/** A new one stands in the middle of the face, to be typed over. */
function add(kind: ObstructionKind) {
  const { along, up } = shapeOf(face.value.outline)
  const us = units.value === 'imperial'
  const round = kind === 'vent' || kind === 'dish'
  const id = newId()
  const outcome = set([...face.value.obstructions, {
    id, kind, round, xMm: (along.fromMm + along.toMm) / 2, yMm: (up.fromMm + up.toMm) / 2,
    widthMm: round ? (us ? 101.6 : 110) : (us ? 609.6 : 600), heightMm: round ? (us ? 101.6 : 110) : (us ? 609.6 : 600), clearanceMm: us ? 152.4 : 150,
  }])
  if (outcome.ok) select({ kind: 'obstruction', id })
}
const adding = ref<ObstructionKind>('vent')
</script>

<template>
  <h2 class="slip-title">
    On the face
  </h2>
  <p
    v-if="!face.obstructions.length"
    class="text-sm text-muted"
  >
    Nothing yet. Vents, chimneys and windows go in here, read to their middle. Picked on the drawing, they move by arrow keys.
  </p>
  <section
    v-for="(one, i) in face.obstructions"
    :key="one.id"
    class="mb-1 border-l-4 pl-2"
    :class="holds({ kind: 'obstruction', id: one.id }) ? 'border-chalk-500 bg-chalk-50' : 'border-graphite-300'"
    :aria-label="`${obstructionNames[one.kind]} ${i + 1}`"
  >
    <div class="flex items-center justify-between gap-1">
      <button
        type="button"
        class="flex-1 py-1 text-left"
        :aria-expanded="holds({ kind: 'obstruction', id: one.id })"
        @click="select(holds({ kind: 'obstruction', id: one.id }) ? faceRef : { kind: 'obstruction', id: one.id })"
      >
        <span class="block font-semibold">{{ obstructionNames[one.kind][0]!.toUpperCase() }}{{ obstructionNames[one.kind].slice(1) }}</span>
        <span class="block text-[13px] text-muted"><FieldLengthText
          :mm="readingAlong(face, one.xMm)"
          :units="units"
        /> along, <FieldLengthText
          :mm="readingUp(face, one.yMm)"
          :units="units"
        /> up</span>
      </button>
      <UButton
        size="xs"
        color="neutral"
        variant="ghost"
        icon="i-lucide-x"
        :aria-label="`Take ${obstructionNames[one.kind]} ${i + 1} off`"
        @click="remove(one.id)"
      />
    </div>
    <template v-if="holds({ kind: 'obstruction', id: one.id })">
      <FieldChoiceField
        label="Kind"
        :value="one.kind"
        :choices="kinds"
        @choose="change(one.id, { kind: $event })"
      />
      <FieldChoiceField
        label="Outline"
        :value="one.round ? 'round' : 'square'"
        :choices="[{ label: 'Round', value: 'round' }, { label: 'Rectangular', value: 'square' }]"
        @choose="change(one.id, { round: $event === 'round', heightMm: $event === 'round' ? one.widthMm : one.heightMm })"
      />
      <FieldLengthField
        label="Middle along"
        :hint="`from the ${face.datum} end`"
        :mm="readingAlong(face, one.xMm)"
        :units="units"
        :commit="mm => change(one.id, { xMm: placeAlong(face, mm!) })"
      />
      <FieldLengthField
        label="Middle up"
        :mm="readingUp(face, one.yMm)"
        :units="units"
        :commit="mm => change(one.id, { yMm: placeUp(face, mm!) })"
      />
      <FieldLengthField
        :label="one.round ? 'Across' : 'Width'"
        :mm="one.widthMm"
        :units="units"
        :commit="mm => change(one.id, one.round ? { widthMm: mm!, heightMm: mm! } : { widthMm: mm! })"
      />
      <FieldLengthField
        v-if="!one.round"
        label="Height"
        :mm="one.heightMm"
        :units="units"
        :commit="mm => change(one.id, { heightMm: mm! })"
      />
      <FieldLengthField
        label="Clearance"
        hint="kept clear all round"
        :mm="one.clearanceMm"
        :units="units"
        :commit="mm => change(one.id, { clearanceMm: mm! })"
      />
    </template>
  </section>
  <div class="mt-1 flex items-end gap-2">
    <FieldChoiceField
      class="flex-1"
      label="Add a"
      :value="adding"
      :choices="kinds"
      @choose="adding = $event"
    />
    <UButton
      size="sm"
      color="neutral"
      variant="outline"
      label="Add"
      @click="add(adding)"
    />
  </div>
</template>
