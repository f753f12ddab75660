<script setup lang="ts">
import { formatUse } from '#core/capacity'
import { type BattenBuild, type InRoofFacts, type Relief, reliefs, type ReliefTick, reliefTicks } from '#core/job'
import { coverCheckWords, reliefNames, tickNames } from '#core/inroof'
import { done, type Outcome, refused } from '#core/outcome'
import { formatQuantity } from '#core/units'

/** What holds an array that is the covering: battens and their nails, what lies behind, what takes suction off, and how far all is used. */
const { face, facePlan, units, commit } = useFace()
const readsOnly = useReadsOnly()
const facts = computed(() => face.value.inRoof!)
const within = computed(() => facePlan.value.inRoof)
const set = (values: Partial<Omit<InRoofFacts, 'tasks'>>) => commit(inRoofEdit(face.value.id, values))
const setBatten = (values: Partial<BattenBuild>) => set({ batten: { ...facts.value.batten, ...values } })
const nails = computed(() => facts.value.batten.nails)
const setNails = (values: Partial<BattenBuild['nails']>) => setBatten({ nails: { ...nails.value, ...values } })
const nailKinds: { value: BattenBuild['nails']['kind'], label: string }[] = [{ value: 'smooth', label: 'Smooth' }, { value: 'ring-shank', label: 'Ring-shank' }]
function takeCount(text: string): Outcome<unknown> {
  const n = Number(text.trim())
  return Number.isInteger(n) && n >= 1 && n <= 6 ? setNails({ perRafter: n }) : refused('Type a whole number from 1 to 6.')
}
function takeFax(text: string): Outcome<unknown> {
  if (!text.trim()) return nails.value.faxMpa === null ? done(true) : setNails({ faxMpa: null })
  const n = Number(text.trim())
  return n >= 0.5 && n <= 25 ? setNails({ faxMpa: n }) : refused('Type the maker’s figure in N/mm², 0.5 to 25.')
}
function takeYield(text: string): Outcome<unknown> {
  if (!text.trim()) return facts.value.kwhPerKwp === null ? done(true) : set({ kwhPerKwp: null })
  const n = Number(text.trim())
  return n >= 200 && n <= 2500 ? set({ kwhPerKwp: n }) : refused('Type kilowatt-hours a year, 200 to 2500.')
}
const reliefChoices = reliefs.map(value => ({ value, label: reliefNames[value] }))
const tick = (one: ReliefTick, on: boolean) => set({ reliefTicks: reliefTicks.filter(tick => tick === one ? on : facts.value.reliefTicks.includes(tick)) })
const shares = computed(() => within.value?.use?.shares ?? [])
</script>

<template>
  <section v-if="within">
    <h2 class="slip-title">
      How far it is used
    </h2>
    <dl v-if="shares.length">
      <SlipLine
        v-for="one in shares"
        :key="one.check"
        :label="`${coverCheckWords[one.check].name[0]!.toUpperCase()}${coverCheckWords[one.check].name.slice(1)}`"
        :bad="one.share > 1"
        :working="`${coverCheckWords[one.check].name[0]!.toUpperCase()}${coverCheckWords[one.check].name.slice(1)}`"
      >
        {{ formatUse(one.share) }} of {{ formatQuantity(coverCheckWords[one.check].of(one.limit), units) }}
      </SlipLine>
    </dl>
    <p
      v-if="!shares.length"
      class="text-[15px] text-muted"
    >
      Not checked: nobody has said what loads this roof. Wind pulls at an array in the roof as at any covering.
    </p>
    <dl>
      <SlipLine label="The array weighs">
        {{ within.weight.arrayKgM2.toFixed(0) }} kg/m²
      </SlipLine>
      <SlipLine label="Units in its place weighed">
        {{ within.weight.unitsKgM2 === null ? 'not on the shelf' : `${within.weight.unitsKgM2.toFixed(0)} kg/m²` }}
      </SlipLine>
    </dl>
    <p
      v-if="shares.length"
      class="mt-1 text-sm leading-snug text-muted"
    >
      {{ within.use!.wind.source }}. Whether the roof bears it is for a licensed engineer where the code says so.
    </p>
  </section>
  <section class="mt-4">
    <h2 class="slip-title">
      Suction
    </h2>
    <FieldYesNoField
      label="Behind the covering"
      :value="facts.closedBehind"
      yes="A closed layer"
      no="Nothing closed: the house’s pressure acts"
      @choose="set({ closedBehind: $event })"
    />
    <FieldChoiceField
      label="Relief"
      :value="facts.relief"
      :choices="reliefChoices"
      @choose="set({ relief: $event as Relief })"
    />
    <p
      v-if="facts.relief === 'test'"
      class="text-sm text-muted"
    >
      {{ within?.system.relief ? `${within.system.relief.test}: ${Math.round(within.system.relief.share * 100)} % of the outer suction.` : 'This system has no such test on the shelf.' }}
    </p>
    <div
      v-if="facts.relief === 'porous-skin'"
      class="grid gap-1.5 py-1"
    >
      <UCheckbox
        v-for="one in reliefTicks"
        :key="one"
        :model-value="facts.reliefTicks.includes(one)"
        :label="tickNames[one]"
        :disabled="readsOnly"
        @update:model-value="tick(one, $event === true)"
      />
    </div>
  </section>
  <section class="mt-4">
    <h2 class="slip-title">
      Battens and nails
    </h2>
    <FieldLengthField
      label="New battens come in"
      :mm="facts.battenStockMm"
      :units="units"
      :commit="mm => set({ battenStockMm: mm! })"
    />
    <FieldMeasureField
      label="Bending strength"
      :value="facts.batten.bendingMpa"
      measure="stress"
      :units="units"
      :commit="value => setBatten({ bendingMpa: value! })"
    />
    <FieldMeasureField
      label="Shear strength"
      :value="facts.batten.shearMpa"
      measure="stress"
      :units="units"
      :commit="value => setBatten({ shearMpa: value! })"
    />
    <FieldLengthField
      label="Rafters apart"
      hint="where none is known"
      :mm="facts.batten.rafterSpacingMm"
      :units="units"
      :commit="mm => setBatten({ rafterSpacingMm: mm! })"
    />
    <FieldChoiceField
      label="Nails"
      :value="nails.kind"
      :choices="nailKinds"
      @choose="setNails({ kind: $event })"
    />
    <FieldLengthField
      label="Nail, thick"
      :mm="nails.diameterMm"
      :units="units"
      :commit="mm => setNails({ diameterMm: mm! })"
    />
    <FieldLengthField
      label="Nail, long"
      :mm="nails.lengthMm"
      :units="units"
      :commit="mm => setNails({ lengthMm: mm! })"
    />
    <FieldLengthField
      label="Nail, head"
      :mm="nails.headMm"
      :units="units"
      :commit="mm => setNails({ headMm: mm! })"
    />
    <FieldTypedField
      v-if="nails.kind === 'ring-shank'"
      label="Withdrawal by its maker"
      hint="N/mm²"
      :shown="nails.faxMpa === null ? '' : String(nails.faxMpa)"
      :commit="takeFax"
    />
    <FieldTypedField
      label="Nails a rafter"
      :shown="String(nails.perRafter)"
      :commit="takeCount"
    />
    <FieldTypedField
      label="A kilowatt yields in a year"
      hint="kWh on rails, for the comparison"
      :shown="facts.kwhPerKwp === null ? '' : String(facts.kwhPerKwp)"
      :commit="takeYield"
    />
  </section>
</template>
