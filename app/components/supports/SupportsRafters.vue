<script setup lang="ts">
import type { RafterLayout, RafterSupports, Timber } from '#core/job'
import { placeAlong, readingAlong } from '#core/roof'
import { BAND_HOLDS, timberBands } from '#core/supports'

/** Rafters: how they are known, the hit log, what it says, and each with how sure one is of it. */
const { supports } = defineProps<{ supports: RafterSupports }>()
const { face, facePlan, units, holds, select, commit, isAssumed } = useFace()
const set = (values: Partial<Omit<RafterSupports, 'kind' | 'found' | 'hits'>>) => commit({ type: 'set-rafters', faceId: face.value.id, values })
const rafters = computed(() => facePlan.value.supports.rafters)
const proved = computed(() => rafters.value.filter(rafter => rafter.state === 'proved').length)
const layouts: { value: RafterLayout, label: string }[] = [
  { value: 'nominal', label: 'A typed spacing' }, { value: 'fitted', label: 'The hit log, as a regular row' }, { value: 'irregular', label: 'The hit log, each by itself' },
]
const timberChoices: { value: Timber, label: string }[] = [
  { value: 'truss', label: 'Trusses' },
  { value: 'sawn', label: 'Sawn rafters' },
  { value: 'old', label: 'Old or hewn rafters' },
]
const nominal = computed(() => supports.layout === 'nominal')

/** Readings are typed from the datum corner; the job keeps places from the left rake. An emptied field forgets the find. */
const move = (rafter: number, readingMm: number | null) => commit({
  type: 'move-rafter', faceId: face.value.id, rafter, centreMm: readingMm === null ? null : placeAlong(face.value, readingMm),
})
const ordered = computed(() => face.value.datum === 'left' ? rafters.value : [...rafters.value].reverse())
/** How wide the band of each is at the eave, in pieces where spacings rival. */
const bands = computed(() => {
  const { supports: known, shape } = facePlan.value
  return new Map(timberBands(known.rafters, known.fit, !nominal.value, shape.up).map(({ rafter, pieces }) => [rafter, pieces.filter(({ ring }) => ring[0]!.y === shape.up.fromMm).map(({ ring }) => ring[1]!.x - ring[0]!.x)]))
})
const bandOf = (rafter: number) => bands.value.get(rafter) ?? []
const stateWords = { proved: 'proved', inferred: 'inferred', guessed: 'guessed' }
</script>

<template>
  <FieldChoiceField
    label="Known by"
    :value="supports.layout"
    :choices="layouts"
    @choose="set({ layout: $event })"
  />
  <SupportsHitLog :supports="supports" />
  <SupportsFitSummary />
  <SupportsProbes />
  <h2 class="slip-title mt-5">
    Timber
  </h2>
  <FieldChoiceField
    label="Kind"
    :value="supports.timber"
    :choices="timberChoices"
    @choose="set({ timber: $event })"
  />
  <FieldLengthField
    label="Timber width"
    :mm="supports.widthMm"
    :units="units"
    :commit="mm => set({ widthMm: mm! })"
  />
  <template v-if="nominal">
    <FieldLengthField
      label="First centre"
      hint="Rafter 1, from the left end"
      :mm="supports.firstCentreMm"
      :units="units"
      :commit="mm => set({ firstCentreMm: mm! })"
    />
  </template>
  <FieldLengthField
    v-if="supports.layout !== 'irregular'"
    label="Spacing"
    :assumed="isAssumed('supports')"
    :hint="nominal ? 'Centre to centre' : 'what it was built to, if known'"
    :mm="supports.spacingMm"
    :units="units"
    :commit="mm => set({ spacingMm: mm! })"
  />
  <SupportsSpacingRange
    v-if="supports.layout !== 'irregular'"
    :supports="supports"
    @set="set({ spacings: $event })"
  />
  <h2 class="slip-title mt-5">
    Rafter by rafter
  </h2>
  <p class="mb-1 text-sm text-muted">
    {{ proved }} of {{ rafters.length }} proved.
    <template v-if="nominal">
      Type the reading from the {{ face.datum }} end where a rafter was found; empty the field to go back to the spacing.
    </template>
    <template v-else>
      At the eave.
    </template>
    The brown band on each holds its centre {{ Math.round(100 * BAND_HOLDS) }} times in 100; pale pieces are where rival spacings have it.
  </p>
  <template v-if="nominal">
    <div
      v-for="rafter in ordered"
      :key="rafter.number"
      :class="holds({ kind: 'rafter', number: rafter.number }) ? 'bg-chalk-50' : ''"
      @focusin="select({ kind: 'rafter', number: rafter.number })"
    >
      <FieldLengthField
        :label="`Rafter ${rafter.number}`"
        :hint="rafter.state === 'proved' ? 'found' : 'by spacing only'"
        :mm="readingAlong(face, rafter.centreMm)"
        :units="units"
        optional
        :commit="mm => move(rafter.number, mm)"
      />
    </div>
  </template>
  <ul v-else>
    <li
      v-for="rafter in ordered"
      :key="rafter.number"
    >
      <button
        type="button"
        class="flex w-full items-baseline justify-between gap-2 border-b border-dotted border-graphite-300 py-1.5 text-left text-[15px] hover:bg-chalk-50"
        :class="holds({ kind: 'rafter', number: rafter.number }) ? 'bg-chalk-50' : ''"
        @click="select({ kind: 'rafter', number: rafter.number })"
      >
        <span>Rafter {{ rafter.number }} <span class="text-[13px] text-muted">{{ stateWords[rafter.state] }}</span></span>
        <span class="font-semibold whitespace-nowrap"><FieldLengthText
          :mm="readingAlong(face, rafter.centreMm)"
          :units="units"
        /> <span class="text-[13px] font-normal text-muted"><template v-if="bandOf(rafter.number).length === 1">± <FieldLengthText
          :mm="bandOf(rafter.number)[0]! / 2"
          :units="units"
        /></template><template v-else>or {{ bandOf(rafter.number).length - 1 }} other {{ bandOf(rafter.number).length === 2 ? 'place' : 'places' }}</template></span></span>
      </button>
    </li>
  </ul>
</template>
