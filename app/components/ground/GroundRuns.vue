<script setup lang="ts">
import { racewayNames } from '#core/electrical'
import { wireName } from '#core/ground'
import { cableNames } from '#core/job'
import { formatLength } from '#core/units'

/** The conductor schedule: every run with its conductors, raceway, length and what it loses; then what meets at each box. */
const { grid, held, pick, far, units } = useGrid()
const plain = (...words: string[]) => words.map(one => ({ words: one }))
const rows = computed(() => grid.value!.runs.map((run) => {
  const flow = [...run.flows].sort((a, b) => b.terminalA - a.terminalA)[0]!
  const laid = run.existing ? 'as it is there' : run.cable ? cableNames[run.cable] : run.raceway?.filled ? `${racewayNames[run.raceway.kind]} ${run.raceway.filled.size}, ${(100 * run.raceway.filled.share).toFixed(0)} % full` : 'none that holds it'
  return {
    key: run.id, picked: held.value?.kind === 'run' && held.value.id === run.id,
    cells: [...plain(`${run.number}  ${run.name}`, `${flow.amps > 0 ? `${flow.amps.toFixed(1)}\u00A0A${run.flows.length > 1 ? ` x ${run.flows.length}` : ''}, ` : ''}${flow.deviceA === null ? 'no device' : `on ${flow.deviceA}\u00A0A`}`, run.existing ? '' : `${run.conductors.length - 1} x ${run.size}, E ${run.earth}`), { words: laid, over: !run.existing && !run.cable && !run.raceway?.filled?.fits }, { words: run.existing ? '' : `${run.carried.amps.toFixed(0)}\u00A0A`, over: !run.existing && !run.carries }, ...plain(run.existing ? '' : `${far(run.length.mm).replace(' ', '\u00A0')}${run.length.known ? '' : ' (assumed)'}`, run.existing ? '' : `${(100 * run.dropShare).toFixed(2)}\u00A0%`)],
  }
}))
const schedule = computed(() => grid.value!.runs.filter(one => !one.existing).map(run => ({
  run, conductors: [...run.conductors.reduce((sums, one) => {
    const key = `${wireName(one)}|${one.function}`
    const own = sums.get(key) ?? { name: wireName(one), fn: one.function, marks: [] as string[], n: 0 }
    return sums.set(key, { ...own, n: own.n + 1, marks: one.mark && !own.marks.includes(one.mark) ? [...own.marks, one.mark] : own.marks })
  }, new Map<string, { name: string, fn: string, marks: string[], n: number }>()).values()],
})))
/** Holes of a box, side by side: each by its running reading from the side's left or lower end. */
const holesOf = (id: string) => grid.value!.knockouts.filter(one => one.thingId === id).map(one => `${one.side}, at ${formatLength(one.readingMm, units.value)} ${one.side === 'top' || one.side === 'bottom' ? 'from its left' : 'from below'}, ${formatLength(one.holeMm, units.value)} for run ${one.run}${one.fits ? '' : ' (no room: see Findings)'}`).join('; ')
const worst = computed(() => [...grid.value!.drops].sort((a, b) => b.share - a.share)[0] ?? null)
</script>

<template>
  <div>
    <FigureTable
      caption="Runs from the roof box to the meter"
      :heads="['Run', 'Current', 'Conductors', 'Lies in', 'Carries', 'Length', 'Lost']"
      :rows="rows"
      picks
      @pick="pick('run', $event)"
    />
    <p
      v-if="worst"
      class="mt-2 text-[15px]"
    >
      From the roof to where it is connected {{ worst.name.toLowerCase() }} loses most: <b :class="worst.share > worst.limit ? 'text-brick-600' : ''">{{ (100 * worst.share).toFixed(2) }} % of {{ (100 * worst.limit).toFixed(2) }} %</b>, of it {{ (100 * worst.roofShare).toFixed(2) }} % on the roof.
    </p>
    <h3 class="slip-title mt-4">
      Conductors
    </h3>
    <ul class="text-[15px] leading-snug">
      <li
        v-for="{ run, conductors } in schedule"
        :key="run.id"
        class="border-b border-dotted border-graphite-300 py-1"
      >
        <b>{{ run.number }}</b>
        <span
          v-for="(one, i) in conductors"
          :key="i"
        >{{ i ? '; ' : ' ' }}{{ one.n }} {{ one.fn }} {{ one.name }}{{ one.marks.length ? `, marked ${one.marks.join(', ')}` : '' }}</span>
      </li>
    </ul>
    <h3 class="slip-title mt-4">
      What meets at each box
    </h3>
    <ul class="text-[15px] leading-snug">
      <li
        v-for="joint in grid!.joints"
        :key="joint.thingId"
        class="border-b border-dotted border-graphite-300 py-1"
      >
        <b :class="joint.right ? '' : 'text-brick-600'">{{ joint.name }}{{ joint.right ? '' : ': not as it arrives' }}</b>
        <span class="block">
          <span
            v-for="(row, i) in joint.rows"
            :key="i"
            :class="row.right ? '' : 'font-semibold text-brick-600'"
          >{{ i ? ', ' : '' }}{{ row.function }}{{ row.circuit === null ? '' : ` ${row.circuit}` }} {{ { through: `${row.arrives} in, ${row.leaves} out`, bus: `${row.arrives} on its bar, ${row.leaves} on`, ends: 'ends here', begins: 'begins here' }[row.how] }}</span>
        </span>
        <span
          v-if="holesOf(joint.thingId)"
          class="block"
        >Holes: {{ holesOf(joint.thingId) }}.</span>
        <span
          v-for="task in joint.tasks"
          :key="task"
          class="block text-muted"
        >{{ task }}</span>
      </li>
    </ul>
  </div>
</template>
