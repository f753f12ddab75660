<script setup lang="ts">
import { busFeeds } from '#core/electrical'
import type { Panel } from '#core/job'

/** The busbar of the thing in hand. */
const { thing, setPanel } = useGrid()
const panel = computed(() => thing.value!.panel!)
const set = (change: Partial<Panel>) => setPanel(thing.value!, change)
const feedNames = { end: 'At one end', centre: 'In its middle', through: 'On through to other lugs' }
</script>

<template>
  <h2 class="slip-title mt-4">
    Busbar
  </h2>
  <FieldTypedField
    label="Busbar"
    :shown="figureShown(panel.busA, 'A')"
    :commit="takeFigure(busA => set({ busA: busA! }), 'A', false)"
  />
  <FieldTypedField
    label="Main"
    hint="empty: main lugs"
    :shown="figureShown(panel.mainA, 'A')"
    :commit="takeFigure(mainA => set({ mainA }), 'A')"
  />
  <FieldChoiceField
    label="It is fed"
    :value="panel.feed"
    :choices="busFeeds.map(value => ({ value, label: feedNames[value] }))"
    @choose="set({ feed: $event })"
  />
  <FieldYesNoField
    label="Sources stand"
    :value="panel.oppositeEnd"
    yes="At the end opposite to the main"
    no="Anywhere"
    @choose="set({ oppositeEnd: $event })"
  />
  <FieldTypedField
    label="Devices of all loads together"
    :shown="figureShown(panel.loadDevicesA, 'A')"
    :commit="takeFigure(loadDevicesA => set({ loadDevicesA: loadDevicesA! }), 'A', false)"
  />
  <FieldTypedField
    label="Calculated load"
    hint="a smaller main is proposed only with it"
    :shown="figureShown(panel.loadA, 'A')"
    :commit="takeFigure(loadA => set({ loadA }), 'A')"
  />
  <FieldTypedField
    label="Free poles"
    :shown="figureShown(panel.ways, '')"
    :commit="takeFigure(ways => set({ ways: ways! }), '', false)"
  />
  <FieldTypedField
    label="Held by a listed power control system to"
    hint="empty: by none"
    :shown="figureShown(panel.limitA, 'A')"
    :commit="takeFigure(limitA => set({ limitA }), 'A')"
  />
</template>
