<script setup lang="ts">
import type { ProofOf } from '#core/job'
import { isProved, judgedOf, readInstrumentFile, sameSubject, testCaution } from '#core/proof'

/** All chains of tests, and the one in hand. */
const { ask, chains, put, stamped, told } = useProof()
const picked = ref<string | null>(null)
/** Whoever arrives stands where the next test is. */
const chain = computed(() => chains.value.find(one => one.id === picked.value) ?? chains.value.find(one => one.steps.some(({ state }) => state === 'failed' || state === 'next')) ?? chains.value[0] ?? null)
const stateOf = (one: typeof chains.value[number]) => one.early || one.steps.some(({ state }) => state === 'failed') ? 'stop' as const : isProved(one) ? one.steps.some(({ state }) => state === 'looked') ? 'caution' as const : 'clear' as const : one.steps.some(({ state }) => state === 'next') ? 'assumed' as const : 'note' as const
const doneOf = (one: typeof chains.value[number]) => one.steps.filter(({ state }) => state === 'done' || state === 'looked').length

const readsOnly = useReadsOnly()
const fileId = useId()
const said = ref<string[]>([])
async function readFile(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file || !ask.value) return
  const read = readInstrumentFile(ask.value, await file.text())
  said.value = read.problems
  if (!read.readings.length) return
  const outcome = put(read.readings.map(({ subject, found, instrument, at }) => {
    const entry = { ...stamped('test', { subject, found, instrument, judged: null }), ...at ? { at } : {} } as ProofOf<'test'>
    const own = chains.value.find(one => sameSubject(one.subject, subject))
    return { ...entry, judged: own ? judgedOf(own.judge(entry)) : null }
  }))
  if (outcome.ok) said.value = [`${read.readings.length} ${read.readings.length === 1 ? 'reading' : 'readings'} taken in from ${file.name}.`, ...read.problems]
}
</script>

<template>
  <div class="grid gap-x-6 gap-y-2 md:grid-cols-[15rem_1fr]">
    <div>
      <ul
        aria-label="What is tested"
        class="border-t-2 border-graphite-900"
      >
        <li
          v-for="one in chains"
          :key="one.id"
        >
          <button
            type="button"
            class="flex min-h-11 w-full items-center gap-2 border-b border-dotted border-graphite-300 px-1 py-1 text-left leading-tight hover:bg-graphite-100"
            :class="one.id === chain?.id ? 'bg-graphite-100 font-bold' : ''"
            :aria-current="one.id === chain?.id"
            @click="picked = one.id"
          >
            <PlannerStateMark :state="stateOf(one)" />
            <span class="min-w-0 flex-1">{{ one.name }}<span class="block text-[13px] font-normal text-muted">{{ one.about }}</span></span>
            <span class="text-[15px] tabular-nums">{{ doneOf(one) }}/{{ one.steps.length }}</span>
          </button>
        </li>
      </ul>
      <label
        v-if="!readsOnly"
        :for="fileId"
        class="mt-3 inline-block cursor-pointer border border-graphite-400 px-2.5 py-1 text-sm font-semibold hover:bg-graphite-100 has-focus-visible:outline-3"
      >Read a tester’s file (CSV)<input
        :id="fileId"
        type="file"
        accept=".csv,text/csv"
        class="sr-only"
        @change="readFile"
      ></label>
      <ul
        v-if="said.length"
        role="status"
        class="mt-2 space-y-1 border-l-4 border-graphite-400 pl-2 text-sm"
      >
        <li
          v-for="words in said"
          :key="words"
        >
          {{ words }}
        </li>
      </ul>
      <p
        v-if="told"
        role="alert"
        class="mt-2 text-sm font-semibold text-brick-600"
      >
        {{ told }}
      </p>
    </div>
    <div v-if="chain">
      <p class="mb-2 border-l-4 border-amber-500 pl-3 text-[13px] leading-snug">
        {{ testCaution }}
      </p>
      <h2 class="text-xl font-bold">
        {{ chain.name }} <span class="text-[15px] font-normal text-muted">{{ chain.about }}</span>
      </h2>
      <p
        v-if="chain.early"
        role="alert"
        class="border-l-4 border-brick-500 py-1 pl-3 text-[15px] font-semibold"
      >
        Joined before it was tested. Stop what flows, open its far end, then test; never part a plug under load.
      </p>
      <ProofChain :chain="chain" />
    </div>
    <p v-else>
      No modules stand on any face yet: set the rows first.
    </p>
  </div>
</template>
