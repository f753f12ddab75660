<script setup lang="ts">
import { askedBy, type LoadEdition, loadEditionNames, loadEditions, type LoadRules, type Loads, noPlaceLoads, type PlaceLoads, placeValues } from '#core/job'
import { zoneWords } from '#core/loads'

/** What loads the roof: one edition with all its parts, every figure there to be typed over. */
// Rules begin when the last of what the place has to say is typed: that asks what has been typed, not what is planned.
const { newest, facePlan, units, commitNewest: commit } = useFace()
const loads = computed(() => newest.value.loads)
const rules = computed(() => loads.value.rules)
const set = (values: Partial<Loads>) => commit(loadsEdit(values))
const setRules = (values: LoadRules) => set({ rules: values })
const editions = loadEditions.map(value => ({ value, label: loadEditionNames[value] }))
const isEn = computed(() => rules.value.edition === 'en')

/** Rules that are in force, or that wait for what the place has to say. */
const edition = computed(() => loads.value.place.edition ?? rules.value.edition)
/** Another edition has other maps: wind and snow are asked again. */
const chooseEdition = (next: LoadEdition) => next === edition.value || set(next === 'none' ? { place: noPlaceLoads, rules: { edition: 'none' } } : placeValues(askedBy(loads.value.place, next)))
const setPlace = (values: Partial<PlaceLoads>) => set(placeValues({ ...loads.value.place, ...values }))
const wind = computed(() => rules.value.edition === 'none' ? null : rules.value.wind)
const snow = computed(() => rules.value.edition === 'none' ? null : rules.value.snow)
const setWind = (values: Record<string, unknown>) => setRules({ ...rules.value, wind: { ...wind.value, ...values } } as LoadRules)
/** An engineer's pressures are asked for, and not all here yet. */
const asksTyped = ref(false)
const windWays = computed(() => rules.value.edition === 'us-2022'
  ? [{ value: 'typed', label: 'An engineer’s pressures' }]
  : [{ value: 'computed', label: 'Worked out by the edition' }, { value: 'typed', label: 'An engineer’s pressures' }])
function chooseWind(kind: string) {
  asksTyped.value = kind === 'typed' && wind.value?.kind !== 'typed'
  if (kind === wind.value?.kind || kind === 'typed' || rules.value.edition === 'none') return
  // The edition's own wind wants the map's speed, which nobody has given yet.
  set(placeValues({ ...noPlaceLoads, edition: rules.value.edition, groundPa: rules.value.snow.groundPa }))
}
const exposures = ['B', 'C', 'D'].map(value => ({ value, label: `Exposure ${value}` }))
const terrains = Object.entries(terrainNames).map(([value, label]) => ({ value, label: `Terrain ${label}` }))

/** Zones of the face with what the edition makes of them, each coefficient there to be typed over. */
const zones = computed(() => {
  const found = facePlan.value.loading.loads
  if (!found || wind.value?.kind !== 'computed') return []
  const names = [...new Set(found.wind.sets.flatMap(set => set.zones.map(zone => zone.name)))]
  return names.map(name => ({ name, typed: wind.value?.kind === 'computed' ? wind.value.coefficients[name] ?? null : null }))
})
function setCoefficient(zone: string, values: { up?: number, down?: number } | null) {
  if (wind.value?.kind !== 'computed') return { ok: true as const, value: true as const }
  const { [zone]: old, ...rest } = wind.value.coefficients
  return setWind({ coefficients: values ? { ...rest, [zone]: { up: 1, down: 0.5, ...old, ...values } } : rest })
}
const typedWind = computed(() => wind.value?.kind === 'typed' ? wind.value : null)
const typedParts = [['interior', 'Inside'], ['edge', 'Along edges'], ['corner', 'In corners']] as const
</script>

<template>
  <FieldChoiceField
    label="Rules"
    :value="edition"
    :choices="editions"
    @choose="chooseEdition($event)"
  />
  <p
    v-if="rules.edition === 'none'"
    class="mt-2 text-[15px]"
  >
    Nobody has said what loads this roof, so spans are the usual ones. {{ loads.place.edition ? 'The rules wait for what the place has to say:' : 'Choose the rules in force here; each figure can then be typed over.' }}
  </p>
  <LoadsPlace
    v-if="rules.edition === 'none' && loads.place.edition"
    :place="loads.place"
    :units="units"
    :commit="setPlace"
  />
  <template v-if="wind && snow">
    <h2 class="slip-title mt-4">
      Wind
    </h2>
    <FieldChoiceField
      label="Wind"
      :value="asksTyped ? 'typed' : wind.kind"
      :choices="windWays"
      @choose="chooseWind"
    />
    <LoadsTypedWind
      v-if="asksTyped"
      :units="units"
      @take="setRules({ ...rules, wind: $event } as LoadRules); asksTyped = false"
    />
    <template v-if="wind.kind === 'computed'">
      <FieldMeasureField
        label="Basic wind speed"
        :hint="isEn ? '10 minute mean, vb' : 'strength level, by the map'"
        :value="wind.speedMs"
        measure="speed"
        :units="units"
        :commit="speedMs => setWind({ speedMs })"
      />
      <FieldChoiceField
        v-if="'exposure' in wind"
        label="Exposure"
        :value="wind.exposure"
        :choices="exposures"
        @choose="setWind({ exposure: $event })"
      />
      <FieldChoiceField
        v-if="'terrain' in wind"
        label="Terrain"
        :value="wind.terrain"
        :choices="terrains"
        @choose="setWind({ terrain: $event })"
      />
      <FieldMeasureField
        v-if="'kzt' in wind"
        label="Topography, Kzt"
        :value="wind.kzt"
        measure="factor"
        :units="units"
        :commit="kzt => setWind({ kzt })"
      />
      <FieldMeasureField
        v-if="'kd' in wind"
        label="Direction, Kd"
        :value="wind.kd"
        measure="factor"
        :units="units"
        :commit="kd => setWind({ kd })"
      />
      <FieldMeasureField
        v-if="'ke' in wind"
        label="Ground elevation, Ke"
        :value="wind.ke as number"
        measure="factor"
        :units="units"
        :commit="ke => setWind({ ke })"
      />
      <FieldMeasureField
        v-if="'leastPa' in wind"
        label="Least net pressure"
        :value="wind.leastPa"
        measure="pressure"
        :units="units"
        :commit="leastPa => setWind({ leastPa })"
      />
      <FieldMeasureField
        v-if="'orography' in wind"
        label="Orography, co"
        :value="wind.orography"
        measure="factor"
        :units="units"
        :commit="orography => setWind({ orography })"
      />
      <FieldMeasureField
        v-if="'altitudeFactor' in wind"
        label="Altitude and direction"
        hint="factors of the national annex"
        :value="wind.altitudeFactor"
        measure="factor"
        :units="units"
        :commit="altitudeFactor => setWind({ altitudeFactor })"
      />
      <details
        v-if="zones.length"
        class="mt-2"
      >
        <summary class="cursor-pointer text-[15px] font-semibold">
          Coefficients by zone
        </summary>
        <div
          v-for="zone in zones"
          :key="zone.name"
          class="border-b border-dotted border-graphite-300 py-1"
        >
          <FieldMeasureField
            :label="`Zone ${zoneWords(zone.name)}, up`"
            :hint="zone.typed ? 'typed; empty for the edition’s' : 'by the edition'"
            :value="zone.typed?.up ?? null"
            measure="factor"
            :units="units"
            optional
            :commit="up => setCoefficient(zone.name, up === null ? null : { up })"
          />
          <FieldMeasureField
            v-if="zone.typed"
            :label="`Zone ${zoneWords(zone.name)}, down`"
            :value="zone.typed.down"
            measure="factor"
            :units="units"
            :commit="down => setCoefficient(zone.name, { down: down! })"
          />
        </div>
      </details>
    </template>
    <template v-else>
      <FieldTypedField
        label="By whom"
        :shown="wind.by"
        wide
        :commit="by => setWind({ by })"
      />
      <FieldLengthField
        label="Edge zone"
        hint="width in plan"
        :mm="wind.edgeMm"
        :units="units"
        :commit="edgeMm => setWind({ edgeMm })"
      />
      <template
        v-for="[part, name] in typedParts"
        :key="part"
      >
        <FieldMeasureField
          :label="`${name}, up`"
          :hint="isEn ? 'characteristic' : 'strength level'"
          :value="typedWind![part].upPa"
          measure="pressure"
          :units="units"
          :commit="upPa => setWind({ [part]: { ...typedWind![part], upPa } })"
        />
        <FieldMeasureField
          :label="`${name}, down`"
          :value="typedWind![part].downPa"
          measure="pressure"
          :units="units"
          :commit="downPa => setWind({ [part]: { ...typedWind![part], downPa } })"
        />
      </template>
    </template>
    <LoadsSnow />
    <LoadsBuilding />
  </template>
  <h2 class="slip-title mt-4">
    Engineer
  </h2>
  <FieldYesNoField
    label="A licensed engineer"
    :value="loads.engineer.asked"
    yes="Is asked for by code or authority"
    no="Is not asked for, as far as we know"
    @choose="set({ engineer: { ...loads.engineer, asked: $event } })"
  />
  <FieldTypedField
    v-if="loads.engineer.asked"
    label="Who, on what paper"
    :shown="loads.engineer.name"
    wide
    :commit="name => set({ engineer: { ...loads.engineer, name } })"
  />
</template>
