<script setup lang="ts">
import { v4 as newId } from 'uuid'
import { blockKinds, blockNames, type Wall, wallSizeAssumed } from '#core/job'
import { formatLength } from '#core/units'

/** One wall: its size, what it is of, and what is there already. */
const { wall } = defineProps<{ wall: Wall }>()
const { ground, units, setWall, commit } = useGrid()
const { newest } = useFace()
const readsOnly = useReadsOnly()
const set = (change: Partial<Wall>) => setWall(wall, change)
const placeNames = { outside: 'Outside', garage: 'Garage', utility: 'Utility room', inside: 'Inside' }
const baseNames = { stud: 'Studs', masonry: 'Masonry', concrete: 'Concrete' }
const block = ref<typeof blockKinds[number]>('gas')
function addBlock() {
  set({ blocks: [...wall.blocks, { id: newId().slice(0, 8), kind: block.value, name: blockNames[block.value], xMm: Math.round(wall.wideMm / 2), yMm: 900, wideMm: 400, highMm: 400, deepMm: 150, keepMm: null }] })
}
const changeBlock = (id: string, change: Partial<Wall['blocks'][number]>) => set({ blocks: wall.blocks.map(one => one.id === id ? { ...one, ...change } : one) })
const dropBlock = (id: string) => set({ blocks: wall.blocks.filter(one => one.id !== id) })
const sizes = [['xMm', 'From the left corner'], ['yMm', 'From the floor'], ['wideMm', 'Wide'], ['highMm', 'High'], ['deepMm', 'Deep']] as const
</script>

<template>
  <section class="mt-4">
    <FieldTypedField
      label="Wall"
      wide
      :shown="wall.name"
      :commit="name => set({ name })"
    />
    <FieldChoiceField
      label="It is"
      :value="wall.place"
      :choices="(['outside', 'garage', 'utility', 'inside'] as const).map(value => ({ value, label: placeNames[value] }))"
      @choose="set({ place: $event })"
    />
    <FieldLengthField
      label="Wide"
      :mm="wall.wideMm"
      :units="units"
      :assumed="wallSizeAssumed(newest, wall.id, 'wideMm')"
      :commit="mm => set({ wideMm: mm! })"
    />
    <FieldLengthField
      label="High"
      :mm="wall.highMm"
      :units="units"
      :assumed="wallSizeAssumed(newest, wall.id, 'highMm')"
      :commit="mm => set({ highMm: mm! })"
    />
    <FieldChoiceField
      label="Of"
      :value="wall.base"
      :choices="(['stud', 'masonry', 'concrete'] as const).map(value => ({ value, label: baseNames[value] }))"
      @choose="set({ base: $event, studs: $event === 'stud' ? wall.studs ?? { firstMm: 203, everyMm: 406.4 } : null })"
    />
    <template v-if="wall.studs">
      <FieldLengthField
        label="First stud from the corner"
        :mm="wall.studs.firstMm"
        :units="units"
        :commit="mm => set({ studs: { ...wall.studs!, firstMm: mm! } })"
      />
      <FieldLengthField
        label="Studs apart"
        :mm="wall.studs.everyMm"
        :units="units"
        :commit="mm => set({ studs: { ...wall.studs!, everyMm: mm! } })"
      />
    </template>
    <FieldYesNoField
      v-for="end in (['left', 'right'] as const)"
      :key="end"
      :label="`At its ${end} end`"
      :value="wall.corner[end]"
      yes="Another wall stands out"
      no="It is open"
      @choose="set({ corner: { ...wall.corner, [end]: $event } })"
    />
    <FieldYesNoField
      v-if="wall.place === 'inside'"
      label="People sleep there"
      :value="wall.sleeping"
      yes="Yes"
      no="No"
      @choose="set({ sleeping: $event })"
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
        :commit="name => changeBlock(one.id, { name })"
      />
      <FieldLengthField
        v-for="[key, label] in sizes"
        :key="key"
        :label="label"
        :mm="one[key]"
        :units="units"
        :commit="mm => changeBlock(one.id, { [key]: mm! })"
      />
      <FieldLengthField
        label="Others keep off"
        hint="empty: by the rules"
        optional
        :mm="one.keepMm"
        :units="units"
        :commit="keepMm => changeBlock(one.id, { keepMm })"
      />
      <UButton
        v-if="!readsOnly"
        size="xs"
        color="neutral"
        variant="ghost"
        :label="`Take ${one.name} away`"
        @click="dropBlock(one.id)"
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
        @click="addBlock"
      />
    </div>
    <UButton
      v-if="!readsOnly && ground!.walls.length > 1 && !ground!.things.some(one => one.wallId === wall.id)"
      size="xs"
      color="neutral"
      variant="ghost"
      :label="`Take ${wall.name} away`"
      @click="commit({ type: 'put-wall', wallId: wall.id, wall: null })"
    />
  </section>
</template>
