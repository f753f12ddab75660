<script setup lang="ts">
import { formatMass } from '#core/units'

/** The load-out: what goes on the van, and which stick each piece of rail is cut from. */
const { jobId } = defineProps<{ jobId: string }>()
const { sheet, error } = useSheet(jobId)
const units = computed(() => sheet.value!.job.units)
const print = () => window.print()
const mass = computed(() => sheet.value!.plan.list.reduce((sum, part) => sum + (part.massKg ?? 0), 0))
</script>

<template>
  <div class="mx-auto max-w-4xl p-5 max-md:p-3 print:max-w-none print:p-0">
    <p
      v-if="error"
      role="alert"
      class="border-l-4 border-brick-500 py-1 pl-3"
    >
      The sheet can’t be read from the server just now. It comes back by itself when the last edit has been saved.
    </p>
    <template v-else-if="sheet">
      <SheetHead
        title="Load-out"
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
          :to="`/api/jobs/${jobId}/load-out.csv`"
          external
          download
        />
      </SheetHead>
      <p
        v-if="!sheet.plan.list.length"
        class="text-lg"
      >
        Nothing to load yet: no row stands on the face. Set the rows first.
      </p>
      <template v-else>
        <table class="w-full text-[15px]">
          <thead>
            <tr class="border-b border-graphite-900 text-left align-bottom">
              <th class="w-20 py-1 pr-3 text-right">
                Pieces
              </th>
              <th class="py-1">
                Part
              </th>
              <th class="py-1 max-md:hidden">
                Maker
              </th>
              <th class="py-1 max-sm:hidden">
                Counted as
              </th>
              <th class="py-1 text-right">
                Mass
              </th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="part in sheet.plan.list"
              :key="`${part.kind} ${part.name} ${part.lengthMm}`"
              class="border-b border-dotted border-graphite-400 align-baseline"
              :data-part="part.kind"
            >
              <td class="py-1.5 pr-3 text-right text-lg font-bold">
                {{ part.pieces }}
              </td>
              <td class="py-1.5">
                {{ part.name }}<span v-if="part.lengthMm">, <FieldLengthText
                  :mm="part.lengthMm"
                  :units="units"
                /> stick</span>
              </td>
              <td class="py-1.5 text-muted max-md:hidden">
                {{ part.maker }}
              </td>
              <td class="py-1.5 text-muted max-sm:hidden">
                {{ part.rule }}
              </td>
              <td class="py-1.5 text-right whitespace-nowrap">
                {{ part.massKg === null ? '' : formatMass(part.massKg, units) }}
              </td>
            </tr>
          </tbody>
          <tfoot>
            <tr>
              <td
                class="py-2 text-right font-semibold"
                colspan="5"
              >
                Weighed parts: {{ formatMass(mass, units) }}. Carry modules in twos; lifts within their rated load.
              </td>
            </tr>
          </tfoot>
        </table>
        <section
          v-for="(face, f) in sheet.plan.faces"
          v-show="face.rails.length"
          :key="face.faceId"
          class="mt-6"
        >
          <SheetCutPlan
            :face-name="sheet.job.faces[f]!.name"
            :plan="face"
            :units="units"
          />
        </section>
      </template>
    </template>
    <p
      v-else
      class="text-muted"
    >
      Working out the sheet…
    </p>
  </div>
</template>
