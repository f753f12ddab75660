<script setup lang="ts">
import { supplierNames, suppliers } from '#core/job'
import { placeAlong, placeUp } from '#core/roof'
import { damagesOn } from '#core/rooflog'
import type { Face, Job, Supplier } from '#core/job'
import type { useCrew } from '../../composables/useCrew'

/** What got broken: what, where, by whom, who gives another and when. The rest of the job goes on; its end waits for it. */
const { jobId, job, face, crew } = defineProps<{ jobId: string, job: Job, face: Face, crew: ReturnType<typeof useCrew> }>()
const what = ref<'module' | 'tile' | 'other'>('tile')
const supplies = ref<Supplier>('firm')
const doneBy = ref('')
const due = ref('')
const place = reactive<{ along: number | null, up: number | null }>({ along: null, up: null })
const photoId = ref<string | null>(null)
const told = ref('')
function keep(words: string) {
  const at = place.along !== null && place.up !== null ? { xMm: placeAlong(face, place.along), yMm: placeUp(face, place.up) } : null
  const outcome = crew.say({ kind: 'damage', what: what.value, place: at, words, doneBy: doneBy.value.trim(), supplies: supplies.value, due: due.value || null, photoId: photoId.value })
  told.value = outcome.ok ? 'Kept. It is among what is open until it is made good.' : ''
  if (!outcome.ok) return
  Object.assign(place, { along: null, up: null })
  photoId.value = null
}
const all = computed(() => damagesOn(job.log, face.id))
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
    <div class="grid grid-cols-[1.5fr_1fr_1fr] gap-2">
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
    <CrewPhotograph
      :job-id="jobId"
      step="What is broken"
      :has="photoId !== null"
      @taken="photoId = $event"
    />
    <CrewWords
      label="What is broken, in words"
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
        v-for="{ said: one, state } in all"
        :key="one.id"
        class="border-b-2 border-black/30 py-2 text-lg"
      >
        {{ state === 'new' ? '✓ ' : '' }}{{ one.words }} ({{ one.by }}){{ one.due ? `, due ${one.due}` : '' }}{{ state === 'lent' ? ': mended with one lent from under the array, a new one goes back there' : '' }}
        <div
          v-if="state !== 'new'"
          class="mt-1 grid grid-cols-2 gap-2"
        >
          <CrewButton
            v-if="one.what === 'tile' && state === 'open'"
            @press="crew.say({ kind: 'mended', damageId: one.id, with: 'lent' })"
          >
            Lent from under the array
          </CrewButton>
          <CrewButton @press="crew.say({ kind: 'mended', damageId: one.id, with: 'new' })">
            {{ state === 'lent' ? 'New one is back' : 'Made good' }}
          </CrewButton>
        </div>
      </li>
    </ol>
  </div>
</template>
