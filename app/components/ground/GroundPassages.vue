<script setup lang="ts">
import { v4 as newId } from 'uuid'
import type { Ground } from '#core/job'

/** Where cable goes from one wall to another: a hole on each, and the way between. */
const { ground, units, set } = useGrid()
const readsOnly = useReadsOnly()
type Passage = Ground['passages'][number]
const passages = computed(() => ground.value!.passages)
const walls = computed(() => ground.value!.walls.map(one => ({ value: one.id, label: one.name })))
const change = (id: string, own: Partial<Passage>) => set({ passages: passages.value.map(one => one.id === id ? { ...one, ...own } : one) })
function add() {
  const [a, b] = ground.value!.walls
  set({ passages: [...passages.value, { id: newId().slice(0, 8), from: { wallId: a!.id, xMm: 500, yMm: 1500 }, to: { wallId: b!.id, xMm: 500, yMm: 1500 }, mm: 250 }] })
}
const ends = [['from', 'On'], ['to', 'And on']] as const
</script>

<template>
  <section
    v-if="walls.length > 1"
    class="mt-4"
  >
    <h2 class="slip-title">
      Ways between walls
    </h2>
    <div
      v-for="one in passages"
      :key="one.id"
      class="mb-2 border-b border-graphite-300"
    >
      <template
        v-for="[end, words] in ends"
        :key="end"
      >
        <FieldChoiceField
          :label="words"
          :value="one[end].wallId"
          :choices="walls"
          @choose="change(one.id, { [end]: { ...one[end], wallId: $event } })"
        />
        <FieldLengthField
          label="From its left corner"
          :mm="one[end].xMm"
          :units="units"
          :commit="mm => change(one.id, { [end]: { ...one[end], xMm: mm! } })"
        />
        <FieldLengthField
          label="From its floor"
          :mm="one[end].yMm"
          :units="units"
          :commit="mm => change(one.id, { [end]: { ...one[end], yMm: mm! } })"
        />
      </template>
      <FieldLengthField
        label="Way through"
        :mm="one.mm"
        :units="units"
        :commit="mm => change(one.id, { mm: mm! })"
      />
      <UButton
        v-if="!readsOnly"
        size="xs"
        color="neutral"
        variant="ghost"
        label="Take this way away"
        @click="set({ passages: passages.filter(other => other.id !== one.id) })"
      />
    </div>
    <UButton
      v-if="!readsOnly && passages.length < 10"
      size="sm"
      color="neutral"
      variant="outline"
      icon="i-lucide-plus"
      label="Another way"
      @click="add"
    />
  </section>
</template>
