<script setup lang="ts">
import { bondingSchoolNames, bondingSchools, insideBy } from '#core/job'
import { volts } from '#core/wiring'

/** What stays live after shutdown, segment by segment, and how every piece of metal is joined to the earth. */
const { job, plan, commit } = useFace()
const wiring = computed(() => plan.value.wiring)
const facts = computed(() => job.value.wiring)
const insideNames = { 'none': 'Nothing: 80 V at the most', 'listed': 'A listed array or hazard control system', 'no-exposed-metal': 'No exposed metal within 8 ft (2017, 2020)' }
const faces = computed(() => job.value.faces.flatMap((face, f) => {
  const bonding = plan.value.faces[f]!.wiring?.bonding
  return bonding && plan.value.faces[f]!.modules ? [{ face, bonding }] : []
}))
/** So many loose pieces are named; the rest are counted. */
const LOOSE_NAMED = 12
const byCount = (links: { by: string }[]) => Object.entries(links.reduce<Record<string, number>>((sums, { by }) => ({ ...sums, [by]: (sums[by] ?? 0) + 1 }), {})).map(([by, n]) => `${n} by ${by}`).join(', ')
</script>

<template>
  <div class="grid gap-x-8 gap-y-4 lg:grid-cols-2">
    <section>
      <h3 class="slip-title mt-2">
        Rapid shutdown
      </h3>
      <p
        v-if="!wiring.rules.us"
        class="text-[15px]"
      >
        The European rules ask for a switch in reach of the fire service where the country says so, not for this.
      </p>
      <template v-else>
        <FieldTypedField
          label="Begun at"
          hint="outside, readily accessible"
          wide
          :shown="facts.initiation"
          :commit="text => commit(wiringEdit({ initiation: text }))"
        />
        <FieldChoiceField
          label="Inside the array, over 80 V is allowed by"
          :value="facts.insideBy"
          :choices="insideBy.map(value => ({ value, label: insideNames[value] }))"
          @choose="commit(wiringEdit({ insideBy: $event }))"
        />
        <FieldTypedField
          v-if="facts.insideBy === 'listed'"
          label="Its listing"
          wide
          :shown="facts.insideNote"
          :commit="text => commit(wiringEdit({ insideNote: text }))"
        />
        <ul>
          <li
            v-for="one in wiring.segments"
            :key="one.id"
            class="border-b border-dotted border-graphite-300 py-1 text-[15px] leading-snug"
          >
            <span class="flex justify-between gap-3"><span>{{ one.name[0]!.toUpperCase() + one.name.slice(1) }}</span><b :class="one.over ? 'text-brick-600' : ''">{{ volts(one.volts) }} of {{ one.limitV }} V</b></span>
            <span class="block text-sm text-muted">{{ one.why }}{{ one.over ? `: ${one.over}` : '' }}</span>
          </li>
        </ul>
        <p class="mt-1 text-sm text-muted">
          30 s after it was begun. The boundary is 1 ft round the array, 3 ft inside from where the run enters. NEC 690.12, {{ wiring.rules.edition }}.
        </p>
      </template>
    </section>
    <section>
      <h3 class="slip-title mt-2">
        Bond
      </h3>
      <FieldChoiceField
        label="School"
        :value="facts.bonding"
        :choices="bondingSchools.map(value => ({ value, label: bondingSchoolNames[value] }))"
        @choose="commit(wiringEdit({ bonding: $event }))"
      />
      <dl>
        <SlipLine label="Earth wire">
          {{ wiring.earth?.size ?? 'none' }}
        </SlipLine>
      </dl>
      <p class="text-sm text-muted">
        {{ wiring.earth?.rule ?? 'Class II without earth, as the country says.' }}. No bare copper on bare aluminium: tinned lugs.
      </p>
      <div
        v-for="{ face, bonding } in faces"
        :key="face.id"
        class="mt-2"
      >
        <h4 class="font-semibold">
          {{ face.name }}
        </h4>
        <p class="text-[15px] leading-snug">
          {{ bonding.metals.length - 1 }} pieces of metal, joined {{ byCount(bonding.links.filter(one => one.holds)) || 'by nothing' }}.
          <b v-if="!bonding.loose.length">Each hangs on the earth wire.</b>
        </p>
        <ul
          v-if="bonding.loose.length"
          class="text-[15px] text-brick-600"
        >
          <li
            v-for="one in bonding.loose.slice(0, LOOSE_NAMED)"
            :key="one.id"
          >
            {{ one.name }} hangs on nothing
          </li>
          <li v-if="bonding.loose.length > LOOSE_NAMED">
            and {{ bonding.loose.length - LOOSE_NAMED }} more
          </li>
        </ul>
      </div>
      <UCheckbox
        class="mt-2"
        :model-value="facts.earth.guarded"
        label="Earth wire is guarded where it could be struck"
        @update:model-value="commit(wiringEdit({ earth: { ...facts.earth, guarded: $event === true } }))"
      />
      <template v-if="!wiring.rules.us">
        <UCheckbox
          class="mt-1"
          :model-value="facts.earth.lightning"
          label="A lightning system is bonded"
          @update:model-value="commit(wiringEdit({ earth: { ...facts.earth, lightning: $event === true } }))"
        />
        <UCheckbox
          class="mt-1"
          :model-value="facts.earth.classTwo"
          label="The country lets class II go without earth"
          @update:model-value="commit(wiringEdit({ earth: { ...facts.earth, classTwo: $event === true } }))"
        />
      </template>
    </section>
  </div>
</template>
