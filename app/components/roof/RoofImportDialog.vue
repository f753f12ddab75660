<script setup lang="ts">
import { type Outcome, refused } from '#core/outcome'
import { facesFromGeoJson, MOST_FILE_BYTES, outlineFromCsv, outlinesFromDxf } from '#core/roof/import'
import type { LaidFace } from '#core/roof'
import type { Face, Outline } from '#core/job'

/** Faces from a file: a footprint in GeoJSON, closed polylines in DXF, or a table of readings in CSV. */
const open = defineModel<boolean>('open', { required: true })
const { job, face, units, commit, chooseFace } = useFace()
const problem = ref('')
const read = shallowRef<{ file: string, faces: Face[] } | null>(null)
const replace = ref(false)

/** A face in its own plane, as DXF and CSV give it, lies where this one does until somebody says where. */
const beside = (outline: Outline, name: string): Face => faceLike(face.value, { name, pitchDeg: face.value.pitchDeg, outline, place: face.value.place }, units.value)

function facesOf(name: string, text: string): Outcome<Face[]> {
  const kind = name.split('.').at(-1)?.toLowerCase()
  const title = name.replace(/\.[^.]*$/, '').slice(0, 60) || 'Face'
  switch (kind) {
    case 'geojson':
    case 'json': return mapped(facesFromGeoJson(text), (laid: LaidFace[]) => laid.map(one => faceLike(face.value, one, units.value)))
    case 'dxf': return mapped(outlinesFromDxf(text, units.value === 'imperial' ? 25.4 : 1), found => found.map(one => beside(one.outline, one.name)))
    case 'csv':
    case 'txt': return mapped(outlineFromCsv(text, units.value), outline => [beside(outline, title)])
    default: return refused(`“${name}” is not a kind of file that can be read here. Choose GeoJSON (.geojson), DXF (.dxf) or a table of readings (.csv).`)
  }
}
const mapped = <A, B>(outcome: Outcome<A>, change: (value: A) => B): Outcome<B> => outcome.ok ? { ok: true, value: change(outcome.value) } : outcome

async function choose(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  read.value = null
  problem.value = ''
  if (!file) return
  if (file.size > MOST_FILE_BYTES) {
    problem.value = `This file has ${(file.size / 1e6).toFixed(0)} MB; a survey has ${MOST_FILE_BYTES / 1e6} MB at most. Save only the roof’s outlines.`
    return
  }
  const faces = facesOf(file.name, await file.text())
  if (faces.ok) read.value = { file: file.name, faces: faces.value }
  else problem.value = faces.problem
}
async function take() {
  const faces = read.value!.faces
  const outcome = commit(facesEdit(job.value.faces, faces, replace.value))
  problem.value = outcome.ok ? '' : outcome.problem
  if (!outcome.ok) return
  open.value = false
  read.value = null
  await chooseFace(faces[0]!.id)
}
const inputId = useId()
</script>

<template>
  <UModal
    v-model:open="open"
    title="Faces from a file"
    description="GeoJSON: a polygon a face in longitude and latitude, each with its pitch. DXF: a closed polyline a face, eave at the bottom. CSV: a corner a line, along and up."
  >
    <template #body>
      <label
        :for="inputId"
        class="mb-1 block text-[15px] font-semibold"
      >File</label>
      <input
        :id="inputId"
        type="file"
        accept=".geojson,.json,.dxf,.csv,.txt"
        class="block w-full text-[15px] file:mr-3 file:cursor-pointer file:border file:border-graphite-400 file:bg-paper file:px-3 file:py-1.5 file:font-semibold"
        @change="choose"
      >
      <p
        v-if="problem"
        role="alert"
        class="mt-3 border-l-4 border-brick-500 py-1 pl-3 text-[15px]"
      >
        {{ problem }}
      </p>
      <template v-if="read">
        <PlannerRoofPlan
          :faces="read.faces"
          :site="job.site"
          :current="read.faces[0]!.id"
        />
        <p class="text-[15px]">
          {{ read.faces.length }} {{ read.faces.length === 1 ? 'face' : 'faces' }}: {{ read.faces.map(one => one.name).join(', ') }}. What each edge is was guessed where the file does not say; look it over under Shape.
        </p>
        <UCheckbox
          v-model="replace"
          class="mt-3"
          color="neutral"
          label="Instead of the faces there now (undo brings them back)"
        />
        <UButton
          class="mt-3"
          :label="read.faces.length === 1 ? 'Take this face' : 'Take these faces'"
          @click="take"
        />
      </template>
    </template>
  </UModal>
</template>
