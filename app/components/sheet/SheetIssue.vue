<script setup lang="ts">
import { type FaceChanges, revisionName } from '#core/sheets/markout'
import type { UnitSystem } from '#core/units'
import { v4 as newId } from 'uuid'

/** Where the mark-out stands: which revision is out, what has changed since, and the next to be issued. */
const { jobId, issued, changes, version, stops, units } = defineProps<{
  jobId: string
  issued: IssuedRevision[]
  changes: FaceChanges[]
  version: number
  stops: string[]
  units: UnitSystem
}>()
const emit = defineEmits<{ issued: [] }>()
const store = useJobStore()
const me = useMe()
const last = computed(() => issued[0] ?? null)
const changed = computed(() => changes.reduce((sum, face) => sum + face.changes.length, 0))
const note = ref('')
const reason = ref('')
const problem = ref('')
const busy = ref(false)
const shows = ref(false)
const day = (at: string) => new Date(at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' })

/** The next sheet's own id: should its answer be lost, asking again issues the same. */
let sheetId = newId()
async function issue() {
  problem.value = ''
  busy.value = true
  try {
    await $fetch(`/api/jobs/${jobId}/sheets`, { method: 'POST', body: { id: sheetId, version, note: note.value, reason: stops.length ? reason.value : '' } })
    sheetId = newId()
    note.value = ''
    reason.value = ''
    shows.value = false
    emit('issued')
  }
  catch (failure) {
    problem.value = sentencesFrom(failure, 'The server can’t be reached. Nothing was issued; try again in a minute.')
  }
  busy.value = false
}
</script>

<template>
  <section
    class="mb-4 border-2 p-3"
    :class="!last ? 'border-graphite-400' : changed ? 'border-brick-500' : 'border-lichen-500'"
    aria-label="Issue"
  >
    <div class="flex flex-wrap items-center justify-between gap-x-4 gap-y-2">
      <p class="text-[17px] leading-snug">
        <template v-if="!last">
          <b>Not issued yet.</b> What the crew takes up should carry a revision.
        </template>
        <template v-else-if="changed">
          <b class="text-brick-600">Revision {{ revisionName(last.revision) }} is superseded:</b> {{ changed }} {{ changed === 1 ? 'mark has' : 'marks have' }} changed since {{ last.issuedBy }} issued it, {{ day(last.issuedAt) }}.
        </template>
        <template v-else>
          <b>Revision {{ revisionName(last.revision) }}</b> issued by {{ last.issuedBy }}, {{ day(last.issuedAt) }}. It holds: no mark has changed.
        </template>
      </p>
      <UButton
        v-if="(!last || changed) && me.may('issue')"
        class="no-print"
        :label="`Issue revision ${revisionName((last?.revision ?? 0) + 1)}`"
        :loading="busy"
        :disabled="store.saveState !== 'saved' || (stops.length > 0 && !reason.trim())"
        @click="issue"
      />
    </div>
    <div
      v-if="(!last || changed) && me.may('issue')"
      class="no-print mt-2"
    >
      <UInput
        v-model="note"
        class="w-full"
        maxlength="200"
        placeholder="A note for the crew, printed on the sheet"
        aria-label="Note on the issued sheet"
      />
      <template v-if="stops.length">
        <p class="mt-2 text-[15px] font-semibold text-brick-600">
          {{ stops.length === 1 ? 'A stop is' : `${stops.length} stops are` }} open. Whoever issues the sheet all the same says why; it stands at its top.
        </p>
        <UInput
          v-model="reason"
          class="mt-1 w-full"
          maxlength="300"
          placeholder="Why it is issued although something stops the work"
          aria-label="Reason for issuing with a stop open"
        />
      </template>
    </div>
    <p
      v-if="last?.despite"
      class="mt-2 border-l-4 border-brick-500 py-1 pl-3 text-[15px] font-semibold"
    >
      Issued with {{ last.despite.stops.length === 1 ? 'a stop' : `${last.despite.stops.length} stops` }} open, by {{ last.issuedBy }}: {{ last.despite.reason }}
    </p>
    <p
      v-if="problem"
      role="alert"
      class="mt-2 font-medium text-brick-600"
    >
      {{ problem }}
    </p>
    <template v-if="changed">
      <button
        type="button"
        class="no-print mt-2 text-[15px] font-semibold text-chalk-600 underline"
        :aria-expanded="shows"
        @click="shows = !shows"
      >
        {{ shows ? 'Hide what changed' : 'Show what changed' }}
      </button>
      <div
        v-if="shows"
        class="mt-2 max-h-72 overflow-y-auto"
      >
        <div
          v-for="face in changes"
          :key="face.faceId"
        >
          <h4 class="font-semibold">
            {{ face.name }}
          </h4>
          <ul>
            <li
              v-for="(one, i) in face.changes"
              :key="i"
              class="flex flex-wrap items-baseline justify-between gap-x-3 border-b border-dotted border-graphite-300 py-0.5 text-[15px]"
            >
              <span><b>{{ one.kind === 'moved' ? 'Moved' : one.kind === 'added' ? 'New' : 'Gone' }}</b> {{ one.step }}: {{ one.label }}</span>
              <span class="whitespace-nowrap">
                <template v-if="one.kind === 'moved'"><FieldLengthText
                  :mm="one.fromMm"
                  :units="units"
                /> → <b><FieldLengthText
                  :mm="one.toMm"
                  :units="units"
                /></b></template>
                <FieldLengthText
                  v-else
                  :class="one.kind === 'gone' ? 'line-through' : 'font-semibold'"
                  :mm="one.readingMm"
                  :units="units"
                />
              </span>
            </li>
          </ul>
        </div>
      </div>
    </template>
    <details
      v-if="issued.length"
      class="no-print mt-2 text-[15px]"
    >
      <summary class="cursor-pointer text-muted">
        {{ issued.length }} issued
      </summary>
      <ul>
        <li
          v-for="one in issued"
          :key="one.revision"
          class="flex items-baseline justify-between gap-3 border-b border-dotted border-graphite-300 py-1"
        >
          <span>Revision {{ revisionName(one.revision) }}, {{ day(one.issuedAt) }}, {{ one.issuedBy }}{{ one.note ? `: ${one.note}` : '' }}</span>
          <a
            class="font-semibold text-chalk-600 underline"
            :href="`/api/jobs/${jobId}/mark-out.pdf?revision=${one.revision}`"
            download
          >PDF</a>
        </li>
      </ul>
    </details>
  </section>
</template>
