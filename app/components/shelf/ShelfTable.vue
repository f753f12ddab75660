<script setup lang="ts">
import { type Catalogue, type Item, type Shelf, sourceNames, sourceText } from '#core/catalogue'
import { gapsOf, showAt, tellingFigures, type Used, usesOf } from '#core/shelf'
import type { UnitSystem } from '#core/units'

/** The parts of one shelf with the figures that tell them apart. */
const { shelf, catalogue, used, units, chosen, unsaved } = defineProps<{
  shelf: Shelf
  catalogue: Catalogue
  used: Used
  units: UnitSystem
  chosen: string | null
  /** Ids of parts with figures that are typed and not saved. */
  unsaved: string[]
}>()
const emit = defineEmits<{ choose: [id: string] }>()
const sought = ref('')
const withRetired = ref(false)
watch(() => shelf, () => sought.value = '')

/** Sets and sizes are copied into jobs, not named there. */
const counted = computed(() => shelf !== 'pairs' && shelf !== 'sets' && shelf !== 'coverings')
const figures = computed(() => tellingFigures(shelf).slice(shelf === 'pairs' ? 1 : 0))
interface Line { item: Item, name: string, maker: string, cells: string[], uses: number, retired: boolean, gaps: string[] }
const lines = computed(() => catalogue[shelf].map((item): Line => ({
  item, name: 'name' in item ? item.name : showAt(tellingFigures('pairs')[0]!, item, catalogue, units), maker: 'maker' in item ? item.maker : '',
  cells: figures.value.map(one => showAt(one, item, catalogue, units)), uses: usesOf(used, shelf, item.id), retired: 'retired' in item && item.retired, gaps: gapsOf(catalogue, shelf, item),
})))
const retired = computed(() => lines.value.filter(line => line.retired).length)
const shown = computed(() => {
  const words = sought.value.toLowerCase().split(/\s+/).filter(Boolean)
  return lines.value.filter(line => (withRetired.value || !line.retired || line.item.id === chosen) && words.every(word => [line.name, line.maker, ...line.cells].join(' ').toLowerCase().includes(word)))
})
</script>

<template>
  <div class="mb-3 flex flex-wrap items-center gap-x-5 gap-y-2">
    <UInput
      v-model="sought"
      icon="i-lucide-search"
      placeholder="Name, maker or figure"
      aria-label="Search this shelf"
      class="w-64"
    />
    <UCheckbox
      v-if="retired"
      v-model="withRetired"
      :label="`With ${retired} retired`"
    />
  </div>
  <p
    v-if="!shown.length"
    class="border-l-4 border-graphite-300 py-1 pl-3 text-[15px]"
  >
    {{ lines.length ? sought ? `Nothing here answers to “${sought}”.` : 'All of them are retired.' : 'This shelf is empty. Type a part, or bring a price list or data sheet as a spreadsheet: it is shown before it is taken.' }}
  </p>
  <div
    v-else
    class="overflow-x-auto"
  >
    <table class="w-full border-collapse text-left text-[15px]">
      <thead>
        <tr class="border-b-2 border-graphite-900 align-bottom text-[13px]">
          <th
            scope="col"
            class="py-1 pr-3 font-semibold"
          >
            {{ shelf === 'pairs' ? 'Rail' : 'Name' }}
          </th>
          <th
            v-for="(one, i) in figures"
            :key="one.path"
            scope="col"
            class="px-2 py-1 font-semibold"
            :class="i > 1 ? 'max-sm:hidden' : ''"
          >
            {{ one.label }}
          </th>
          <th
            scope="col"
            class="px-2 py-1 font-semibold"
          >
            Source
          </th>
          <th
            v-if="counted"
            scope="col"
            class="py-1 pl-2 text-right font-semibold"
          >
            Jobs
          </th>
        </tr>
      </thead>
      <tbody
        v-for="line in shown"
        :key="line.item.id"
        class="cursor-pointer border-b border-graphite-300 hover:bg-sheet"
        :class="line.item.id === chosen ? 'bg-chalk-100' : ''"
        @click="emit('choose', line.item.id)"
      >
        <tr class="align-top">
          <th
            scope="row"
            class="py-1.5 pr-3 text-left font-normal"
          >
            <button
              type="button"
              class="text-left leading-tight font-semibold"
              :class="line.retired ? 'line-through decoration-1' : ''"
              :aria-current="line.item.id === chosen ? 'true' : undefined"
              @click.stop="emit('choose', line.item.id)"
            >
              {{ line.name }}
            </button>
            <span
              v-if="unsaved.includes(line.item.id)"
              class="ml-1.5 text-[13px] font-semibold text-amber-700"
            >not saved</span>
            <span
              v-if="line.maker"
              class="block text-[13px] text-muted"
            >{{ line.maker }}{{ line.retired ? ', retired' : '' }}</span>
          </th>
          <td
            v-for="(cell, i) in line.cells"
            :key="i"
            class="px-2 py-1.5"
            :class="[/^[\d$€£]/.test(cell) ? 'whitespace-nowrap' : '', i > 1 ? 'max-sm:hidden' : '']"
          >
            {{ cell || '–' }}
          </td>
          <td
            class="px-2 py-1.5 text-[13px] whitespace-nowrap"
            :title="sourceText(line.item.source)"
          >
            <span :class="line.item.source.by === 'invented' ? 'border border-amber-500 px-1 font-semibold text-amber-700' : ''">{{ sourceNames[line.item.source.by].toLowerCase() }}</span>
            <span class="block text-muted">{{ line.item.source.on }}</span>
          </td>
          <td
            v-if="counted"
            class="py-1.5 pl-2 text-right"
          >
            {{ line.uses || '–' }}
          </td>
        </tr>
        <tr
          v-for="gap in line.gaps"
          :key="gap"
        >
          <td
            :colspan="figures.length + 3"
            class="pb-1.5 text-[13px]"
          >
            <span class="flex items-center gap-1.5"><PlannerStateMark state="caution" />{{ gap }}</span>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
