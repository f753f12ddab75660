<script setup lang="ts">
import { codeReader } from '../../instruments/code-reader'

/** The camera as a reader of labels; a picture that was taken before does as well. What it reads is handed on, the same code once. */
const { glare = false } = defineProps<{ glare?: boolean }>()
const emit = defineEmits<{ read: [text: string] }>()
const video = useTemplateRef('video')
const problem = ref('')
const running = ref(false)
let stream: MediaStream | null = null
let timer: ReturnType<typeof setInterval> | undefined
let last = ''
/** So often the camera's picture is looked at. */
const LOOK_EVERY_MS = 350
function found(codes: string[]) {
  const text = codes.find(one => one !== last)
  if (!text) return
  last = text
  navigator.vibrate?.(60)
  emit('read', text)
}
async function start() {
  problem.value = ''
  try {
    const reader = await codeReader()
    stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } })
    running.value = true
    await nextTick()
    video.value!.srcObject = stream
    await video.value!.play()
    let busy = false
    timer = setInterval(async () => {
      if (busy || !video.value || video.value.readyState < 2) return
      busy = true
      found(await reader.read(video.value).catch(() => []))
      busy = false
    }, LOOK_EVERY_MS)
  }
  catch {
    stop()
    problem.value = 'The camera can’t be had here. Type the number, use a scanner that types, or read a picture.'
  }
}
function stop() {
  clearInterval(timer)
  stream?.getTracks().forEach(track => track.stop())
  stream = null
  running.value = false
}
onBeforeUnmount(stop)
async function readPicture(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  problem.value = ''
  last = ''
  const codes = await codeReader().then(async reader => reader.read(await createImageBitmap(file))).catch(() => [])
  if (codes.length) found(codes)
  else problem.value = 'No code is found in this picture. Go nearer, hold it straight, keep the glare off.'
}
const press = computed(() => glare ? 'min-h-16 border-4 border-black px-3 text-xl font-bold' : 'min-h-9 max-md:min-h-11 border border-graphite-400 px-3 text-[15px] font-semibold hover:bg-graphite-100')
</script>

<template>
  <div>
    <video
      v-show="running"
      ref="video"
      muted
      playsinline
      class="mb-2 aspect-4/3 w-full bg-black object-cover"
    />
    <div class="flex flex-wrap gap-2">
      <button
        type="button"
        :class="press"
        @click="running ? stop() : start()"
      >
        {{ running ? 'Camera off' : 'Camera' }}
      </button>
      <label
        class="flex cursor-pointer items-center has-focus-visible:outline-3"
        :class="press"
      >Read a picture<input
        type="file"
        accept="image/*"
        class="sr-only"
        @change="readPicture"
      ></label>
    </div>
    <p
      v-if="problem"
      role="alert"
      class="mt-1 font-semibold"
      :class="glare ? 'text-lg text-[#a3291c]' : 'text-sm text-brick-600'"
    >
      {{ problem }}
    </p>
  </div>
</template>
