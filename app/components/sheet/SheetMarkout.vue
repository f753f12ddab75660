<script setup lang="ts">
import { openingGroups } from '#core/openings'
import { restsOn, stopsOf } from '#core/sheets/markout'
import { datumName } from '#core/roof'

/** The mark-out: lines and marks in the order in which they are struck, every reading from the one datum. */
const { jobId } = defineProps<{ jobId: string }>()
const { sheet, error, refresh } = useSheet(jobId)
const units = computed(() => sheet.value!.job.units)
/** What stops the work: a sheet is not issued over it in silence. */
const stops = computed(() => sheet.value ? stopsOf(sheet.value.plan) : [])
/** What nobody has proved, and whose word it rests on: said on every sheet. */
const rests = computed(() => sheet.value ? restsOn(sheet.value.plan) : [])
/** The revision that is out, where there is one: its PDF is what is handed over. */
const revision = computed(() => sheet.value && sheet.value.issued[0] && !sheet.value.changes.length ? sheet.value.issued[0].revision : null)
const pdf = (paper: 'A4' | 'LETTER') => `/api/jobs/${jobId}/mark-out.pdf?paper=${paper}${revision.value === null ? '' : `&revision=${revision.value}`}`
const files = computed(() => [[
  { label: 'Sheet, A4 (PDF)', to: pdf('A4'), external: true, target: '_blank' }, { label: 'Sheet, Letter (PDF)', to: pdf('LETTER'), external: true, target: '_blank' },
  { label: 'Marks (CSV)', to: `/api/jobs/${jobId}/mark-out.csv`, external: true, target: '_blank' }, {
    label: 'Calculations (PDF)',
    to: `/api/jobs/${jobId}/calculations.pdf`,
    external: true,
    target: '_blank',
  },
], [
  ...(sheet.value?.job.faces ?? []).flatMap(face => [
    {
      label: `${face.name} (DXF)`,
      to: `/api/jobs/${jobId}/faces/${face.id}/drawing.dxf`,
      external: true,
      target: '_blank',
    }, { label: `${face.name} (SVG)`, to: `/api/jobs/${jobId}/faces/${face.id}/drawing.svg`, external: true, target: '_blank' },
  ]),
], [
  {
    label: 'Roof in plan (GeoJSON)',
    to: `/api/jobs/${jobId}/roof.geojson`,
    external: true,
    target: '_blank',
  }, { label: 'Job file (JSON)', to: `/api/jobs/${jobId}/job.json`, external: true, target: '_blank' },
]])
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
          icon="i-lucide-smartphone"
          label="Line by line"
          title="One card a line, for the phone on the roof"
          :to="`/jobs/${jobId}/roof`"
        />
        <UDropdownMenu :items="files">
          <UButton
            color="neutral"
            variant="outline"
            icon="i-lucide-download"
            label="Files"
            trailing-icon="i-lucide-chevron-down"
          />
        </UDropdownMenu>
      </SheetHead>
      <SheetIssue
        :job-id="jobId"
        :issued="sheet.issued"
        :changes="sheet.changes"
        :version="sheet.version"
        :stops="stops"
        :units="units"
        @issued="refresh"
      />
      <section
        v-if="stops.length"
        class="mb-4 border-2 border-brick-500 p-3 text-[15px]"
        aria-label="What stops the work"
      >
        <p class="font-bold text-brick-600">
          {{ stops.length === 1 ? 'A stop is open' : `${stops.length} stops are open` }}: fix nothing by this sheet until {{ stops.length === 1 ? 'it is' : 'they are' }} put right.
        </p>
        <ul class="mt-1 list-disc pl-5">
          <li
            v-for="stop in stops"
            :key="stop"
          >
            {{ stop }}
          </li>
        </ul>
      </section>
      <ul
        v-if="rests.length"
        class="mb-4 border-l-4 border-dashed border-amber-500 py-1 pl-3 text-[15px] leading-snug"
        aria-label="What the sheet rests on"
      >
        <li
          v-for="one in rests"
          :key="one"
          class="pb-1"
        >
          {{ one }}
        </li>
      </ul>
      <p class="mb-4 border-l-4 border-amber-500 py-1 pl-3 text-[15px] leading-snug">
        <b>Harness on and anchored, ladder tied off, covering dry.</b> Rails and modules are no foothold. Drill a pilot before every fixing: pale dust is timber. A miss is sealed and moved, and said.
      </p>
      <template
        v-for="(face, f) in sheet.job.faces"
        :key="face.id"
      >
        <section v-if="sheet.plan.faces[f]!.modules">
          <h3 class="mb-3 text-xl leading-tight font-bold">
            {{ face.name }}: hook both tapes on the {{ datumName(face) }}
          </h3>
          <div class="h-96 max-md:hidden print:block">
            <FaceDrawing
              :job="sheet.job"
              :face="face"
              :plan="sheet.plan.faces[f]!"
              :selection="{ kind: 'rails' }"
              still
            />
          </div>
          <ol>
            <SheetStep
              v-for="(step, i) in sheet.plan.faces[f]!.marks"
              :key="step.id"
              :step="step"
              :number="i + 1"
              :units="units"
            />
          </ol>
          <SheetOpenings
            v-if="sheet.plan.faces[f]!.openings.length"
            :groups="openingGroups(sheet.job, face, sheet.plan.faces[f]!)"
          />
        </section>
      </template>
      <p
        v-if="!sheet.plan.totals.modules"
        class="text-lg"
      >
        Nothing to mark out yet: no row stands on any face. Set the rows first.
      </p>
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
