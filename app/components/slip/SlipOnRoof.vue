<script setup lang="ts">
import { movesOn, moveWords, openOn, photographRecord } from '#core/fieldwork'
import { logWords } from '#core/job'
import { drilledOn, modulesThere, railsThere } from '#core/rooflog'
import { readingOn } from '#core/roof'

/** What the crew has said of this face: counts, what moves, what is open, and the log's last words. */
const { job, face, facePlan, units } = useFace()
const part = ref('work')
const parts = [{ label: 'Work', value: 'work' }, { label: 'Open', value: 'open' }, { label: 'Log', value: 'log' }]
const holes = computed(() => drilledOn(job.value.log, face.value.id))
const count = (state: string) => holes.value.filter(one => one.state === state).length
const moves = computed(() => movesOn(job.value, face.value, facePlan.value))
const photographs = computed(() => photographRecord(job.value, face.value, facePlan.value))
const items = computed(() => openOn(job.value, face.value, facePlan.value, null))
const MOST_MISSING = 6
/** So many of the last entries are shown. */
const MOST_SHOWN = 60
const entries = computed(() => job.value.log.filter(one => one.faceId === face.value.id).reverse())
const wayOf = (railId: string) => facePlan.value.rails.find(one => one.id === railId)?.way ?? 'across'
const time = (at: string) => new Date(at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })
</script>

<template>
  <SlipTabs
    v-model="part"
    :parts="parts"
  />
  <template v-if="part === 'work'">
    <h2 class="slip-title">
      On the roof
    </h2>
    <p
      v-if="!face.following"
      class="text-[15px] text-muted"
    >
      Nothing is drilled on this face yet. From the first hole on the plan follows what is there: holes stay, the rest is set again round them.
    </p>
    <template v-else>
      <dl class="mb-2">
        <SlipLine label="Fixings in">
          {{ count('used') }} of {{ facePlan.fixings.total }}
        </SlipLine>
        <SlipLine label="Holes given up or missed">
          {{ count('abandoned') }}
        </SlipLine>
        <SlipLine label="Rails cut or laid">
          {{ railsThere(job.log, face.id).length }} of {{ facePlan.rails.length }}
        </SlipLine>
        <SlipLine label="Modules laid">
          {{ modulesThere(job.log, face.id).length }} of {{ facePlan.modules }}
        </SlipLine>
        <SlipLine label="Photographs asked for">
          {{ photographs.had }} of {{ photographs.asked }}
        </SlipLine>
      </dl>
      <h3 class="slip-title">
        What moves
      </h3>
      <p
        v-if="!moves.length"
        class="text-[15px] text-muted"
      >
        Nothing: what is drilled suits the layout that the crew follows.
      </p>
      <ul class="text-[15px] leading-snug">
        <li
          v-for="(move, i) in moves"
          :key="i"
          class="border-b border-dotted border-graphite-300 py-1"
        >
          Rail {{ move.rail }}: {{ moveWords(job, face, wayOf(move.railId), move) }}.
        </li>
      </ul>
    </template>
  </template>
  <template v-else-if="part === 'open'">
    <h2 class="slip-title">
      Open
    </h2>
    <p
      v-if="!items.length"
      class="text-[15px] text-muted"
    >
      Nothing is open on this face.
    </p>
    <ul>
      <li
        v-for="item in items"
        :key="`${item.kind} ${item.id}`"
        class="border-b border-dotted border-graphite-300 py-1 text-[15px] leading-snug"
      >
        {{ item.words }}<span class="block text-[13px] text-muted">{{ item.close }}</span>
      </li>
    </ul>
    <template v-if="photographs.missing.length">
      <h2 class="slip-title">
        Without a photograph
      </h2>
      <ul class="mb-2 text-[15px] leading-snug">
        <li
          v-for="{ hole, step } in photographs.missing.slice(0, MOST_MISSING)"
          :key="`${hole.id} ${step}`"
        >
          {{ step }}, <FieldLengthText
            :mm="readingOn(face, 'along', hole.xMm)"
            :units="units"
          /> along
        </li>
        <li v-if="photographs.missing.length > MOST_MISSING">
          And {{ photographs.missing.length - MOST_MISSING }} more.
        </li>
      </ul>
    </template>
  </template>
  <template v-else>
    <h2 class="slip-title">
      Log
    </h2>
    <p
      v-if="!entries.length"
      class="text-[15px] text-muted"
    >
      Nothing was said from the roof yet.
    </p>
    <ul>
      <li
        v-for="entry in entries.slice(0, MOST_SHOWN)"
        :key="entry.id"
        class="border-b border-dotted border-graphite-300 py-1 text-[15px] leading-snug"
      >
        {{ time(entry.at) }} {{ entry.by }}: {{ logWords[entry.kind] }}{{ entry.kind === 'hole' ? `, ${entry.result}` : entry.kind === 'note' ? `: ${entry.words}` : '' }}<template v-if="'xMm' in entry">
          at <FieldLengthText
            :mm="readingOn(face, 'along', entry.xMm)"
            :units="units"
          /> along
        </template>
      </li>
    </ul>
    <p
      v-if="entries.length > MOST_SHOWN"
      class="text-[13px] text-muted"
    >
      And {{ entries.length - MOST_SHOWN }} before.
    </p>
  </template>
</template>
