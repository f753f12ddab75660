<script setup lang="ts">
import { formOf, outlineAs, type OutlineForm, shapeOf } from '#core/roof'
import { formatPitch, parsePitch, slopeFactor } from '#core/units'

/** This face's shape: how it is entered, its lengths, its pitch and where the tapes are hooked. */
const { face, units, commit } = useFace()
const set = (values: Parameters<typeof faceEdit>[1]) => commit(faceEdit(face.value.id, values))
const outline = computed(() => face.value.outline)

function setPitch(text: string) {
  const parsed = parsePitch(text, units.value)
  return parsed.ok ? set({ pitchDeg: parsed.value }) : parsed
}
const runMm = computed(() => shapeOf(outline.value).up.toMm / slopeFactor(face.value.pitchDeg))
const forms: { label: string, value: OutlineForm }[] = [
  { label: 'Rectangle', value: 'rectangle' },
  { label: 'Four sides by tape (hip side, parallelogram)', value: 'quadrilateral' },
  { label: 'Three sides by tape (hip end)', value: 'triangle' },
  { label: 'L by tape, low on the right', value: 'l-low-right' },
  { label: 'L by tape, low on the left', value: 'l-low-left' },
  { label: 'Corners by running readings', value: 'corners' },
]
</script>

<template>
  <FieldTypedField
    label="Name"
    :shown="face.name"
    :commit="text => set({ name: text })"
  />
  <FieldChoiceField
    label="Shape"
    :value="formOf(outline)"
    :choices="forms"
    @choose="set({ outline: outlineAs(outline, $event) })"
  />
  <template v-if="outline.kind === 'rectangle'">
    <FieldLengthField
      label="Along the eave"
      :mm="outline.eaveLengthMm"
      :units="units"
      :commit="mm => outline.kind === 'rectangle' ? set({ outline: { ...outline, eaveLengthMm: mm! } }) : { ok: true, value: true }"
    />
    <FieldLengthField
      label="Up the slope"
      :mm="outline.slopeLengthMm"
      :units="units"
      :commit="mm => outline.kind === 'rectangle' ? set({ outline: { ...outline, slopeLengthMm: mm! } }) : { ok: true, value: true }"
    />
  </template>
  <SurveyTaped
    v-else-if="outline.kind === 'taped'"
    :outline="outline"
  />
  <SurveyCorners
    v-else
    :outline="outline"
  />
  <FieldTypedField
    label="Pitch"
    :shown="formatPitch(face.pitchDeg, units)"
    :commit="setPitch"
    :hint="`${face.pitchDeg.toFixed(1)}°; rise in 12, degrees or percent`"
  />
  <dl>
    <SlipLine label="Run in plan">
      <FieldLengthText
        :mm="runMm"
        :units="units"
      />
    </SlipLine>
    <SlipLine label="Slope over run">
      {{ slopeFactor(face.pitchDeg).toFixed(4) }}
    </SlipLine>
  </dl>
  <FieldChoiceField
    class="mt-3"
    label="Both tapes are hooked on the eave’s"
    :value="face.datum"
    :choices="[{ label: 'Left end', value: 'left' }, { label: 'Right end', value: 'right' }]"
    @choose="set({ datum: $event })"
  />
</template>
