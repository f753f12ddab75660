<script setup lang="ts">
import { figureIds, sourceOf } from '#core/electrical'
import { blockKinds, blockNames, type Wall } from '#core/job'
import { formatLength } from '#core/units'

/** Who answers for it, the supply, walls with what is there, and the code's figures to type over. */
const { ground, grid, units, set, setWall, commit } = useGrid()
const readsOnly = useReadsOnly()
const supply = computed(() => ground.value!.supply)
const setSupply = (change: Partial<typeof supply.value>) => set({ supply: { ...supply.value, ...change } })
const placeNames = { outside: 'Outside', garage: 'Garage', utility: 'Utility room', inside: 'Inside' }
const baseNames = { stud: 'Studs', masonry: 'Masonry', concrete: 'Concrete' }
function addWall() {
  let n = 2
  while (ground.value!.walls.some(one => one.id === `wall-${n}`)) n++
  commit({ type: 'put-wall', wallId: `wall-${n}`, wall: { ...ground.value!.walls[0]!, id: `wall-${n}`, name: `Wall ${n}`, blocks: [] } })
}
const block = ref<typeof blockKinds[number]>('gas')
function addBlock(wall: Wall) {
  let n = 1
  while (wall.blocks.some(one => one.id === `b${n}`)) n++
  setWall(wall, { blocks: [...wall.blocks, { id: `b${n}`, kind: block.value, name: blockNames[block.value], xMm: Math.round(wall.wideMm / 2), yMm: 900, wideMm: 400, highMm: 400, deepMm: 150, keepMm: null }] })
}
const changeBlock = (wall: Wall, id: string, change: Partial<Wall['blocks'][number]>) => setWall(wall, { blocks: wall.blocks.map(one => one.id === id ? { ...one, ...change } : one) })
const dropBlock = (wall: Wall, id: string) => setWall(wall, { blocks: wall.blocks.filter(one => one.id !== id) })
const figures = computed(() => figureIds.map(id => ({ id, figure: grid.value!.rules.figures[id] })))
const shownFigure = ({ unit, value }: { unit: string, value: number }) => unit === 'length' ? formatLength(value, units.value) : unit === 'share' ? `${Math.round(1000 * value) / 10} %` : `${value}${{ current: ' A', voltage: ' V', mass: ' kg', force: ' N', degrees: '°', energy: ' kWh', power: ' W', factor: '' }[unit] ?? ''}`
const who = computed(() => [ground.value!.electrician.name, ground.value!.electrician.licence].filter(Boolean).join(', '))
function typeFigure(id: typeof figureIds[number], unit: string) {
  return (text: string) => {
    if (!text.trim()) return commit({ type: 'type-figure', figureId: id, figure: null })
    return takeFigure(n => commit({ type: 'type-figure', figureId: id, figure: { value: unit === 'share' ? n! / 100 : unit === 'length' && units.value === 'imperial' ? n! * 25.4 : n!, by: who.value || 'nobody named' } }), unit === 'share' ? '%' : '', false)(text)
  }
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
  <section
    v-for="wall in ground!.walls"
    :key="wall.id"
    class="mt-4"
  >
    <FieldTypedField
      label="Wall"
      wide
      :shown="wall.name"
      :commit="name => setWall(wall, { name })"
    />
    <FieldChoiceField
      label="It is"
      :value="wall.place"
      :choices="(['outside', 'garage', 'utility', 'inside'] as const).map(value => ({ value, label: placeNames[value] }))"
      @choose="setWall(wall, { place: $event })"
    />
    <FieldLengthField
      label="Wide"
      :mm="wall.wideMm"
      :units="units"
      :commit="mm => setWall(wall, { wideMm: mm! })"
    />
    <FieldLengthField
      label="High"
      :mm="wall.highMm"
      :units="units"
      :commit="mm => setWall(wall, { highMm: mm! })"
    />
    <FieldChoiceField
      label="Of"
      :value="wall.base"
      :choices="(['stud', 'masonry', 'concrete'] as const).map(value => ({ value, label: baseNames[value] }))"
      @choose="setWall(wall, { base: $event })"
    />
    <details
      v-for="one in wall.blocks"
      :key="one.id"
      class="border-b border-dotted border-graphite-300 py-1"
    >
      <summary class="cursor-pointer font-medium">
        {{ one.name }} at {{ formatLength(one.xMm, units) }}
      </summary>
      <FieldTypedField
        label="Name"
        wide
        :shown="one.name"
        :commit="name => changeBlock(wall, one.id, { name })"
      />
      <FieldLengthField
        v-for="[key, label] in ([['xMm', 'From the left corner'], ['yMm', 'From the floor'], ['wideMm', 'Wide'], ['highMm', 'High'], ['deepMm', 'Deep']] as const)"
        :key="key"
        :label="label"
        :mm="one[key]"
        :units="units"
        :commit="mm => changeBlock(wall, one.id, { [key]: mm! })"
      />
      <UButton
        v-if="!readsOnly"
        size="xs"
        color="neutral"
        variant="ghost"
        :label="`Take ${one.name} away`"
        @click="dropBlock(wall, one.id)"
      />
    </details>
    <div
      v-if="!readsOnly"
      class="mt-1 flex items-end gap-2"
    >
      <FieldChoiceField
        label="There already"
        class="min-w-0 flex-1"
        :value="block"
        :choices="blockKinds.map(value => ({ value, label: blockNames[value] }))"
        @choose="block = $event"
      />
      <UButton
        size="sm"
        color="neutral"
        variant="outline"
        icon="i-lucide-plus"
        label="Add"
        @click="addBlock(wall)"
      />
    </div>
  </section>
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
  <details class="mt-5">
    <summary class="slip-title cursor-pointer">
      Figures of the code
    </summary>
    <p class="text-sm text-muted">
      Typed over by the electrician named above{{ units === 'imperial' ? '; lengths in inches' : '; lengths in mm' }}. Empty lets the code’s own stand.
    </p>
    <FieldTypedField
      v-for="{ id, figure } in figures"
      :key="id"
      :label="figure.name"
      :hint="sourceOf(figure)"
      :shown="shownFigure(figure)"
      :commit="typeFigure(id, figure.unit)"
    />
  </details>
</template>
