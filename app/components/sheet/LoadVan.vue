<script setup lang="ts">
import type { Loadout, LoadLine } from '#core/sheets/loadout'
import { loadStageNames, loadStages } from '#core/trade'
import { formatMass, type UnitSystem } from '#core/units'

/** The van list, stage by stage of the day, to be ticked while loading. */
const { jobId, loadout, units, vanMm } = defineProps<{ jobId: string, loadout: Loadout, units: UnitSystem, vanMm: number | null }>()
const { ticked, set, reached } = useTicks(jobId, 'van')
const stages = computed(() => loadStages.map(stage => ({ stage, lines: loadout.lines.filter(line => line.stage === stage && line.total > 0) })).filter(one => one.lines.length))
const all = computed(() => stages.value.flatMap(one => one.lines))
const done = computed(() => all.value.filter(line => ticked.value.has(line.id)).length)
const packs = (line: LoadLine) => line.packOf > 1 ? `${Math.ceil(line.total / line.packOf)} × ${line.packOf}` : ''
</script>

<template>
  <div class="mb-3 flex flex-wrap items-baseline justify-between gap-x-4 text-[15px]">
    <p class="text-lg font-bold">
      {{ done === all.length ? 'All on the van' : `${done} of ${all.length} on the van` }}
      <span class="no-print text-sm font-normal text-muted">{{ reached ? '' : 'Ticks are kept on this device until the office has them.' }}</span>
    </p>
    <p v-if="loadout.longestStickMm">
      Longest stick <b><FieldLengthText
        :mm="loadout.longestStickMm"
        :units="units"
      /></b><template v-if="vanMm !== null">
        , the van takes <FieldLengthText
          :mm="vanMm"
          :units="units"
        />
      </template>
    </p>
  </div>
  <section
    v-for="{ stage, lines } in stages"
    :key="stage"
    class="mb-4 break-inside-avoid-page"
    :aria-label="loadStageNames[stage]"
  >
    <h3 class="border-b-2 border-graphite-900 text-lg font-bold">
      {{ loadStageNames[stage] }}
    </h3>
    <ul :class="stage === 'set-up' ? 'gap-x-8 sm:columns-2' : ''">
      <li
        v-for="line in lines"
        :key="line.id"
        class="break-inside-avoid border-b border-dotted border-graphite-400"
        :data-part="line.kind"
      >
        <label class="flex cursor-pointer items-center gap-3 py-1.5">
          <input
            type="checkbox"
            class="size-6 shrink-0 accent-graphite-900"
            :checked="ticked.has(line.id)"
            @change="set(line.id, ($event.target as HTMLInputElement).checked)"
          >
          <span
            v-if="line.kind !== 'tool'"
            class="w-14 shrink-0 text-right text-xl font-bold"
          >{{ line.total }}</span>
          <span
            class="min-w-0 flex-1 leading-tight"
            :class="ticked.has(line.id) ? 'text-muted line-through decoration-1' : ''"
          ><SheetLoadPart
             :line="line"
             :units="units"
           />
            <span
              v-if="line.kind !== 'tool'"
              class="block text-sm text-muted"
            >{{ [line.maker, line.spares ? `${line.spares} spare` : '', `${line.rule[0]!.toLowerCase()}${line.rule.slice(1)}`].filter(Boolean).join(', ') }}</span></span>
          <template v-if="line.kind !== 'tool'">
            <span class="w-20 shrink-0 text-right text-[15px] max-sm:hidden">{{ packs(line) }}</span>
            <span class="w-16 shrink-0 text-right text-[15px] text-muted">{{ line.unitMassKg === null ? '' : formatMass(line.unitMassKg * line.total, units) }}</span>
          </template>
        </label>
      </li>
    </ul>
  </section>
  <p class="mt-2 text-right font-semibold">
    Weighed parts: {{ formatMass(loadout.massKg, units) }}. Carry modules in twos; lifts within their rated load.
  </p>
</template>
