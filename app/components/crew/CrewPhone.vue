<script setup lang="ts">
import { plural } from '#core/trade'
import { wordsOf } from '../../queue/entry'

/** What is on this phone, how fresh, and what the office has not got yet. */
const { jobId } = defineProps<{ jobId: string }>()
const queue = useQueue()
const store = useJobStore()
const { kept, persists, problem, take, leave } = useTaken()
const busy = ref(false)
async function takeAlong() {
  busy.value = true
  await take(jobId)
  busy.value = false
}
const own = computed(() => kept.value.find(one => one.jobId === jobId))
const waiting = computed(() => queue.entries.filter(entry => entry.refused === null).length)
const aside = computed(() => queue.asideOf(jobId))
</script>

<template>
  <div class="min-h-0 flex-1 overflow-y-auto px-3 pb-4">
    <p class="pt-2 text-xl leading-snug font-bold">
      {{ waiting ? `${plural(waiting, 'entry').replace('entrys', 'entries')} on this phone ${waiting === 1 ? 'has' : 'have'} not reached the office` : 'All that was said here has reached the office' }}{{ queue.keeps ? '' : '. This browser keeps nothing over a reload: leave the page open' }}.
    </p>
    <p class="text-lg">
      {{ store.keptAt ? `No signal: the job is shown as the office had it ${agoWords(store.keptAt)}, with what was logged here.` : own ? `The job is on this phone, as of ${agoWords(own.at)}.` : 'The job is not on this phone yet.' }}
      {{ persists === true ? 'The phone promises to keep it.' : persists === false ? 'The phone does not promise to keep it.' : '' }}
    </p>
    <CrewButton
      class="mt-2 w-full"
      dark
      :disabled="busy"
      @press="takeAlong"
    >
      {{ busy ? 'Taking along…' : own?.byHand ? 'Take it along again, fresh' : 'Take this job along' }}
    </CrewButton>
    <p
      v-if="problem"
      role="alert"
      class="mt-2 border-l-8 border-[#a3291c] pl-3 text-lg font-bold"
    >
      {{ problem }}
    </p>
    <template v-if="aside.length">
      <h2 class="mt-4 text-xl font-extrabold">
        Not taken by the office
      </h2>
      <div
        v-for="entry in aside"
        :key="entry.id"
        class="border-b-2 border-black/30 py-2"
      >
        <p class="text-lg leading-snug font-semibold">
          {{ wordsOf(entry) }}: {{ entry.refused }}
        </p>
        <div class="mt-1 grid grid-cols-2 gap-2">
          <CrewButton @press="queue.takeUp(entry.id)">
            Send again
          </CrewButton>
          <CrewButton @press="queue.giveUp(entry.id)">
            Let it go
          </CrewButton>
        </div>
      </div>
    </template>
    <h2 class="mt-4 text-xl font-extrabold">
      Jobs on this phone
    </h2>
    <ul>
      <li
        v-for="one in kept"
        :key="one.jobId"
        class="flex items-center gap-2 border-b-2 border-black/30 py-2"
      >
        <NuxtLink
          :to="`/jobs/${one.jobId}/roof`"
          class="min-w-0 flex-1 py-2 text-lg leading-tight font-bold underline"
        >{{ one.title }}<span class="block text-[15px] font-normal">{{ agoWords(one.at) }}{{ one.byHand ? ', taken along' : ', was open here' }}</span></NuxtLink>
        <CrewButton @press="leave(one.jobId)">
          Leave
        </CrewButton>
      </li>
    </ul>
  </div>
</template>
