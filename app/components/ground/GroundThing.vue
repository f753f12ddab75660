<script setup lang="ts">
import { busFeeds } from '#core/electrical'
import { isAside, usualThing } from '#core/ground'
import { plainPanel, type Thing, thingKinds, thingNames } from '#core/job'

/** The thing in hand: what it leads to, where it hangs, its plate, its busbar, its anchors. */
const { thing, grid, ground, units, setThing, setPanel, pick, commit } = useGrid()
const readsOnly = useReadsOnly()
const feedNames = { end: 'At one end', centre: 'In its middle', through: 'On through to other lugs' }
const stood = computed(() => grid.value?.placing.stood.find(one => one.thingId === thing.value?.id) ?? null)
const targets = computed(() => [{ value: '-', label: 'Nobody has said' }, ...ground.value!.things.filter(one => one.id !== thing.value?.id && !isAside(one) && one.kind !== 'roof-box').map(one => ({ value: one.id, label: one.name }))])
const set = (change: Partial<Thing>) => setThing(thing.value!, change)
const place = (change: { xMm?: number, yMm?: number }) => set({ at: { xMm: stood.value?.xMm ?? 0, yMm: stood.value?.yMm ?? 0, ...change } })
const kinds = thingKinds.map(value => ({ value, label: thingNames[value] }))
const adds = ref<Thing['kind']>('ac-disconnect')
function add() {
  const kind = adds.value
  let n = 1
  while (ground.value!.things.some(one => one.id === `${kind}-${n}`)) n++
  const again = ground.value!.things.some(one => one.kind === kind)
  commit({ type: 'put-thing', thingId: `${kind}-${n}`, thing: usualThing(kind, `${kind}-${n}`, { wallId: ground.value!.walls[0]?.id ?? null, name: again ? `${thingNames[kind]} ${n + 1}` : thingNames[kind], ...panelFor(kind) }) })
  pick('thing', `${kind}-${n}`)
}
/** A board of a kind as the ways to begin have it. */
function panelFor(kind: Thing['kind']): Partial<Thing> {
  if (kind !== 'combiner' && kind !== 'sub-panel' && kind !== 'main-panel') return {}
  return { panel: { ...plainPanel, busA: grid.value!.rules.us ? 125 : 63 } }
}
const drop = () => commit({ type: 'put-thing', thingId: thing.value!.id, thing: null })
</script>

<template>
  <p
    v-if="!thing"
    class="text-[15px] leading-snug"
  >
    Press a box on the wall or the diagram to type its place, its plate and what it leads to.
  </p>
  <template v-else>
    <FieldTypedField
      label="Name"
      wide
      :shown="thing.name"
      :commit="text => set({ name: text })"
    />
    <FieldChoiceField
      v-if="thing.kind !== 'meter' && !isAside(thing)"
      label="Leads to"
      :value="thing.leadsTo ?? '-'"
      :choices="targets"
      @choose="set({ leadsTo: $event === '-' ? null : $event })"
    />
    <FieldChoiceField
      label="Hangs on"
      :value="thing.wallId ?? '-'"
      :choices="[{ value: '-', label: 'Nobody has said' }, ...ground!.walls.map(one => ({ value: one.id, label: one.name }))]"
      @choose="set({ wallId: $event === '-' ? null : $event, at: null })"
    />
    <template v-if="thing.wallId">
      <FieldLengthField
        label="From the left corner"
        :hint="thing.at ? 'typed; empty to have it found' : stood ? 'found; type it to fix it' : 'finds no place'"
        optional
        :mm="stood?.xMm ?? null"
        :units="units"
        :commit="mm => mm === null ? set({ at: null }) : place({ xMm: mm })"
      />
      <FieldLengthField
        label="From the floor"
        optional
        :mm="stood?.yMm ?? null"
        :units="units"
        :commit="mm => mm === null ? set({ at: null }) : place({ yMm: mm })"
      />
    </template>
    <FieldLengthField
      label="Wide"
      :mm="thing.wideMm"
      :units="units"
      :commit="mm => set({ wideMm: mm! })"
    />
    <FieldLengthField
      label="High"
      :mm="thing.highMm"
      :units="units"
      :commit="mm => set({ highMm: mm! })"
    />
    <FieldLengthField
      label="Deep"
      :mm="thing.deepMm"
      :units="units"
      :commit="mm => set({ deepMm: mm! })"
    />
    <FieldTypedField
      label="Mass"
      hint="kg; empty where nobody knows"
      :shown="figureShown(thing.massKg, 'kg')"
      :commit="takeFigure(massKg => set({ massKg }), 'kg')"
    />
    <FieldChoiceField
      label="Its door hangs"
      :value="thing.door"
      :choices="[{ value: 'none', label: 'It has none' }, { value: 'left', label: 'On the left' }, { value: 'right', label: 'On the right' }]"
      @choose="set({ door: $event })"
    />
    <FieldTypedField
      v-if="thing.kind === 'source'"
      label="What it sends"
      hint="rated output, A"
      :shown="figureShown(thing.sourceA, 'A')"
      :commit="takeFigure(sourceA => set({ sourceA }), 'A')"
    />
    <FieldTypedField
      v-if="thing.kind !== 'meter' && !isAside(thing)"
      label="Device towards the grid"
      hint="empty: the least that may"
      :shown="figureShown(thing.deviceA, 'A')"
      :commit="takeFigure(deviceA => set({ deviceA }), 'A')"
    />
    <FieldTypedField
      label="Stands short circuits of"
      hint="kA, by its plate"
      :shown="figureShown(thing.faultKA, 'kA')"
      :commit="takeFigure(faultKA => set({ faultKA }), 'kA')"
    />
    <FieldTypedField
      label="Terminals"
      hint="N·m, by its plate"
      :shown="figureShown(thing.torqueNm, 'N·m')"
      :commit="takeFigure(torqueNm => set({ torqueNm }), 'N·m')"
    />
    <FieldYesNoField
      label="It is there"
      :value="thing.existing"
      yes="Already, and stays"
      no="Not yet"
      @choose="set({ existing: $event })"
    />
    <FieldYesNoField
      v-if="thing.panel"
      label="Neutral and earth in it"
      :value="thing.neutralLink"
      yes="Joined"
      no="Kept apart"
      @choose="set({ neutralLink: $event })"
    />
    <template v-if="thing.panel">
      <h2 class="slip-title mt-4">
        Busbar
      </h2>
      <FieldTypedField
        label="Busbar"
        :shown="figureShown(thing.panel.busA, 'A')"
        :commit="takeFigure(busA => setPanel(thing!, { busA: busA! }), 'A', false)"
      />
      <FieldTypedField
        label="Main"
        hint="empty: main lugs"
        :shown="figureShown(thing.panel.mainA, 'A')"
        :commit="takeFigure(mainA => setPanel(thing!, { mainA }), 'A')"
      />
      <FieldChoiceField
        label="It is fed"
        :value="thing.panel.feed"
        :choices="busFeeds.map(value => ({ value, label: feedNames[value] }))"
        @choose="setPanel(thing!, { feed: $event })"
      />
      <FieldYesNoField
        label="Sources stand"
        :value="thing.panel.oppositeEnd"
        yes="At the end opposite to the main"
        no="Anywhere"
        @choose="setPanel(thing!, { oppositeEnd: $event })"
      />
      <FieldTypedField
        label="Devices of all loads together"
        :shown="figureShown(thing.panel.loadDevicesA, 'A')"
        :commit="takeFigure(loadDevicesA => setPanel(thing!, { loadDevicesA: loadDevicesA! }), 'A', false)"
      />
      <FieldTypedField
        label="Calculated load"
        hint="a smaller main is proposed only with it"
        :shown="figureShown(thing.panel.loadA, 'A')"
        :commit="takeFigure(loadA => setPanel(thing!, { loadA }), 'A')"
      />
      <FieldTypedField
        label="Free poles"
        :shown="figureShown(thing.panel.ways, '')"
        :commit="takeFigure(ways => setPanel(thing!, { ways: ways! }), '', false)"
      />
      <FieldTypedField
        label="Held by a listed power control system to"
        hint="empty: by none"
        :shown="figureShown(thing.panel.limitA, 'A')"
        :commit="takeFigure(limitA => setPanel(thing!, { limitA }), 'A')"
      />
    </template>
    <template v-if="thing.store">
      <h2 class="slip-title mt-4">
        Batteries
      </h2>
      <FieldTypedField
        label="Units"
        :shown="figureShown(thing.store.units, '')"
        :commit="takeFigure(n => set({ store: { ...thing!.store!, units: n! } }), '', false)"
      />
      <FieldTypedField
        label="Usable energy of one"
        :shown="figureShown(thing.store.kWh, 'kWh')"
        :commit="takeFigure(n => set({ store: { ...thing!.store!, kWh: n! } }), 'kWh', false)"
      />
      <FieldTypedField
        label="Voltage"
        :shown="figureShown(thing.store.volts, 'V')"
        :commit="takeFigure(n => set({ store: { ...thing!.store!, volts: n! } }), 'V', false)"
      />
      <FieldTypedField
        label="Charge of one"
        :shown="figureShown(thing.store.chargeA, 'A')"
        :commit="takeFigure(n => set({ store: { ...thing!.store!, chargeA: n! } }), 'A', false)"
      />
      <FieldTypedField
        label="Discharge of one"
        :shown="figureShown(thing.store.dischargeA, 'A')"
        :commit="takeFigure(n => set({ store: { ...thing!.store!, dischargeA: n! } }), 'A', false)"
      />
      <FieldTypedField
        label="Output of its own converter"
        hint="empty: it is on the inverter’s direct side"
        :shown="figureShown(thing.store.outA, 'A')"
        :commit="takeFigure(n => set({ store: { ...thing!.store!, outA: n } }), 'A')"
      />
    </template>
    <template v-if="thing.transfer">
      <h2 class="slip-title mt-4">
        In an outage
      </h2>
      <FieldYesNoField
        label="It backs"
        :value="thing.transfer.backs === 'whole'"
        yes="The whole house"
        no="A part of it"
        @choose="set({ transfer: { ...thing!.transfer!, backs: $event ? 'whole' : 'part' } })"
      />
      <FieldTypedField
        label="What runs then"
        hint="W; it says how long"
        :shown="figureShown(thing.transfer.loadW, 'W')"
        :commit="takeFigure(loadW => set({ transfer: { ...thing!.transfer!, loadW } }), 'W')"
      />
      <FieldYesNoField
        label="The neutral"
        :value="thing.transfer.switchesNeutral"
        yes="Is switched"
        no="Is not switched"
        @choose="set({ transfer: { ...thing!.transfer!, switchesNeutral: $event } })"
      />
      <FieldYesNoField
        label="Neutral and earth then"
        :value="thing.transfer.islandLink"
        yes="Joined by the gateway"
        no="Not joined by it"
        @choose="set({ transfer: { ...thing!.transfer!, islandLink: $event } })"
      />
    </template>
    <template v-if="thing.anchors">
      <h2 class="slip-title mt-4">
        Anchors
      </h2>
      <FieldTypedField
        label="Anchors, all"
        :shown="figureShown(thing.anchors.count, '')"
        :commit="takeFigure(n => set({ anchors: { ...thing!.anchors!, count: n! } }), '', false)"
      />
      <FieldTypedField
        label="Of them in tension"
        :shown="figureShown(thing.anchors.inTension, '')"
        :commit="takeFigure(n => set({ anchors: { ...thing!.anchors!, inTension: n! } }), '', false)"
      />
      <FieldLengthField
        label="From the wall to its mass"
        :mm="thing.anchors.outMm"
        :units="units"
        :commit="mm => set({ anchors: { ...thing!.anchors!, outMm: mm! } })"
      />
      <FieldLengthField
        label="From the upper anchors to its lower edge"
        :mm="thing.anchors.apartMm"
        :units="units"
        :commit="mm => set({ anchors: { ...thing!.anchors!, apartMm: mm! } })"
      />
      <FieldTypedField
        label="One holds, pulled"
        hint="N, by its maker in this base"
        :shown="figureShown(thing.anchors.pullN, 'N')"
        :commit="takeFigure(pullN => set({ anchors: { ...thing!.anchors!, pullN } }), 'N')"
      />
      <FieldTypedField
        label="One holds, sheared"
        hint="N, by its maker in this base"
        :shown="figureShown(thing.anchors.shearN, 'N')"
        :commit="takeFigure(shearN => set({ anchors: { ...thing!.anchors!, shearN } }), 'N')"
      />
      <FieldYesNoField
        label="Screwed"
        :value="thing.anchors.board"
        yes="To a board over two studs"
        no="To the wall"
        @choose="set({ anchors: { ...thing!.anchors!, board: $event } })"
      />
      <FieldYesNoField
        label="Its top"
        :value="thing.anchors.topRestraint"
        yes="Is restrained"
        no="Is free"
        @choose="set({ anchors: { ...thing!.anchors!, topRestraint: $event } })"
      />
    </template>
    <UButton
      v-if="!readsOnly"
      class="mt-4"
      size="sm"
      color="neutral"
      variant="outline"
      icon="i-lucide-trash-2"
      :label="`Take ${thing.name} away`"
      @click="drop"
    />
  </template>
  <div
    v-if="!readsOnly"
    class="mt-5 flex items-end gap-2"
  >
    <FieldChoiceField
      label="Another thing"
      class="min-w-0 flex-1"
      :value="adds"
      :choices="kinds"
      @choose="adds = $event"
    />
    <UButton
      size="sm"
      color="neutral"
      icon="i-lucide-plus"
      label="Add"
      @click="add"
    />
  </div>
</template>
