<script setup lang="ts">
import { endReadings, gaugeWords } from '#core/sheets/markout'
import type { MarkStep } from '#core/trade'
import type { UnitSystem } from '#core/units'

/** One step of the mark-out: its readings large enough for a roof, the checks that prove them, and the stick that could be stepped instead. */
const { step, number, units } = defineProps<{ step: MarkStep, number: number, units: UnitSystem }>()
const tapeWords = computed(() => step.tape === 'along' ? 'along the eave' : 'up the slope')
</script>

<template>
  <li class="mb-6 break-inside-avoid">
    <h4 class="flex flex-wrap items-baseline justify-between gap-x-3 border-b border-graphite-900 font-bold">
      <span class="text-[17px]">{{ number }}. {{ step.title }}</span>
      <span class="text-[15px] font-semibold">{{ step.marks.length ? tapeWords : '' }}<template v-if="step.lineMm">, line at <FieldLengthText
        :mm="step.lineMm"
        :units="units"
      /> {{ step.tape === 'along' ? 'up' : 'along' }}</template></span>
    </h4>
    <p class="my-1 text-[15px] leading-snug">
      {{ step.instruction }}
    </p>
    <p
      v-if="step.gauge"
      class="my-1 border-l-2 border-chalk-500 pl-2 text-[15px] leading-snug"
    >
      {{ gaugeWords(step.gauge, units) }}
    </p>
    <table class="w-full">
      <thead class="sr-only">
        <tr><th>Mark</th><th>Reading</th></tr>
      </thead>
      <tbody>
        <tr
          v-for="mark in step.marks"
          :key="mark.id"
          class="border-b border-dotted border-graphite-400 align-baseline"
        >
          <td class="py-1 pr-2">
            {{ mark.label }}<span
              v-if="mark.note"
              class="block text-sm text-muted"
            >{{ mark.note }}</span>
          </td>
          <td
            class="py-1 text-right text-2xl font-semibold whitespace-nowrap"
            :data-mark="mark.id"
          >
            <FieldLengthText
              :mm="mark.readingMm"
              :units="units"
            /><span
              v-if="mark.upMm !== null"
              class="block text-lg"
            >up <FieldLengthText
              :mm="mark.upMm"
              :units="units"
            /></span>
            <span
              v-for="end in endReadings(mark)"
              :key="end.where"
              class="block text-base font-medium"
            >{{ end.where }} <FieldLengthText
              :mm="end.mm"
              :units="units"
            /></span>
          </td>
          <td
            class="hidden w-8 py-1 pl-3 print:table-cell"
            aria-hidden="true"
          >
            <span class="inline-block size-5 border-2 border-graphite-900" />
          </td>
        </tr>
        <tr
          v-if="step.closing"
          class="align-baseline text-muted"
        >
          <td class="py-1 pr-2">
            {{ step.closing.label }}<span class="block text-sm md:ml-2 md:inline print:ml-2 print:inline">Closing reading: proves the tape</span>
          </td>
          <td class="py-1 text-right text-xl whitespace-nowrap">
            <FieldLengthText
              :mm="step.closing.readingMm"
              :units="units"
            />
          </td>
          <td
            class="hidden print:table-cell"
            aria-hidden="true"
          />
        </tr>
        <tr
          v-for="check in step.checks"
          :key="check.id"
          class="align-baseline"
        >
          <td class="py-0.5 pr-2 text-[15px]">
            <span class="mr-1 text-sm font-semibold text-chalk-600">Check</span>{{ check.label }}<span
              v-if="check.note"
              class="text-sm text-muted"
            >, {{ check.note.toLowerCase() }}</span>
          </td>
          <td class="py-0.5 text-right text-lg font-semibold whitespace-nowrap">
            <SheetQuantity
              :value="check.value"
              :units="units"
            />
          </td>
          <td
            class="hidden print:table-cell"
            aria-hidden="true"
          />
        </tr>
      </tbody>
    </table>
  </li>
</template>
