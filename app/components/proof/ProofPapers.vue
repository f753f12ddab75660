<script setup lang="ts">
import { type PaperKind, paperStates, type ProofOf } from '#core/job'
import { isSettled, type Paper, paperNames, paperStateWords, remindersOf } from '#core/proof'

/** The way of the papers: what is there, what waits for what, and the days by which somebody wants something. */
const { ask, papers, say, told } = useProof()
const inHand = ref<PaperKind | null>(null)
const form = reactive({ state: 'asked' as ProofOf<'paper'>['state'], on: today(), due: '', who: '', number: '' })
function open(one: Paper) {
  inHand.value = inHand.value === one.kind ? null : one.kind
  Object.assign(form, { state: one.last?.state ?? 'asked', on: today(), due: one.last?.due ?? '', who: one.last?.who ?? '', number: one.last?.number ?? '' })
}
function keep() {
  const outcome = say('paper', { paper: inHand.value!, state: form.state, on: form.on, due: form.due || null, who: form.who, number: form.number, photoId: photoId.value })
  if (!outcome.ok) return
  inHand.value = null
  photoId.value = null
}
const states = paperStates.map(value => ({ value, label: paperStateWords[value] }))
const stateOf = (one: Paper) => one.last?.state === 'refused' ? 'stop' as const : isSettled(one) ? 'clear' as const : one.state === 'waits' ? 'note' as const : one.last ? 'caution' as const : 'assumed' as const
const reminders = computed(() => remindersOf(ask.value!))
const isLate = (due: string) => due < today()
const readsOnly = useReadsOnly()
const jobId = String(useRoute().params.id)
const photoId = ref<string | null>(null)
const { whole } = usePhotographs(jobId)
</script>

<template>
  <div class="grid max-w-4xl gap-8 md:grid-cols-[1fr_16rem]">
    <ol>
      <li
        v-for="(one, i) in papers"
        :key="one.kind"
        class="relative pb-1 pl-9"
      >
        <span
          v-if="i < papers.length - 1"
          class="absolute top-6 bottom-0 left-[0.69rem] w-0.5"
          :class="isSettled(one) ? 'bg-lichen-500' : 'bg-graphite-300'"
          aria-hidden="true"
        />
        <span class="absolute top-1.5 left-1"><PlannerStateMark :state="stateOf(one)" /></span>
        <button
          type="button"
          class="flex min-h-11 w-full flex-wrap items-baseline justify-between gap-x-3 border-b border-dotted border-graphite-300 py-1 text-left leading-snug hover:bg-graphite-100"
          :aria-expanded="inHand === one.kind"
          :disabled="readsOnly"
          @click="open(one)"
        >
          <b class="text-[17px]">{{ one.name }}</b>
          <span class="text-[15px]">{{ one.last ? `${paperStateWords[one.last.state]}, ${one.last.on}` : one.state === 'waits' ? `waits for ${one.waitsFor.map(kind => paperNames[kind].toLowerCase()).join(' and ')}` : 'not begun' }}</span>
          <span
            v-if="one.last"
            class="w-full text-[13px] text-muted"
          >{{ [one.last.who, one.last.number && `no. ${one.last.number}`, one.last.due && !isSettled(one) && `wanted by ${one.last.due}`, one.history.length > 1 && `${one.history.length} entries`].filter(Boolean).join('; ') }}</span>
        </button>
        <a
          v-if="one.last?.photoId"
          :href="whole(one.last.photoId)"
          target="_blank"
          rel="noopener"
          class="text-sm underline"
        >Its picture</a>
        <form
          v-if="inHand === one.kind"
          class="grid grid-cols-2 gap-2 bg-sheet p-3"
          @submit.prevent="keep"
        >
          <div class="col-span-2">
            <FieldPickField
              label="It is"
              :value="form.state"
              :choices="states"
              @choose="form.state = $event"
            />
          </div>
          <FieldPlainInput
            v-model="form.on"
            type="date"
            label="On"
          />
          <FieldPlainInput
            v-model="form.due"
            type="date"
            label="Wanted by"
          />
          <FieldPlainInput
            v-model="form.who"
            label="Who deals with it"
          />
          <FieldPlainInput
            v-model="form.number"
            label="Its number"
          />
          <div class="col-span-2">
            <CrewPhotograph
              :job-id="jobId"
              :step="`${one.name}: the paper`"
              :has="photoId !== null"
              @taken="photoId = $event"
            />
          </div>
          <UButton
            type="submit"
            size="sm"
            label="Keep it"
            class="justify-center"
          />
          <UButton
            size="sm"
            color="neutral"
            variant="ghost"
            label="Leave it"
            class="justify-center"
            @click="inHand = null"
          />
        </form>
      </li>
      <li
        v-if="told"
        role="alert"
        class="text-sm font-semibold text-brick-600"
      >
        {{ told }}
      </li>
    </ol>
    <section aria-label="Days">
      <h2 class="border-b-2 border-graphite-900 pb-0.5 text-[17px] font-bold">
        Days
      </h2>
      <p
        v-if="!reminders.length"
        class="pt-1 text-[15px] text-muted"
      >
        None is set. A day that is set here stands in the list of jobs.
      </p>
      <ul class="text-[15px] leading-snug">
        <li
          v-for="one in reminders"
          :key="`${one.due} ${one.words}`"
          class="border-b border-dotted border-graphite-300 py-1"
        >
          <b :class="isLate(one.due) ? 'text-brick-600' : ''">{{ one.due }}{{ isLate(one.due) ? ', late' : '' }}</b><br>{{ one.words }}
        </li>
      </ul>
    </section>
  </div>
</template>
