<script setup lang="ts">
import { proofWords } from '#core/job'
import { paperNames, paperStateWords, torqueWords } from '#core/proof'
import { foundWords } from '#core/sheets/handover'

/** What was said last in proof, with who and when; what was said wrongly is taken out. */
const { entries, drop, units } = useProof()
const MOST_SHOWN = 30
const last = computed(() => [...entries.value].reverse().slice(0, MOST_SHOWN))
const time = (at: string) => new Date(at).toLocaleString('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })
const wordsOf = (entry: typeof last.value[number]): string => entry.kind === 'serial' ? entry.serial : entry.kind === 'test' ? foundWords(entry.found) : entry.kind === 'paper' ? `${paperNames[entry.paper].toLowerCase()}, ${paperStateWords[entry.state]}` : entry.kind === 'photograph' ? entry.caption : entry.kind === 'handed-over' ? entry.to : entry.kind === 'item' ? entry.words : entry.kind === 'torque' ? `${entry.terminal}, ${torqueWords(entry.torqueNm, units.value)}` : ''
const asking = ref('')
function takeOut(id: string) {
  if (asking.value === id) drop(id)
  asking.value = asking.value === id ? '' : id
}
const readsOnly = useReadsOnly()
</script>

<template>
  <section
    aria-label="The record"
    tabindex="0"
  >
    <h2 class="slip-title mt-2">
      The record
    </h2>
    <p
      v-if="!entries.length"
      class="text-[15px] text-muted"
    >
      Nothing yet. Begin with the goods on the ground, then serial numbers as modules go on, then each string as it is finished.
    </p>
    <ul>
      <li
        v-for="entry in last"
        :key="entry.id"
        class="flex items-baseline justify-between gap-2 border-b border-dotted border-graphite-300 py-1 text-[15px] leading-snug"
      >
        <span><span class="text-[13px] text-muted">{{ time(entry.at) }}, {{ entry.by || 'somebody' }}</span><br>{{ proofWords[entry.kind] }}{{ wordsOf(entry) ? `: ${wordsOf(entry)}` : '' }}</span>
        <button
          v-if="!readsOnly"
          type="button"
          class="shrink-0 text-[13px] underline underline-offset-4 max-md:min-h-11"
          :aria-label="asking === entry.id ? 'Really take it out' : `Take out: ${proofWords[entry.kind]} ${wordsOf(entry)}`"
          @click="takeOut(entry.id)"
        >
          {{ asking === entry.id ? 'Really?' : 'Take out' }}
        </button>
      </li>
    </ul>
    <p
      v-if="entries.length > MOST_SHOWN"
      class="text-[13px] text-muted"
    >
      And {{ entries.length - MOST_SHOWN }} before.
    </p>
  </section>
</template>
