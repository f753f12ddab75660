<script setup lang="ts">
import type { HitState } from '#core/job'
import type { Outcome } from '#core/outcome'
import { type CalledReading, parseReadings } from '#core/supports'
import { parseLength, type UnitSystem } from '#core/units'

/** A pasted column of readings for the hit log. */
const { units, start, log } = defineProps<{
  units: UnitSystem
  /** What a line that does not say it takes for its state and height. */
  start: () => { state: HitState, heightText: string }
  log: (readings: CalledReading[]) => Outcome<unknown>
}>()
const open = defineModel<boolean>('open', { required: true })
const pasted = ref('')
const problem = ref('')
function logPasted() {
  const { state, heightText } = start()
  const height = parseLength(heightText, units)
  const read = parseReadings(pasted.value, units, { state, yMm: height.ok ? height.value : 0 })
  const outcome = read.ok ? log(read.value) : read
  problem.value = outcome.ok ? '' : outcome.problem
  if (!outcome.ok) return
  pasted.value = ''
  open.value = false
}
</script>

<template>
  <UModal
    v-model:open="open"
    title="Paste a column of readings"
    description="One reading a line, from the datum corner. Its state and height may stand beside it, apart by a tab or a comma."
  >
    <template #body>
      <UTextarea
        v-model="pasted"
        :rows="9"
        class="w-full font-mono"
        aria-label="Readings"
        :placeholder="units === 'imperial' ? '1\' 2 1/2&quot;\n3\' 2&quot;, pilot hit\n5\' 1 7/8&quot;, left, 6\' 0&quot;' : '312\n918, pilot hit\n1509, left, 1800'"
      />
      <p
        v-if="problem"
        role="alert"
        class="mt-2 text-sm font-medium text-brick-600"
      >
        {{ problem }}
      </p>
      <UButton
        class="mt-3"
        label="Log them"
        @click="logPasted"
      />
    </template>
  </UModal>
</template>
