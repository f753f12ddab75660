<script setup lang="ts">
import type { ProofOf } from '#core/job'
import { type Chain, isReady, judgedThen, readyAsks, type StepState } from '#core/proof'
import { dayAndTime, expectedWords, foundWords, lightWords } from '#core/sheets/handover'

/** One chain: its tests in their order, each as it stands; the next one's form; its far end. */
const { chain, glare = false } = defineProps<{ chain: Chain, glare?: boolean }>()
const { ask, say, drop, told } = useProof()
const anew = ref<string | null>(null)
watch(() => chain.id, () => anew.value = null)
const isOpen = (step: StepState) => step.state === 'next' || anew.value === step.step
const stateOf = (step: StepState) => ({ done: 'clear', looked: 'caution', failed: 'stop', next: 'assumed', waits: 'note' } as const)[step.state]
/** On the roof what is right makes room for what comes next. */
const unfolded = ref<string | null>(null)
const isFolded = (step: StepState) => glare && step.state === 'done' && unfolded.value !== step.step && anew.value !== step.step
/** A reading that was kept closes its form. */
watch(() => chain.steps.map(one => one.entry?.id).join(), () => anew.value = null)

const tag = ref('')
const until = ref('')
const noLoad = computed(() => ask.value ? isReady(ask.value, chain.subject, 'no-load') : false)
function end(state: ProofOf<'end'>['state']) {
  const outcome = say('end', { subject: chain.subject, state, tag: state === 'capped' ? tag.value.trim() || `${chain.name}: tested, capped, do not join` : '', until: state === 'capped' ? until.value || null : null })
  if (outcome.ok) tag.value = until.value = ''
}
const press = computed(() => glare ? 'min-h-16 border-4 border-black px-3 text-xl font-bold disabled:opacity-30' : 'min-h-9 max-md:min-h-11 border border-graphite-400 px-3 text-[15px] font-semibold hover:bg-graphite-100 disabled:opacity-40')
const readsOnly = useReadsOnly()
</script>

<template>
  <section :aria-label="chain.name">
    <ol>
      <li
        v-for="step in chain.steps"
        :key="step.step"
        class="border-b py-2"
        :class="glare ? 'border-b-2 border-black/30' : 'border-dotted border-graphite-300'"
      >
        <div class="flex items-start gap-2">
          <PlannerStateMark
            :state="stateOf(step)"
            class="mt-1"
          />
          <div class="min-w-0 flex-1">
            <p class="flex flex-wrap items-baseline justify-between gap-x-3">
              <b :class="glare ? 'text-xl' : 'text-[17px]'">{{ step.title }}</b>
              <span
                v-if="step.entry"
                class="font-semibold"
                :class="glare ? 'text-lg' : 'text-[15px]'"
              >{{ foundWords(step.entry.found) }}</span>
              <span
                v-else-if="step.why"
                :class="glare ? 'text-[15px]' : 'text-[13px] text-muted'"
              >{{ step.why }}</span>
            </p>
            <button
              v-if="step.entry && isFolded(step)"
              type="button"
              class="min-h-11 text-[15px] underline underline-offset-4"
              @click="unfolded = step.step"
            >
              Right. Show it
            </button>
            <template v-else-if="step.entry && step.verdict">
              <ProofVerdict
                :verdict="step.verdict"
                :glare="glare"
              />
              <p :class="glare ? 'text-[15px]' : 'text-[13px] text-muted'">
                {{ [expectedWords(step.verdict) && `Should read ${expectedWords(step.verdict)}`, lightWords(step.entry.found), judgedThen(step.entry.judged, step.verdict), `${step.entry.by || 'somebody'}, ${dayAndTime(step.entry.at)}`].filter(Boolean).join('; ') }}
              </p>
              <details
                v-if="step.verdict.workings.length && !glare"
                class="text-[13px]"
              >
                <summary class="cursor-pointer text-muted max-md:min-h-11 max-md:py-2.5">
                  Working
                </summary>
                <WorkingCard
                  v-for="working in step.verdict.workings"
                  :key="working.what"
                  :working="working"
                  :all="[]"
                  :units="ask!.job.units"
                />
              </details>
              <div
                v-if="!readsOnly"
                class="flex flex-wrap gap-2 pt-1"
              >
                <button
                  type="button"
                  :class="press"
                  @click="anew = anew === step.step ? null : step.step"
                >
                  {{ anew === step.step ? 'Leave it' : 'Read it again' }}
                </button>
                <button
                  v-if="step.state === 'failed'"
                  type="button"
                  :class="press"
                  @click="drop(step.entry!.id)"
                >
                  Misread: take it out
                </button>
              </div>
            </template>
            <ProofReading
              v-if="isOpen(step) && !readsOnly"
              class="pt-1"
              :chain="chain"
              :step="step"
              :glare="glare"
            />
            <p
              v-if="step.earlier.length"
              :class="glare ? 'text-[15px]' : 'text-[13px] text-muted'"
            >
              Before: {{ step.earlier.map(one => `${foundWords(one.found)} (${one.by}, ${dayAndTime(one.at)})`).join('; ') }}
            </p>
          </div>
        </div>
      </li>
    </ol>
    <p
      v-for="words in chain.leftOut"
      :key="words"
      class="pt-1"
      :class="glare ? 'text-[15px]' : 'text-[13px] text-muted'"
    >
      {{ words }}
    </p>
    <div
      v-if="chain.subject.of === 'circuit' && !readsOnly"
      class="space-y-2 pt-3"
    >
      <p :class="glare ? 'text-lg font-semibold' : 'text-[15px]'">
        Far end: <b>{{ chain.end ? { joined: 'joined', opened: 'opened again', capped: 'capped' }[chain.end.state] : 'open' }}</b>{{ chain.end?.tag ? `, tagged “${chain.end.tag}”` : '' }}{{ chain.end?.until ? `, until ${chain.end.until}` : '' }}{{ chain.mayJoin ? '. All that comes before is right.' : chain.end?.state === 'joined' ? '' : '. It stays open until it is tested.' }}
      </p>
      <div
        v-if="chain.end?.state === 'joined'"
        class="flex flex-wrap gap-2"
      >
        <button
          type="button"
          :class="[press, noLoad ? 'bg-graphite-900 text-paper' : '']"
          :aria-pressed="noLoad"
          :disabled="noLoad"
          @click="say('ready', { subject: chain.subject, what: 'no-load' })"
        >
          {{ readyAsks['no-load'] }}
        </button>
        <button
          type="button"
          :class="press"
          :disabled="!noLoad"
          @click="end('opened')"
        >
          Open it again
        </button>
      </div>
      <template v-else>
        <div class="flex flex-wrap items-end gap-2">
          <button
            type="button"
            :class="[press, chain.mayJoin ? 'bg-graphite-900 text-paper hover:bg-graphite-900' : '']"
            :disabled="!chain.mayJoin"
            @click="end('joined')"
          >
            Join it
          </button>
          <template v-if="chain.end?.state !== 'capped'">
            <label :class="glare ? 'text-lg font-semibold' : 'text-[13px] text-muted'">Until<input
              v-model="until"
              type="date"
              class="block"
              :class="glare ? 'h-16 border-4 border-black bg-white px-2 text-lg' : 'h-9 max-md:h-11 border border-graphite-400 bg-paper px-2'"
            ></label>
            <button
              type="button"
              :class="press"
              :disabled="!chain.mayJoin"
              @click="end('capped')"
            >
              Cap and tag it
            </button>
          </template>
        </div>
      </template>
      <p
        v-if="told"
        role="alert"
        class="text-sm font-semibold text-brick-600"
      >
        {{ told }}
      </p>
    </div>
  </section>
</template>
