<script setup lang="ts">
import { placeAsks, type PlaceFact, type PlaceLoads, riskCategories, type TypedWind, usExposures } from '#core/job'
import type { Outcome } from '#core/outcome'
import type { UnitSystem } from '#core/units'

/** What only the place can say of its wind and snow: empty until somebody has looked at the edition's maps. */
const { place, units, commit } = defineProps<{ place: PlaceLoads, units: UnitSystem, commit: (values: Partial<PlaceLoads>) => Outcome<unknown> }>()
const asks = (fact: PlaceFact) => place.edition !== null && placeAsks[place.edition].includes(fact)
const exposures = usExposures.map(value => ({ value, label: value }))
const risks = riskCategories.map(value => ({ value, label: value }))
const terrainChoices = Object.entries(terrainNames).map(([value, label]) => ({ value: value as NonNullable<PlaceLoads['terrain']>, label: label.split(',')[0]! }))
</script>

<template>
  <FieldPickField
    v-if="asks('riskCategory')"
    label="Risk category"
    hint="a house is II in most places"
    :value="place.riskCategory"
    :choices="risks"
    @choose="commit({ riskCategory: $event })"
  />
  <FieldMeasureField
    v-if="asks('speedMs')"
    label="Basic wind speed"
    :hint="place.edition === 'en' ? '10 minute mean, vb, by the national map' : 'by the map of that risk category'"
    :value="place.speedMs"
    measure="speed"
    :units="units"
    :commit="speedMs => commit({ speedMs })"
  />
  <FieldPickField
    v-if="asks('exposure')"
    label="Exposure"
    hint="B town or wood, C open, D water"
    :value="place.exposure"
    :choices="exposures"
    @choose="commit({ exposure: $event })"
  />
  <FieldPickField
    v-if="asks('terrain')"
    label="Terrain"
    hint="0 sea, I flat, II low cover, III suburb, IV town"
    :value="place.terrain"
    :choices="terrainChoices"
    @choose="commit({ terrain: $event })"
  />
  <FieldMeasureField
    v-if="asks('groundPa')"
    label="Ground snow load"
    hint="0 where none falls"
    :value="place.groundPa"
    measure="pressure"
    :units="units"
    :commit="groundPa => commit({ groundPa })"
  />
  <LoadsTypedWind
    v-if="asks('typed')"
    :units="units"
    @take="(typed: TypedWind) => commit({ typed })"
  />
</template>
