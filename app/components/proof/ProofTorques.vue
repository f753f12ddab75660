<script setup lang="ts">
import { readTorque, tightenedOf, torqueWords } from '#core/proof'
import { dayAndTime } from '#core/sheets/handover'
import { simulatedWrench } from '../../instruments/torque-wrench'

/** Lugs and terminals: once, with a calibrated tool, marked so that one sees them turn; a second time only by the maker's word. */
const { ask, say, told, units } = useProof()
const all = computed(() => tightenedOf(ask.value!))
const thingId = ref('')
const thing = computed(() => all.value.find(one => one.thing.id === thingId.value) ?? all.value.find(one => !one.said.length) ?? all.value[0] ?? null)
const terminal = ref('')
const nm = ref('')
const tool = useLocalStorage('proof-torque-tool', '')
const calibrated = useLocalStorage('proof-torque-calibrated', '')
const marked = ref(true)
const againBy = ref('')
const isAgain = computed(() => thing.value?.said.some(one => one.terminal.toLowerCase() === terminal.value.trim().toLowerCase()) ?? false)
const wrench = simulatedWrench()
const pull = async () => nm.value = `${await wrench.pull(thing.value?.wantedNm ?? 4)} N m`
function keep() {
  const read = readTorque(nm.value, units.value)
  if (!read.ok) {
    told.value = read.problem
    return
  }
  const outcome = say('torque', { thingId: thing.value!.thing.id, terminal: terminal.value, torqueNm: read.value, tool: tool.value, calibratedTo: calibrated.value, marked: marked.value, againBy: isAgain.value ? againBy.value : '' })
  if (outcome.ok) terminal.value = nm.value = againBy.value = ''
}
const readsOnly = useReadsOnly()
</script>

<template>
  <section
    v-if="all.length"
    aria-label="Terminals"
  >
    <h2 class="border-b-2 border-graphite-900 pb-0.5 text-[17px] font-bold">
      Terminals
    </h2>
    <ul class="text-[15px] leading-snug">
      <li
        v-for="one in all"
        :key="one.thing.id"
        class="border-b border-dotted border-graphite-300 py-1"
      >
        <b>{{ one.thing.name }}</b>{{ one.wantedNm === null ? ', torque not read off its plate' : `, ${torqueWords(one.wantedNm, units)} by its plate` }}
        <span
          v-for="said in one.said"
          :key="said.id"
          class="block"
        >{{ said.terminal }}: {{ torqueWords(said.torqueNm, units) }} with {{ said.tool }} (until {{ said.calibratedTo }}){{ said.marked ? ', marked' : ', not marked' }}{{ said.againBy ? `, again by ${said.againBy}` : '' }}; {{ said.by }}, {{ dayAndTime(said.at) }}</span>
        <span
          v-for="words in one.problems"
          :key="words"
          class="block font-semibold text-brick-600"
        >{{ words }}</span>
        <span
          v-if="!one.said.length"
          class="text-muted"
        >: nothing logged</span>
      </li>
    </ul>
    <form
      v-if="!readsOnly && thing"
      class="grid grid-cols-3 items-end gap-2 pt-2 max-sm:grid-cols-2"
      @submit.prevent="keep"
    >
      <label class="text-[13px] text-muted">On
        <FieldChoiceList
          class="w-full"
          :value="thing.thing.id"
          :choices="all.map(one => ({ value: one.thing.id, label: one.thing.name }))"
          aria-label="On"
          @choose="thingId = $event"
        /></label>
      <FieldPlainInput
        v-model="terminal"
        label="Terminal, as “L1” or “earth bar”"
      />
      <FieldPlainInput
        v-model="nm"
        :label="units === 'imperial' ? 'Torque, lb in' : 'Torque, N m'"
      />
      <FieldPlainInput
        v-model="tool"
        label="Tool"
      />
      <FieldPlainInput
        v-model="calibrated"
        type="date"
        label="Calibrated until"
      />
      <label class="flex min-h-9 max-md:min-h-11 items-center gap-2 text-[15px]"><input
        v-model="marked"
        type="checkbox"
        class="size-5"
      >Witness mark made</label>
      <FieldPlainInput
        v-if="isAgain"
        v-model="againBy"
        class="col-span-2"
        label="It was tightened before. Who says that it may be again, as the maker’s sheet?"
      />
      <div class="flex gap-2">
        <UButton
          type="submit"
          size="sm"
          label="Keep it"
        />
        <UButton
          size="sm"
          color="neutral"
          variant="outline"
          label="Pull the wrench"
          :title="wrench.name"
          @click="pull"
        />
      </div>
    </form>
    <p
      v-if="told"
      role="alert"
      class="mt-1 text-sm font-semibold text-brick-600"
    >
      {{ told }}
    </p>
  </section>
</template>
