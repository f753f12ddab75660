<script setup lang="ts">
import { isEqual } from 'es-toolkit'
import type { ProofOf, ReadyWhat } from '#core/job'
import { type Chain, circuitsOf, isReady, judgedOf, readyAsks, sameSubject, type StepState } from '#core/proof'
import { type ArrayTester, simulatedTester, type TesterFault, testerFaults } from '../../instruments/array-tester'

/** The next test of a chain: what it needs, what is read, and the instrument that reads it. For a gloved thumb where it is `glare`. */
const { chain, step, glare = false } = defineProps<{ chain: Chain, step: StepState, glare?: boolean }>()
const { ask, say, put, stamped, told } = useProof()
const circuit = computed(() => chain.subject.of === 'circuit' && ask.value ? circuitsOf(ask.value).find(one => sameSubject(chain.subject, { of: 'circuit', tag: one.tag })) ?? null : null)
const fields = computed(() => readingFields(step.step, circuit.value !== null && circuit.value.kind !== 'string' && circuit.value.kind !== 'branch'))
const typed = ref<Record<string, string>>({})
const fault = ref<TesterFault>('none')
/** What the tester gave, as it would have been typed: what is typed over it is not the tester's. */
const given = shallowRef<Record<string, string> | null>(null)
/** The instrument that a hand reads, as it is named on this device. */
const named = useLocalStorage('proof-instrument', '')
watch(() => `${chain.id} ${step.step}`, () => {
  typed.value = step.step === 'rcd' ? { ratedMa: '30' } : step.step === 'insulation' ? { method: 'each' } : {}
  given.value = null
}, { immediate: true })
const needs = computed(() => step.needs.map(what => ({ what, ready: ask.value ? isReady(ask.value, chain.subject, what) : false })))
const isAllReady = computed(() => needs.value.every(one => one.ready))
const tick = (what: ReadyWhat) => say('ready', { subject: chain.subject, what })

const tester: ArrayTester = simulatedTester(() => fault.value)
const reads = computed(() => circuit.value !== null && ['polarity', 'combiner', 'mains-polarity', 'voc', 'isc', 'insulation'].includes(step.step))
async function read() {
  try {
    given.value = typedFrom(await tester.read(step.step, circuit.value!))
    typed.value = { ...given.value }
  }
  catch (error) {
    told.value = (error as Error).message
  }
}
function keep() {
  const found = foundFrom(step.step, fields.value, typed.value)
  if (!found.ok) {
    told.value = found.problem
    return
  }
  const instrument = !given.value ? named.value.trim().slice(0, 80) : isEqual(given.value, typed.value) ? tester.name : `Typed over ${tester.name.toLowerCase()}`.slice(0, 80)
  const entry = stamped('test', { subject: chain.subject, found: found.value, instrument, judged: null }) as ProofOf<'test'>
  put([{ ...entry, judged: judgedOf(chain.judge(entry)) }])
}
const field = computed(() => glare ? 'block h-16 w-full border-4 border-black bg-white px-3 text-2xl font-bold' : 'block h-10 max-md:h-11 w-full border border-graphite-400 bg-paper px-2 text-lg font-semibold')
const press = computed(() => glare ? 'min-h-16 border-4 border-black px-3 text-xl leading-tight font-bold' : 'min-h-9 max-md:min-h-11 border border-graphite-400 px-3 text-[15px] leading-tight font-semibold hover:bg-graphite-100')
const on = computed(() => glare ? 'bg-black !text-[#fff7c4]' : 'bg-graphite-900 !text-paper hover:bg-graphite-900')
</script>

<template>
  <form
    class="space-y-2"
    :aria-label="`${chain.name}: ${step.title}`"
    @submit.prevent="keep"
  >
    <p :class="glare ? 'text-lg leading-snug' : 'text-[15px] leading-snug'">
      {{ step.does }}
    </p>
    <div
      v-for="one in needs"
      :key="one.what"
    >
      <p
        v-if="one.ready"
        class="leading-snug"
        :class="glare ? 'text-[15px] font-semibold' : 'text-[13px] text-muted'"
      >
        <span aria-hidden="true">☑ </span>{{ readyAsks[one.what] }}
      </p>
      <button
        v-else
        type="button"
        :class="[press, 'flex w-full items-center gap-3 py-1.5 text-left']"
        @click="tick(one.what)"
      >
        <span aria-hidden="true">☐</span>{{ readyAsks[one.what] }}
      </button>
    </div>
    <template v-if="isAllReady">
      <div class="grid grid-cols-2 gap-2">
        <div
          v-for="one in fields"
          v-show="!(one.key === 'plus' && typed.method === 'joined')"
          :key="one.key"
          :class="one.is === 'choice' ? 'col-span-2' : fields.length === 1 ? 'col-span-2' : ''"
        >
          <template v-if="one.is === 'choice'">
            <span :class="glare ? 'text-lg font-semibold' : 'text-[13px] text-muted'">{{ one.label }}</span>
            <div
              class="grid grid-cols-2 gap-2"
              role="radiogroup"
              :aria-label="one.label"
            >
              <button
                v-for="choice in one.choices"
                :key="choice.value"
                type="button"
                role="radio"
                :aria-checked="typed[one.key] === choice.value"
                :class="[press, typed[one.key] === choice.value ? on : '']"
                @click="typed = { ...typed, [one.key]: choice.value }"
              >
                {{ choice.label }}
              </button>
            </div>
          </template>
          <label
            v-else
            :class="glare ? 'text-lg font-semibold' : 'text-[13px] text-muted'"
          >{{ one.label }}, {{ one.is === 'number' ? one.unit : 'MΩ' }}<input
            v-model="typed[one.key]"
            :inputmode="one.is === 'number' ? 'decimal' : 'text'"
            autocomplete="off"
            :class="field"
            :placeholder="one.is === 'resistance' ? '> 199' : ''"
          ></label>
        </div>
      </div>
      <label
        v-if="!given"
        class="block"
        :class="glare ? 'text-[15px]' : 'text-[13px] text-muted'"
      >Read by hand from (instrument, its number)<input
        v-model="named"
        maxlength="80"
        autocomplete="off"
        :class="glare ? 'block h-12 w-full border-2 border-black bg-white px-3 text-lg' : 'block h-9 w-full border border-graphite-400 bg-paper px-2 max-md:h-11'"
      ></label>
      <div class="flex flex-wrap items-end gap-2">
        <button
          v-if="reads"
          type="button"
          :class="[press, glare ? 'flex-1' : '']"
          @click="read"
        >
          Read the tester
        </button>
        <button
          type="submit"
          :class="[press, on, 'flex-1']"
        >
          Keep it
        </button>
      </div>
      <ProofFault
        v-if="reads"
        v-model="fault"
        :name="tester.name"
        :faults="testerFaults"
        :glare="glare"
      />
    </template>
    <p
      v-if="told"
      role="alert"
      :class="glare ? 'text-lg font-bold text-[#a3291c]' : 'text-sm font-semibold text-brick-600'"
    >
      {{ told }}
    </p>
  </form>
</template>
