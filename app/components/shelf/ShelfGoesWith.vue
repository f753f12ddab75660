<script setup lang="ts">
import { type Catalogue, type Item, pairId, type Shelf, sourceText, type Source } from '#core/catalogue'

/** What a rail, a mount or clamps go with, by whose word; each pairing is on the shelf as soon as it is chosen. */
const { shelf, item, catalogue } = defineProps<{ shelf: 'rails' | 'mounts' | 'clamps', item: Item, catalogue: Catalogue }>()
const { change, remove } = inject<ReturnType<typeof useShelf>>('shelf')!
const partners = computed((): Shelf[] => shelf === 'rails' ? ['mounts', 'clamps'] : ['rails'])
const mine = computed(() => catalogue.pairs.filter(pair => (shelf === 'rails' ? pair.railId : pair.withId) === item.id))
const others = computed(() => partners.value.flatMap(on => catalogue[on] as { id: string, name: string, retired: boolean }[]))
const otherId = (pair: { railId: string, withId: string }) => shelf === 'rails' ? pair.withId : pair.railId
const nameOf = (id: string) => others.value.find(one => one.id === id)?.name ?? id
const free = computed(() => others.value.filter(one => !one.retired && !mine.value.some(pair => otherId(pair) === one.id)).map(one => ({ value: one.id, label: one.name })))
const source = ref<Partial<Source>>({ on: today() })
const wanted = ref<string>()
const problem = ref('')
async function add() {
  if (!wanted.value) return
  const [railId, withId] = shelf === 'rails' ? [item.id, wanted.value] : [wanted.value, item.id]
  const outcome = await change([{ shelf: 'pairs', was: null, item: { id: pairId(railId, withId), railId, withId, source: source.value } }])
  problem.value = outcome.ok ? '' : outcome.problem
  if (outcome.ok) wanted.value = undefined
}
async function drop(id: string) {
  const outcome = await remove('pairs', id)
  problem.value = outcome.ok ? '' : outcome.problem
}
</script>

<template>
  <h3 class="slip-title mt-5">
    Goes with
  </h3>
  <p
    v-if="!mine.length"
    class="text-[15px] text-muted"
  >
    Nothing yet. Choose below what it goes with, and who says so.
  </p>
  <ul>
    <li
      v-for="pair in mine"
      :key="pair.id"
      class="flex items-start justify-between gap-2 border-b border-dotted border-graphite-300 py-1"
    >
      <span class="text-[15px]">{{ nameOf(otherId(pair)) }}<span class="block text-[13px] text-muted">{{ sourceText(pair.source) }}</span></span>
      <UButton
        size="xs"
        color="neutral"
        variant="ghost"
        icon="i-lucide-x"
        :aria-label="`Does not go with ${nameOf(otherId(pair))}`"
        @click="drop(pair.id)"
      />
    </li>
  </ul>
  <template v-if="free.length">
    <FieldChoiceField
      label="Goes with another"
      :value="wanted ?? ''"
      :choices="free"
      @choose="wanted = $event"
    />
    <div
      v-if="wanted"
      class="border-l-2 border-chalk-300 pl-3"
    >
      <ShelfSource
        :source="source"
        label="Says"
        @change="source = $event"
      />
      <UButton
        size="xs"
        class="mt-2"
        label="Say that they go together"
        @click="add"
      />
    </div>
  </template>
  <p
    v-if="problem"
    role="alert"
    class="mt-1 text-sm font-medium text-brick-600"
  >
    {{ problem }}
  </p>
</template>
