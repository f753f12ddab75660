<script setup lang="ts">
import { branchSchoolNames } from '#core/job'
import { formatLength } from '#core/units'
import { amps, circuitName, modulesIn, percent, ratioWords, volts } from '#core/wiring'

/** Every branch and string with its figures, what the schools of splitting would come to, and what governs. */
const { job, plan, units, commit } = useFace()
const { circuits, circuit, pick } = useCircuit()
const readsOnly = useReadsOnly()
const wiring = computed(() => plan.value.wiring)
const length = (mm: number) => formatLength(mm, units.value)
</script>

<template>
  <div>
    <p
      v-if="!circuits.length"
      class="max-w-prose py-4 text-lg"
    >
      Nothing is wired yet. Choose a system on the right: units, branches, strings, trunk and bond follow from it.
    </p>
    <table
      v-else
      class="mt-2 w-full text-[15px]"
    >
      <caption class="sr-only">
        Circuits of the whole roof
      </caption>
      <thead>
        <tr class="border-b-2 border-graphite-900 text-left">
          <th
            v-for="head in ['Circuit', 'Holds', 'Device or volts', 'Current', 'Home run', 'Lost']"
            :key="head"
            scope="col"
            class="py-1 pr-3 font-semibold"
          >
            {{ head }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="one in circuits"
          :key="one.number"
          class="border-b border-dotted border-graphite-300"
          :class="circuit?.number === one.number ? 'bg-graphite-100 font-semibold' : ''"
        >
          <td class="py-1 pr-3">
            <button
              type="button"
              class="underline decoration-2 underline-offset-4"
              :aria-pressed="circuit?.number === one.number"
              @click="pick(one.number)"
            >
              {{ circuitName(one) }}
            </button>
          </td>
          <td class="pr-3">
            {{ one.kind === 'branch' ? `${one.units.length} of ${one.limit.most} units` : `${one.modules.length} modules` }}{{ one.kind === 'branch' && one.units.length !== modulesIn(one) ? `, ${modulesIn(one)} modules` : '' }}
          </td>
          <td class="pr-3">
            {{ one.kind === 'branch' ? `its own ${one.limit.deviceA} A` : `${volts(one.coldV)} cold, ${volts(one.hotV)} hot` }}
          </td>
          <td class="pr-3">
            {{ amps(one.currentA) }}
          </td>
          <td class="pr-3">
            {{ one.kind === 'branch' ? `${length(one.home.mm)}, ${one.home.size}` : `${length(one.plus.mm)} and ${length(one.minus.mm)}, ${one.plus.size}` }}
          </td>
          <td :class="one.drop.share > one.drop.limit ? 'text-brick-600 font-semibold' : ''">
            {{ percent(one.drop.share) }}
          </td>
        </tr>
      </tbody>
    </table>
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
      <table
        v-if="group.schools.length"
        class="w-full text-[15px]"
      >
        <caption class="sr-only">
          Ways of splitting into branches
        </caption>
        <thead>
          <tr class="border-b border-graphite-400 text-left">
            <th
              v-for="head in ['Split', 'Branches', 'Cable on the roof', '']"
              :key="head"
              scope="col"
              class="py-1 pr-3 font-semibold"
            >
              {{ head }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="one in group.schools"
            :key="one.school"
            class="border-b border-dotted border-graphite-300"
          >
            <td class="py-1 pr-3">
              {{ branchSchoolNames[one.school] }}
            </td>
            <td class="pr-3">
              {{ one.sizes.join(' + ') }}
            </td>
            <td class="pr-3">
              {{ length(one.cableMm) }}{{ one.proved ? '' : ', less not excluded' }}
            </td>
            <td class="text-right">
              <span
                v-if="job.wiring.school === one.school"
                class="font-semibold"
              >chosen</span>
              <UButton
                v-else
                size="xs"
                color="neutral"
                variant="outline"
                label="Take it"
                :aria-label="`Take it: ${branchSchoolNames[one.school]}`"
                :disabled="readsOnly"
                @click="commit(wiringEdit({ school: one.school }))"
              />
            </td>
          </tr>
        </tbody>
      </table>
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
