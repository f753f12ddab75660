<script setup lang="ts">
import { MOST_PHOTO_BYTES, MOST_PHOTOS, photoTypes } from '#core/job'

/** Photographs of the site with their captions. */
const { jobId } = defineProps<{ jobId: string }>()
const { photographs, problems, busy, add, setCaption, remove, small, whole } = usePhotographs(jobId)
const inputId = useId()
async function choose(event: Event) {
  const input = event.target as HTMLInputElement
  await add([...input.files ?? []])
  input.value = ''
}
const asking = ref('')
async function takeAway(photoId: string) {
  if (asking.value !== photoId) {
    asking.value = photoId
    return
  }
  asking.value = ''
  await remove(photoId)
}
const me = useMe()
</script>

<template>
  <section
    aria-label="Photographs"
    tabindex="0"
  >
    <div class="flex flex-wrap items-baseline justify-between gap-2 border-b border-graphite-900 pb-1">
      <h2 class="slip-title mb-0">
        Photographs
      </h2>
      <label
        v-if="me.may('log')"
        :for="inputId"
        class="cursor-pointer border border-graphite-400 px-2.5 py-1 text-sm font-semibold hover:bg-graphite-100 has-focus-visible:outline-3"
      >{{ busy || 'Add photographs' }}
        <input
          :id="inputId"
          type="file"
          multiple
          :accept="photoTypes.join(',')"
          class="sr-only"
          :disabled="Boolean(busy)"
          @change="choose"
        ></label>
    </div>
    <ul
      v-if="problems.length"
      role="alert"
      class="mt-2 space-y-1.5 border-l-4 border-brick-500 py-1 pl-3 text-[15px] leading-snug"
    >
      <li
        v-for="problem in problems"
        :key="problem"
      >
        {{ problem }}
      </li>
    </ul>
    <p
      v-if="!photographs.length"
      class="mt-2 text-sm text-muted"
    >
      None yet. The way in, the eave, every obstruction, the loft and the meter are worth one each. JPEG, PNG or WebP, {{ MOST_PHOTO_BYTES / 1024 / 1024 }} MB each, {{ MOST_PHOTOS }} a job.
    </p>
    <ul class="mt-2 grid grid-cols-2 gap-3">
      <li
        v-for="photo in photographs"
        :key="photo.photoId"
        class="relative"
      >
        <a
          :href="whole(photo.photoId)"
          target="_blank"
          rel="noopener"
        ><img
          :src="small(photo.photoId)"
          :alt="photo.caption || 'Photograph without a caption'"
          :width="photo.widthPx"
          :height="photo.heightPx"
          class="aspect-4/3 w-full border border-graphite-400 object-cover"
          loading="lazy"
        ></a>
        <button
          v-if="me.may('log')"
          type="button"
          class="absolute top-1 right-1 bg-paper px-1.5 py-0.5 text-[13px] font-semibold text-graphite-900"
          :aria-label="asking === photo.photoId ? 'Really take this photograph away' : 'Take this photograph away'"
          @click="takeAway(photo.photoId)"
        >
          {{ asking === photo.photoId ? 'Really?' : '×' }}
        </button>
        <textarea
          :value="photo.caption"
          rows="2"
          maxlength="200"
          placeholder="What it shows"
          aria-label="Caption"
          :readonly="!me.may('log')"
          class="block field-sizing-content w-full resize-none border-b border-dotted border-graphite-400 bg-transparent pt-1 text-sm leading-snug"
          @change="setCaption(photo.photoId, ($event.target as HTMLTextAreaElement).value)"
        />
        <p class="text-[13px] text-muted">
          {{ photo.personName }}, {{ new Date(photo.takenInAt).toLocaleDateString('en-GB', { day: 'numeric', month: 'short' }) }}
        </p>
      </li>
    </ul>
  </section>
</template>
