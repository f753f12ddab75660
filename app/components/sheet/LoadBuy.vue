<script setup lang="ts">
import type { Loadout } from '#core/sheets/loadout'
import type { UnitSystem } from '#core/units'

/** What is bought, grouped by whom it is bought of, in whole packs. */
const { loadout, units } = defineProps<{ loadout: Loadout, units: UnitSystem }>()
const money = (value: number) => new Intl.NumberFormat('en', { style: 'currency', currency: loadout.currency }).format(value)
const total = computed(() => loadout.purchases.reduce((sum, one) => sum + one.cost, 0))
const unpriced = computed(() => loadout.purchases.reduce((sum, one) => sum + one.unpriced, 0))
</script>

<template>
  <section
    v-for="group in loadout.purchases"
    :key="group.supplier"
    class="mb-5 break-inside-avoid"
  >
    <h3 class="flex items-baseline justify-between border-b-2 border-graphite-900 font-bold">
      <span class="text-lg">{{ group.supplier }}</span><span>{{ money(group.cost) }}</span>
    </h3>
    <table class="w-full text-[15px]">
      <thead class="sr-only">
        <tr><th>Pieces</th><th>Part</th><th>Packs</th><th>Cost</th></tr>
      </thead>
      <tbody>
        <tr
          v-for="{ line, packs, pieces, cost } in group.lines"
          :key="line.id"
          class="border-b border-dotted border-graphite-400 align-baseline"
        >
          <td class="w-16 py-1 pr-3 text-right text-lg font-bold">
            {{ pieces }}
          </td>
          <td class="py-1">
            <SheetLoadPart
              :line="line"
              :units="units"
            />
          </td>
          <td class="py-1 text-right text-muted max-sm:hidden">
            {{ line.packOf > 1 ? `${packs} × ${line.packOf}` : '' }}
          </td>
          <td class="w-28 py-1 text-right whitespace-nowrap">
            {{ cost === null ? 'no price' : money(cost) }}
          </td>
        </tr>
      </tbody>
    </table>
  </section>
  <p class="text-right text-lg font-semibold">
    {{ money(total) }}{{ unpriced ? `, and ${unpriced} ${unpriced === 1 ? 'part' : 'parts'} without a price` : '' }}
  </p>
</template>
