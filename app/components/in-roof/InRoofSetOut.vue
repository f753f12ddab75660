<script setup lang="ts">
import { fireClassNames, wayUpNames, waysUp } from '#core/catalogue'
import { plainRow, type ArrayRules, type FlashSchool, type InRoofFacts, type InRoofWork } from '#core/job'
import { approvalOf, workNames } from '#core/inroof'
import { done, type Outcome, refused } from '#core/outcome'
import { placeUp, readingAlong, readingUp } from '#core/roof'
import { plural } from '#core/trade'

/** Where an in-roof array stands: its system, its module, ways up, rows, and an origin that is found or typed. */
const { job, face, facePlan, catalogue, units, commit, holds, select } = useFace()
const facts = computed(() => face.value.inRoof!)
const within = computed(() => facePlan.value.inRoof)
const array = computed(() => face.value.array)
const set = (values: Partial<Omit<InRoofFacts, 'tasks'>>) => commit(inRoofEdit(face.value.id, values))
const setArray = (values: Partial<Omit<ArrayRules, 'rows'>>) => commit(arrayEdit(face.value.id, values))
/** What was tested with the system first. */
const moduleChoices = computed(() => {
  const tested = (id: string) => approvalOf(catalogue.value, id, facts.value.systemId) !== null
  return catalogue.value.modules.filter(one => !one.retired || one.id === array.value.moduleId).map(one => ({ value: one.id, label: tested(one.id) ? one.name : `${one.name}, not tested with it`, tested: tested(one.id) })).sort((a, b) => Number(b.tested) - Number(a.tested))
})
const works = (Object.entries(workNames) as [InRoofWork, string][]).map(([value, label]) => ({ value, label }))
const schools: { value: FlashSchool, label: string }[] = [{ value: 'module', label: 'Module by module' }, { value: 'row', label: 'Slid in after the row' }]
const ways = waysUp.map(value => ({ value, label: wayUpNames[value] }))
const rows = computed(() => facePlan.value.rows.rows)
const changes = computed(() => [{ value: '-', label: 'One way up' }, ...Array.from({ length: 5 }, (_, i) => ({ value: String(i + 2), label: `The other way from row ${i + 2} up` }))])
function takeWanted(text: string) {
  const wanted = parseWanted(text)
  return wanted.ok ? commit({ type: 'set-job', values: { wanted: wanted.value } }) : wanted
}
function takeRows(text: string): Outcome<unknown> {
  if (!text.trim()) return array.value.rowCount === null ? done(true) : setArray({ rowCount: null })
  const n = Number(text.trim())
  return Number.isInteger(n) && n >= 0 && n <= 20 ? setArray({ rowCount: n }) : refused('Type a whole number from 0 to 20, or nothing for as many as fit.')
}
/** Left edge of the first column; from the right datum it reads as the array's far side would, so it is the same place on the other tape. */
const leftMm = computed(() => facts.value.leftMm ?? (rows.value.length ? Math.min(...rows.value.filter(row => row.count && row.orientation === rows.value[0]!.orientation).map(row => row.leftMm)) : null))
const bottomMm = computed(() => facts.value.bottomMm ?? rows.value[0]?.bottomMm ?? null)
const placeAlong = (mm: number) => face.value.datum === 'left' ? mm - readingAlong(face.value, 0) : readingAlong(face.value, 0) - mm
const ruleOf = (row: number) => array.value.rows[row] ?? plainRow
/** Places of a row from the left, those left empty among them. */
const placesOf = (index: number) => {
  const { skip } = ruleOf(index)
  const count = rows.value[index]!.count + skip.length
  return Array.from({ length: count }, (_, i) => ({ place: i + 1, empty: skip.includes(i + 1) }))
}
const toggle = (index: number, place: number) => {
  const { skip } = ruleOf(index)
  return commit(rowEdit(face.value.id, index, { skip: skip.includes(place) ? skip.filter(one => one !== place) : [...skip, place].sort((a, b) => a - b) }))
}
/** What is shown of the number of modules. */
const standsAs = computed(() => {
  const { as, proved } = within.value!.proof
  if (as === 'typed') return 'The origin was typed.'
  if (as === 'wanted') return 'As many as are wanted here.'
  if (as === 'emptied') return 'Places were left empty.'
  const rowsAsked = array.value.rowCount === null ? '' : ` in ${plural(array.value.rowCount, 'row')}`
  return proved ? `Proved: no height on whole millimetres and no place along it holds more${rowsAsked}.` : 'More is not excluded: not every origin was tried.'
})
const shownRows = computed(() => [...rows.value].reverse())
</script>

<template>
  <InRoofTake />
  <FieldChoiceField
    label="Module"
    :value="array.moduleId"
    :choices="moduleChoices"
    @choose="setArray({ moduleId: $event })"
  />
  <p
    v-if="within"
    class="mb-2 text-sm leading-snug"
    :class="within.approval ? 'text-muted' : 'border-l-4 border-brick-500 pl-3'"
  >
    {{ within.approval ? `Tested together: ${within.approval.test}, ${fireClassNames[within.approval.fireClass]}, ${within.approval.on}.` : 'Not tested with this system, as far as the shelf says.' }}
  </p>
  <FieldTypedField
    label="Modules wanted"
    hint="on the whole roof; empty for as many as fit"
    :shown="job.wanted === null ? '' : String(job.wanted)"
    :commit="takeWanted"
  />
  <FieldTypedField
    label="Rows"
    :hint="`empty for as many as fit; ${within?.system.mostRows ?? ''} at most`"
    :shown="array.rowCount === null ? '' : String(array.rowCount)"
    :commit="takeRows"
  />
  <FieldChoiceField
    label="Modules lie"
    :value="array.orientation"
    :choices="ways"
    @choose="setArray({ orientation: $event })"
  />
  <FieldChoiceField
    label="Ways up"
    :value="facts.changeAtRow === null ? '-' : String(facts.changeAtRow)"
    :choices="changes"
    @choose="set({ changeAtRow: $event === '-' ? null : Number($event) })"
  />
  <FieldChoiceField
    label="Work"
    :value="facts.work"
    :choices="works"
    @choose="set({ work: $event })"
  />
  <FieldChoiceField
    label="Flashed"
    :value="facts.school"
    :choices="schools"
    @choose="set({ school: $event })"
  />
  <h2 class="slip-title mt-4">
    Origin
  </h2>
  <FieldLengthField
    label="Lower edge"
    :hint="facts.bottomMm === null ? 'found; up the slope from the datum' : 'typed; empty to have it found'"
    :mm="bottomMm === null ? null : readingUp(face, bottomMm)"
    :units="units"
    optional
    :commit="mm => set({ bottomMm: mm === null ? null : placeUp(face, mm) })"
  />
  <FieldLengthField
    label="Left edge"
    :hint="facts.leftMm === null ? 'found; along the eave from the datum' : 'typed; empty to have it found'"
    :mm="leftMm === null ? null : readingAlong(face, leftMm)"
    :units="units"
    optional
    :commit="mm => set({ leftMm: mm === null ? null : placeAlong(mm) })"
  />
  <dl
    v-if="within?.parts.length"
    class="mt-2"
  >
    <SlipLine
      label="Modules"
      working="Modules by the set-out"
    >
      {{ facePlan.modules }}
    </SlipLine>
    <SlipLine
      v-if="within.tiles"
      label="Units saved"
      working="Units saved"
    >
      {{ within.tiles.saved }}
    </SlipLine>
    <SlipLine
      v-if="within.tiles"
      label="Cut beside it"
    >
      {{ within.tiles.cut }}{{ within.tiles.slivers ? `, ${within.tiles.slivers} under half` : ', none under half' }}
    </SlipLine>
  </dl>
  <p
    v-if="within?.parts.length"
    class="mt-1 text-sm leading-snug text-muted"
  >
    {{ standsAs }}
  </p>
  <section
    v-for="row in shownRows"
    :key="row.index"
    class="mt-1 border-l-4 py-1 pl-2"
    :class="holds({ kind: 'row', index: row.index }) ? 'border-chalk-500 bg-chalk-50' : 'border-graphite-200'"
    :aria-label="`Row ${row.index + 1}`"
    @click="select({ kind: 'row', index: row.index })"
  >
    <div class="flex items-center justify-between gap-2">
      <span class="font-semibold whitespace-nowrap">Row {{ row.index + 1 }}</span>
      <span class="mr-auto text-sm text-muted">{{ wayUpNames[row.orientation].toLowerCase() }}</span>
      <span class="font-semibold">{{ row.count }}</span>
    </div>
    <div
      v-if="holds({ kind: 'row', index: row.index })"
      class="flex flex-wrap items-center gap-1 py-1.5"
      role="group"
      :aria-label="`Places of row ${row.index + 1}, from the left: press to leave one empty`"
    >
      <button
        v-for="one in placesOf(row.index)"
        :key="one.place"
        type="button"
        class="min-w-8 border px-1 py-0.5 text-sm"
        :class="one.empty ? 'border-dashed border-graphite-400 text-muted' : 'border-graphite-900 bg-graphite-100'"
        :aria-pressed="!one.empty"
        :aria-label="`Place ${one.place}${one.empty ? ', left empty' : ''}`"
        @click.stop="toggle(row.index, one.place)"
      >
        {{ one.place }}
      </button>
      <span class="text-[13px] text-muted">press to leave empty</span>
    </div>
  </section>
</template>
