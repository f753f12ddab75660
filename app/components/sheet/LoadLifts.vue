<script setup lang="ts">
import type { Job, LoadoutRules } from '#core/job'
import type { Loadout } from '#core/sheets/loadout'
import { loadStageNames } from '#core/trade'
import { formatMass, type UnitSystem } from '#core/units'

/** Lifts to the roof in the order of the day, each within the rated load. */
const { job, loadout, units } = defineProps<{ job: Job, loadout: Loadout, units: UnitSystem }>()
const store = useJobStore()
const set = (values: Partial<LoadoutRules>) => store.commit(loadoutEdit(values))
const lifts = computed(() => loadout.lifts.lifts)
</script>

<template>
  <div class="no-print mb-4 max-w-md">
    <FieldMeasureField
      label="Rated load of the lift"
      :hint="job.loadout.liftKg === null ? 'none: everything is carried' : 'by its plate; empty for none'"
      measure="mass"
      :value="job.loadout.liftKg"
      :units="units"
      optional
      :commit="liftKg => set({ liftKg })"
    />
    <FieldMeasureField
      label="Crate or cradle for modules"
      hint="goes up with each lift of modules"
      measure="mass"
      :value="job.loadout.crateKg"
      :units="units"
      :commit="crateKg => set({ crateKg: crateKg! })"
    />
  </div>
  <p
    v-for="name in loadout.lifts.tooHeavy"
    :key="name"
    role="alert"
    class="mb-2 border-l-4 border-brick-500 py-1 pl-3 font-semibold"
  >
    {{ name }}: one alone is over the rated load. It must go up another way.
  </p>
  <p
    v-if="job.loadout.liftKg === null"
    class="text-lg"
  >
    Type the lift’s rated load, and this page says what goes up in each lift. Without a lift carry modules in twos, one hand for the ladder never.
  </p>
  <ol
    v-else
    class="grid gap-x-8 sm:grid-cols-2"
  >
    <li
      v-for="lift in lifts"
      :key="lift.number"
      class="mb-4 break-inside-avoid"
    >
      <h3 class="flex items-baseline justify-between border-b-2 border-graphite-900 font-bold">
        <span class="text-lg">Lift {{ lift.number }}, {{ loadStageNames[lift.stage].toLowerCase() }}</span>
        <span>{{ formatMass(lift.massKg, units) }}</span>
      </h3>
      <div
        class="h-1.5 bg-graphite-200"
        aria-hidden="true"
      >
        <div
          class="h-1.5 bg-lichen-500"
          :style="{ width: `${Math.min(100, 100 * lift.massKg / job.loadout.liftKg)}%` }"
        />
      </div>
      <ul class="text-[15px]">
        <li
          v-for="(item, i) in lift.items"
          :key="i"
          class="flex justify-between gap-3 border-b border-dotted border-graphite-300 py-0.5"
        >
          <span><b>{{ item.pieces }}</b> {{ item.name }}{{ item.lengthMm ? ', ' : '' }}<FieldLengthText
            v-if="item.lengthMm"
            :mm="item.lengthMm"
            :units="units"
          /></span><span class="text-muted">{{ formatMass(item.massKg, units) }}</span>
        </li>
      </ul>
    </li>
  </ol>
  <p
    v-if="loadout.lifts.unweighed.length && job.loadout.liftKg !== null"
    class="text-[15px] text-muted"
  >
    Not weighed, so in no lift: {{ loadout.lifts.unweighed.join(', ') }}.
  </p>
</template>
