<script setup lang="ts">
import { formatUse } from '#core/capacity'
import { fewestWords } from '#core/fixings'
import { checkTitle, checkWords } from '#core/strength'
import { endNames, fixedPoint, placeOfLine, placeRailEdit, type RailPlan, railWords, runTape, typedPlace } from '#core/rails'
import { otherTape, readingOn } from '#core/roof'
import { force, formatQuantity, formatShare } from '#core/units'

/** One rail, or one line of coupled frames: where it lies, its spans, and every fixing on it. */
const { rail } = defineProps<{ rail: RailPlan }>()
const { face, facePlan, units, select, commit } = useFace()
const index = computed(() => facePlan.value.rails.findIndex(one => one.id === rail.id))
const fixings = computed(() => facePlan.value.fixings.rails[index.value]!)
/** In the order of the tape, from the datum on. */
const fixingLines = computed(() => rail.way === 'up' || face.value.datum === 'left' ? fixings.value.fixings : [...fixings.value.fixings].reverse())
const use = computed(() => facePlan.value.uses[index.value] ?? null)
const dutyOf = (atMm: number) => use.value?.fixings.find(duty => duty.xMm === atMm) ?? null
const rows = computed(() => facePlan.value.rows.rows)
const placeMm = computed(() => typedPlace(rail, rows.value))
const zone = computed(() => placeMm.value === null
  ? null
  : [
      rail.zone.fromMm,
      rail.zone.toMm,
    ].map(mm => placeOfLine(rail, rows.value, mm)!).sort((a, b) => a - b) as [number, number])
const setPlace = (mm: number | null) => commit(placeRailEdit(face.value.id, rail, mm))
/** What pulls this rail down the slope, and the fixing that holds most of it. */
const slope = computed(() => {
  const duties = use.value?.fixings ?? []
  if (!duties.length) return null
  const most = duties.reduce((best, duty, i) => duty.slopeN > duties[best]!.slopeN ? i : best, 0)
  return { sumN: duties.reduce((sum, duty) => sum + duty.slopeN, 0), mostN: duties[most]!.slopeN, member: fixings.value.fixings[most]!.member }
})
const still = computed(() => {
  const found = fixedPoint(rail, fixings.value.fixings.map(fixing => fixing.atMm))
  return found && { member: fixings.value.fixings[found.fixing]!.member, moveMm: Math.max(...found.endsMoveMm) }
})
</script>

<template>
  <div class="flex items-start justify-between">
    <h2 class="slip-title">
      {{ facePlan.parts.rail.frame ? 'Line' : 'Rail' }} {{ rail.number }}, {{ railWords(rail) }}
    </h2>
    <UButton
      size="xs"
      color="neutral"
      variant="ghost"
      label="All rails"
      @click="select({ kind: 'rails' })"
    />
  </div>
  <FieldLengthField
    v-if="placeMm !== null"
    :label="rail.way === 'up' ? 'In from the modules’ side' : 'Above the row’s edge'"
    :hint="rail.typed ? 'typed; empty for by rule' : 'by rule'"
    :mm="placeMm"
    :units="units"
    optional
    :commit="setPlace"
  />
  <dl>
    <SlipLine
      :label="rail.way === 'up' ? 'Along the eave' : 'Up from the eave'"
      working="Line of the rail"
    >
      <FieldLengthText
        :mm="readingOn(face, otherTape(runTape(rail)), rail.lineMm)"
        :units="units"
      />
    </SlipLine>
    <SlipLine
      v-if="zone"
      label="Clamp zone"
      working="Line of the rail"
      :bad="!rail.inZone"
    >
      <FieldLengthText
        :mm="zone[0]"
        :units="units"
      /> to <FieldLengthText
        :mm="zone[1]"
        :units="units"
      />
    </SlipLine>
    <SlipLine
      :label="rail.holds ? 'Length, trimmed' : 'Length'"
      :working="`Length of rail ${rail.number}`"
    >
      <FieldLengthText
        :mm="rail.toMm - rail.fromMm"
        :units="units"
      />
    </SlipLine>
    <SlipLine
      label="Fixings"
      :working="`Fixings of rail ${rail.number}`"
    >
      {{ fixings.fixings.length }}{{ fewestWords(fixings) }}
    </SlipLine>
    <SlipLine
      v-if="use"
      label="Most used"
      :working="checkTitle(use.governs)"
      :bad="use.worst > 1.000001"
    >
      {{ formatUse(use.worst) }}, {{ checkWords[use.governs].name }}
    </SlipLine>
    <SlipLine
      label="Longest span"
      :working="facePlan.limits.spanWorking.what"
      :bad="fixings.longestSpanMm > facePlan.limits.maxSpanMm + 0.01"
    >
      <FieldLengthText
        :mm="fixings.longestSpanMm"
        :units="units"
      /> of <FieldLengthText
        :mm="facePlan.limits.maxSpanMm"
        :units="units"
      />
    </SlipLine>
    <SlipLine
      v-for="(mm, i) in [fixings.overhangStartMm, fixings.overhangEndMm]"
      :key="i"
      :label="`Overhang, ${endNames(rail)[i]} end`"
      :working="facePlan.limits.overhangWorking.what"
      :bad="mm > facePlan.limits.maxOverhangMm + 0.01"
    >
      <FieldLengthText
        :mm="mm"
        :units="units"
      /> of <FieldLengthText
        :mm="facePlan.limits.maxOverhangMm"
        :units="units"
      />
    </SlipLine>
    <SlipLine
      v-if="slope"
      label="Down the slope"
      :working="`Push down the slope on rail ${rail.number}`"
    >
      {{ formatQuantity(force(slope.sumN), units) }}, most on {{ slope.member }}: {{ formatQuantity(force(slope.mostN), units) }}
    </SlipLine>
    <SlipLine
      v-if="still && rail.holds"
      label="Fixed point"
      :working="`Growth of rail ${rail.number} in a year`"
    >
      {{ still.member }}; ends move <FieldLengthText
        :mm="still.moveMm"
        :units="units"
      /> in a year
    </SlipLine>
  </dl>
  <h2 class="slip-title mt-5">
    Fixing by fixing
  </h2>
  <ol>
    <li
      v-for="fixing in fixingLines"
      :key="fixing.atMm"
      class="border-b border-dotted border-graphite-300 py-1 text-[15px]"
    >
      <div class="flex items-baseline justify-between gap-2">
        <span>{{ fixing.member[0]!.toUpperCase() }}{{ fixing.member.slice(1) }}
          <span
            class="text-[13px]"
            :class="fixing.state === 'guessed' ? 'font-semibold text-amber-600' : 'text-muted'"
          >{{ fixing.state }}<template v-if="fixing.chance < 0.995">, <span class="whitespace-nowrap">sound timber {{ formatShare(fixing.chance) }}</span></template></span></span>
        <b><FieldLengthText
          :mm="readingOn(face, runTape(rail), fixing.atMm)"
          :units="units"
        /></b>
      </div>
      <div
        v-if="dutyOf(fixing.atMm)"
        class="flex justify-between text-[13px] text-muted"
      >
        <span>up {{ formatQuantity(force(dutyOf(fixing.atMm)!.upN), units) }}, down {{ formatQuantity(force(dutyOf(fixing.atMm)!.downN), units) }}, slope {{ formatQuantity(force(dutyOf(fixing.atMm)!.slopeN), units) }}</span>
        <span class="font-semibold"><WorkingFigure :what="`Fixing on ${fixing.member} of rail ${rail.number}`">{{ formatUse(dutyOf(fixing.atMm)!.worst, 'not held') }}</WorkingFigure></span>
      </div>
    </li>
  </ol>
</template>
