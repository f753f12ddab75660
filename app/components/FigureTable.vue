<script setup lang="ts" generic="Row extends { key: string | number, cells: { words: string, over?: boolean }[], picked?: boolean }">
/**
 * A table of figures; the last cell may be filled by its slot. On a phone every row becomes a card whose figures carry their heads.
 * With `picks` the first cell takes its row in hand.
 */
const { caption, heads, rows, picks = false } = defineProps<{ caption: string, heads: string[], rows: Row[], picks?: boolean }>()
const emit = defineEmits<{ pick: [key: Row['key']] }>()
</script>

<template>
  <table
    role="table"
    class="mt-2 block w-full text-[15px] sm:table"
  >
    <caption class="sr-only">
      {{ caption }}
    </caption>
    <thead
      role="rowgroup"
      class="sr-only sm:not-sr-only sm:table-header-group"
    >
      <tr
        role="row"
        class="border-b-2 border-graphite-900 text-left"
      >
        <th
          v-for="head in heads"
          :key="head"
          role="columnheader"
          scope="col"
          class="py-1 pr-3 font-semibold"
        >
          {{ head }}
        </th>
      </tr>
    </thead>
    <tbody
      role="rowgroup"
      class="block sm:table-row-group"
    >
      <tr
        v-for="row in rows"
        :key="row.key"
        role="row"
        class="grid grid-cols-2 gap-x-4 border-b border-dotted border-graphite-300 py-1 sm:table-row"
        :class="row.picked ? 'bg-graphite-100 font-semibold' : ''"
      >
        <td
          v-for="(cell, i) in row.cells"
          :key="i"
          role="cell"
          class="sm:py-1 sm:pr-3 sm:last:pr-0"
          :class="[i === 0 ? 'col-span-2' : '', cell.over ? 'text-brick-600 font-semibold' : '']"
        >
          <span
            v-if="i > 0 && heads[i]"
            aria-hidden="true"
            class="mt-0.5 block text-sm font-normal text-muted sm:hidden"
          >{{ heads[i] }}</span>
          <button
            v-if="i === 0 && picks"
            type="button"
            class="text-left underline decoration-2 underline-offset-4"
            :aria-pressed="Boolean(row.picked)"
            @click="emit('pick', row.key)"
          >
            {{ cell.words }}
          </button>
          <slot
            v-else-if="i === row.cells.length - 1"
            name="last"
            :row="row"
          >
            {{ cell.words }}
          </slot>
          <template v-else>
            {{ cell.words }}
          </template>
        </td>
      </tr>
    </tbody>
  </table>
</template>
