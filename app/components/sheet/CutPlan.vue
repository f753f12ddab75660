<script setup lang="ts">
import type { FacePlan } from '#core/plan'
import type { UnitSystem } from '#core/units'

/** Each stick to scale with the pieces cut from it. */
const { plan, units } = defineProps<{ faceName: string, plan: FacePlan, units: UnitSystem }>()
const longestMm = computed(() => Math.max(...plan.sticks.sticks.map(stick => stick.stockMm)))
/** What may be said of the cutting, and no more. */
const claim = computed(() => {
  const { proved, sticks, leastSticks } = plan.sticks
  const fewest = sticks.length === leastSticks ? 'No cutting uses fewer: the total length needs as many. ' : ''
  return `${fewest}${proved ? 'No cutting that the splice places leave costs less.' : 'Cheaper cuttings were not all excluded.'}`
})
const bridged = computed(() => plan.sticks.splices.filter(splice => splice.bridged).length)
const share = (mm: number) => `${100 * mm / longestMm.value}%`
const railNumber = (railId: string) => plan.rails.find(rail => rail.id === railId)!.number
/** Which piece of its rail this is, left to right. */
const place = (railId: string, fromMm: number) => {
  const own = plan.sticks.sticks.flatMap(stick => stick.pieces).filter(piece => piece.railId === railId)
  return own.length > 1 ? ` ${String.fromCharCode(97 + own.findIndex(piece => piece.fromMm === fromMm))}` : ''
}
</script>

<template>
  <h3 class="text-lg font-bold">
    Cut plan, {{ faceName.toLowerCase() }}: {{ plan.sticks.sticks.length }} sticks of {{ plan.parts.rail.name }}
  </h3>
  <p class="mb-3 text-[15px] text-muted">
    {{ claim }} Pieces run left to right as they lie, trim tails included.{{ bridged ? ` ${bridged} joint${bridged === 1 ? ' is' : 's are'} bridged: leave the gap as marked.` : '' }}
  </p>
  <ol class="space-y-1.5">
    <li
      v-for="(stick, s) in plan.sticks.sticks"
      :key="s"
      class="flex break-inside-avoid items-center gap-3"
    >
      <span class="w-6 text-right text-sm font-semibold">{{ s + 1 }}</span>
      <div class="min-w-0 flex-1">
        <div
          class="flex h-8 border border-graphite-900 bg-graphite-100"
          :style="{ width: share(stick.stockMm) }"
        >
          <div
            v-for="piece in stick.pieces"
            :key="piece.railId + piece.fromMm"
            class="flex items-center justify-center overflow-hidden border-r-2 border-graphite-900 bg-chalk-100 px-1 text-sm whitespace-nowrap"
            :style="{ width: `${100 * (piece.toMm - piece.fromMm) / stick.stockMm}%` }"
          >
            <b class="mr-1.5">Rail {{ railNumber(piece.railId) }}{{ place(piece.railId, piece.fromMm) }}</b> <FieldLengthText
              :mm="piece.toMm - piece.fromMm"
              :units="units"
            />
          </div>
        </div>
      </div>
      <span class="w-24 text-right text-sm text-muted">{{ stick.fromYard ? 'yard offcut, ' : '' }}<FieldLengthText
        :mm="stick.offcutMm"
        :units="units"
      /> left</span>
    </li>
  </ol>
</template>
