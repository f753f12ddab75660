<script setup lang="ts">
import type { AssumableFact } from '#core/job'
import { done, type Outcome } from '#core/outcome'
import { type RoofForm, type RoofFormKind, roofFaces } from '#core/roof'
import { formatDirection, formatPitch, parseDirection, parsePitch } from '#core/units'

/** A common roof from its plan sizes: all its faces at once, each to be corrected by tape afterwards. */
const open = defineModel<boolean>('open', { required: true })
const { job, face, units, commit, chooseFace, isAssumed } = useFace()
const us = units.value === 'imperial'
const mm = (feet: number, metric: number) => us ? feet * 304.8 : metric
const kinds: { value: RoofFormKind, label: string }[] = [
  { value: 'gable', label: 'Gable' }, { value: 'hip', label: 'Hip' }, { value: 'cross-gable', label: 'Gable with a cross gable' }, { value: 'lean-to', label: 'Lean-to' },
]
const kind = ref<RoofFormKind>('gable')
const sizes = reactive({
  lengthMm: mm(38, 11_500), depthMm: mm(26, 8000), pitchDeg: face.value.pitchDeg, endPitchDeg: face.value.pitchDeg,
  wingWidthMm: mm(14, 4200), wingOutMm: mm(6, 1800), wingAtMm: mm(20, 6000), wingPitchDeg: face.value.pitchDeg, azimuthDeg: face.value.place.azimuthDeg,
})
type Size = keyof typeof sizes
/** Sizes that somebody has typed here; the others stand at usual ones. */
const typed = ref<Size[]>([])
const take = (key: Size) => (value: number | null): Outcome<true> => {
  sizes[key] = value!
  typed.value = [...typed.value, key]
  return done(true)
}
const takePitch = (key: Size) => (text: string): Outcome<unknown> => {
  const parsed = parsePitch(text, units.value)
  return parsed.ok ? take(key)(parsed.value) : parsed
}
function takeAzimuth(text: string): Outcome<unknown> {
  const direction = parseDirection(text)
  return direction.ok ? take('azimuthDeg')(direction.value) : direction
}
const form = computed(() => ({ kind: kind.value, ...sizes }) as RoofForm)
const faces = computed(() => roofFaces(form.value))
const drawn = computed(() => faces.value.ok ? faces.value.value.map(laid => faceLike(face.value, laid, units.value)) : [])
/** What the faces stand at without anybody having read it: a size of the wing leaves the lengths round it open. */
const unread = computed((): AssumableFact[] => {
  const open = (...keys: Size[]) => keys.some(key => !typed.value.includes(key))
  const wing: Size[] = kind.value === 'cross-gable' ? ['wingWidthMm', 'wingOutMm', 'wingAtMm'] : []
  return [
    ...(open('lengthMm', ...wing) ? ['outline/eaveLengthMm' as const] : []), ...(open('depthMm', ...wing) ? ['outline/slopeLengthMm' as const] : []),
    ...(open('pitchDeg') && isAssumed('pitchDeg') ? ['pitchDeg' as const] : []), ...(open('azimuthDeg') && isAssumed('place/azimuthDeg') ? ['place/azimuthDeg' as const] : []),
  ]
})
const replace = ref(true)
const problem = ref('')
async function make() {
  const made = drawn.value
  const outcome = commit(facesEdit(job.value, face.value, made, replace.value, unread.value))
  problem.value = outcome.ok ? '' : outcome.problem
  if (!outcome.ok) return
  open.value = false
  await chooseFace(made[0]!.id)
}
</script>

<template>
  <UModal
    v-model:open="open"
    title="Common roof"
    :ui="{ content: 'sm:max-w-3xl' }"
    description="Plan sizes from eave to eave give every face at its true lengths. Each can then be corrected by tape."
  >
    <template #body>
      <div class="grid grid-cols-2 gap-x-6 max-sm:grid-cols-1">
        <div>
          <FieldChoiceField
            label="Form"
            :value="kind"
            :choices="kinds"
            @choose="kind = $event"
          />
          <FieldLengthField
            label="Length"
            hint="along the front eave"
            :mm="sizes.lengthMm"
            :units="units"
            :commit="take('lengthMm')"
          />
          <FieldLengthField
            label="Depth"
            hint="in plan, front to back"
            :mm="sizes.depthMm"
            :units="units"
            :commit="take('depthMm')"
          />
          <FieldTypedField
            label="Pitch"
            :shown="formatPitch(sizes.pitchDeg, units)"
            :commit="takePitch('pitchDeg')"
          />
          <FieldTypedField
            v-if="kind === 'hip'"
            label="Pitch of the ends"
            :shown="formatPitch(sizes.endPitchDeg, units)"
            :commit="takePitch('endPitchDeg')"
          />
          <template v-if="kind === 'cross-gable'">
            <FieldLengthField
              label="Wing, width"
              :mm="sizes.wingWidthMm"
              :units="units"
              :commit="take('wingWidthMm')"
            />
            <FieldLengthField
              label="Wing stands out"
              :mm="sizes.wingOutMm"
              :units="units"
              :commit="take('wingOutMm')"
            />
            <FieldLengthField
              label="Wing’s middle"
              hint="from the front’s left end"
              :mm="sizes.wingAtMm"
              :units="units"
              :commit="take('wingAtMm')"
            />
            <FieldTypedField
              label="Pitch of the wing"
              :shown="formatPitch(sizes.wingPitchDeg, units)"
              :commit="takePitch('wingPitchDeg')"
            />
          </template>
          <FieldTypedField
            label="The front faces"
            hint="degrees from north"
            :shown="formatDirection(sizes.azimuthDeg)"
            :commit="takeAzimuth"
          />
        </div>
        <div>
          <PlannerRoofPlan
            v-if="drawn.length"
            :faces="drawn"
            :site="job.site"
            :current="drawn[0]!.id"
          />
          <p
            v-if="!faces.ok"
            role="alert"
            class="text-[15px] font-medium text-brick-600"
          >
            {{ faces.problem }}
          </p>
          <p
            v-else
            class="text-sm text-muted"
          >
            {{ drawn.length }} {{ drawn.length === 1 ? 'face' : 'faces' }}. Parts, covering and timber are taken over from {{ face.name }}.
          </p>
        </div>
      </div>
      <UCheckbox
        v-model="replace"
        class="mt-4"
        color="neutral"
        :label="`Instead of the ${job.faces.length === 1 ? 'face' : `${job.faces.length} faces`} there now (undo brings ${job.faces.length === 1 ? 'it' : 'them'} back)`"
      />
      <p
        v-if="problem"
        role="alert"
        class="mt-2 text-sm font-medium text-brick-600"
      >
        {{ problem }}
      </p>
      <UButton
        class="mt-4"
        label="Make these faces"
        :disabled="!faces.ok"
        @click="make"
      />
    </template>
  </UModal>
</template>
