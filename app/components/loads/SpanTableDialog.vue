<script setup lang="ts">
import { formatUse } from '#core/capacity'
import { type CheckKind, checkWords, type SpanCell } from '#core/strength'
import { zoneWords } from '#core/loads'
import type { RailComparison, RailChoice } from '#core/asks'
import { formatLength, formatMass, formatQuantity, pressure } from '#core/units'

/** The greatest span of every rail in every zone, what stops it there, and what each rail would come to on this face. */
const open = defineModel<boolean>('open', { required: true })
const { job, face, facePlan, catalogue, units, commit } = useFace()
const found = shallowRef<RailComparison | null>(null)
const problem = ref('')
watch(open, async (now) => {
  if (!now) return
  found.value = null
  problem.value = ''
  try {
    found.value = await usePlanner().compareRails(job.value, catalogue.value, face.value.id)
  }
  catch {
    problem.value = 'The table could not be worked out. Close it and try again; nothing was changed.'
  }
}, { immediate: true })
const money = (amount: number) => new Intl.NumberFormat('en', { style: 'currency', currency: catalogue.value.currency, maximumFractionDigits: 0 }).format(amount)
/** What stops a span from being longer; where that is the maker, what would stop it next. */
function why(cell: SpanCell): string {
  if (cell.governs !== 'greatest by the maker') return checkWords[cell.governs].name
  const [kind, mm] = (Object.entries(cell.byCheck) as [CheckKind, number][]).reduce((a, b) => b[1] < a[1] ? b : a)
  return `the maker’s greatest; by ${checkWords[kind].name} ${formatLength(mm, units.value)}`
}
const mark = (choice: RailChoice) => choice.failing ? `${choice.failing} rails over a limit` : choice.goes ? 'keeps every limit' : 'needs other clamps'
function take(choice: RailChoice) {
  commit(arrayEdit(face.value.id, { railId: choice.railId }))
  open.value = false
}
</script>

<template>
  <UModal
    v-model:open="open"
    title="Spans and rails"
    description="The greatest span of each rail by zone, and what each would come to on this face."
    :ui="{ content: 'max-w-4xl' }"
  >
    <template #body>
      <p
        v-if="problem"
        role="alert"
      >
        {{ problem }}
      </p>
      <p v-else-if="!found">
        Working out the table…
      </p>
      <div
        v-else
        tabindex="0"
        role="region"
        aria-label="Spans and rails, by zone"
      >
        <template v-if="found.table.length">
          <p class="mb-2 text-[15px] text-muted">
            Equal spans, three in a row, each rail carrying half of {{ facePlan.parts.module.name }} on {{ facePlan.parts.mount.name }}. The rails of the plan are checked with their own spans.
          </p>
          <table
            class="w-full text-[15px]"
            data-testid="span-table"
          >
            <thead>
              <tr class="border-b-2 border-graphite-900 text-left align-bottom">
                <th class="py-1 pr-3">
                  Zone
                </th>
                <th class="py-1 pr-3 text-right">
                  Up
                </th>
                <th class="py-1 pr-3 text-right">
                  Down
                </th>
                <th
                  v-for="rail in found.rails"
                  :key="rail.id"
                  class="py-1 pl-3"
                >
                  {{ rail.name }}
                </th>
              </tr>
            </thead>
            <tbody>
              <tr
                v-for="row in found.table"
                :key="`${row.zone}${row.exposed}`"
                class="border-b border-dotted border-graphite-400 align-baseline"
              >
                <td class="py-1 pr-3 font-semibold">
                  {{ zoneWords(row.zone) }}{{ row.exposed ? ', exposed' : '' }}
                </td>
                <td class="py-1 pr-3 text-right whitespace-nowrap">
                  {{ formatQuantity(pressure(row.upPa), units) }}
                </td>
                <td class="py-1 pr-3 text-right whitespace-nowrap">
                  {{ formatQuantity(pressure(row.downPa), units) }}
                </td>
                <td
                  v-for="cell in row.cells"
                  :key="cell.railId"
                  class="py-1 pl-3"
                  :class="cell.railId === facePlan.parts.rail.id ? 'bg-chalk-50' : ''"
                >
                  <b class="text-lg"><FieldLengthText
                    :mm="cell.spanMm"
                    :units="units"
                  /></b>
                  <span class="block text-[13px] text-muted">{{ why(cell) }}</span>
                </td>
              </tr>
            </tbody>
          </table>
        </template>
        <p v-else>
          Say what loads the roof under Loads, and every zone’s greatest span stands here.
        </p>
        <h3 class="mt-5 mb-1 text-lg font-bold">
          This face with each rail
        </h3>
        <table
          class="w-full text-[15px]"
          data-testid="rail-choices"
        >
          <thead>
            <tr class="border-b-2 border-graphite-900 text-left">
              <th>Rail</th>
              <th class="text-right">
                Holes
              </th>
              <th class="text-right">
                Sticks
              </th>
              <th class="text-right">
                Splices
              </th>
              <th class="text-right">
                Weight
              </th>
              <th class="text-right">
                Money
              </th>
              <th class="text-right">
                Most used
              </th>
              <th class="pl-4">
                <span class="sr-only">Verdict</span>
              </th>
              <th><span class="sr-only">Take it</span></th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="choice in found.choices"
              :key="choice.railId"
              class="border-b border-dotted border-graphite-400"
              :class="choice.railId === facePlan.parts.rail.id ? 'bg-chalk-50' : ''"
            >
              <td class="py-1.5 font-semibold">
                {{ choice.name }}
              </td>
              <td class="text-right">
                {{ choice.fixings }}
              </td>
              <td class="text-right">
                {{ choice.sticks }}
              </td>
              <td class="text-right">
                {{ choice.splices }}
              </td>
              <td class="text-right whitespace-nowrap">
                {{ formatMass(choice.massKg, units) }}
              </td>
              <td class="text-right">
                {{ money(choice.money) }}
              </td>
              <td class="text-right whitespace-nowrap">
                {{ choice.worst === null ? 'not known' : formatUse(choice.worst) }}
              </td>
              <td
                class="pl-4 text-[13px]"
                :class="choice.failing ? 'font-semibold text-brick-600' : 'text-muted'"
              >
                {{ mark(choice) }}
              </td>
              <td class="pl-2 text-right">
                <span
                  v-if="choice.railId === facePlan.parts.rail.id"
                  class="text-[13px] text-muted"
                >in the plan</span>
                <UButton
                  v-else
                  size="xs"
                  color="neutral"
                  variant="outline"
                  label="Take it"
                  @click="take(choice)"
                />
              </td>
            </tr>
          </tbody>
        </table>
        <p class="mt-2 text-[13px] text-muted">
          Money is sticks, splices and mounts at the catalogue’s prices. Makers’ instructions, the local code and a licensed engineer come before this table.
        </p>
      </div>
    </template>
  </UModal>
</template>
