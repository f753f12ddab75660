<script setup lang="ts">
import { coverWorkings } from '#core/keepclear'
import { type KeepClearRules, type KeepClearValues, type RidgeChoice, type RuleSetId, rulesOf, ruleSets, ruleSetTable } from '#core/job'
import type { Outcome } from '#core/outcome'
import { formatPitch, parsePitch } from '#core/units'

/** The rule set in force over the whole roof, every figure of it, and how much of the roof is covered. */
const { job, plan, units, commit } = useFace()
const rules = computed(() => job.value.keepClear)
const set = (values: Partial<KeepClearRules>) => commit({ type: 'set-keep-clear', values })
const setValue = (values: Partial<KeepClearValues>): Outcome<unknown> => set({ values: { ...rules.value.values, ...values } })
const table = computed(() => ruleSetTable[rules.value.ruleSet])
const choices = ruleSets.map(value => ({ value, label: ruleSetTable[value].name }))
const own = computed(() => rules.value.ruleSet === 'own')
const lengths: { key: 'pathwayMm' | 'ridgeNearMm' | 'ridgeFarMm' | 'hipValleyMm' | 'escapeMm' | 'edgeMm' | 'wallMm', label: string }[] = [
  { key: 'pathwayMm', label: 'Pathway' }, {
    key: 'ridgeNearMm',
    label: 'Ridge, narrow strip',
  }, { key: 'ridgeFarMm', label: 'Ridge, wide strip' }, { key: 'hipValleyMm', label: 'Hips and valleys' },
  { key: 'escapeMm', label: 'Way to an escape' }, { key: 'edgeMm', label: 'Along every edge' }, { key: 'wallMm', label: 'From a wall' },
]
/** The figures that the set uses, or all of them for own rules. */
const shown = computed(() => lengths.filter(one => own.value || table.value.values[one.key] > 0 || rules.value.values[one.key] > 0))
const hint = (key: keyof KeepClearValues) => [table.value.clauses[key], own.value || table.value.values[key] === rules.value.values[key] ? '' : 'typed'].filter(Boolean).join(', ')
const usesShare = computed(() => own.value || table.value.values.ridgeNearMm < table.value.values.ridgeFarMm)
const percent = (share: number) => `${Number((100 * share).toFixed(1))} %`
function takePitch(text: string): Outcome<unknown> {
  const parsed = parsePitch(text, units.value)
  return parsed.ok ? setValue({ fromPitchDeg: parsed.value }) : parsed
}
const cover = computed(() => plan.value.roof.cover)
const ridgeChoices = computed((): { value: RidgeChoice, label: string }[] => {
  const { choices: counts } = plan.value.roof
  return [
    { value: 'best', label: 'Whichever leaves more modules' },
    { value: 'near', label: `The narrow strip${counts ? `: ${counts.near} modules` : ''}` }, { value: 'far', label: `The wide strip${counts ? `: ${counts.far} modules` : ''}` },
  ]
})
const planeNames = computed(() => plan.value.roof.planes.map(i => job.value.faces[i]!.name).join(', '))
</script>

<template>
  <FieldChoiceField
    label="Rules for the whole roof"
    :value="rules.ruleSet"
    :choices="choices"
    @choose="set(rulesOf($event as RuleSetId))"
  />
  <p class="mt-1 mb-2 text-[13px] text-muted">
    {{ table.provenance }}.
  </p>
  <template v-if="rules.ruleSet !== 'plain'">
    <FieldTypedField
      v-if="rules.values.fromPitchDeg > 0"
      label="Above a pitch of"
      :hint="hint('fromPitchDeg')"
      :shown="formatPitch(rules.values.fromPitchDeg, units)"
      :commit="takePitch"
    />
    <FieldChoiceField
      v-if="own"
      label="Pathways"
      :value="rules.values.pathways"
      :choices="[{ label: 'None', value: 'none' }, { label: 'One for each plane with modules', value: 'per-plane' }, { label: 'Two on a slope with a ridge, one on a hip slope', value: 'per-slope' }]"
      @choose="setValue({ pathways: $event })"
    />
    <FieldLengthField
      v-for="one in shown"
      :key="one.key"
      :label="one.label"
      :hint="hint(one.key)"
      :mm="rules.values[one.key]"
      :units="units"
      :commit="mm => setValue({ [one.key]: mm! })"
    />
    <template v-if="usesShare">
      <FieldMeasureField
        label="Narrow up to"
        :hint="`of the roof covered${hint('coverShare') ? `, ${hint('coverShare')}` : ''}`"
        :value="rules.values.coverShare"
        measure="share"
        :units="units"
        :commit="coverShare => setValue({ coverShare: coverShare! })"
      />
      <FieldMeasureField
        label="With sprinklers"
        :hint="hint('coverShareSprinklers')"
        :value="rules.values.coverShareSprinklers"
        measure="share"
        :units="units"
        :commit="coverShareSprinklers => setValue({ coverShareSprinklers: coverShareSprinklers! })"
      />
      <UCheckbox
        :model-value="rules.sprinklers"
        color="neutral"
        class="py-1.5"
        label="The house has sprinklers"
        @update:model-value="set({ sprinklers: !rules.sprinklers })"
      />
      <FieldChoiceField
        label="Covered counts as"
        :value="rules.coverageAs"
        :choices="[{ label: 'The modules’ glass', value: 'glass' }, { label: 'The rows’ outline, gaps too', value: 'envelope' }]"
        @choose="set({ coverageAs: $event })"
      />
      <FieldChoiceField
        label="The roof is filled for"
        :value="rules.aim"
        :choices="[{ label: 'Most modules', value: 'modules' }, { label: 'Most energy, by the faces’ weights', value: 'energy' }]"
        @choose="set({ aim: $event })"
      />
      <FieldChoiceField
        label="Build to"
        :value="rules.ridgeChoice"
        :choices="ridgeChoices"
        @choose="set({ ridgeChoice: $event })"
      />
    </template>
  </template>
  <div
    class="mt-4"
    data-testid="cover"
  >
    <h2 class="slip-title">
      Covered, seen from above
    </h2>
    <svg
      viewBox="0 0 100 9"
      class="w-full"
      role="img"
      :aria-label="`${percent(cover.share)} of the roof is covered${usesShare && rules.ruleSet !== 'plain' ? `; the step is at ${percent(cover.limit)}` : ''}`"
    >
      <rect
        width="100"
        height="6"
        y="1.5"
        fill="var(--color-graphite-100)"
      />
      <rect
        :width="100 * Math.min(1, cover.share)"
        height="6"
        y="1.5"
        fill="var(--color-module)"
      />
      <rect
        v-if="usesShare && rules.ruleSet !== 'plain'"
        :x="100 * cover.limit - 0.4"
        width="0.8"
        height="9"
        fill="var(--color-brick-500)"
      />
    </svg>
    <dl>
      <SlipLine
        label="Of the surveyed roof"
        working="Covered share of the roof"
        :given="coverWorkings(cover)"
      >
        {{ percent(cover.share) }}
      </SlipLine>
      <SlipLine
        v-if="usesShare && rules.ruleSet !== 'plain'"
        label="Left to the step"
        working="Left to the step"
        :given="coverWorkings(cover)"
        :bad="cover.share > cover.limit"
      >
        {{ percent(Math.max(0, cover.limit - cover.share)) }}; a module is {{ percent(cover.oneMore) }}
      </SlipLine>
      <SlipLine
        v-if="plan.roof.planes.length"
        label="Pathways on"
      >
        {{ planeNames }}
      </SlipLine>
    </dl>
  </div>
  <p class="mt-3 text-sm text-muted">
    What must stay clear for the fire service is for the local authority to say; it and the edition in force come before this tool.
  </p>
</template>
