<script setup lang="ts">
import type { PatternTotals } from '#core/fixings'
import type { ArrayRules, FixingPattern } from '#core/job'
import { plainRow } from '#core/job'
import { mismatches } from '#core/catalogue'
import { checkWords } from '#core/findings'
import { readingAlong } from '#core/roof'
import { force, formatQuantity, formatShare } from '#core/units'

const { job, face, facePlan, catalogue, units, selection, select, commit } = useFace()
const jobId = useRoute().params.id as string
const part = ref('rails')
const parts4 = [{ label: 'Rails', value: 'rails' }, { label: 'Loads', value: 'loads' }, { label: 'Holds', value: 'holds' }, { label: 'Sticks', value: 'sticks' }]
const asksSpans = ref(false)
const array = computed(() => face.value.array)
const set = (values: Partial<Omit<ArrayRules, 'rows'>>) => commit(arrayEdit(face.value.id, values))
const rail = computed(() => facePlan.value.rails.find(one => one.id === selection.value) ?? null)
const fixings = computed(() => facePlan.value.fixings.rails.find(one => one.railId === selection.value) ?? null)
/** In the order of the tape, from the datum on. */
const fixingLines = computed(() => face.value.datum === 'left' ? fixings.value?.fixings ?? [] : [...fixings.value?.fixings ?? []].reverse())
const use = computed(() => facePlan.value.uses[facePlan.value.rails.findIndex(one => one.id === selection.value)] ?? null)
const dutyOf = (xMm: number) => use.value?.fixings.find(duty => duty.xMm === xMm) ?? null
const rowBottomMm = computed(() => rail.value ? facePlan.value.rows.rows[rail.value.row]!.bottomMm : 0)
const typedMm = computed(() => {
  if (!rail.value) return null
  const rule = array.value.rows[rail.value.row] ?? plainRow
  return rail.value.side === 'lower' ? rule.lowerRailMm : rule.upperRailMm
})

/** Parts that do not go together are listed all the same, marked: choosing one raises a finding with its cures. */
const named = <T extends { id: string, name: string }>(items: T[], goes: (item: T) => boolean) =>
  items.map(item => ({ label: goes(item) ? item.name : `${item.name} (does not go with the rest)`, value: item.id }))
const parts = computed(() => facePlan.value.parts)
const clean = (change: Partial<typeof parts.value>) => mismatches(catalogue.value, { ...parts.value, ...change }, { covering: face.value.covering.kind, support: face.value.supports.kind }).length === 0

const patternNames: Record<FixingPattern, string> = { 'soft-stagger': 'Soft stagger', 'aligned': 'Aligned', 'hard-stagger': 'Hard stagger' }
/** Prices of the patterns, worked out beside the plan: all three take longer than the plan itself. */
const totals = shallowRef<PatternTotals | null>(null)
watch(facePlan, async () => {
  const asked = facePlan.value
  const found = await usePlanner().pricePatterns(job.value, catalogue.value, face.value.id).catch(() => null)
  if (facePlan.value === asked) totals.value = found
}, { immediate: true })
const priceOf = (pattern: FixingPattern): string => {
  if (!totals.value) return ''
  const total = totals.value[pattern]
  const soft = totals.value['soft-stagger']!
  return total === null ? ': can’t be had here' : `: ${total} fixings${total === soft ? '' : `, ${total > soft ? '+' : '−'}${Math.abs(total - soft)}`}`
}
const patternChoices = computed(() => (Object.keys(patternNames) as FixingPattern[]).map(value => ({ value, label: `${patternNames[value]}${priceOf(value)}` })))
const setHeight = (mm: number | null) => rail.value
  ? commit(rowEdit(face.value.id, rail.value.row, rail.value.side === 'lower' ? { lowerRailMm: mm } : { upperRailMm: mm }))
  : { ok: true as const, value: true }
</script>

<template>
  <template v-if="rail && fixings">
    <div class="flex items-start justify-between">
      <h2 class="slip-title">
        Rail {{ rail.number }}, row {{ rail.row + 1 }}, {{ rail.side }} rail
      </h2>
      <UButton
        size="xs"
        color="neutral"
        variant="ghost"
        label="All rails"
        @click="select('rails')"
      />
    </div>
    <FieldLengthField
      label="Above the row’s edge"
      :hint="typedMm === null ? 'by rule' : 'typed; empty for by rule'"
      :mm="rail.yMm - rowBottomMm"
      :units="units"
      optional
      :commit="setHeight"
    />
    <dl>
      <SlipLine label="Up from the eave">
        <FieldLengthText
          :mm="rail.yMm"
          :units="units"
        />
      </SlipLine>
      <SlipLine
        label="Clamp zone"
        :bad="!rail.inZone"
      >
        <FieldLengthText
          :mm="rail.zone.fromMm - rowBottomMm"
          :units="units"
        /> to <FieldLengthText
          :mm="rail.zone.toMm - rowBottomMm"
          :units="units"
        />
      </SlipLine>
      <SlipLine label="Length, trimmed">
        <FieldLengthText
          :mm="rail.toMm - rail.fromMm"
          :units="units"
        />
      </SlipLine>
      <SlipLine label="Fixings">
        {{ fixings.fixings.length }}{{ fixings.shortfalls.length ? '' : fixings.fewestProved ? ', fewest possible' : ', fewer not excluded' }}
      </SlipLine>
      <SlipLine
        v-if="use"
        label="Most used"
        :bad="use.worst > 1.000001"
      >
        {{ use.worst > 9 ? 'nothing holds' : formatShare(use.worst) }}, {{ checkWords[use.governs].name }}
      </SlipLine>
      <SlipLine
        label="Longest span"
        :bad="fixings.longestSpanMm > facePlan.limits.maxSpanMm + 0.01"
      >
        <FieldLengthText
          :mm="fixings.longestSpanMm"
          :units="units"
        /> of <FieldLengthText
          :mm="facePlan.limits.maxSpanMm"
          :units="units"
        />
      </SlipLine>
      <SlipLine
        v-for="end in (['Left', 'Right'] as const)"
        :key="end"
        :label="`Overhang ${end.toLowerCase()}`"
        :bad="(end === 'Left' ? fixings.overhangStartMm : fixings.overhangEndMm) > facePlan.limits.maxOverhangMm + 0.01"
      >
        <FieldLengthText
          :mm="end === 'Left' ? fixings.overhangStartMm : fixings.overhangEndMm"
          :units="units"
        /> of <FieldLengthText
          :mm="facePlan.limits.maxOverhangMm"
          :units="units"
        />
      </SlipLine>
    </dl>
    <h2 class="slip-title mt-5">
      Fixing by fixing
    </h2>
    <ol>
      <li
        v-for="fixing in fixingLines"
        :key="fixing.xMm"
        class="border-b border-dotted border-graphite-300 py-1 text-[15px]"
      >
        <div class="flex items-baseline justify-between gap-2">
          <span>{{ fixing.member[0]!.toUpperCase() }}{{ fixing.member.slice(1) }}
            <span
              class="text-[13px]"
              :class="fixing.state === 'guessed' ? 'font-semibold text-amber-600' : 'text-muted'"
            >{{ fixing.state }}{{ fixing.chance < 0.995 ? `, timber ${Math.round(100 * fixing.chance)} %` : '' }}</span></span>
          <b><FieldLengthText
            :mm="readingAlong(face, fixing.xMm)"
            :units="units"
          /></b>
        </div>
        <div
          v-if="dutyOf(fixing.xMm)"
          class="flex justify-between text-[13px] text-muted"
        >
          <span>up {{ formatQuantity(force(dutyOf(fixing.xMm)!.upN), units) }}, down {{ formatQuantity(force(dutyOf(fixing.xMm)!.downN), units) }}, slope {{ formatQuantity(force(dutyOf(fixing.xMm)!.slopeN), units) }}</span>
          <span class="font-semibold">{{ dutyOf(fixing.xMm)!.worst > 9 ? 'not held' : formatShare(dutyOf(fixing.xMm)!.worst) }}</span>
        </div>
      </li>
    </ol>
  </template>
  <SlipTabs
    v-else
    v-model="part"
    :parts="parts4"
  />
  <template v-if="!rail && part === 'loads'">
    <LoadsForm />
  </template>
  <template v-else-if="!rail && part === 'holds'">
    <LoadsTimberForm />
  </template>
  <template v-else-if="!rail && part === 'sticks'">
    <LoadsVanForm />
  </template>
  <template v-else-if="!rail">
    <div class="mb-2 flex gap-1">
      <UButton
        color="neutral"
        class="flex-1 justify-center"
        label="Spans and rails…"
        @click="asksSpans = true"
      />
      <UButton
        color="neutral"
        variant="outline"
        icon="i-lucide-file-text"
        label="PDF"
        title="Calculation sheet of this job"
        :to="`/api/jobs/${jobId}/calculations.pdf`"
        external
        download
      />
    </div>
    <LoadsSpanTableDialog v-model:open="asksSpans" />
    <SlipLoadSummary />
    <FieldChoiceField
      label="Rail"
      :value="array.railId"
      :choices="named(catalogue.rails, one => clean({ rail: one }))"
      @choose="set({ railId: $event })"
    />
    <FieldChoiceField
      label="Mount"
      :value="array.mountId"
      :choices="named(catalogue.mounts, one => clean({ mount: one }))"
      @choose="set({ mountId: $event })"
    />
    <FieldChoiceField
      label="Clamps"
      :value="array.clampsId"
      :choices="named(catalogue.clamps, one => clean({ clamps: one }))"
      @choose="set({ clampsId: $event })"
    />
    <FieldChoiceField
      label="Fixing pattern"
      :value="array.fixingPattern"
      :choices="patternChoices"
      @choose="set({ fixingPattern: $event })"
    />
    <FieldLengthField
      label="Allowed span"
      :hint="array.allowedSpanMm !== null ? 'typed; empty for the maker’s' : facePlan.strength ? 'the makers’ greatest' : 'usual for this rail'"
      :mm="facePlan.limits.maxSpanMm"
      :units="units"
      optional
      :commit="mm => set({ allowedSpanMm: mm })"
    />
    <FieldLengthField
      label="Allowed overhang"
      :hint="array.allowedOverhangMm === null ? (facePlan.parts.rail.overhangMm === null ? 'common practice' : 'maker’s limit') : 'typed; empty for the usual'"
      :mm="facePlan.limits.maxOverhangMm"
      :units="units"
      optional
      :commit="mm => set({ allowedOverhangMm: mm })"
    />
    <FieldLengthField
      label="Trim tail"
      hint="left long at each end"
      :mm="array.trimTailMm"
      :units="units"
      :commit="mm => set({ trimTailMm: mm! })"
    />
    <dl class="mt-3">
      <SlipLine label="Fixings">
        {{ facePlan.fixings.total }}{{ facePlan.fixings.fewestProved ? ', fewest for this pattern' : '' }}
      </SlipLine>
      <SlipLine :label="face.supports.kind === 'rafters' ? 'Rafters that share them' : 'Places that share them'">
        {{ facePlan.fixings.membersUsed }}{{ facePlan.fixings.spreadProved ? ', the most possible' : '' }}
      </SlipLine>
    </dl>
    <h2 class="slip-title mt-5">
      Rail by rail
    </h2>
    <ul>
      <li
        v-for="one in [...facePlan.rails].reverse()"
        :key="one.id"
      >
        <button
          type="button"
          class="flex w-full items-baseline justify-between border-b border-dotted border-graphite-300 py-1.5 text-left text-[15px] hover:bg-chalk-50"
          @click="select(one.id)"
        >
          <span>Rail {{ one.number }}, up <FieldLengthText
            :mm="one.yMm"
            :units="units"
          /></span>
          <span
            class="font-semibold"
            :class="facePlan.fixings.rails[one.number - 1]!.shortfalls.length || !one.inZone || (facePlan.uses[one.number - 1]?.worst ?? 0) > 1.000001 ? 'text-brick-600' : ''"
          >{{ facePlan.fixings.rails[one.number - 1]!.fixings.length }} fixings{{ facePlan.uses[one.number - 1] ? `, ${facePlan.uses[one.number - 1]!.worst > 9 ? 'nothing holds' : formatShare(facePlan.uses[one.number - 1]!.worst)}` : '' }}</span>
        </button>
      </li>
    </ul>
  </template>
</template>
