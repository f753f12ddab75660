<script setup lang="ts">
import { v4 as newId } from 'uuid'
import type { visitReasons } from '#core/job'
import { holdingEdits, thenAndNow } from '#core/proof'
import { packNames, packsFor } from '#core/sheets/handover'

/** The end, and what comes after it: hand-over, the packs and links to them, and a job that is opened again. */
const { ask, open, standing, say, told } = useProof()
const store = useJobStore()
const me = useMe()
const jobId = String(useRoute().params.id)
const to = ref('')
const on = ref(today())
const calls = ref('')
/** Nothing is done over what is open. */
function handOver() {
  if (open.value.length) {
    told.value = `Not yet: ${open.value.length === 1 ? 'one thing is' : `${open.value.length} things are`} open, first of all: ${open.value[0]!.words}`
    return
  }
  say('handed-over', { to: to.value, on: on.value, calls: calls.value })
}
const link = ref('')
const days = ref('365')
const lasting = [{ value: '14', label: 'Two weeks' }, { value: '60', label: 'Two months' }, { value: '365', label: 'A year' }]
const { busy, problem, ask: request } = useAsking()
async function makeLink(pack: typeof packsFor[number]) {
  const made = await request(() => $fetch<{ link: string }>(`/api/jobs/${jobId}/links`, { method: 'POST', body: { id: newId(), revision: null, pack, days: Number(days.value), note: packNames[pack] } }))
  link.value = made?.link ?? ''
}

const why = ref<typeof visitReasons[number]>('fault')
const words = ref('')
const reasons = [{ value: 'fault', label: 'a fault' }, { value: 'swap', label: 'a swap' }, { value: 'extension', label: 'an extension' }, { value: 'check', label: 'a check' }] as const
function visit() {
  // Rows are held before anything is added to them.
  const holds = why.value === 'extension' && me.may('plan') ? holdingEdits(ask.value!) : []
  const outcome = say('visit', { why: why.value, words: words.value })
  if (!outcome.ok) return
  words.value = ''
  for (const edit of holds) store.commitNewest(edit)
}
const compared = computed(() => thenAndNow(ask.value!))
const readsOnly = useReadsOnly()
</script>

<template>
  <div class="max-w-3xl space-y-6 text-[15px] leading-snug">
    <section aria-label="Hand-over">
      <h2 class="border-b-2 border-graphite-900 pb-0.5 text-[17px] font-bold">
        {{ standing.state === 'building' ? 'Hand it over' : standing.state === 'handed-over' ? 'Handed over' : 'Opened again' }}
      </h2>
      <p
        v-if="standing.handedOver"
        class="pt-1"
      >
        To <b>{{ standing.handedOver.to }}</b> on {{ standing.handedOver.on }}, by {{ standing.handedOver.by }}.{{ standing.visit ? ` Opened again for ${reasons.find(one => one.value === standing.visit!.why)!.label}${standing.visit.words ? `: ${standing.visit.words}` : ''}.` : '' }}
      </p>
      <p
        v-if="standing.state !== 'handed-over'"
        class="flex items-center gap-2 pt-1"
      >
        <PlannerStateMark :state="open.length ? 'caution' : 'clear'" />{{ open.length ? `${open.length === 1 ? 'One thing is' : `${open.length} things are`} open, first of all: ${open[0]!.words}` : 'Nothing is open.' }}
      </p>
      <form
        v-if="standing.state !== 'handed-over' && !readsOnly"
        class="grid grid-cols-2 items-end gap-2 pt-2"
        @submit.prevent="handOver"
      >
        <FieldPlainInput
          v-model="to"
          label="To whom"
        />
        <FieldPlainInput
          v-model="on"
          type="date"
          label="On"
        />
        <FieldPlainInput
          v-model="calls"
          class="col-span-2"
          label="Whom they call, with the number"
        />
        <UButton
          type="submit"
          label="Hand it over"
          class="justify-center"
        />
      </form>
      <p
        v-if="told"
        role="alert"
        class="mt-1 font-semibold text-brick-600"
      >
        {{ told }}
      </p>
    </section>
    <section aria-label="Packs">
      <h2 class="border-b-2 border-graphite-900 pb-0.5 text-[17px] font-bold">
        Packs
      </h2>
      <p class="pt-1 text-muted">
        They write themselves from the record; what is open stands on their first page.
      </p>
      <ul>
        <li
          v-for="pack in packsFor"
          :key="pack"
          class="flex flex-wrap items-center justify-between gap-2 border-b border-dotted border-graphite-300 py-2"
        >
          <b>{{ packNames[pack] }}</b>
          <span class="flex gap-2">
            <UButton
              size="sm"
              color="neutral"
              variant="outline"
              icon="i-lucide-file-text"
              label="PDF"
              :to="`/api/jobs/${jobId}/hand-over.pdf?for=${pack}`"
              external
              target="_blank"
            />
            <UButton
              v-if="me.may('share')"
              size="sm"
              color="neutral"
              variant="outline"
              icon="i-lucide-link"
              label="Make a link"
              :loading="busy"
              @click="makeLink(pack)"
            />
          </span>
        </li>
      </ul>
      <label
        v-if="me.may('share')"
        class="flex items-center gap-2 pt-2 text-[13px] text-muted"
      >Links last
        <FieldChoiceList
          class="w-40"
          :value="days"
          :choices="lasting"
          aria-label="How long links last"
          @choose="days = $event"
        /></label>
      <EntryProblem :problem="problem" />
      <ShareOnce
        v-if="link"
        :link="link"
      />
    </section>
    <section
      v-if="standing.handedOver"
      aria-label="Later years"
    >
      <h2 class="border-b-2 border-graphite-900 pb-0.5 text-[17px] font-bold">
        Later years
      </h2>
      <form
        v-if="standing.state === 'handed-over' && !readsOnly"
        class="space-y-2 pt-1"
        @submit.prevent="visit"
      >
        <FieldPickField
          label="Open it again for"
          :value="why"
          :choices="reasons"
          hint="What was read then stays, and is set beside what is read now. For an extension every module is held where it stands."
          @choose="why = $event"
        />
        <FieldPlainInput
          v-model="words"
          label="What it is about"
        />
        <UButton
          type="submit"
          color="neutral"
          variant="outline"
          label="Open it again"
        />
      </form>
      <table
        v-if="compared.length"
        class="mt-2 w-full text-left"
      >
        <thead>
          <tr class="border-b-2 border-graphite-900">
            <th class="pr-3">
              Of
            </th><th class="pr-3">
              Then
            </th><th class="pr-3">
              Now
            </th><th>Comes to</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="one in compared"
            :key="`${one.name} ${one.step}`"
            class="border-b border-dotted border-graphite-300 align-top"
          >
            <td class="py-1 pr-3 font-semibold">
              {{ one.name }}, {{ one.step === 'voc' ? 'volts' : one.step === 'isc' ? 'amperes' : 'insulation' }}
            </td>
            <td class="py-1 pr-3">
              {{ one.then.words }}<span class="block text-[13px] text-muted">{{ one.then.at.slice(0, 10) }}</span>
            </td>
            <td class="py-1 pr-3">
              {{ one.now.words }}<span class="block text-[13px] text-muted">{{ one.now.at.slice(0, 10) }}</span>
            </td>
            <td class="py-1">
              {{ one.sentence }}
            </td>
          </tr>
        </tbody>
      </table>
      <p
        v-else-if="standing.state === 'reopened'"
        class="pt-1 text-muted"
      >
        Test a circuit again, and it stands here beside what it read at the hand-over.
      </p>
    </section>
  </div>
</template>
