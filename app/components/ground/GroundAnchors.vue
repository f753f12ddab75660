<script setup lang="ts">
import type { Anchors } from '#core/job'

/** What holds the thing in hand on its wall. */
const { thing, setThing, units } = useGrid()
const anchors = computed(() => thing.value!.anchors!)
const set = (change: Partial<Anchors>) => setThing(thing.value!, { anchors: { ...anchors.value, ...change } })
</script>

<template>
  <h2 class="slip-title mt-4">
    Anchors
  </h2>
  <FieldTypedField
    label="Anchors, all"
    :shown="figureShown(anchors.count, '')"
    :commit="takeFigure(n => set({ count: n! }), '', false)"
  />
  <FieldTypedField
    label="Of them in tension"
    :shown="figureShown(anchors.inTension, '')"
    :commit="takeFigure(n => set({ inTension: n! }), '', false)"
  />
  <FieldLengthField
    label="From the wall to its mass"
    :mm="anchors.outMm"
    :units="units"
    :commit="mm => set({ outMm: mm! })"
  />
  <FieldLengthField
    label="From the upper anchors to its lower edge"
    :mm="anchors.apartMm"
    :units="units"
    :commit="mm => set({ apartMm: mm! })"
  />
  <FieldTypedField
    label="One holds, pulled"
    hint="N, by its maker in this base"
    :shown="figureShown(anchors.pullN, 'N')"
    :commit="takeFigure(pullN => set({ pullN }), 'N')"
  />
  <FieldTypedField
    label="One holds, sheared"
    hint="N, by its maker in this base"
    :shown="figureShown(anchors.shearN, 'N')"
    :commit="takeFigure(shearN => set({ shearN }), 'N')"
  />
  <FieldLengthField
    label="That holds so far from an edge"
    hint="of masonry or concrete: a free end, a door, a window"
    :mm="anchors.edgeMm"
    :units="units"
    :commit="mm => set({ edgeMm: mm! })"
  />
  <FieldLengthField
    label="And so far from the next anchor"
    :mm="anchors.spacingMm"
    :units="units"
    :commit="mm => set({ spacingMm: mm! })"
  />
  <FieldLengthField
    label="Set so deep"
    :mm="anchors.embedMm"
    :units="units"
    :commit="mm => set({ embedMm: mm! })"
  />
  <FieldYesNoField
    label="Screwed"
    :value="anchors.board"
    yes="To a board over two studs"
    no="To the wall"
    @choose="set({ board: $event })"
  />
  <FieldYesNoField
    label="Its top"
    :value="anchors.topRestraint"
    yes="Is restrained"
    no="Is free"
    @choose="set({ topRestraint: $event })"
  />
</template>
