<script setup lang="ts">
import { done, type Outcome } from '#core/outcome'
import type { RoofFormKind } from '#core/roof'
import { type RoofDraft, type SlopeReading, usualRoof } from '#core/start'
import { formatDirection, formatLength, formatPitch, parseDirection, parsePitch, type UnitSystem, windName } from '#core/units'

/** The roof by what a tape gives: a plain gable is two lengths and a pitch. */
const { roof, units, commit } = defineProps<{ roof: RoofDraft, units: UnitSystem, commit: (values: Partial<RoofDraft>) => Outcome<true> }>()
const usual = computed(() => usualRoof(units))
const forms: { value: RoofFormKind, label: string }[] = [{ value: 'gable', label: 'Gable' }, { value: 'hip', label: 'Hip' }, { value: 'lean-to', label: 'Lean-to' }, { value: 'cross-gable', label: 'Cross gable' }]
const readings: { value: SlopeReading, label: string }[] = [{ value: 'slope', label: 'Slope' }, { value: 'run', label: 'Run' }, { value: 'ridge-height', label: 'Ridge height' }]
const slopeNames: Record<SlopeReading, string> = { 'slope': 'Up the slope', 'run': 'Run in plan', 'ridge-height': 'Ridge over the eave' }
const pitchShown = (deg: number | null) => deg === null ? '' : formatPitch(deg, units)
const takePitch = (put: (deg: number | null) => Outcome<true>) => (text: string): Outcome<unknown> => {
  if (!text.trim()) return put(null)
  const parsed = parsePitch(text, units)
  return parsed.ok ? put(parsed.value) : parsed
}
function takeAzimuth(text: string): Outcome<unknown> {
  if (!text.trim()) return commit({ azimuthDeg: null })
  const direction = parseDirection(text)
  return direction.ok ? commit({ azimuthDeg: direction.value }) : direction
}
const wing = (values: Partial<RoofDraft['wing']>) => commit({ wing: { ...roof.wing, ...values } })
/** Another reading of the slope is another figure. */
const chooseReading = (reading: SlopeReading) => reading === roof.reading ? done(true) : commit({ reading, slopeMm: null })
const drawnAt = (text: string) => `drawn at ${text} until read`
</script>

<template>
  <FieldPickField
    label="Form"
    :value="roof.form"
    :choices="forms"
    @choose="commit({ form: $event })"
  />
  <FieldLengthField
    label="Along the eave"
    :hint="roof.eaveMm === null ? drawnAt(formatLength(usual.eaveMm, units)) : undefined"
    :mm="roof.eaveMm"
    :units="units"
    optional
    :commit="mm => commit({ eaveMm: mm })"
  />
  <FieldLengthField
    :label="slopeNames[roof.reading]"
    :hint="roof.slopeMm === null && roof.reading === 'slope' ? drawnAt(formatLength(usual.slopeMm, units)) : undefined"
    :mm="roof.slopeMm"
    :units="units"
    optional
    :commit="mm => commit({ slopeMm: mm })"
  />
  <FieldTypedField
    label="Pitch"
    :hint="roof.pitchDeg === null ? drawnAt(formatPitch(usual.pitchDeg, units)) : `${roof.pitchDeg.toFixed(1)}°`"
    :shown="pitchShown(roof.pitchDeg)"
    :commit="takePitch(pitchDeg => commit({ pitchDeg }))"
  />
  <FieldPickField
    label="The tape gives"
    :value="roof.reading"
    :choices="readings"
    @choose="chooseReading"
  />
  <FieldTypedField
    v-if="roof.form === 'hip'"
    label="Pitch of the ends"
    hint="empty: as the sides"
    :shown="pitchShown(roof.endPitchDeg)"
    :commit="takePitch(endPitchDeg => commit({ endPitchDeg }))"
  />
  <template v-if="roof.form === 'cross-gable'">
    <FieldLengthField
      label="Wing, width"
      :mm="roof.wing.widthMm"
      :units="units"
      optional
      :commit="widthMm => wing({ widthMm })"
    />
    <FieldLengthField
      label="Wing stands out"
      :mm="roof.wing.outMm"
      :units="units"
      optional
      :commit="outMm => wing({ outMm })"
    />
    <FieldLengthField
      label="Wing’s middle"
      hint="from the front’s left end"
      :mm="roof.wing.atMm"
      :units="units"
      optional
      :commit="atMm => wing({ atMm })"
    />
    <FieldTypedField
      label="Pitch of the wing"
      hint="empty: as the roof"
      :shown="pitchShown(roof.wing.pitchDeg)"
      :commit="takePitch(pitchDeg => wing({ pitchDeg }))"
    />
  </template>
  <FieldTypedField
    label="The front looks"
    :hint="roof.azimuthDeg === null ? 'SSW or degrees; drawn south until read' : windName(roof.azimuthDeg)"
    :shown="roof.azimuthDeg === null ? '' : formatDirection(roof.azimuthDeg)"
    :commit="takeAzimuth"
  />
</template>
