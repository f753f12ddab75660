<script setup lang="ts">
import { unitWords } from '#core/openings'
import { wholePieces } from '#core/trade'

/** What becomes of the covering's units, and what the openings of this face take. */
const { face, facePlan, units } = useFace()
const words = computed(() => unitWords[face.value.covering.kind])
const count = computed(() => facePlan.value.units)
const lines = computed(() => ([
  ['Lifted', count.value.lifted], ['Notched', count.value.notched], ['Slotted', count.value.slotted], ['Cored', count.value.cored], ['Drilled', count.value.drilled], ['Put back', count.value.kept],
  ['Expected to break', count.value.thumb], ['Found broken', count.value.broken], ['Lent from under the array', count.value.lent], ['Spare for good', count.value.spare], ['To buy', count.value.bought],
] as [string, number][]).filter(([, n]) => n > 0))
const kinds = ['mount', 'screw', 'flashing', 'retaining-clip', 'foam', 'cap', 'gasket', 'extension', 'sealant', 'unit', 'unit-clip', 'nail', 'underlay', 'batten', 'shingle', 'underlay-roll', 'edge-flashing', 'ply']
const parts = computed(() => facePlan.value.list.filter(part => kinds.includes(part.kind)))
const ml = computed(() => facePlan.value.openings.reduce((sum, one) => sum + one.seal.ml, 0))
const walkway = computed(() => facePlan.value.walkway)
const stripped = computed(() => facePlan.value.stripped)
</script>

<template>
  <div class="grid content-start gap-x-8 gap-y-4 md:grid-cols-2">
    <section>
      <h2 class="slip-title border-b-2 border-graphite-900">
        {{ words.many[0]!.toUpperCase() }}{{ words.many.slice(1) }}
      </h2>
      <dl>
        <SlipLine
          v-for="[label, n] in lines"
          :key="label"
          :label="label"
        >
          {{ n }}
        </SlipLine>
      </dl>
      <p
        v-if="!lines.length"
        class="py-2 text-muted"
      >
        None is lifted or cut.
      </p>
      <p
        v-if="stripped"
        class="pt-2 text-[15px]"
      >
        Stripped: {{ stripped.units }} {{ words.many }} over {{ stripped.areaM2.toFixed(1) }} m²; {{ stripped.covered }} of them lie wholly under the array and are not laid again.
      </p>
      <template v-if="walkway">
        <h2 class="slip-title mt-4 border-b-2 border-graphite-900">
          Boards to walk on
        </h2>
        <p class="pt-1 text-[15px]">
          {{ walkway.boards }} boards of half-inch plywood, <FieldLengthText
            :mm="walkway.boardMm"
            :units="units"
          /> by <FieldLengthText
            :mm="walkway.longestMm"
            :units="units"
          /> at most, from {{ walkway.sheets }} {{ walkway.sheets === 1 ? 'sheet' : 'sheets' }}. One run along each rail, in courses {{ walkway.runs.map(run => run.course).join(', ') }}, taken along to the next row. Step at the front edge of a panel, over its batten.
        </p>
      </template>
    </section>
    <section>
      <h2 class="slip-title border-b-2 border-graphite-900">
        Parts of this face
      </h2>
      <dl>
        <SlipLine
          v-for="part in parts"
          :key="part.id"
          :label="part.name"
        >
          {{ part.poured ? `${ml.toFixed(0)} ml` : wholePieces(part.pieces) }}
        </SlipLine>
      </dl>
    </section>
  </div>
</template>
