<script setup lang="ts">
import { letterOf, wallFigure } from '#core/sheets/ground'
import { formatLength, formatMass } from '#core/units'

/** Walls to scale with what stands on them, the runs between, and every reading from the left corner and the floor. */
const { grid, units, held, pick } = useGrid()
const wallId = ref<string | null>(null)
const walls = computed(() => grid.value!.ground.walls)
/** The wall of what is in hand, else the one that was chosen. */
const wall = computed(() => walls.value.find(one => one.id === wallId.value) ?? walls.value[0] ?? null)
watch(held, (now) => {
  const stands = now?.kind === 'thing' ? grid.value?.placing.stood.find(one => one.thingId === now.id) : null
  if (stands) wallId.value = stands.wallId
}, { immediate: true })
const drawn = computed(() => wall.value && wallFigure(grid.value!, wall.value))
const length = (mm: number) => formatLength(mm, units.value)
const rows = computed(() => grid.value!.ground.things.flatMap((thing) => {
  const at = grid.value!.placing.stood.find(one => one.thingId === thing.id && one.wallId === wall.value?.id)
  return at ? [{ key: thing.id, picked: held.value?.kind === 'thing' && held.value.id === thing.id, cells: [`${letterOf(grid.value!, thing.id)}  ${thing.name}`, length(at.xMm), length(at.yMm), `${length(thing.wideMm)} x ${length(thing.highMm)}`, thing.massKg === null ? '' : formatMass(thing.massKg, units.value), thing.existing ? 'there' : at.found ? 'found' : 'typed'].map(words => ({ words })) }] : []
}))
const said = computed(() => {
  const { placing } = grid.value!
  const found = placing.stood.some(one => one.found)
  if (!found) return 'Every place was typed.'
  const ways = placing.allWays ? '' : ' by the shortest ways between walls; others were not tried'
  return placing.proved ? `Found: no other places on a 25 mm grid that keep all distances cost less in raceway and copper${ways}.` : `Found: the best so far; at most ${(100 * (placing.cost - placing.boundCost) / placing.cost).toFixed(0)} % of the runs’ cost could still be saved${ways}.`
})
</script>

<template>
  <div class="flex min-h-0 flex-col">
    <div
      v-if="walls.length > 1"
      class="no-print flex flex-wrap gap-1 pb-1"
    >
      <UButton
        v-for="one in walls"
        :key="one.id"
        size="xs"
        color="neutral"
        :variant="one.id === wall?.id ? 'solid' : 'outline'"
        :label="one.name"
        @click="wallId = one.id"
      />
    </div>
    <p
      v-if="!wall"
      class="py-4 text-lg"
    >
      No wall yet: add one on the right, under Place.
    </p>
    <template v-else-if="drawn">
      <div class="max-md:overflow-x-auto">
        <GroundDrawing
          :drawn="drawn"
          :picked="held ? `${held.kind} ${held.id}` : null"
          :label="`${wall.name}, seen from before it, to scale`"
          class="max-h-[46vh] w-full max-md:min-w-[40rem]"
          @pick="pick($event.kind, $event.id)"
        />
      </div>
      <p class="text-sm text-muted">
        {{ said }} Dashed: there already. A number is a run, L a label.
      </p>
      <FigureTable
        caption="Where things stand, from the left corner and the floor to their lower left corner"
        :heads="['Thing', 'From the corner', 'From the floor', 'Size', 'Mass', 'Place']"
        :rows="rows"
        picks
        @pick="pick('thing', $event)"
      />
    </template>
  </div>
</template>
