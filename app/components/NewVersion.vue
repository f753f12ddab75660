<script setup lang="ts">
/** A new version of the app is on the device and waits: whoever works here takes it when a line is done. What is open goes on with the old one until then. */
const { $pwa } = useNuxtApp()
const queue = useQueue()
const taking = ref(false)
/** A worker that still waits for an answer of the office goes when its page does, ms. */
const WAITS_MS = 5000
async function take() {
  taking.value = true
  // What is being written down is finished first: a page that still writes asks before it goes.
  await until(() => queue.writing).toBe(0)
  // The library loads the page again only where a worker stood before it when it was opened; on a first visit none did.
  navigator.serviceWorker.addEventListener('controllerchange', () => location.reload(), { once: true })
  setTimeout(() => location.reload(), WAITS_MS)
  await $pwa?.updateServiceWorker()
}
</script>

<template>
  <div
    v-if="$pwa?.needRefresh"
    role="status"
    class="no-print fixed inset-x-0 bottom-0 z-50 flex items-center gap-3 border-t-4 border-graphite-900 bg-sheet px-4 py-2 text-[15px] leading-tight font-semibold"
  >
    <p class="min-w-0 flex-1">
      A new version of Upper Deck is here. This page goes on with the old one; {{ queue.entries.length ? 'what waits to be sent stays.' : 'nothing is lost.' }}
    </p>
    <button
      type="button"
      class="min-h-11 shrink-0 border-2 border-graphite-900 px-3"
      :disabled="taking"
      @click="take"
    >
      {{ taking ? 'Taking it…' : 'Take it now' }}
    </button>
    <button
      type="button"
      class="min-h-11 shrink-0 px-2 underline"
      @click="$pwa?.cancelPrompt()"
    >
      Later
    </button>
  </div>
</template>
