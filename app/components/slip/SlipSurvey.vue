<script setup lang="ts">
import { formatPitch, parsePitch, slopeFactor } from '#core/units'

const { face, facePlan, units, commit } = useFace()
const set = (values: Parameters<typeof faceEdit>[1]) => commit(faceEdit(face.value.id, values))

function setPitch(text: string) {
  const parsed = parsePitch(text, units.value)
  return parsed.ok ? set({ pitchDeg: parsed.value }) : parsed
}
const runMm = computed(() => face.value.outline.slopeLengthMm / slopeFactor(face.value.pitchDeg))
</script>

<template>
  <h2 class="slip-title">
    The face
  </h2>
  <FieldTypedField
    label="Name"
    :shown="face.name"
    :commit="text => set({ name: text })"
  />
  <FieldLengthField
    label="Along the eave"
    :mm="face.outline.eaveLengthMm"
    :units="units"
    :commit="mm => set({ outline: { ...face.outline, eaveLengthMm: mm! } })"
  />
  <FieldLengthField
    label="Up the slope"
    :mm="face.outline.slopeLengthMm"
    :units="units"
    :commit="mm => set({ outline: { ...face.outline, slopeLengthMm: mm! } })"
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
  <h2 class="slip-title mt-5">
    Covering: coursed shingle
  </h2>
  <FieldLengthField
    label="Exposure"
    hint="Height of a course that shows"
    :mm="face.covering.exposureMm"
    :units="units"
    :commit="mm => set({ covering: { ...face.covering, exposureMm: mm! } })"
  />
  <FieldLengthField
    label="First course"
    hint="Its lower edge, up from the eave"
    :mm="face.covering.firstCourseMm"
    :units="units"
    :commit="mm => set({ covering: { ...face.covering, firstCourseMm: mm! } })"
  />
  <dl>
    <SlipLine label="Courses to the ridge">
      {{ facePlan.courses.length }}
    </SlipLine>
  </dl>
  <FieldChoiceField
    class="mt-3"
    label="Both tapes are hooked on the"
    :value="face.datum"
    :choices="[{ label: 'Left rake at the eave', value: 'left' }, { label: 'Right rake at the eave', value: 'right' }]"
    @choose="set({ datum: $event })"
  />
</template>
