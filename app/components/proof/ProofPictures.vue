<script setup lang="ts">
import { v4 as newId } from 'uuid'
import { photoProblem } from '#core/job'
import { missingOnRoof, wantedPictures } from '#core/proof'

/** Photographs that the record wants, by rule set; each takes its caption from its step. */
const { ask, say } = useProof()
const jobId = String(useRoute().params.id)
const queue = useQueue()
const { photographs, small } = usePhotographs(jobId)
const wanted = computed(() => wantedPictures(ask.value!))
const onRoof = computed(() => missingOnRoof(ask.value!))
const here = computed(() => new Set(photographs.value.map(one => one.photoId)))
const problem = ref('')
function take(event: Event, id: string, caption: string) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  problem.value = photoProblem(file.type, file.size) ?? ''
  if (problem.value) return
  const photoId = newId()
  queue.add(jobId, { channel: 'photographs', photoId, caption, picture: file })
  say('photograph', { photoId, wanted: id, caption })
}
const readsOnly = useReadsOnly()
</script>

<template>
  <div class="max-w-4xl">
    <p class="text-[15px] leading-snug">
      {{ wanted.filter(one => one.had).length }} of {{ wanted.length }} are there{{ onRoof ? `; ${onRoof} of holes and flashings are asked for on the roof` : '' }}. Without them it is not done. What a camera writes beside a picture, as where it was taken, is taken out when it reaches the office.
    </p>
    <p
      v-if="problem"
      role="alert"
      class="text-sm font-semibold text-brick-600"
    >
      {{ problem }}
    </p>
    <ul class="mt-2 grid grid-cols-2 gap-x-6 max-sm:grid-cols-1">
      <li
        v-for="one in wanted"
        :key="one.id"
        class="flex items-start gap-3 border-b border-dotted border-graphite-300 py-2"
      >
        <img
          v-if="one.had && here.has(one.had.photoId)"
          :src="small(one.had.photoId)"
          :alt="one.caption"
          class="h-16 w-22 shrink-0 border border-graphite-400 object-cover"
          loading="lazy"
        >
        <span
          v-else
          class="grid h-16 w-22 shrink-0 place-items-center border border-dashed border-graphite-400 text-center text-[13px] text-muted"
        >{{ one.had ? 'on its way' : 'missing' }}</span>
        <span class="min-w-0 flex-1 text-[15px] leading-snug">{{ one.caption }}<span class="block text-[13px] text-muted">{{ one.why }}{{ one.had ? `; ${one.had.by}, ${one.had.at.slice(0, 10)}` : '' }}</span>
          <label
            v-if="!readsOnly"
            class="mt-1 inline-block cursor-pointer border border-graphite-400 px-2 py-0.5 text-sm font-semibold hover:bg-graphite-100 has-focus-visible:outline-3"
          >{{ one.had ? 'Another' : 'Photograph' }}<input
            type="file"
            accept="image/*"
            capture="environment"
            class="sr-only"
            :aria-label="`Photograph: ${one.caption}`"
            @change="take($event, one.id, one.caption)"
          ></label></span>
      </li>
    </ul>
  </div>
</template>
