<script setup lang="ts">
import { v4 as newId } from 'uuid'
import { isAside, usualThing } from '#core/ground'
import { plainPanel, type Thing, thingKinds, thingNames } from '#core/job'

/** The thing in hand: what it leads to, where it hangs, its plate. */
const { thing, grid, ground, units, setThing, pick, commit } = useGrid()
const readsOnly = useReadsOnly()
const stood = computed(() => grid.value?.placing.stood.find(one => one.thingId === thing.value?.id) ?? null)
const targets = computed(() => [{ value: '-', label: 'Nobody has said' }, ...ground.value!.things.filter(one => one.id !== thing.value?.id && !isAside(one) && one.kind !== 'roof-box').map(one => ({ value: one.id, label: one.name }))])
const set = (change: Partial<Thing>) => setThing(thing.value!, change)
const place = (change: { xMm?: number, yMm?: number }) => set({ at: { xMm: stood.value?.xMm ?? 0, yMm: stood.value?.yMm ?? 0, ...thing.value!.at, ...change } })
const kinds = thingKinds.map(value => ({ value, label: thingNames[value] }))
const adds = ref<Thing['kind']>('ac-disconnect')
function add() {
  const kind = adds.value
  const [id, n] = [newId().slice(0, 8), ground.value!.things.filter(one => one.kind === kind).length]
  commit({ type: 'put-thing', thingId: id, thing: usualThing(kind, id, { wallId: ground.value!.walls[0]?.id ?? null, name: n ? `${thingNames[kind]} ${n + 1}` : thingNames[kind], ...panelFor(kind) }) })
  pick('thing', id)
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
    <GroundBusbar v-if="thing.panel" />
    <GroundStore v-if="thing.store" />
    <GroundTransfer v-if="thing.transfer" />
    <GroundAnchors v-if="thing.anchors" />
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
