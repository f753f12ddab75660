<script setup lang="ts">
import { conductorSizes, isAwg, serviceNames, services } from '#core/catalogue'
import { branchSchoolNames, branchSchools, type WiringSettings } from '#core/job'
import { placeAlong, placeUp, readingAlong, readingUp } from '#core/roof'
import { volts } from '#core/wiring'

/** The place's own electrical figures and how home runs are laid. */
const { job, face, plan, units, commit } = useFace()
const facts = computed(() => job.value.wiring)
const rules = computed(() => plan.value.wiring.rules)
const set = (values: Partial<WiringSettings>) => commit(wiringEdit(values))
const sizes = computed(() => [{ value: '-', label: 'The thinnest that does' }, ...conductorSizes.filter(size => isAwg(size) === rules.value.us).map(value => ({ value, label: value }))])
const box = computed(() => plan.value.wiring.roofBox)
const boxFace = computed(() => job.value.faces.find(one => one.id === box.value?.faceId) ?? face.value)
const setBox = (at: { xMm?: number, yMm?: number }) => set({ roofBox: { faceId: boxFace.value.id, xMm: at.xMm ?? box.value?.at.x ?? 0, yMm: at.yMm ?? box.value?.at.y ?? 0 } })
const setBelow = (mm: number | null) => set({ below: mm === null ? null : { mm, size: facts.value.below?.size ?? (rules.value.us ? '10 AWG' : '4 mm²') } })
</script>

<template>
  <FieldChoiceField
    label="Service"
    :value="rules.service"
    :choices="services.map(value => ({ value, label: serviceNames[value] }))"
    @choose="set({ service: $event })"
  />
  <FieldTypedField
    label="Lowest temperature expected"
    hint="the place’s extreme annual mean minimum, °C"
    :shown="figureShown(facts.coldC, '°C')"
    :commit="takeFigure(coldC => set({ coldC }), '°C')"
  />
  <FieldTypedField
    label="Air on a hot day"
    :hint="facts.hotC === null ? `unsaid: reckoned with ${rules.hotC} °C` : '°C'"
    :shown="figureShown(facts.hotC, '°C')"
    :commit="takeFigure(hotC => set({ hotC }), '°C')"
  />
  <FieldTypedField
    label="Greatest voltage here"
    :hint="facts.mostV === null ? `${volts(rules.mostV)} by the rules` : 'typed; empty for the rules’'"
    :shown="figureShown(facts.mostV, 'V')"
    :commit="takeFigure(mostV => set({ mostV }), 'V')"
  />
  <h2 class="slip-title mt-4">
    Branches
  </h2>
  <FieldChoiceField
    label="Rows are split"
    :value="facts.school"
    :choices="branchSchools.map(value => ({ value, label: branchSchoolNames[value] }))"
    @choose="set({ school: $event })"
  />
  <FieldChoiceField
    label="Trunks are fed"
    :value="facts.feed"
    :choices="[{ value: 'end', label: 'At an end' }, { value: 'middle', label: 'At their middle' }]"
    @choose="set({ feed: $event })"
  />
  <FieldTypedField
    label="Device of each branch"
    hint="empty: the largest that unit and trunk allow"
    :shown="figureShown(facts.deviceA, 'A')"
    :commit="takeFigure(deviceA => set({ deviceA }), 'A')"
  />
  <FieldYesNoField
    v-if="rules.us"
    label="Device and enclosure"
    :value="facts.listedFull"
    yes="Listed for 100 %"
    no="Loaded to 80 %"
    @choose="set({ listedFull: $event })"
  />
  <FieldMeasureField
    v-else
    label="Grouping in the board"
    hint="share of the rating that devices keep"
    :value="facts.boardShare"
    measure="share"
    :units="units"
    :commit="value => set({ boardShare: value! })"
  />
  <h2 class="slip-title mt-4">
    Roof box
  </h2>
  <template v-if="box">
    <FieldLengthField
      :label="`Along the eave${job.faces.length > 1 ? `, ${boxFace.name}` : ''}`"
      :hint="facts.roofBox ? 'typed' : 'where it was put by itself'"
      :mm="readingAlong(boxFace, box.at.x)"
      :units="units"
      :commit="mm => setBox({ xMm: placeAlong(boxFace, mm!) })"
    />
    <FieldLengthField
      label="Up the slope"
      :mm="readingUp(boxFace, box.at.y)"
      :units="units"
      :commit="mm => setBox({ yMm: placeUp(boxFace, mm!) })"
    />
    <UButton
      v-if="facts.roofBox"
      size="xs"
      color="neutral"
      variant="outline"
      class="mt-1"
      label="Let it find its place"
      @click="set({ roofBox: null })"
    />
  </template>
  <h2 class="slip-title mt-4">
    Home runs
  </h2>
  <FieldChoiceField
    label="Conductor"
    :value="facts.homeSize ?? '-'"
    :choices="sizes"
    @choose="set({ homeSize: $event === '-' ? null : $event as NonNullable<WiringSettings['homeSize']> })"
  />
  <FieldLengthField
    label="Over the roof"
    :mm="facts.overRoofMm"
    :units="units"
    :commit="mm => set({ overRoofMm: mm! })"
  />
  <FieldTypedField
    label="Conductors side by side"
    hint="empty: all home runs of a group"
    :shown="facts.together === null ? '' : String(facts.together)"
    :commit="takeFigure(n => set({ together: n }), 'conductors')"
  />
  <FieldChoiceField
    v-if="rules.us"
    label="Insulation"
    :value="facts.insulation"
    :choices="[{ value: '90', label: '90 °C' }, { value: 'xhhw-2', label: 'XHHW-2' }]"
    @choose="set({ insulation: $event })"
  />
  <FieldYesNoField
    v-if="rules.us"
    label="Heat of the roof"
    :value="facts.heightTable"
    yes="By the older table of heights"
    no="33 °C under 7/8 in (2017 on)"
    @choose="set({ heightTable: $event })"
  />
  <FieldMeasureField
    label="Volts that may be lost"
    :value="facts.dropShare"
    measure="share"
    :units="units"
    :commit="value => set({ dropShare: value! })"
  />
  <FieldLengthField
    label="Runs below the box"
    hint="to the point of connection; empty: not reckoned yet"
    :mm="facts.below?.mm ?? null"
    :units="units"
    optional
    :commit="setBelow"
  />
  <FieldChoiceField
    v-if="facts.below"
    label="Their conductor"
    :value="facts.below.size"
    :choices="sizes.slice(1)"
    @choose="set({ below: { ...facts.below, size: $event as NonNullable<WiringSettings['below']>['size'] } })"
  />
  <FieldYesNoField
    label="Two strings"
    :value="facts.fourCore"
    yes="In one four-core cable"
    no="Single cores side by side"
    @choose="set({ fourCore: $event })"
  />
  <FieldYesNoField
    label="String ends"
    :value="facts.boxes"
    yes="In enclosures"
    no="Bare plugs"
    @choose="set({ boxes: $event })"
  />
</template>
