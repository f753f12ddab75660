<script setup lang="ts">
import type { Thing } from '#core/job'

/** What parts the house from the grid, and what runs then. */
const { thing, setThing } = useGrid()
const transfer = computed(() => thing.value!.transfer!)
const set = (change: Partial<NonNullable<Thing['transfer']>>) => setThing(thing.value!, { transfer: { ...transfer.value, ...change } })
</script>

<template>
  <h2 class="slip-title mt-4">
    In an outage
  </h2>
  <FieldYesNoField
    label="It backs"
    :value="transfer.backs === 'whole'"
    yes="The whole house"
    no="A part of it"
    @choose="set({ backs: $event ? 'whole' : 'part' })"
  />
  <FieldTypedField
    label="What runs then"
    hint="W; it says how long"
    :shown="figureShown(transfer.loadW, 'W')"
    :commit="takeFigure(loadW => set({ loadW }), 'W')"
  />
  <FieldYesNoField
    label="The neutral"
    :value="transfer.switchesNeutral"
    yes="Is switched"
    no="Is not switched"
    @choose="set({ switchesNeutral: $event })"
  />
  <FieldYesNoField
    label="Neutral and earth then"
    :value="transfer.islandLink"
    yes="Joined by the gateway"
    no="Not joined by it"
    @choose="set({ islandLink: $event })"
  />
</template>
