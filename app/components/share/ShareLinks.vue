<script setup lang="ts">
import { type PackFor, packNames, packsFor } from '#core/sheets/handover/names'
import { revisionName } from '#core/sheets/markout'
import { v4 as newId } from 'uuid'

/** Links by which somebody outside reads a job, or one issued sheet of it: until when, whether it was opened, and an end to it. */
const { job } = defineProps<{ job: { jobId: string, title: string } | null }>()
const emit = defineEmits<{ close: [] }>()
interface Shared { linkId: string, revision: number | null, pack: PackFor | null, note: string, madeBy: string, madeAt: string, expiresAt: string, takenBackAt: string | null, openedAt: string | null }
const links = shallowRef<Shared[]>([])
const sheets = shallowRef<{ revision: number }[]>([])
const { busy, problem, ask } = useAsking()
const path = computed(() => `/api/jobs/${job?.jobId}/links`)
const refresh = async () => links.value = await ask(() => $fetch<Shared[]>(path.value)) ?? []
watch(() => job, async (now) => {
  handed.value = ''
  if (!now) return
  await refresh()
  sheets.value = await ask(() => $fetch<{ revision: number }[]>(`/api/jobs/${now.jobId}/sheets`)) ?? []
}, { immediate: true })

const what = ref('job')
const days = ref('14')
const note = ref('')
const handed = ref('')
const choices = computed(() => [{ value: 'job', label: 'The whole job, to read' }, ...packsFor.map(pack => ({ value: pack as string, label: packNames[pack] })), ...sheets.value.map(({ revision }) => ({ value: String(revision), label: `Mark-out, revision ${revisionName(revision)}` }))])
const lasting = [{ value: '1', label: 'One day' }, { value: '7', label: 'A week' }, { value: '14', label: 'Two weeks' }, { value: '60', label: 'Two months' }, { value: '365', label: 'A year' }]
async function make() {
  const made = await ask(() => $fetch<{ link: string }>(path.value, { method: 'POST', body: { id: newId(), revision: Number(what.value) || null, pack: packsFor.find(pack => pack === what.value) ?? null, days: Number(days.value), note: note.value } }))
  if (!made) return
  handed.value = made.link
  note.value = ''
  await refresh()
}
async function takeBack(linkId: string) {
  await ask(() => $fetch(`${path.value}/${linkId}`, { method: 'DELETE' }))
  await refresh()
}
const day = (at: string) => new Date(at).toLocaleDateString('en-GB', { dateStyle: 'medium' })
const over = (one: Shared) => one.takenBackAt !== null || new Date(one.expiresAt) < new Date()
const stateOf = (one: Shared) => one.takenBackAt ? `taken back ${day(one.takenBackAt)}` : over(one) ? `ended ${day(one.expiresAt)}` : `until ${day(one.expiresAt)}${one.openedAt ? `, opened ${day(one.openedAt)}` : ', not opened yet'}`
</script>

<template>
  <UModal
    :open="job !== null"
    :title="`Links to ${job?.title ?? ''}`"
    description="Whoever has the link reads, without an account, until the day it ends or you take it back."
    :ui="{ content: 'max-w-2xl' }"
    @update:open="$event || emit('close')"
  >
    <template #body>
      <EntryProblem :problem="problem" />
      <form
        class="grid grid-cols-[1fr_9rem] gap-3 max-sm:grid-cols-1"
        @submit.prevent="make"
      >
        <label class="text-[13px] text-muted">What it shows
          <FieldChoiceList
            class="w-full"
            :value="what"
            :choices="choices"
            aria-label="What it shows"
            @choose="what = $event"
          /></label>
        <label class="text-[13px] text-muted">For
          <FieldChoiceList
            class="w-full"
            :value="days"
            :choices="lasting"
            aria-label="For how long"
            @choose="days = $event"
          /></label>
        <UInput
          v-model="note"
          maxlength="120"
          placeholder="For whom, as you will know it again"
          aria-label="For whom"
        />
        <UButton
          type="submit"
          label="Make a link"
          class="justify-center"
          :loading="busy"
        />
      </form>
      <ShareOnce
        v-if="handed"
        :link="handed"
      />
      <ul
        v-if="links.length"
        class="mt-4"
        aria-label="Links"
      >
        <li
          v-for="one in links"
          :key="one.linkId"
          class="flex flex-wrap items-center justify-between gap-3 border-b border-dotted border-graphite-300 py-2 text-[15px]"
          :class="over(one) ? 'text-muted' : ''"
        >
          <span><b>{{ one.pack ? packNames[one.pack] : one.revision ? `Mark-out ${revisionName(one.revision)}` : 'The job' }}</b>{{ one.note ? `, ${one.note}` : '' }}, by {{ one.madeBy }}: {{ stateOf(one) }}</span>
          <UButton
            v-if="!over(one)"
            size="sm"
            color="neutral"
            variant="outline"
            label="Take back"
            @click="takeBack(one.linkId)"
          />
        </li>
      </ul>
    </template>
  </UModal>
</template>
