<script setup lang="ts">
import { isEqual } from 'es-toolkit'
import { coveringKinds, type CoveringKind, type Profile, profileNames } from '#core/catalogue'
import { columnsOf, coursesOf, coveringNames, laidOnBattens, slateGaugeMm, unitsPerM2, usualCovering } from '#core/coverings'
import type { Covering } from '#core/job'
import type { Outcome } from '#core/outcome'

/** What covers the face, each kind with its own measures. */
const { face, facePlan, units, commit, isAssumed } = useFace()
const covering = computed(() => face.value.covering)
const choices = coveringKinds.map(value => ({ value, label: coveringNames[value] }))
const put = (next: Covering): Outcome<unknown> => commit(faceEdit(face.value.id, { covering: next }))
const choose = (kind: CoveringKind) => kind === covering.value.kind || put(usualCovering(kind, units.value === 'imperial'))

/** The lengths that each kind is measured by, with what they are called. */
const names: Record<string, [label: string, hint?: string]> = {
  exposureMm: [
    'Exposure',
    'Height of a course that shows',
  ], tabMm: ['Tab', 'Width of one; empty where a course runs through'], gaugeMm: ['Gauge', 'Height of a course that shows'], lengthMm: ['Length', 'of a whole unit'], lapMm: ['Lap', 'over the next but one below'],
  coverWidthMm: ['Cover width', 'of one unit'], ribMm: ['Ribs apart'], firstCourseMm: ['First course', 'Its lower edge, up from the eave'], firstColumnMm: [
    'First column',
    'Its left edge, from the eave’s left end',
  ],
  battenMm: ['Batten', 'Its height up the slope'], battenDeepMm: ['Batten’s depth'],
}
const lengths = computed(() => Object.keys(names).filter(key => key in covering.value).map(key => ({
  key,
  label: names[key]![0],
  hint: names[key]![1],
  mm: (covering.value as unknown as Record<string, number | null>)[key]!,
})))
const set = (key: string, mm: number | null) => put({ ...covering.value, [key]: mm } as Covering)
const { setChoices, together, taken, takeSet, coverings } = usePartChoices()
/** Sizes as they are sold; where courses and columns begin stays as it was taped. */
const takeSizes = (id: string) => put({ ...covering.value, ...coverings.value.find(one => one.id === id)!.size } as Covering)
const asSold = computed(() => coverings.value.find(({ size }) => Object.entries(size).every(([key, value]) => isEqual((covering.value as Record<string, unknown>)[key], value)))?.id ?? '')
const profileChoices = computed(() => (covering.value.kind === 'standing-seam' ? ['double-lock', 'snap-lock', 'bulb'] : ['pan', 'shake', 'slate-like']).map(value => ({ value: value as Profile, label: profileNames[value as Profile] })))
const courses = computed(() => coursesOf(covering.value))
const columns = computed(() => columnsOf(covering.value))
const SQUARE_FEET_PER_M2 = 1 / 0.3048 ** 2
const perArea = computed(() => {
  if (!courses.value || !columns.value) return ''
  const perM2 = unitsPerM2(courses.value.gaugeMm, columns.value.widthMm)
  return units.value === 'imperial' ? `${(perM2 / SQUARE_FEET_PER_M2 * 100).toFixed(0)} in 100 sq ft` : `${perM2.toFixed(1)} a m²`
})
</script>

<template>
  <FieldChoiceField
    label="Covering"
    :assumed="isAssumed('covering')"
    :value="covering.kind"
    :choices="choices"
    @choose="choose"
  />
  <FieldChoiceField
    v-if="coverings.length"
    label="As sold"
    :value="asSold"
    placeholder="By its measures on this roof"
    :choices="coverings.map(one => ({ value: one.id, label: one.name }))"
    @choose="takeSizes"
  />
  <FieldChoiceField
    v-if="setChoices.length"
    label="Set that goes through it"
    :value="taken"
    :placeholder="together ? 'Parts chosen one by one' : 'Choose one: the parts chosen do not do'"
    :choices="setChoices"
    @choose="takeSet"
  />
  <p
    v-else
    class="my-1 border-l-4 border-amber-500 py-0.5 pl-3 text-sm"
  >
    No rail, mount and clamps on the shelf go together through this covering under {{ facePlan.parts.module.name }}. <NuxtLink
      to="/shelf/sets"
      class="underline underline-offset-2"
    >Put them on the shelf</NuxtLink>.
  </p>
  <FieldLengthField
    v-for="one in lengths"
    :key="one.key"
    :label="one.label"
    :hint="one.hint"
    :mm="one.mm"
    :units="units"
    :optional="one.key === 'tabMm'"
    :commit="mm => set(one.key, mm)"
  />
  <SurveyCoursesRead v-if="'coursesRead' in covering" />
  <template v-if="covering.kind === 'interlocking-tile'">
    <FieldLengthField
      label="Pan from"
      hint="where a hook may leave, from the tile’s left edge"
      :mm="covering.pan.fromMm"
      :units="units"
      :commit="mm => covering.kind === 'interlocking-tile' ? put({ ...covering, pan: { ...covering.pan, fromMm: mm! } }) : { ok: true, value: true }"
    />
    <FieldLengthField
      label="Pan to"
      :mm="covering.pan.toMm"
      :units="units"
      :commit="mm => covering.kind === 'interlocking-tile' ? put({ ...covering, pan: { ...covering.pan, toMm: mm! } }) : { ok: true, value: true }"
    />
  </template>
  <FieldChoiceField
    v-if="covering.kind === 'slate'"
    label="Nailed"
    :value="covering.nailing"
    :choices="[{ label: 'Centre-nailed', value: 'centre' }, { label: 'Head-nailed', value: 'head' }]"
    @choose="covering.kind === 'slate' && put({ ...covering, nailing: $event })"
  />
  <FieldYesNoField
    v-if="covering.kind === 'slate'"
    label="Slates"
    :value="covering.mayCut"
    yes="Natural, may be cut"
    no="Must not be cut: asbestos cement, or nobody can tell"
    @choose="covering.kind === 'slate' && put({ ...covering, mayCut: $event })"
  />
  <FieldChoiceField
    v-if="covering.kind === 'standing-seam' || covering.kind === 'pressed-metal-tile'"
    :label="covering.kind === 'standing-seam' ? 'Seam' : 'Tile'"
    :value="covering.profile"
    :choices="profileChoices"
    @choose="put({ ...covering, profile: $event } as Covering)"
  />
  <SlipAllFaces
    what="covering and parts"
    covering
    :array="['railId', 'mountId', 'clampsId', 'supplyIds', 'closureId']"
  />
  <dl class="mt-2">
    <SlipLine
      v-if="covering.kind === 'slate'"
      label="Gauge"
      working="Gauge of the covering"
    >
      <FieldLengthText
        :mm="slateGaugeMm(covering.lengthMm, covering.lapMm, covering.nailing)"
        :units="units"
      />
    </SlipLine>
    <SlipLine
      v-if="courses"
      label="Courses to the top"
      working="Courses to the top"
    >
      {{ facePlan.courses.length }}
    </SlipLine>
    <SlipLine
      v-if="laidOnBattens(covering)"
      label="Battens"
    >
      one to a course
    </SlipLine>
    <SlipLine
      v-if="perArea"
      label="Units"
      working="Units by area"
    >
      {{ perArea }}
    </SlipLine>
  </dl>
  <p
    v-if="covering.kind === 'pressed-metal-tile'"
    class="mt-3 text-sm text-muted"
  >
    Thin metal dents unless one steps on the right part of it: cut a walkway of half-inch ply first.
  </p>
  <p
    v-if="covering.kind === 'slate' || covering.kind === 'plain-tile'"
    class="mt-3 text-sm text-muted"
  >
    Courses may shorten up an old roof: check the gauge again near the top.
  </p>
</template>
