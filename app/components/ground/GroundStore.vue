<script setup lang="ts">
import type { Store } from '#core/job'

/** The batteries in hand. */
const { thing, setThing } = useGrid()
const store = computed(() => thing.value!.store!)
const set = (change: Partial<Store>) => setThing(thing.value!, { store: { ...store.value, ...change } })
</script>

<template>
  <h2 class="slip-title mt-4">
    Batteries
  </h2>
  <FieldTypedField
    label="Units"
    :shown="figureShown(store.units, '')"
    :commit="takeFigure(n => set({ units: n! }), '', false)"
  />
  <FieldTypedField
    label="Usable energy of one"
    :shown="figureShown(store.kWh, 'kWh')"
    :commit="takeFigure(n => set({ kWh: n! }), 'kWh', false)"
  />
  <FieldTypedField
    label="Voltage"
    :shown="figureShown(store.volts, 'V')"
    :commit="takeFigure(n => set({ volts: n! }), 'V', false)"
  />
  <FieldTypedField
    label="Charge of one"
    :shown="figureShown(store.chargeA, 'A')"
    :commit="takeFigure(n => set({ chargeA: n! }), 'A', false)"
  />
  <FieldTypedField
    label="Discharge of one"
    :shown="figureShown(store.dischargeA, 'A')"
    :commit="takeFigure(n => set({ dischargeA: n! }), 'A', false)"
  />
  <FieldTypedField
    label="Output of its own converter"
    hint="empty: it is on the inverter’s direct side"
    :shown="figureShown(store.outA, 'A')"
    :commit="takeFigure(n => set({ outA: n }), 'A')"
  />
</template>
