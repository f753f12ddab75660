<script setup lang="ts">
import { formatQuantity, type UnitSystem } from '#core/units'
import type { Working } from '#core/working'

/** The figures of what is selected, a line each; one is opened at a time, and from its values one goes on. */
const { workings, all, units } = defineProps<{ workings: Working[], all: Working[], units: UnitSystem }>()
const open = defineModel<boolean>('open', { required: true })
const keyOf = (working: Working, i: number) => `${i} ${working.what}`
const shown = ref<string | null>(null)
watch(open, () => shown.value = workings.length ? keyOf(workings[0]!, 0) : null, { immediate: true })
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
      <div
        class="max-h-[70dvh] overflow-y-auto"
        tabindex="0"
        role="region"
        aria-label="Figures"
      >
        <section
          v-for="(working, i) in workings"
          :key="keyOf(working, i)"
          class="border-b border-graphite-300"
        >
          <button
            type="button"
            class="flex w-full items-baseline justify-between gap-3 py-1.5 text-left text-[15px] hover:bg-chalk-50"
            :aria-expanded="shown === keyOf(working, i)"
            @click="shown = shown === keyOf(working, i) ? null : keyOf(working, i)"
          >
            <span>{{ shown === keyOf(working, i) ? '▾' : '▸' }} {{ working.what }}</span>
            <b class="whitespace-nowrap">{{ formatQuantity(working.result, units) }}</b>
          </button>
          <WorkingCard
            v-if="shown === keyOf(working, i)"
            class="mb-3 border-l-4 border-chalk-500 pl-3"
            :working="working"
            :all="all"
            :units="units"
          />
        </section>
      </div>
    </template>
  </UModal>
</template>
