<script setup lang="ts">
import { type Shelf, type Source, sourceSchema } from '#core/catalogue'
import { type ShelfLine, shelfWords, type Standing } from '#core/shelf'

/** Parts from a file: read, shown line by line with what is wrong, and only then taken. */
const { shelf } = defineProps<{ shelf: Shelf }>()
const open = defineModel<boolean>('open', { required: true })
const { change } = inject<ReturnType<typeof useShelf>>('shelf')!
const emit = defineEmits<{ taken: [said: string] }>()

const file = shallowRef<File | null>(null)
const source = ref<Partial<Source>>({})
const read = shallowRef<{ lines: ShelfLine[], notes: string[] } | null>(null)
const problem = ref('')
const busy = ref(false)
const inputId = useId()
watch(open, () => {
  file.value = null
  read.value = null
  problem.value = ''
  source.value = {}
})

function choose(event: Event) {
  file.value = (event.target as HTMLInputElement).files?.[0] ?? null
  source.value = { on: today(), ...source.value, note: file.value?.name ?? '' }
  void look()
}
function answer(next: Partial<Source>) {
  source.value = next
  void look()
}

let turn = 0
/** Reads the file anew with what has been said of it. */
async function look() {
  if (!file.value) return
  const mine = ++turn
  busy.value = true
  const whole = sourceSchema.safeParse(source.value)
  try {
    const answered = await $fetch<{ lines: ShelfLine[], notes: string[] }>('/api/shelf/file', {
      method: 'POST', query: { name: file.value.name, shelf, ...(whole.success ? whole.data : {}) }, body: await file.value.arrayBuffer(), headers: { 'content-type': 'application/octet-stream' },
    })
    if (mine !== turn) return
    read.value = answered
    problem.value = ''
  }
  catch (failure) {
    if (mine !== turn) return
    read.value = null
    problem.value = sentencesFrom(failure, 'The server can’t be reached. Try again in a minute.')
  }
  busy.value = false
}

/** A line that lacks nothing but somebody who answers for it waits for that. */
type Shown = Standing | 'waits'
const words: Record<Shown, string> = { 'refused': 'Not taken', 'waits': 'Needs a source', 'new': 'New', 'changed': 'Changed', 'in-place': 'In its place', 'same': 'As it is' }
const order = Object.keys(words) as Shown[]
const NO_SOURCE = 'Source is missing.'
const lines = computed(() => (read.value?.lines ?? []).map((line) => {
  const problems = line.problems.filter(one => one !== NO_SOURCE)
  return { ...line, problems, standing: (line.standing === 'refused' && !problems.length ? 'waits' : line.standing) as Shown }
}).sort((a, b) => order.indexOf(a.standing) - order.indexOf(b.standing)))
const waiting = computed(() => lines.value.some(line => line.standing === 'waits'))
const counts = computed(() => order.map(standing => ({ standing, n: lines.value.filter(line => line.standing === standing).length })).filter(({ n }) => n))
/** In the order of the file: later lines stand on earlier ones. */
const changes = computed(() => (read.value?.lines ?? []).flatMap(line => line.changes))
const taking = computed(() => lines.value.filter(line => line.changes.length).length)
const refusedLines = computed(() => lines.value.filter(line => line.standing === 'refused').length)

async function take() {
  busy.value = true
  const outcome = await change(changes.value)
  busy.value = false
  if (!outcome.ok) {
    problem.value = outcome.problem
    return
  }
  const left = refusedLines.value
  emit('taken', `${taking.value} ${taking.value === 1 ? 'part was' : 'parts were'} taken from ${file.value!.name}${left ? `; ${left} ${left === 1 ? 'line was' : 'lines were'} left out` : ''}.`)
  open.value = false
}
</script>

<template>
  <UModal
    v-model:open="open"
    title="Parts from a file"
    :description="`A CSV or workbook with a row of headings, or a shelf file in JSON. Sheets are named after shelves; others are read as ${shelfWords[shelf].many.toLowerCase()}.`"
    :ui="{ content: 'max-w-4xl' }"
  >
    <template #body>
      <div class="grid gap-x-6 gap-y-3 sm:grid-cols-2">
        <div>
          <label
            :for="inputId"
            class="mb-1 block text-[15px] font-semibold"
          >File</label>
          <input
            :id="inputId"
            type="file"
            accept=".csv,.txt,.xlsx,.json"
            class="block w-full text-[15px] file:mr-3 file:cursor-pointer file:border file:border-graphite-400 file:bg-paper file:px-3 file:py-1.5 file:font-semibold"
            @change="choose"
          >
          <p class="mt-3 text-[13px] text-muted">
            <a
              href="/api/shelf/blank.xlsx"
              download
              class="underline underline-offset-2"
            >A workbook with all headings</a> to fill in. Units stand in brackets in a heading, or behind a figure.
          </p>
        </div>
        <div>
          <ShelfSource
            v-if="file"
            :source="source"
            label="Where its lines don’t say, the figures are"
            @change="answer"
          />
        </div>
      </div>
      <p
        v-if="problem"
        role="alert"
        class="mt-3 border-l-4 border-brick-500 py-1 pl-3"
      >
        {{ problem }}
      </p>
      <ul
        v-if="read?.notes.length"
        class="mt-3 border-l-4 border-amber-500 py-1 pl-3 text-[15px]"
      >
        <li
          v-for="note in read.notes"
          :key="note"
        >
          {{ note }}
        </li>
      </ul>
      <p
        v-if="waiting"
        class="mt-3 border-l-4 border-amber-500 py-1 pl-3 text-[15px] font-semibold"
      >
        Say above where the figures come from: nothing goes on the shelf that nobody answers for.
      </p>
      <template v-if="read">
        <p
          role="status"
          class="mt-4 text-[15px] font-semibold"
        >
          {{ lines.length ? counts.map(({ standing, n }) => `${words[standing]}: ${n}`).join(' · ') : 'No parts were found in this file.' }}
        </p>
        <div
          v-if="lines.length"
          class="mt-2 max-h-[45vh] overflow-y-auto border-t border-graphite-300"
          tabindex="0"
          role="region"
          aria-label="Lines of the file"
        >
          <table class="w-full border-collapse text-left text-[15px]">
            <thead class="sr-only">
              <tr>
                <th>What becomes of it</th><th>Part</th><th>Where it stands</th>
              </tr>
            </thead>
            <tbody>
              <tr
                v-for="line in lines"
                :key="`${line.table}/${line.line}/${line.shelf}`"
                class="border-b border-graphite-300 align-top"
              >
                <td class="w-32 py-1.5 pr-2">
                  <span class="flex items-center gap-1.5 font-semibold"><PlannerStateMark :state="line.standing === 'refused' ? 'stop' : line.standing === 'waits' || line.gaps.length ? 'caution' : 'clear'" />{{ words[line.standing] }}</span>
                </td>
                <td class="py-1.5 pr-2">
                  <span class="font-semibold">{{ line.name }}</span>
                  <span
                    v-for="one in line.problems"
                    :key="one"
                    class="block text-brick-600"
                  >{{ one }}</span>
                  <span
                    v-for="one in line.gaps"
                    :key="one"
                    class="block text-[13px]"
                  >{{ one }}</span>
                  <span
                    v-if="line.standing === 'in-place'"
                    class="block text-[13px]"
                  >Jobs use the one that is there: it is retired and kept, and this one comes in its place.</span>
                </td>
                <td class="py-1.5 text-right text-[13px] whitespace-nowrap text-muted">
                  {{ shelfWords[line.shelf].many }}, line {{ line.line }}
                </td>
              </tr>
            </tbody>
          </table>
        </div>
      </template>
    </template>
    <template
      v-if="read"
      #footer
    >
      <UButton
        :label="taking ? `Take ${taking} ${taking === 1 ? 'part' : 'parts'}` : 'Nothing to take'"
        :disabled="!taking || busy"
        @click="take"
      />
      <UButton
        color="neutral"
        variant="ghost"
        label="Leave it"
        @click="open = false"
      />
    </template>
  </UModal>
</template>
