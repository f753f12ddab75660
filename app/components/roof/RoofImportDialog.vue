<script setup lang="ts">
import { type Outcome, refused } from '#core/outcome'
import { type AsksUnit, drawingUnits, facesFromGeoJson, type Hole, MOST_FILE_BYTES, outlineFromCsv, outlinesFromDxf } from '#core/roof/import'
import type { Face, Outline } from '#core/job'
import { shapeOf } from '#core/roof'
import { formatLength } from '#core/units'

/** Faces from a file: a footprint in GeoJSON, closed polylines in DXF, or a table of readings in CSV. What a file does not say is asked, what is lost is said. */
const open = defineModel<boolean>('open', { required: true })
const { job, face, units, commit, chooseFace } = useFace()
const problem = ref('')
interface Found { face: Face, holes: Hole[] }
const read = shallowRef<{ faces: Found[], said: string[] } | null>(null)
/** A footprint that does not say which way it faces: how many edges it has, and which of them is the eave. */
const footprint = shallowRef<{ text: string, sides: number, eaveEdge: number | null } | null>(null)
const asked = shallowRef<{ text: string, why: string } | null>(null)
const replace = ref(false)
const takeHoles = ref(true)
const holes = computed(() => read.value?.faces.reduce((sum, one) => sum + one.holes.length, 0) ?? 0)

/** A face in its own plane, as DXF and CSV give it, lies where this one does until somebody says where. */
const beside = (outline: Outline, name: string): Face => faceLike(face.value, { name, pitchDeg: face.value.pitchDeg, outline, place: face.value.place }, units.value)

type Answer = Outcome<{ faces: Found[], said: string[] }> | AsksUnit
const GUESSED = 'What each edge is was guessed where the file does not say; look it over under Shape.'

function drawingOf(text: string, unitMm: number | null): Answer {
  const found = outlinesFromDxf(text, unitMm)
  if ('asksUnit' in found || !found.ok) return found
  return { ok: true, value: { said: [...found.value.said, GUESSED], faces: found.value.faces.map(one => ({ face: beside(one.outline, one.name), holes: one.holes })) } }
}
function footprintOf(text: string, eaveEdge: number | null): Answer {
  const found = facesFromGeoJson(text, eaveEdge ?? 1)
  if (!found.ok) return found
  footprint.value = found.value.sides ? { text, sides: found.value.sides, eaveEdge } : null
  return {
    ok: true,
    value: { said: [...found.value.said, GUESSED], faces: found.value.faces.map(({ holes, ...laid }) => ({ face: faceLike(face.value, laid, units.value), holes })) },
  }
}
function facesOf(name: string, text: string): Answer {
  const kind = name.split('.').at(-1)?.toLowerCase()
  const title = name.replace(/\.[^.]*$/, '').slice(0, 60) || 'Face'
  switch (kind) {
    case 'geojson':
    case 'json': return footprintOf(text, null)
    case 'dxf': return drawingOf(text, null)
    case 'csv':
    case 'txt': {
      const found = outlineFromCsv(text, units.value)
      return found.ok ? { ok: true, value: { said: [GUESSED], faces: [{ face: beside(found.value, title), holes: [] }] } } : found
    }
    default: return refused(`“${name}” is not a kind of file that can be read here. Choose GeoJSON (.geojson), DXF (.dxf) or a table of readings (.csv).`)
  }
}
function show(answer: Answer, text: string) {
  read.value = null
  asked.value = null
  problem.value = ''
  if ('asksUnit' in answer) asked.value = { text, why: answer.why }
  else if (answer.ok) read.value = answer.value
  else problem.value = answer.problem
}

async function choose(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  read.value = null
  asked.value = null
  footprint.value = null
  problem.value = ''
  if (!file) return
  if (file.size > MOST_FILE_BYTES) {
    problem.value = `This file has ${(file.size / 1e6).toFixed(0)} MB; a survey has ${MOST_FILE_BYTES / 1e6} MB at most. Save only the roof’s outlines.`
    return
  }
  const text = await file.text()
  show(facesOf(file.name, text), text)
}
const said = (unitMm: number) => asked.value && show(drawingOf(asked.value.text, unitMm), asked.value.text)
const eaveIs = (edge: number) => footprint.value && show(footprintOf(footprint.value.text, edge), footprint.value.text)
async function take() {
  const faces = read.value!.faces.map(({ face: one, holes }): Face => takeHoles.value
    ? {
        ...one,
        obstructions: holes.map((hole, i) => ({ ...hole, id: `hole-${i + 1}`, kind: 'chimney', round: false, clearanceMm: 150 })),
      }
    : one)
  const outcome = commit(facesEdit(job.value, face.value, faces, replace.value))
  problem.value = outcome.ok ? '' : outcome.problem
  if (!outcome.ok) return
  open.value = false
  read.value = null
  await chooseFace(faces[0]!.id)
}
const unitAnswers = drawingUnits.map(({ name, mm }) => ({ label: name, value: mm }))
const edgeAnswers = (sides: number) => Array.from({ length: sides }, (_, i) => ({ label: `Edge ${i + 1}`, value: i + 1 }))
/** How large a face would be: what shows a wrong unit at once. */
function sizeOf({ outline }: Face): string {
  const { along, up } = shapeOf(outline)
  return `${formatLength(along.toMm - along.fromMm, units.value)} along, ${formatLength(up.toMm - up.fromMm, units.value)} up`
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
      <RoofImportAsk
        v-if="asked"
        label="Unit of the drawing"
        :question="asked.why"
        :answers="unitAnswers"
        @answer="said"
      />
      <template v-if="read">
        <PlannerRoofPlan
          :faces="read.faces.map(one => one.face)"
          :site="job.site"
          :current="read.faces[0]!.face.id"
        />
        <p class="text-[15px]">
          {{ read.faces.length }} {{ read.faces.length === 1 ? 'face' : 'faces' }}: {{ read.faces.map(one => `${one.face.name} (${sizeOf(one.face)})`).join(', ') }}.
        </p>
        <ul class="mt-1 list-disc pl-5 text-[15px]">
          <li
            v-for="sentence in read.said"
            :key="sentence"
          >
            {{ sentence }}
          </li>
        </ul>
        <RoofImportAsk
          v-if="footprint"
          label="The eave of the footprint"
          question="Which edge is the eave, counted as the file lists them? The arrow shows where the face then looks."
          :answers="edgeAnswers(footprint.sides)"
          :given="footprint.eaveEdge"
          @answer="eaveIs"
        />
        <UCheckbox
          v-if="holes"
          v-model="takeHoles"
          class="mt-3"
          color="neutral"
          :label="`Take ${holes === 1 ? 'the hole' : `the ${holes} holes`} as chimneys, with 150 mm round them (change each under Obstructions)`"
        />
        <UCheckbox
          v-model="replace"
          class="mt-3"
          color="neutral"
          label="Instead of the faces there now (undo brings them back)"
        />
        <UButton
          class="mt-3"
          :label="read.faces.length === 1 ? 'Take this face' : 'Take these faces'"
          :disabled="footprint !== null && footprint.eaveEdge === null"
          @click="take"
        />
      </template>
    </template>
  </UModal>
</template>
