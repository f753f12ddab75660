<script setup lang="ts">
import { v4 as newId } from 'uuid'
import { type FacePlace, factKey, starterFace } from '#core/job'
import { type Outcome, refused } from '#core/outcome'
import { formatDirection, parseDirection, windName } from '#core/units'

/** The whole roof: its faces from above, where this one lies, and ways to get more of them. */
const { job, face, units, commit, chooseFace, isAssumed } = useFace()
/** One reading of where it lies: the others stay assumed until they are read too. */
const setPlace = (values: Partial<FacePlace>) => commit({ type: 'batch', edits: [
  { type: 'set-face', faceId: face.value.id, values: { place: { ...face.value.place, ...values } } },
  { type: 'set-assumed', keys: (['azimuthDeg', 'eaveHeightMm'] as const).filter(key => key in values).map(key => factKey(face.value.id, `place/${key}`)), assumed: false },
] })

function setAzimuth(text: string): Outcome<unknown> {
  const direction = parseDirection(text)
  return direction.ok ? setPlace({ azimuthDeg: direction.value }) : direction
}
function setStoreys(text: string): Outcome<unknown> {
  const storeys = Number(text.trim())
  return Number.isInteger(storeys) ? setPlace({ storeys }) : refused('Type whole storeys, such as 2.')
}
const problem = ref('')
const tell = (outcome: Outcome<unknown>) => problem.value = outcome.ok ? '' : outcome.problem

/** A bare face beside the others, with this one's parts and covering. */
function add() {
  const id = newId().slice(0, 8)
  const { moduleId, railId, mountId, clampsId, supplyIds } = face.value.array
  const made = {
    ...starterFace(id, `Face ${job.value.faces.length + 1}`, units.value, { moduleId, railId, mountId, clampsId, supplyIds }),
    covering: face.value.covering,
    supports: bareSupports(face.value.supports),
  }
  const east = Math.max(...job.value.faces.map(one => one.place.eastMm)) + 14_000
  const placed = { ...made, place: { ...face.value.place, eastMm: east } }
  // Its sizes are usual ones until the tape has been there.
  const outcome = commit({ type: 'batch', edits: [
    { type: 'add-face', at: job.value.faces.length, face: placed },
    ...doubtsOf(job.value, face.value, [placed], ['outline/eaveLengthMm', 'outline/slopeLengthMm', 'pitchDeg', 'place/azimuthDeg']),
  ] })
  tell(outcome)
  if (outcome.ok) void chooseFace(id)
}
async function remove() {
  const at = job.value.faces.findIndex(one => one.id === face.value.id)
  const next = job.value.faces[at === 0 ? 1 : at - 1]
  const id = face.value.id
  if (next) await chooseFace(next.id)
  tell(commit({ type: 'remove-face', faceId: id }))
}
const asksForm = ref(false)
const formAsked = useOpened(asksForm)
const asksFile = ref(false)
const fileAsked = useOpened(asksFile)
</script>

<template>
  <PlannerRoofPlan
    :faces="job.faces"
    :site="job.site"
    :current="face.id"
    @pick="chooseFace"
  />
  <ul class="mb-2">
    <li
      v-for="one in job.faces"
      :key="one.id"
    >
      <button
        type="button"
        class="flex w-full items-baseline justify-between border-b border-dotted border-graphite-300 py-1 text-left text-[15px] hover:bg-chalk-50"
        :class="one.id === face.id ? 'font-semibold' : ''"
        :aria-current="one.id === face.id ? 'true' : undefined"
        @click="chooseFace(one.id)"
      >
        <span>{{ one.name }}</span>
        <span class="text-[13px] font-normal text-muted">faces {{ windName(one.place.azimuthDeg) }}</span>
      </button>
    </li>
  </ul>
  <div class="flex flex-wrap gap-1">
    <UButton
      size="xs"
      color="neutral"
      variant="outline"
      label="Common roof…"
      @click="asksForm = true"
    />
    <UButton
      size="xs"
      color="neutral"
      variant="outline"
      label="From a file…"
      @click="asksFile = true"
    />
    <UButton
      size="xs"
      color="neutral"
      variant="outline"
      label="Add a face"
      @click="add"
    />
    <UButton
      size="xs"
      color="neutral"
      variant="ghost"
      :label="`Remove ${face.name}`"
      :disabled="job.faces.length < 2"
      @click="remove"
    />
  </div>
  <p
    v-if="problem"
    role="alert"
    class="mt-1 text-sm font-medium text-brick-600"
  >
    {{ problem }}
  </p>
  <h2 class="slip-title mt-4">
    Where {{ face.name }} lies
  </h2>
  <FieldTypedField
    label="Faces"
    :hint="`${windName(face.place.azimuthDeg)}; degrees from north`"
    :shown="formatDirection(face.place.azimuthDeg)"
    :assumed="isAssumed('place/azimuthDeg')"
    :commit="setAzimuth"
  />
  <FieldMeasureField
    label="Yields beside the best"
    hint="a weight for energy, 100 % for the best face"
    :value="face.yieldShare"
    measure="share"
    :units="units"
    :commit="yieldShare => commit(faceEdit(face.id, { yieldShare: yieldShare! }))"
  />
  <FieldLengthField
    label="Eave above ground"
    :assumed="isAssumed('place/eaveHeightMm')"
    :mm="face.place.eaveHeightMm"
    :units="units"
    :commit="mm => setPlace({ eaveHeightMm: mm! })"
  />
  <FieldTypedField
    label="Storeys below"
    :shown="String(face.place.storeys)"
    :commit="setStoreys"
  />
  <FieldLengthField
    label="Eave’s left end, east"
    hint="in plan, from the job’s origin"
    :mm="face.place.eastMm"
    :units="units"
    :commit="mm => setPlace({ eastMm: mm! })"
  />
  <FieldLengthField
    label="Eave’s left end, north"
    :mm="face.place.northMm"
    :units="units"
    :commit="mm => setPlace({ northMm: mm! })"
  />
  <LazyRoofFormDialog
    v-if="formAsked"
    v-model:open="asksForm"
  />
  <LazyRoofImportDialog
    v-if="fileAsked"
    v-model:open="asksFile"
  />
</template>
