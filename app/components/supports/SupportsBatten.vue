<script setup lang="ts">
import type { BattenBuild, PurlinSupports } from '#core/job'

/** What a batten is and how it is nailed, as far as it carries an array from rafter to rafter. */
const { supports, batten } = defineProps<{ supports: PurlinSupports, batten: BattenBuild }>()
const { face, units, commit } = useFace()
const set = (values: Partial<BattenBuild>) => commit(faceEdit(face.value.id, { supports: { ...supports, batten: { ...batten, ...values } } }))
const setNails = (values: Partial<BattenBuild['nails']>) => set({ nails: { ...batten.nails, ...values } })
const kinds = [{ value: 'smooth', label: 'Smooth nails' }, { value: 'ring-shank', label: 'Ring-shank nails' }] as const
</script>

<template>
  <h2 class="slip-title mt-5">
    How the battens are held
  </h2>
  <p class="text-[13px] text-muted">
    Usual sizes until somebody has looked. Screws in thin battens hold little: rafters are nearly always better.
  </p>
  <FieldLengthField
    label="Rafters under them"
    hint="middle to middle"
    :mm="batten.rafterSpacingMm"
    :units="units"
    :commit="mm => set({ rafterSpacingMm: mm! })"
  />
  <FieldMeasureField
    label="Bending strength"
    :value="batten.bendingMpa"
    measure="stress"
    :units="units"
    :commit="bendingMpa => set({ bendingMpa: bendingMpa! })"
  />
  <FieldMeasureField
    label="Shear strength"
    :value="batten.shearMpa"
    measure="stress"
    :units="units"
    :commit="shearMpa => set({ shearMpa: shearMpa! })"
  />
  <FieldChoiceField
    label="Nails"
    :value="batten.nails.kind"
    :choices="[...kinds]"
    @choose="setNails({ kind: $event as 'smooth' })"
  />
  <FieldLengthField
    label="Nail diameter"
    :mm="batten.nails.diameterMm"
    :units="units"
    :commit="mm => setNails({ diameterMm: mm! })"
  />
  <FieldLengthField
    label="Nail length"
    :mm="batten.nails.lengthMm"
    :units="units"
    :commit="mm => setNails({ lengthMm: mm! })"
  />
  <FieldLengthField
    label="Nail head"
    hint="across"
    :mm="batten.nails.headMm"
    :units="units"
    :commit="mm => setNails({ headMm: mm! })"
  />
  <FieldMeasureField
    v-if="batten.nails.kind === 'ring-shank'"
    label="Withdrawal, f_ax"
    hint="N/mm², declared by the maker"
    :value="batten.nails.faxMpa"
    measure="factor"
    :units="units"
    optional
    :commit="faxMpa => setNails({ faxMpa })"
  />
  <FieldMeasureField
    label="Nails at a rafter"
    :value="batten.nails.perRafter"
    measure="factor"
    :units="units"
    :commit="perRafter => setNails({ perRafter: Math.round(perRafter!) })"
  />
</template>
