<script setup lang="ts">
import { formatQuantity, type UnitSystem } from '#core/units'
import type { Working } from '#core/working'

/** The way to the figures of what is selected. */
defineProps<{ workings: Working[], units: UnitSystem }>()
const open = defineModel<boolean>('open', { required: true })
</script>

<template>
  <UModal
    v-model:open="open"
    title="Working"
    description="Formula, values, result and source of what is selected."
  >
    <template #body>
      <p v-if="!workings.length">
        Select a row or a rail to see how its figures come about.
      </p>
      <article
        v-for="(working, i) in workings"
        :key="i"
        class="mb-6 last:mb-0"
      >
        <h3 class="font-bold">
          {{ working.what }}: {{ formatQuantity(working.result, units) }}
        </h3>
        <p class="my-1 font-mono text-[15px]">
          {{ working.formula }}
        </p>
        <dl class="text-[15px]">
          <div
            v-for="value in working.values"
            :key="value.symbol + value.what"
            class="grid grid-cols-[3rem_1fr_auto] gap-2 border-b border-dotted border-graphite-300 py-0.5"
          >
            <dt class="font-mono">
              {{ value.symbol }}
            </dt>
            <dd>{{ value.what }}</dd>
            <dd class="font-semibold">
              {{ formatQuantity(value.value, units) }}
            </dd>
          </div>
        </dl>
        <p class="mt-1 text-sm text-muted">
          {{ working.source }} ({{ working.basis }}).
        </p>
      </article>
    </template>
  </UModal>
</template>
