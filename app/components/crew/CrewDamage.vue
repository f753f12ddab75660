<script setup lang="ts">
import { supplierNames, suppliers } from '#core/job'
import { placeAlong, placeUp } from '#core/roof'
import type { Face, Job, Supplier } from '#core/job'
import type { useCrew } from '../../composables/useCrew'

/** What got broken: what, where, by whom, who gives another and when. The rest of the job goes on; its end waits for it. */
const { job, face, crew } = defineProps<{ job: Job, face: Face, crew: ReturnType<typeof useCrew> }>()
const what = ref<'module' | 'tile' | 'other'>('tile')
const supplies = ref<Supplier>('firm')
const doneBy = ref('')
const due = ref('')
const place = reactive<{ along: number | null, up: number | null }>({ along: null, up: null })
const told = ref('')
function keep(words: string) {
  const at = place.along !== null && place.up !== null ? { xMm: placeAlong(face, place.along), yMm: placeUp(face, place.up) } : null
  const outcome = crew.say({ kind: 'damage', what: what.value, place: at, words, doneBy: doneBy.value.trim(), supplies: supplies.value, due: due.value || null, photoId: null })
  told.value = outcome.ok ? 'Kept. It is among what is open until it is made good.' : outcome.problem
  if (outcome.ok) Object.assign(place, { along: null, up: null })
}
const mended = computed(() => new Set(job.log.flatMap(entry => entry.kind === 'mended' ? [entry.damageId] : [])))
const all = computed(() => job.log.flatMap(entry => entry.kind === 'damage' && entry.faceId === face.id ? [entry] : []))
</script>

<template>
  <div class="min-h-0 flex-1 overflow-y-auto px-3 pb-4">
    <div class="mt-2 grid grid-cols-3 gap-2">
      <CrewButton
        v-for="one in (['module', 'tile', 'other'] as const)"
        :key="one"
        :pressed="what === one"
        @press="what = one"
      >
        {{ one === 'module' ? 'Module' : one === 'tile' ? 'Covering' : 'Other' }}
      </CrewButton>
    </div>
    <p class="mt-2 text-lg leading-snug">
      {{ what === 'module' ? 'Its place, its clamps and the skirt stay open; the rest goes on.' : what === 'tile' ? 'Sound units from under the array mend what shows; new ones go back under it.' : 'Say what it is and where.' }}
    </p>
    <CrewLength
      :label="`Where, along${place.along === null ? '' : ' ✓'}`"
      :units="job.units"
      taken="Set"
      @take="place.along = $event"
    />
    <CrewLength
      :label="`Where, up${place.up === null ? '' : ' ✓'}`"
      :units="job.units"
      taken="Set"
      @take="place.up = $event"
    />
    <label class="mt-1 block text-lg font-semibold">Who did it<input
      v-model="doneBy"
      maxlength="80"
      class="block h-16 w-full border-4 border-black bg-white px-3 text-xl"
    ></label>
    <p class="mt-1 text-lg font-semibold">
      Who gives another
    </p>
    <div class="grid grid-cols-3 gap-2">
      <CrewButton
        v-for="one in suppliers"
        :key="one"
        :pressed="supplies === one"
        @press="supplies = one"
      >
        {{ supplierNames[one].replace('the ', '') }}
      </CrewButton>
    </div>
    <label class="mt-1 block text-lg font-semibold">By when<input
      v-model="due"
      type="date"
      class="block h-16 w-full border-4 border-black bg-white px-3 text-xl"
    ></label>
    <CrewWords
      label="What is broken"
      taken="Keep"
      @take="keep"
    />
    <p
      v-if="told"
      role="status"
      class="text-lg font-bold"
    >
      {{ told }}
    </p>
    <ol>
      <li
        v-for="one in all"
        :key="one.id"
        class="flex items-center gap-2 border-b-2 border-black/30 py-2 text-lg"
      >
        <span class="min-w-0 flex-1">{{ mended.has(one.id) ? '✓ ' : '' }}{{ one.words }} ({{ one.by }}){{ one.due ? `, due ${one.due}` : '' }}</span>
        <CrewButton
          v-if="!mended.has(one.id)"
          @press="crew.say({ kind: 'mended', damageId: one.id })"
        >
          Made good
        </CrewButton>
      </li>
    </ol>
  </div>
</template>
