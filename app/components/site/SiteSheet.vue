<script setup lang="ts">
import { siteStopWords } from '#core/site'
import {
  accesses,
  accessWords,
  codesEdit,
  type Bring,
  brings,
  bringWords,
  coveringStates,
  coveringStateWords,
  decisions,
  decisionWords,
  exposures,
  exposureWords,
  type Hazard,
  hazards,
  hazardWords,
  type Site,
  type SiteStop,
  siteStops,
} from '#core/job'
import { done, type Outcome, refused } from '#core/outcome'
import { formatDirection, formatLength, MM_PER_INCH, parseDirection, parseLength, windName } from '#core/units'

/** The site sheet: who and where, the way up, what can hurt, the covering's state and the decision, what to bring. */
const { job, face, commit, units, chooseFace } = useFace()
const site = computed(() => job.value.site)
const set = (values: Partial<Site>) => commit({ type: 'set-site', values })
const setText = (key: 'title' | 'place') => (text: string) => text === job.value[key] ? done(true) : commit({ type: 'set-job', values: { [key]: text } })

const choicesOf = <T extends string>(values: readonly T[], words: Record<T, string>) => values.map(value => ({ value, label: words[value] }))
function takeYears(key: 'coveringAgeYears' | 'coveringYearsLeft') {
  return (text: string): Outcome<unknown> => {
    if (!text.trim()) return set({ [key]: null })
    const years = Number(text.trim().replace(/ ?years?$/, ''))
    return Number.isInteger(years) ? set({ [key]: years }) : refused('Type whole years, such as 12.')
  }
}
const yearsShown = (years: number | null) => years === null ? '' : `${years} years`
/** Altitude is in metres in the job, written in feet on imperial ones. */
const altitudeShown = computed(() => site.value.altitudeM === null ? '' : units.value === 'imperial' ? `${Math.round(site.value.altitudeM * 1000 / MM_PER_INCH / 12)} ft` : `${Math.round(site.value.altitudeM)} m`)
function takeAltitude(text: string): Outcome<unknown> {
  if (!text.trim()) return set({ altitudeM: null })
  const bare = /^-?\d+(\.\d+)?$/.test(text.trim())
  const parsed = parseLength(bare ? `${text.trim()} ${units.value === 'imperial' ? 'ft' : 'm'}` : text, units.value)
  return parsed.ok ? set({ altitudeM: parsed.value / 1000 }) : parsed
}
const directionShown = (deg: number | null) => deg === null ? '' : formatDirection(deg)
function takeDirection(key: 'streetDeg' | 'drivewayDeg') {
  return (text: string): Outcome<unknown> => {
    if (!text.trim()) return set({ [key]: null })
    const direction = parseDirection(text)
    return direction.ok ? set({ [key]: direction.value }) : direction
  }
}
function toggled<T>(list: T[], item: T): T[] {
  return list.includes(item) ? list.filter(one => one !== item) : [...list, item]
}
const { data: firm } = useFetch<{ people: { personId: string, name: string, leftAt: string | null }[] }>('/api/people', { lazy: true })
const people = computed(() => (firm.value?.people ?? []).filter(one => !one.leftAt || site.value.crew.includes(one.personId)))
const stopOf = (kind: SiteStop) => site.value.stops.find(stop => stop.kind === kind)
const toggleStop = (kind: SiteStop) => set({ stops: stopOf(kind) ? site.value.stops.filter(stop => stop.kind !== kind) : [...site.value.stops, { kind, cleared: '' }] })
const clearStop = (kind: SiteStop, cleared: string) => set({ stops: site.value.stops.map(stop => stop.kind === kind ? { kind, cleared } : stop) })
const highest = computed(() => Math.max(...job.value.faces.map(one => one.place.eaveHeightMm)))
</script>

<template>
  <div class="grid grid-cols-2 gap-x-8 px-5 py-1 max-lg:grid-cols-1">
    <div class="space-y-5">
      <div>
        <h2 class="border-b border-graphite-900 pb-1 text-lg font-bold">
          The job
        </h2>
        <FieldTypedField
          label="Name"
          wide
          :shown="job.title"
          :commit="setText('title')"
        />
        <FieldTypedField
          label="Place"
          wide
          :shown="job.place"
          :commit="setText('place')"
        />
        <FieldChoiceField
          label="Lengths are read in"
          :value="units"
          :choices="[{ label: 'Feet, inches and sixteenths', value: 'imperial' }, { label: 'Millimetres', value: 'metric' }]"
          @choose="commit({ type: 'set-job', values: { units: $event } })"
        />
        <SiteCodes
          :codes="job.codes"
          :units="units"
          @choose="commit(codesEdit(job, $event))"
        />
        <PlannerRoofPlan
          class="mt-2"
          :faces="job.faces"
          :site="site"
          :current="face.id"
          @pick="chooseFace"
        />
        <FieldTypedField
          label="Street lies"
          :hint="site.streetDeg === null ? 'degrees from north, seen from the house' : `${windName(site.streetDeg)} of the house`"
          :shown="directionShown(site.streetDeg)"
          :commit="takeDirection('streetDeg')"
        />
        <FieldTypedField
          label="Driveway lies"
          :hint="site.drivewayDeg === null ? 'empty where there is none' : `${windName(site.drivewayDeg)} of the house`"
          :shown="directionShown(site.drivewayDeg)"
          :commit="takeDirection('drivewayDeg')"
        />
        <FieldTypedField
          label="Altitude"
          :shown="altitudeShown"
          :commit="takeAltitude"
        />
        <FieldChoiceField
          label="Exposure"
          :value="site.exposure ?? 'none'"
          :choices="[{ label: 'Not said', value: 'none' }, ...choicesOf(exposures, exposureWords)]"
          @choose="set({ exposure: $event === 'none' ? null : $event as Site['exposure'] })"
        />
      </div>
      <fieldset>
        <legend class="w-full border-b border-graphite-900 pb-1 text-lg font-bold">
          What to bring
        </legend>
        <div class="mt-1 grid grid-cols-2 gap-x-4 max-sm:grid-cols-1">
          <UCheckbox
            v-for="bring in brings"
            :key="bring"
            :model-value="site.bring.includes(bring)"
            color="neutral"
            class="py-1"
            :label="bringWords[bring]"
            @update:model-value="set({ bring: toggled<Bring>(site.bring, bring) })"
          />
        </div>
        <FieldTypedField
          label="Besides"
          wide
          :shown="site.bringNote"
          :commit="text => set({ bringNote: text })"
        />
      </fieldset>
    </div>
    <div class="space-y-5">
      <div>
        <h2 class="border-b border-graphite-900 pb-1 text-lg font-bold">
          The covering
        </h2>
        <FieldChoiceField
          label="State"
          :value="site.coveringState"
          :choices="choicesOf(coveringStates, coveringStateWords)"
          @choose="set({ coveringState: $event })"
        />
        <FieldTypedField
          label="Age"
          :shown="yearsShown(site.coveringAgeYears)"
          :commit="takeYears('coveringAgeYears')"
        />
        <FieldTypedField
          label="Years left in it"
          hint="modules lie about 25"
          :shown="yearsShown(site.coveringYearsLeft)"
          :commit="takeYears('coveringYearsLeft')"
        />
        <FieldChoiceField
          label="Decision"
          :value="site.decision"
          :choices="choicesOf(decisions, decisionWords)"
          @choose="set({ decision: $event })"
        />
        <FieldTypedField
          label="Why"
          wide
          :shown="site.decisionNote"
          :commit="text => set({ decisionNote: text })"
        />
        <h2 class="mt-4 border-b border-graphite-900 pb-1 text-lg font-bold">
          The way up
        </h2>
        <FieldChoiceField
          label="Reached by"
          :value="site.access ?? 'none'"
          :choices="[{ label: 'Not said', value: 'none' }, ...choicesOf(accesses, accessWords)]"
          @choose="set({ access: $event === 'none' ? null : $event as Site['access'] })"
        />
        <FieldTypedField
          label="Note"
          wide
          :shown="site.accessNote"
          :commit="text => set({ accessNote: text })"
        />
        <p class="pt-1 text-sm text-muted">
          Highest eave {{ formatLength(highest, units) }} above ground; each face’s own is under Survey, Roof.
        </p>
      </div>
      <fieldset>
        <legend class="w-full border-b border-graphite-900 pb-1 text-lg font-bold">
          What can hurt
        </legend>
        <div class="mt-1 grid grid-cols-2 gap-x-4 max-sm:grid-cols-1">
          <UCheckbox
            v-for="hazard in hazards"
            :key="hazard"
            :model-value="site.hazards.includes(hazard)"
            color="neutral"
            class="py-1"
            :label="hazardWords[hazard]"
            @update:model-value="set({ hazards: toggled<Hazard>(site.hazards, hazard) })"
          />
        </div>
        <p class="mt-2 text-sm text-muted">
          Always: fall and edge protection in place, ladder tied off, rails are no foothold, keep off a covering that is wet, frosted, hot or fragile. Modules are live in daylight.
        </p>
      </fieldset>
      <fieldset v-if="people.length">
        <legend class="w-full border-b border-graphite-900 pb-1 text-lg font-bold">
          Who works here
        </legend>
        <div class="mt-1 grid grid-cols-2 gap-x-4 max-sm:grid-cols-1">
          <UCheckbox
            v-for="person in people"
            :key="person.personId"
            :model-value="site.crew.includes(person.personId)"
            color="neutral"
            class="py-1"
            :label="person.name"
            @update:model-value="set({ crew: toggled(site.crew, person.personId) })"
          />
        </div>
        <p class="mt-2 text-sm text-muted">
          The job is on their phones by itself, whenever they open Upper Deck with a signal.
        </p>
      </fieldset>
      <fieldset>
        <legend class="w-full border-b border-graphite-900 pb-1 text-lg font-bold">
          What stops the work
        </legend>
        <div
          v-for="kind in siteStops"
          :key="kind"
          class="py-1"
        >
          <UCheckbox
            :model-value="Boolean(stopOf(kind))"
            color="neutral"
            :label="siteStopWords[kind].name"
            @update:model-value="toggleStop(kind)"
          />
          <FieldTypedField
            v-if="stopOf(kind)"
            label="Cleared by"
            hint="who, and on what paper"
            wide
            :shown="stopOf(kind)!.cleared"
            :commit="text => clearStop(kind, text)"
          />
        </div>
        <p class="mt-1 text-sm text-muted">
          Structure, wind and snow belong to a licensed engineer where the code says so, electrical work to a licensed electrician. The local authority and the makers come before this tool.
        </p>
      </fieldset>
    </div>
  </div>
</template>
