<script setup lang="ts">
import type { ArrayRules, RafterTimber } from '#core/job'

/** What the fixings are screwed into, what one holds, and what the rafter below bears. */
const { face, facePlan, units, commit } = useFace()
const timber = computed(() => face.value.timber)
const set = (values: Partial<RafterTimber>) => commit(faceEdit(face.value.id, { timber: { ...timber.value, ...values } }))
const setArray = (values: Partial<Omit<ArrayRules, 'rows'>>) => commit(arrayEdit(face.value.id, values))
const en = computed(() => facePlan.value.strength?.capacity.format === 'en')
const hold = computed(() => facePlan.value.strength?.capacity.timber ?? null)
const onTimber = computed(() => face.value.supports.kind === 'rafters' || face.value.supports.kind === 'purlins')
</script>

<template>
  <template v-if="onTimber">
    <h2 class="slip-title">
      Timber under the screws
    </h2>
    <FieldMeasureField
      v-if="en"
      label="Density"
      hint="characteristic, kg/m³; C24 is 350"
      :value="timber.densityKgM3"
      measure="factor"
      :units="units"
      :commit="densityKgM3 => set({ densityKgM3: densityKgM3! })"
    />
    <FieldMeasureField
      v-else
      label="Specific gravity"
      hint="spruce-pine-fir 0.42, Douglas fir 0.50"
      :value="timber.gravity"
      measure="factor"
      :units="units"
      :commit="gravity => set({ gravity: gravity! })"
    />
    <FieldLengthField
      label="Sheathing over it"
      hint="boards the screw goes through first"
      :mm="timber.sheathingMm"
      :units="units"
      :commit="sheathingMm => set({ sheathingMm: sheathingMm! })"
    />
    <FieldChoiceField
      label="In use"
      :value="timber.wet ? 'wet' : 'dry'"
      :choices="[{ value: 'dry', label: 'Dry' }, { value: 'wet', label: 'Wet, over 19 % moisture' }]"
      @choose="set({ wet: $event === 'wet' })"
    />
    <dl v-if="hold">
      <SlipLine
        label="Thread that bites"
        working="Withdrawal of a fixing’s screws"
        :bad="hold.tooShort"
      >
        <FieldLengthText
          :mm="hold.threadMm"
          :units="units"
        />
      </SlipLine>
    </dl>
  </template>
  <h2 class="slip-title mt-4">
    One fixing holds
  </h2>
  <p class="text-[13px] text-muted">
    Worked out from screw, timber and the mount maker’s value. An engineer’s or a test’s figure typed here takes their place.
  </p>
  <FieldMeasureField
    label="Up"
    :value="face.array.heldUpN"
    measure="force"
    :units="units"
    optional
    hint="empty: worked out"
    :commit="heldUpN => setArray({ heldUpN })"
  />
  <FieldMeasureField
    label="Down"
    :value="face.array.heldDownN"
    measure="force"
    :units="units"
    optional
    hint="empty: the maker’s"
    :commit="heldDownN => setArray({ heldDownN })"
  />
  <FieldMeasureField
    label="Down the slope"
    :value="face.array.heldSlopeN"
    measure="force"
    :units="units"
    optional
    hint="empty: worked out"
    :commit="heldSlopeN => setArray({ heldSlopeN })"
  />
  <template v-if="face.supports.kind === 'rafters'">
    <h2 class="slip-title mt-4">
      A first look at the rafter
    </h2>
    <FieldLengthField
      label="Depth"
      :mm="timber.depthMm"
      :units="units"
      optional
      :commit="depthMm => set({ depthMm })"
    />
    <FieldLengthField
      label="Span along the slope"
      :mm="timber.spanMm"
      :units="units"
      optional
      :commit="spanMm => set({ spanMm })"
    />
    <FieldMeasureField
      label="Bending strength"
      :hint="en ? 'characteristic, f_m,k' : 'allowable, Fb'"
      :value="timber.bendingMpa"
      measure="stress"
      :units="units"
      optional
      :commit="bendingMpa => set({ bendingMpa })"
    />
    <FieldMeasureField
      label="Roof’s own load"
      hint="in its plane"
      :value="timber.roofDeadPa"
      measure="pressure"
      :units="units"
      :commit="roofDeadPa => set({ roofDeadPa: roofDeadPa! })"
    />
    <FieldTypedField
      label="Grade"
      :shown="timber.grade"
      wide
      :commit="grade => set({ grade })"
    />
  </template>
</template>
