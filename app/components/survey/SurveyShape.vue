<script setup lang="ts">
import { factKey } from '#core/job'
import { done } from '#core/outcome'
import { formOf, outlineAs, type OutlineForm, shapeOf } from '#core/roof'
import { formatPitch, parsePitch, slopeFactor } from '#core/units'

/** This face's shape: how it is entered, its lengths, its pitch and where the tapes are hooked. */
const { face, units, commit, isAssumed } = useFace()
const set = (values: Parameters<typeof faceEdit>[1]) => commit(faceEdit(face.value.id, values))
const outline = computed(() => face.value.outline)
/** One length of two: the other stays assumed until it is read too. */
function setSide(side: 'eaveLengthMm' | 'slopeLengthMm', mm: number) {
  const rectangle = outline.value
  if (rectangle.kind !== 'rectangle') return done(true)
  return commit({ type: 'batch', edits: [
    { type: 'set-face', faceId: face.value.id, values: { outline: { ...rectangle, [side]: mm } } },
    { type: 'set-assumed', keys: [factKey(face.value.id, `outline/${side}`)], assumed: false },
  ] })
}

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
      :assumed="isAssumed('outline/eaveLengthMm')"
      :commit="mm => setSide('eaveLengthMm', mm!)"
    />
    <FieldLengthField
      label="Up the slope"
      :mm="outline.slopeLengthMm"
      :units="units"
      :assumed="isAssumed('outline/slopeLengthMm')"
      :commit="mm => setSide('slopeLengthMm', mm!)"
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
    :assumed="isAssumed('pitchDeg')"
    :commit="setPitch"
    :hint="`${face.pitchDeg.toFixed(1)}°; rise in 12, degrees or percent`"
  />
  <dl>
    <SlipLine
      label="Run in plan"
      working="Run in plan"
    >
      <FieldLengthText
        :mm="runMm"
        :units="units"
      />
    </SlipLine>
    <SlipLine
      label="Slope over run"
      working="Slope over run"
    >
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
