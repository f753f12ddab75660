<script setup lang="ts">
import { insulationNames, insulations, racewayKinds, racewayNames, sizesOfRaceway, wiresOf } from '#core/electrical'
import { cableKinds, cableNames, type RunChoice, runWays } from '#core/job'

/** The run in hand: how it is laid, its conductors, and how its figures come about. */
const { run, grid, units, setRun } = useGrid()
const us = computed(() => grid.value!.rules.us)
const set = (change: Partial<RunChoice>) => setRun(run.value!, change)
const byRule = (label: string) => ({ value: '-' as const, label })
const kinds = computed(() => [byRule(us.value ? 'By the rules: EMT' : 'By the rules: plastic conduit'), ...racewayKinds.filter(one => (one === 'conduit-en') !== us.value).map(value => ({ value, label: racewayNames[value] }))])
const cables = computed(() => [byRule('Single conductors in a raceway'), ...cableKinds.filter(one => one.startsWith('us') === us.value).map(value => ({ value, label: `${cableNames[value][0]!.toUpperCase()}${cableNames[value].slice(1)}` }))])
const sizes = computed(() => [byRule('The thinnest that does'), ...wiresOf(us.value).map(value => ({ value, label: value }))])
const trades = computed(() => run.value?.raceway ? [byRule('The narrowest that may hold them'), ...sizesOfRaceway(run.value.raceway.kind).map(({ size }) => ({ value: size, label: size }))] : [])
const covers = computed(() => [byRule('By the rules'), ...insulations.filter(one => (one === 'h07v') !== us.value || one === 'pv-wire').map(value => ({ value, label: insulationNames[value] }))])
const wayNames = { attic: 'Through the attic', eave: 'Under the eave', wall: 'On the wall', inside: 'Through the house', wireway: 'In a wireway', ground: 'In the ground' }
</script>

<template>
  <p
    v-if="!run"
    class="text-[15px] leading-snug"
  >
    Press a run in the table or on the diagram to say how it is laid.
  </p>
  <template v-else>
    <h2 class="slip-title">
      Run {{ run.number }}: {{ run.name }}
    </h2>
    <FieldLengthField
      label="Whole length, as measured"
      hint="empty: by its way on the walls"
      optional
      :mm="run.choice.lengthMm"
      :units="units"
      :commit="mm => set({ lengthMm: mm })"
    />
    <FieldLengthField
      label="Way beside the walls"
      hint="attic, eave, inside"
      :mm="run.choice.moreMm"
      :units="units"
      :commit="mm => set({ moreMm: mm! })"
    />
    <FieldChoiceField
      label="It goes"
      :value="run.choice.ways[0] ?? 'wall'"
      :choices="runWays.map(value => ({ value, label: wayNames[value] }))"
      @choose="set({ ways: [$event] })"
    />
    <FieldChoiceField
      v-if="!run.dc"
      label="Conductors"
      :value="run.choice.cable ?? '-'"
      :choices="cables"
      @choose="set({ cable: $event === '-' ? null : $event })"
    />
    <template v-if="run.raceway">
      <FieldChoiceField
        label="Raceway"
        :value="run.choice.raceway ?? '-'"
        :choices="kinds"
        @choose="set({ raceway: $event === '-' ? null : $event, trade: null })"
      />
      <FieldChoiceField
        label="Its size"
        :value="run.choice.trade ?? '-'"
        :choices="trades"
        @choose="set({ trade: $event === '-' ? null : $event })"
      />
      <FieldChoiceField
        label="Insulation"
        :value="run.choice.insulation ?? '-'"
        :choices="covers"
        @choose="set({ insulation: $event === '-' ? null : $event })"
      />
    </template>
    <FieldChoiceField
      label="Size"
      :value="run.choice.size ?? '-'"
      :choices="sizes"
      @choose="set({ size: $event === '-' ? null : $event })"
    />
    <FieldYesNoField
      v-if="run.cable && run.conductors.some(one => one.mark)"
      label="A live core of the neutral’s colour"
      :value="run.choice.remarked"
      yes="Is marked at both ends"
      no="Nobody has said that it is marked"
      @choose="set({ remarked: $event })"
    />
    <FieldTypedField
      label="Bends, all together"
      :shown="figureShown(run.choice.bendsDeg, '°')"
      :commit="takeFigure(n => set({ bendsDeg: n! }), '°', false)"
    />
    <FieldTypedField
      label="Pull boxes on its way"
      :shown="figureShown(run.choice.pullBoxes, '')"
      :commit="takeFigure(n => set({ pullBoxes: n! }), '', false)"
    />
    <FieldTypedField
      label="Air round it"
      hint="empty: the place’s own"
      :shown="figureShown(run.choice.airC, '°C')"
      :commit="takeFigure(airC => set({ airC }), '°C')"
    />
    <FieldYesNoField
      label="Through a wall that fire must not pass"
      :value="run.choice.fireStop"
      yes="Closed with a fire-stop"
      no="It goes through none"
      @choose="set({ fireStop: $event })"
    />
    <WorkingCard
      v-for="one in run.workings"
      :key="one.what"
      class="mt-3"
      :working="one"
      :all="run.workings"
      :units="units"
    />
  </template>
</template>
