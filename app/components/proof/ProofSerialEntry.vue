<script setup lang="ts">
import { plural } from '#core/trade'
import { simulatedScanner } from '../../instruments/code-reader'
import type { Serials } from '../../composables/useSerials'

/** The place in hand and its number: typed, scanned, or read off labels that were stuck on a map. */
const { serials, glare = false } = defineProps<{ serials: Serials, glare?: boolean }>()
const { place, what, own, read, words, faceOf, keep, keepAll, takeOut, told, keyOf, hold } = serials
const text = ref('')
const exchanged = ref(false)
const input = useTemplateRef('input')
function put(via: 'scanned' | 'typed', value = text.value) {
  const outcome = keep(value, via, exchanged.value)
  if (!outcome?.ok) return
  text.value = ''
  exchanged.value = false
  input.value?.focus()
}
// What is typed half is of the place that stood there then, whatever others read meanwhile; only the place itself, not a new plan of it, ends an exchange.
watch(text, now => now && hold())
watch(() => place.value && keyOf(place.value), () => exchanged.value = false)
const scanner = simulatedScanner()
const many = ref('')
const said = ref('')
function putAll() {
  const { kept, problem } = keepAll(many.value)
  said.value = `${plural(kept, 'number')} taken in.${problem ? ` Stopped at ${problem}` : ''}`
  if (!problem) many.value = ''
}
const press = computed(() => glare ? 'min-h-16 border-4 border-black px-3 text-xl leading-tight font-bold' : 'min-h-9 max-md:min-h-11 border border-graphite-400 px-3 text-[15px] font-semibold hover:bg-graphite-100')
const hasUnits = computed(() => serials.places.value.some(one => one.what === 'unit'))
</script>

<template>
  <div
    class="space-y-2"
    :class="glare ? 'text-lg' : 'text-[15px]'"
  >
    <div
      v-if="hasUnits"
      class="grid grid-cols-2 gap-2"
    >
      <button
        v-for="one in (['module', 'unit'] as const)"
        :key="one"
        type="button"
        :class="[press, what === one ? glare ? 'bg-black text-[#fff7c4]' : 'bg-graphite-900 text-paper hover:bg-graphite-900' : '']"
        :aria-pressed="what === one"
        @click="what = one"
      >
        {{ one === 'module' ? 'Modules' : 'Units' }}
      </button>
    </div>
    <p class="font-semibold">
      {{ read }} of {{ own.length }} read
    </p>
    <template v-if="place">
      <div>
        <p :class="glare ? 'text-3xl font-extrabold' : 'text-xl font-bold'">
          {{ what === 'unit' ? 'Unit under ' : 'Module ' }}{{ place.number }}
        </p>
        <p class="leading-snug">
          {{ faceOf(place).name }}, {{ words(place) }}. {{ place.partName }}{{ place.circuit === null ? '' : `, circuit ${place.circuit}` }}.
        </p>
        <p
          v-if="place.found"
          class="font-bold"
        >
          {{ place.found.serial }} <span class="font-normal">({{ place.found.by }}{{ place.before.length ? `; before: ${place.before.join(', ')}` : '' }})</span>
        </p>
      </div>
      <form @submit.prevent="put('typed')">
        <label class="font-semibold">{{ exchanged ? 'The new one’s serial number' : 'Serial number' }}<input
          ref="input"
          v-model="text"
          autocapitalize="characters"
          autocomplete="off"
          spellcheck="false"
          maxlength="120"
          class="block w-full"
          :class="glare ? 'h-16 border-4 border-black bg-white px-3 text-2xl font-bold' : 'h-10 max-md:h-11 border border-graphite-400 bg-paper px-2 text-lg font-semibold'"
        ></label>
        <div class="mt-2 flex flex-wrap gap-2">
          <button
            type="submit"
            :class="[press, glare ? 'flex-1 bg-black text-[#fff7c4]' : 'bg-graphite-900 text-paper hover:bg-graphite-900']"
          >
            Keep it
          </button>
          <template v-if="place.found">
            <button
              type="button"
              :class="press"
              :aria-pressed="exchanged"
              @click="exchanged = !exchanged"
            >
              {{ exchanged ? 'Not exchanged' : 'Exchanged for another' }}
            </button>
            <button
              type="button"
              :class="press"
              @click="takeOut(place)"
            >
              Misread: take it out
            </button>
          </template>
        </div>
      </form>
      <p
        v-if="told"
        role="alert"
        class="font-bold"
        :class="glare ? 'text-[#a3291c]' : 'text-brick-600'"
      >
        {{ told }}
      </p>
      <ProofScan
        :glare="glare"
        @read="put('scanned', $event)"
      />
      <button
        type="button"
        :class="press"
        @click="put('scanned', scanner.scan())"
      >
        Stand-in scanner
      </button>
      <p :class="glare ? 'text-[15px]' : 'text-[13px] text-muted'">
        {{ scanner.name }}. A scanner that types works in the field above.
      </p>
      <details>
        <summary class="cursor-pointer py-1 max-md:min-h-11 max-md:py-2.5 font-semibold">
          Labels stuck on a printed map
        </summary>
        <label class="block">One number a line, in the map’s order, from {{ what }} {{ place.number }} on<textarea
          v-model="many"
          rows="4"
          class="block w-full border border-graphite-400 bg-paper p-2 font-semibold"
        /></label>
        <button
          type="button"
          class="mt-1"
          :class="press"
          @click="putAll"
        >
          Take them in
        </button>
        <p
          v-if="said"
          role="status"
        >
          {{ said }}
        </p>
      </details>
    </template>
  </div>
</template>
