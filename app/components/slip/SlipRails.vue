<script setup lang="ts">
import { openFixings, type PatternTotals } from '#core/fixings'
import type { ArrayRules, FixingPattern, RailWay } from '#core/job'
import { formatUse } from '#core/capacity'
import { runTape } from '#core/rails'
import { otherTape, readingOn } from '#core/roof'

const { job, face, facePlan, catalogue, units, holds, select, commit } = useFace()
const jobId = useRoute().params.id as string
const rail = computed(() => facePlan.value.rails.find(one => holds({ kind: 'rail', id: one.id })) ?? null)
const part = ref('rails')
const parts4 = [{ label: 'Rails', value: 'rails' }, { label: 'Loads', value: 'loads' }, { label: 'Holds', value: 'holds' }, { label: 'Sticks', value: 'sticks' }]
const asksSpans = ref(false)
const spansAsked = useOpened(asksSpans)
const array = computed(() => face.value.array)
const set = (values: Partial<Omit<ArrayRules, 'rows'>>) => commit(arrayEdit(face.value.id, values))

const { setChoices, taken, takeSet, choicesOf, choosePart } = usePartChoices()
const [railChoices, mountChoices, clampChoices] = [choicesOf('railId'), choicesOf('mountId'), choicesOf('clampsId')]
const parts = computed(() => facePlan.value.parts)

/** Whether a typed limit is set aside because the maker’s is smaller. */
const over = (what: 'span' | 'overhang') => facePlan.value.limits.overMaker.some(one => one.what === what && !one.engineer)

const ways: { label: string, value: RailWay }[] = [{ label: 'Across the roof', value: 'across' }, { label: 'Up the slope', value: 'up' }]
const frames = computed(() => parts.value.rail.frame !== null)
const patternNames: Record<FixingPattern, string> = { 'soft-stagger': 'Soft stagger', 'aligned': 'Aligned', 'hard-stagger': 'Hard stagger' }
/** Prices of the patterns, worked out beside the plan: all three take longer than the plan itself. */
const totals = shallowRef<PatternTotals | null>(null)
watch(facePlan, async () => {
  const asked = facePlan.value
  if (face.value.inRoof) return
  const found = await usePlanner().pricePatterns(job.value, catalogue.value, face.value.id).catch(() => null)
  if (facePlan.value === asked) totals.value = found
}, { immediate: true })
const priceOf = (pattern: FixingPattern): string => {
  if (!totals.value) return ''
  const total = totals.value[pattern]
  const soft = totals.value['soft-stagger']!
  return total === null ? ': can’t be had here' : `: ${total} fixings${total === soft ? '' : `, ${total > soft ? '+' : '−'}${Math.abs(total - soft)}`}`
}
const patternChoices = computed(() => (Object.keys(patternNames) as FixingPattern[]).map(value => ({ value, label: `${patternNames[value]}${priceOf(value)}` })))
/** How many fixings fewer are not excluded. */
const open = computed(() => openFixings(facePlan.value.fixings))
</script>

<template>
  <p
    v-if="face.inRoof"
    class="text-[15px] leading-snug"
  >
    This array is the covering: it has no rails. What holds it, its battens and its flashing are on the <NuxtLink
      :to="`/jobs/${jobId}/covering?face=${face.id}`"
      class="underline underline-offset-2"
    >covering’s rung</NuxtLink>.
  </p>
  <template v-else>
    <SlipRail
      v-if="rail"
      :rail="rail"
    />
    <SlipTabs
      v-else
      v-model="part"
      :parts="parts4"
    />
    <template v-if="!rail && part === 'loads'">
      <LoadsForm />
    </template>
    <template v-else-if="!rail && part === 'holds'">
      <LoadsTimberForm />
    </template>
    <template v-else-if="!rail && part === 'sticks'">
      <LoadsVanForm />
    </template>
    <template v-else-if="!rail">
      <div class="mb-2 flex gap-1">
        <UButton
          color="neutral"
          class="flex-1 justify-center"
          label="Spans and rails…"
          @click="asksSpans = true"
        />
        <UButton
          color="neutral"
          variant="outline"
          icon="i-lucide-file-text"
          label="PDF"
          title="Calculation sheet of this job"
          :to="`/api/jobs/${jobId}/calculations.pdf`"
          external
          download
        />
      </div>
      <LazyLoadsSpanTableDialog
        v-if="spansAsked"
        v-model:open="asksSpans"
      />
      <SlipLoadSummary />
      <FieldChoiceField
        v-if="setChoices.length"
        label="Set"
        :value="taken"
        placeholder="Parts chosen one by one"
        :choices="setChoices"
        @choose="takeSet"
      />
      <FieldChoiceField
        label="Rail"
        :value="array.railId"
        :choices="railChoices"
        @choose="choosePart('railId', $event)"
      />
      <FieldChoiceField
        v-if="!frames"
        label="Rails run"
        :value="array.railWay"
        :choices="ways"
        @choose="set({ railWay: $event })"
      />
      <p
        v-else
        class="text-[13px] text-muted"
      >
        No rail: mounts stand under the modules’ own edges, coupled from frame to frame.
      </p>
      <FieldChoiceField
        label="Mount"
        :value="array.mountId"
        :choices="mountChoices"
        @choose="choosePart('mountId', $event)"
      />
      <FieldChoiceField
        label="Clamps"
        :value="array.clampsId"
        :choices="clampChoices"
        @choose="choosePart('clampsId', $event)"
      />
      <SlipAllFaces
        what="parts"
        :array="['railId', 'mountId', 'clampsId', 'supplyIds']"
      />
      <FieldChoiceField
        label="Fixing pattern"
        :value="array.fixingPattern"
        :choices="patternChoices"
        @choose="set({ fixingPattern: $event })"
      />
      <FieldLengthField
        label="Allowed span"
        :hint="over('span') ? 'the maker’s: the typed one is larger' : array.allowedSpanMm !== null ? 'typed; empty for the maker’s' : facePlan.strength ? 'the makers’ greatest' : 'usual for this rail'"
        :working="facePlan.limits.spanWorking.what"
        :mm="facePlan.limits.maxSpanMm"
        :units="units"
        optional
        :commit="mm => set({ allowedSpanMm: mm })"
      />
      <FieldLengthField
        label="Allowed overhang"
        :hint="over('overhang') ? 'the maker’s: the typed one is larger' : array.allowedOverhangMm === null ? (facePlan.parts.rail.overhangMm === null ? 'common practice' : 'maker’s limit') : 'typed; empty for the usual'"
        :working="facePlan.limits.overhangWorking.what"
        :mm="facePlan.limits.maxOverhangMm"
        :units="units"
        optional
        :commit="mm => set({ allowedOverhangMm: mm })"
      />
      <FieldLengthField
        v-if="!frames"
        label="Trim tail"
        hint="left long at each end"
        :mm="array.trimTailMm"
        :units="units"
        :commit="mm => set({ trimTailMm: mm! })"
      />
      <dl class="mt-3">
        <SlipLine
          label="Fixings"
          working="Fixings of the face"
        >
          {{ facePlan.fixings.total }}{{ facePlan.fixings.fewestProved ? ', proved fewest for this pattern' : open ? `, up to ${open} fewer not excluded` : '' }}
        </SlipLine>
        <SlipLine
          :label="face.supports.kind === 'rafters' ? 'Rafters that share them' : 'Places that share them'"
          working="Supports that share the fixings"
        >
          {{ facePlan.fixings.membersUsed }}{{ facePlan.fixings.spreadProved ? ', the most possible' : '' }}
        </SlipLine>
      </dl>
      <h2 class="slip-title mt-5">
        {{ frames ? 'Line by line' : 'Rail by rail' }}
      </h2>
      <ul>
        <li
          v-for="one in [...facePlan.rails].reverse()"
          :key="one.id"
        >
          <button
            type="button"
            class="flex w-full items-baseline justify-between border-b border-dotted border-graphite-300 py-1.5 text-left text-[15px] hover:bg-chalk-50"
            @click="select({ kind: 'rail', id: one.id })"
          >
            <span>{{ frames ? 'Line' : 'Rail' }} {{ one.number }}, {{ one.way === 'up' ? 'along' : 'up' }} <FieldLengthText
              :mm="readingOn(face, otherTape(runTape(one)), one.lineMm)"
              :units="units"
            /></span>
            <span
              class="font-semibold"
              :class="facePlan.fixings.rails[one.number - 1]!.shortfalls.length || !one.inZone || (facePlan.uses[one.number - 1]?.worst ?? 0) > 1.000001 ? 'text-brick-600' : ''"
            >{{ facePlan.fixings.rails[one.number - 1]!.fixings.length }} fixings{{ facePlan.uses[one.number - 1] ? `, ${formatUse(facePlan.uses[one.number - 1]!.worst)}` : '' }}</span>
          </button>
        </li>
      </ul>
    </template>
  </template>
</template>
