<script setup lang="ts">
import type { MarkStep } from '#core/markout'
import { datumName } from '#core/roof'

/** The mark-out: lines and marks in the order in which they are struck, every reading from the one datum. */
const { jobId } = defineProps<{ jobId: string }>()
const { sheet, error } = useSheet(jobId)
const units = computed(() => sheet.value!.job.units)
const print = () => window.print()
const tapeWords = (step: MarkStep) => step.tape === 'along' ? 'along the eave' : 'up the slope'
</script>

<template>
  <div class="mx-auto max-w-3xl p-5 max-md:p-3 print:max-w-none print:p-0">
    <p
      v-if="error"
      role="alert"
      class="border-l-4 border-brick-500 py-1 pl-3"
    >
      The sheet can’t be read from the server just now. It comes back by itself when the last edit has been saved.
    </p>
    <template v-else-if="sheet">
      <SheetHead
        title="Mark-out"
        :job="sheet.job"
        :version="sheet.version"
        :updated-at="sheet.updatedAt"
      >
        <UButton
          color="neutral"
          icon="i-lucide-printer"
          label="Print"
          @click="print"
        />
        <UButton
          color="neutral"
          variant="outline"
          icon="i-lucide-table"
          label="CSV"
          :to="`/api/jobs/${jobId}/mark-out.csv`"
          external
          download
        />
      </SheetHead>
      <p class="mb-4 border-l-4 border-amber-500 py-1 pl-3 text-[15px] leading-snug">
        <b>Fall protection on, ladder tied off, covering dry.</b> Rails are no foothold. Drill a pilot before every fixing: pale dust is timber. A miss is sealed and moved, and said.
      </p>
      <section
        v-for="(face, f) in sheet.job.faces"
        :key="face.id"
      >
        <h3 class="mb-3 text-xl leading-tight font-bold">
          {{ face.name }}: hook both tapes on the {{ datumName(face) }}
        </h3>
        <div class="h-96 max-md:hidden print:block">
          <FaceDrawing
            :job="sheet.job"
            :face="face"
            :plan="sheet.plan.faces[f]!"
            selection="rails"
          />
        </div>
        <ol>
          <li
            v-for="(step, i) in sheet.plan.faces[f]!.marks"
            :key="step.id"
            class="mb-6 break-inside-avoid"
          >
            <h4 class="flex flex-wrap items-baseline justify-between gap-x-3 border-b border-graphite-900 font-bold">
              <span class="text-[17px]">{{ i + 1 }}. {{ step.title }}</span>
              <span class="text-[15px] font-semibold">{{ tapeWords(step) }}<template v-if="step.lineMm">, line at <FieldLengthText
                :mm="step.lineMm"
                :units="units"
              /> up</template></span>
            </h4>
            <p class="my-1 text-[15px] leading-snug">
              {{ step.instruction }}
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
                  </td>
                  <td
                    class="hidden w-8 py-1 pl-3 print:table-cell"
                    aria-hidden="true"
                  >
                    <span class="inline-block size-5 border-2 border-graphite-900" />
                  </td>
                </tr>
                <tr class="align-baseline text-muted">
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
              </tbody>
            </table>
          </li>
        </ol>
      </section>
      <footer class="border-t border-graphite-900 pt-2 text-sm text-muted">
        Readings are rounded once, to {{ units === 'imperial' ? '1/16 inch' : '1 mm' }}, from the exact running value. Spans follow the figures typed or the usual ones; the makers’ instructions, the local code and a licensed engineer come before this sheet.
      </footer>
    </template>
    <p
      v-else
      class="text-muted"
    >
      Working out the sheet…
    </p>
  </div>
</template>
