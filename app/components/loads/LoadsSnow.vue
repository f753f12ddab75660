<script setup lang="ts">
import { type LoadRules, riskCategories } from '#core/job'

/** Snow by the edition in force; each figure can be typed over. */
const { newest, units, commitNewest: commit } = useFace()
const rules = computed(() => newest.value.loads.rules)
const isEn = computed(() => rules.value.edition === 'en')
const snow = computed(() => rules.value.edition === 'none' ? null : rules.value.snow)
const setSnow = (values: Record<string, unknown>) => commit(loadsEdit({ rules: { ...rules.value, snow: { ...snow.value, ...values } } as LoadRules }))
const categories = riskCategories.map(value => ({ value, label: `Category ${value}` }))
</script>

<template>
  <template v-if="snow">
    <h2 class="slip-title mt-4">
      Snow
    </h2>
    <FieldMeasureField
      label="Ground snow"
      :hint="isEn ? 'characteristic, sk' : rules.edition === 'us-2022' ? 'strength level, pg' : 'pg'"
      :value="snow.groundPa"
      measure="pressure"
      :units="units"
      :commit="groundPa => setSnow({ groundPa })"
    />
    <FieldMeasureField
      label="Exposure, Ce"
      :value="snow.ce"
      measure="factor"
      :units="units"
      :commit="ce => setSnow({ ce })"
    />
    <FieldMeasureField
      label="Thermal, Ct"
      :hint="isEn ? undefined : 'to 1.0 warm, 1.1 cold, 1.2 unheated'"
      :value="snow.ct"
      measure="factor"
      :units="units"
      :commit="ct => setSnow({ ct })"
    />
    <FieldMeasureField
      v-if="'importance' in snow"
      label="Importance, Is"
      :value="snow.importance as number"
      measure="factor"
      :units="units"
      :commit="importance => setSnow({ importance })"
    />
    <FieldYesNoField
      v-if="'slippery' in snow"
      label="Surface"
      :value="snow.slippery"
      yes="Slippery, nothing in the way"
      no="Not slippery, or obstructed"
      @choose="setSnow({ slippery: $event })"
    />
    <template v-if="'riskCategory' in snow">
      <FieldChoiceField
        label="Risk category"
        :value="snow.riskCategory"
        :choices="categories"
        @choose="setSnow({ riskCategory: $event })"
      />
      <FieldMeasureField
        label="Winter wind, W2"
        hint="for unbalanced snow, by the map"
        :value="snow.winterWind"
        measure="factor"
        :units="units"
        optional
        :commit="winterWind => setSnow({ winterWind })"
      />
    </template>
    <template v-if="'held' in snow">
      <FieldYesNoField
        label="Sliding"
        :value="snow.held"
        yes="Held by guards or a parapet"
        no="Free to slide off"
        @choose="setSnow({ held: $event })"
      />
      <FieldTypedField
        label="Source"
        :shown="snow.provenance"
        wide
        :commit="provenance => setSnow({ provenance })"
      />
    </template>
  </template>
</template>
