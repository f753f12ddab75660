<script setup lang="ts">
import { v4 as newId } from 'uuid'
import { earthings, plainWall, wallSizeKeys } from '#core/job'

/** Who answers for it, the supply, the place, its walls and the ways between them. */
const { ground, grid, units, set, commit } = useGrid()
const readsOnly = useReadsOnly()
const supply = computed(() => ground.value!.supply)
const setSupply = (change: Partial<typeof supply.value>) => set({ supply: { ...supply.value, ...change } })
const earthingNames = { 'us': 'By the NEC', 'tn-s': 'TN-S', 'tn-c-s': 'TN-C-S', 'tt': 'TT, an electrode of its own' }
const said = (value: boolean | null) => value === null ? 'unsaid' : value ? 'yes' : 'no'
const bonds = [{ value: 'unsaid', label: 'Nobody has looked' }, { value: 'yes', label: 'Bonded' }, { value: 'no', label: 'Not bonded, or not of metal' }] as const
const heard = (value: typeof bonds[number]['value']) => value === 'unsaid' ? null : value === 'yes'
function addWall() {
  const { walls } = ground.value!
  const id = newId().slice(0, 8)
  let n = walls.length + 1
  while (walls.some(one => one.name === `Wall ${n}`)) n++
  // As the first stands, until somebody measures it.
  const wall = { ...walls[0] ?? plainWall, id, name: `Wall ${n}`, blocks: [] }
  commit({ type: 'batch', edits: [{ type: 'put-wall', wallId: id, wall }, { type: 'set-assumed', keys: wallSizeKeys(id), assumed: true }] })
}
</script>

<template>
  <FieldTypedField
    label="Licensed electrician"
    hint="their name stands on every sheet"
    wide
    :shown="ground!.electrician.name"
    :commit="name => set({ electrician: { ...ground!.electrician, name } })"
  />
  <FieldTypedField
    label="Licence"
    wide
    :shown="ground!.electrician.licence"
    :commit="licence => set({ electrician: { ...ground!.electrician, licence } })"
  />
  <FieldTypedField
    label="Service"
    :shown="figureShown(supply.ratedA, 'A')"
    :commit="takeFigure(n => setSupply({ ratedA: n! }), 'A', false)"
  />
  <FieldChoiceField
    label="Phases"
    :value="String(supply.phases)"
    :choices="[{ value: '1', label: grid!.rules.us ? 'One, split' : 'One' }, { value: '3', label: 'Three' }]"
    @choose="setSupply({ phases: $event === '3' ? 3 : 1 })"
  />
  <FieldTypedField
    label="Short-circuit current there"
    hint="kA, ask the utility"
    :shown="figureShown(supply.faultKA, 'kA')"
    :commit="takeFigure(faultKA => setSupply({ faultKA }), 'kA')"
  />
  <FieldLengthField
    v-if="grid!.tap"
    label="From the tap to its device"
    optional
    :mm="supply.tapMm"
    :units="units"
    :commit="tapMm => setSupply({ tapMm })"
  />
  <FieldTypedField
    label="Air where runs lie"
    :shown="figureShown(ground!.airC, '°C')"
    :commit="takeFigure(n => set({ airC: n! }), '°C', false)"
  />
  <FieldTypedField
    v-if="!grid!.rules.us"
    label="Lightning"
    hint="flashes a km² and year; empty: nobody has looked"
    :shown="figureShown(ground!.flashes, '')"
    :commit="takeFigure(flashes => set({ flashes }), '')"
  />
  <FieldTypedField
    label="Earthquake"
    hint="share of weight, outwards"
    :shown="figureShown(Math.round(100 * ground!.quakeShare), '%')"
    :commit="takeFigure(n => set({ quakeShare: n! / 100 }), '%', false)"
  />
  <FieldChoiceField
    v-if="!grid!.rules.us"
    label="Earthing"
    :value="supply.earthing"
    :choices="earthings.filter(one => one !== 'us').map(value => ({ value, label: earthingNames[value] }))"
    @choose="setSupply({ earthing: $event })"
  />
  <FieldChoiceField
    label="Metal water pipe"
    :value="said(supply.waterBonded)"
    :choices="[...bonds]"
    @choose="setSupply({ waterBonded: heard($event) })"
  />
  <FieldChoiceField
    label="Gas pipe"
    :value="said(supply.gasBonded)"
    :choices="[...bonds]"
    @choose="setSupply({ gasBonded: heard($event) })"
  />
  <FieldTypedField
    label="Raceway costs"
    hint="a metre; by it and copper boxes find their places"
    :shown="figureShown(ground!.costs.racewayPerM, '')"
    :commit="takeFigure(n => set({ costs: { ...ground!.costs, racewayPerM: n! } }), '', false)"
  />
  <FieldTypedField
    label="Copper costs"
    hint="a kg"
    :shown="figureShown(ground!.costs.copperPerKg, '')"
    :commit="takeFigure(n => set({ costs: { ...ground!.costs, copperPerKg: n! } }), '', false)"
  />
  <GroundWallFacts
    v-for="wall in ground!.walls"
    :key="wall.id"
    :wall="wall"
  />
  <UButton
    v-if="!readsOnly && ground!.walls.length < 6"
    class="mt-4"
    size="sm"
    color="neutral"
    variant="outline"
    icon="i-lucide-plus"
    label="Another wall"
    @click="addWall"
  />
  <GroundPassages />
  <GroundFigures />
</template>
