<script setup lang="ts">
import type { Van } from '#core/job'
import { done, refused } from '#core/outcome'
import { formatLength, parseLength } from '#core/units'

/** How rails are cut: the longest load, the yard's offcuts, and how joints are made. */
const { job, face, facePlan, catalogue, units, commit } = useFace()
const van = computed(() => job.value.van)
const rail = computed(() => facePlan.value.parts.rail)
const set = (values: Partial<Van>) => commit(vanEdit(values))
const offcuts = computed(() => van.value.offcuts.map((one, i) => ({ ...one, i, name: catalogue.value.rails.find(item => item.id === one.railId)?.name ?? one.railId })))
const money = (price: number) => new Intl.NumberFormat('en', { style: 'currency', currency: catalogue.value.currency }).format(price)

/** Written as a length and, after an x, how many there are. */
function addOffcut(text: string) {
  if (!text.trim()) return done(true)
  const [lengthText, pieces = '1'] = text.split(/\s*[x×]\s*/)
  const mm = parseLength(lengthText!, units.value)
  if (!mm.ok) return mm
  const n = Number(pieces)
  if (!Number.isInteger(n) || n < 1) return refused(`“${pieces}” is not a number of pieces. Write for example ${formatLength(1828.8, units.value)} x 2.`)
  return set({ offcuts: [...van.value.offcuts, { railId: rail.value.id, mm: mm.value, pieces: n }] })
}
</script>

<template>
  <h2 class="slip-title">
    Sticks and joints
  </h2>
  <FieldChoiceField
    label="Splice"
    :value="face.array.spliceAs"
    :choices="[{ value: 'butted', label: 'Butted on the splice bar' }, { value: 'bridged', label: `Bridged, gap up to ${formatLength(rail.splice.bridgeMm, units)}` }]"
    @choose="commit(arrayEdit(face.id, { spliceAs: $event }))"
  />
  <FieldLengthField
    label="Longest load the van takes"
    :hint="van.longestMm === null ? 'any length' : 'typed; empty for any'"
    :mm="van.longestMm"
    :units="units"
    optional
    :commit="longestMm => set({ longestMm })"
  />
  <dl class="mt-2">
    <SlipLine
      label="Sticks"
      working="Sticks of rail"
    >
      {{ facePlan.sticks.sticks.length }}, {{ facePlan.sticks.splices.length }} splices
    </SlipLine>
    <SlipLine
      label="Cost of sticks and splices"
      working="Sticks of rail"
    >
      {{ money(facePlan.sticks.cost) }}{{ facePlan.sticks.proved ? ', proved least' : `; under ${money(facePlan.sticks.leastCost)} excluded` }}
    </SlipLine>
  </dl>
  <h2 class="slip-title mt-4">
    Offcuts in the yard
  </h2>
  <p
    v-if="!offcuts.length"
    class="text-[15px] text-muted"
  >
    None. Those typed here are used before sticks are bought.
  </p>
  <ul>
    <li
      v-for="one in offcuts"
      :key="one.i"
      class="flex items-center justify-between border-b border-dotted border-graphite-300 py-1 text-[15px]"
    >
      <span>{{ one.pieces }} of <FieldLengthText
        :mm="one.mm"
        :units="units"
      />, {{ one.name }}</span>
      <UButton
        size="xs"
        color="neutral"
        variant="ghost"
        icon="i-lucide-x"
        :aria-label="`Remove the offcut of ${formatLength(one.mm, units)}`"
        @click="set({ offcuts: van.offcuts.filter((_, i) => i !== one.i) })"
      />
    </li>
  </ul>
  <FieldTypedField
    label="Add an offcut"
    :hint="`of ${rail.name}: length, or length x pieces`"
    shown=""
    :commit="addOffcut"
  />
</template>
