<script setup lang="ts">
import { branchSchoolNames } from '#core/job'
import { formatLength } from '#core/units'
import { amps, type Circuit, circuitName, type GroupPlan, modulesIn, percent, ratioWords, volts } from '#core/wiring'

/** Every branch and string with its figures, what the schools of splitting would come to, and what governs. */
const { job, plan, units, commit } = useFace()
const { circuits, circuit, pick } = useCircuit()
const readsOnly = useReadsOnly()
const wiring = computed(() => plan.value.wiring)
const length = (mm: number) => formatLength(mm, units.value)

const plain = (...words: string[]) => words.map(one => ({ words: one }))
const figures = (one: Circuit): string[] => one.kind === 'branch'
  ? [`${one.units.length} of ${one.limit.most} units${one.units.length === modulesIn(one) ? '' : `, ${modulesIn(one)} modules`}`, `its own ${one.limit.deviceA} A`, amps(one.currentA), `${length(one.home.mm)}, ${one.home.size}`]
  : [`${one.modules.length} modules`, `${volts(one.coldV)} cold, ${volts(one.hotV)} hot`, amps(one.currentA), `${length(one.plus.mm)} and ${length(one.minus.mm)}, ${one.plus.size}`]
const circuitRows = computed(() => circuits.value.map(one => ({
  key: one.number, picked: circuit.value?.number === one.number,
  cells: [...plain(circuitName(one), ...figures(one)), { words: percent(one.drop.share), over: one.drop.share > one.drop.limit }],
})))
const schoolRows = ({ schools }: GroupPlan) => schools.map(({ school, sizes, cableMm, proved }) => ({
  key: school, picked: job.value.wiring.school === school,
  cells: plain(branchSchoolNames[school], sizes.join(' + '), `${length(cableMm)}${proved ? '' : ', less not excluded'}`, ''),
}))
</script>

<template>
  <div>
    <p
      v-if="!circuits.length"
      class="max-w-prose py-4 text-lg"
    >
      Nothing is wired yet. Choose a system on the right: units, branches, strings, trunk and bond follow from it.
    </p>
    <FigureTable
      v-else
      caption="Circuits of the whole roof"
      :heads="['Circuit', 'Holds', 'Device or volts', 'Current', 'Home run', 'Lost']"
      :rows="circuitRows"
      picks
      @pick="pick($event)"
    />
    <p
      v-if="wiring.combined && circuits.length"
      class="mt-2 text-[15px]"
    >
      Together {{ amps(wiring.combined.sumA) }}{{ wiring.rules.us ? `, ${amps(wiring.combined.leastA)} with 1.25` : '' }}: {{ wiring.combined.deviceA === null ? 'more than one device takes' : `${wiring.combined.deviceA} A where all come together` }}. Two trunks never share a device.
    </p>
    <section
      v-for="group in wiring.groups"
      :key="group.group.id"
      class="mt-4"
    >
      <h3 class="slip-title">
        {{ group.group.name }}
      </h3>
      <FigureTable
        v-if="group.schools.length"
        caption="Ways of splitting into branches"
        :heads="['Split', 'Branches', 'Cable on the roof', '']"
        :rows="schoolRows(group)"
      >
        <template #last="{ row }">
          <span
            v-if="row.picked"
            class="sm:float-right"
          >chosen</span>
          <UButton
            v-else
            size="xs"
            color="neutral"
            variant="outline"
            label="Take it"
            class="sm:float-right"
            :aria-label="`Take it: ${row.cells[0]!.words}`"
            :disabled="readsOnly"
            @click="commit(wiringEdit({ school: row.key }))"
          />
        </template>
      </FigureTable>
      <p
        v-if="group.sizes"
        class="text-[15px]"
      >
        {{ group.stringRange!.least }} to {{ group.stringRange!.most }} modules a string: at least by {{ group.stringRange!.leastBy }}, at most by {{ group.stringRange!.mostBy }}. {{ ratioWords(wiring, group) }}. {{ group.left.length ? `${group.left.length} in no string.` : 'Every module is in a string.' }}
      </p>
      <WorkingCard
        v-for="working in group.workings"
        :key="working.what"
        :working="working"
        :all="group.workings"
        :units="units"
        class="mt-2 max-w-2xl border-l-4 border-graphite-200 pl-3"
      />
    </section>
  </div>
</template>
