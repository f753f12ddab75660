<script setup lang="ts">
import { corrections, turnOf } from '#core/fieldwork'
import type { Face, Job } from '#core/job'
import type { FacePlan } from '#core/plan'
import { formatLength } from '#core/units'

/** After the first modules: margins to a line that is known tell whether the row turns, where it would end and what each clamp is moved by. */
const { job, face, facePlan } = defineProps<{ job: Job, face: Face, facePlan: FacePlan }>()
const say = (mm: number) => formatLength(mm, job.units)
const at = ref(0)
const row = computed(() => facePlan.rows.rows[Math.min(at.value, facePlan.rows.rows.length - 1)] ?? null)
/** Margins at the first module's outer edge and past so many modules, to one straight line: alike where the row lies true to it. */
const modules = ref(3)
const margins = reactive<{ first: number | null, last: number | null, differs: number }>({ first: null, last: null, differs: 0 })
watch(at, () => Object.assign(margins, { first: null, last: null, differs: 0 }))
const fromDatum = computed(() => row.value ? (face.datum === 'left' ? [row.value.leftMm, 1] as const : [row.value.rightMm, -1] as const) : null)
const baseline = computed(() => row.value ? modules.value * row.value.moduleWidthMm + (modules.value - 1) * Math.max(0, (row.value.moduleLeftsMm[1] ?? row.value.leftMm + row.value.moduleWidthMm) - row.value.moduleLeftsMm[0]! - row.value.moduleWidthMm) : 0)
const lengthMm = computed(() => row.value ? row.value.rightMm - row.value.leftMm : 0)
const turn = computed(() => margins.first === null || margins.last === null || !fromDatum.value ? null : turnOf({ fromMm: 0, toMm: baseline.value, readMm: [margins.first, margins.last], wantedMm: [margins.first, margins.first + margins.differs] }))
const off = computed(() => turn.value?.offAt(lengthMm.value) ?? 0)
const clamps = computed(() => {
  if (!turn.value || !row.value) return []
  const step = row.value.moduleWidthMm
  return corrections(turn.value, Array.from({ length: Math.min(modules.value, row.value.count) }, (_, i) => (i + 1) * (baseline.value / modules.value || step)))
})
</script>

<template>
  <div
    v-if="row"
    class="min-h-0 flex-1 overflow-y-auto px-3 pb-4"
  >
    <div class="mt-2 flex items-center gap-2">
      <CrewButton
        :disabled="at === 0"
        @press="at--"
      >
        ‹
      </CrewButton>
      <p class="flex-1 text-center text-2xl font-extrabold">
        Row {{ row.index + 1 }}
      </p>
      <CrewButton
        :disabled="at >= facePlan.rows.rows.length - 1"
        @press="at++"
      >
        ›
      </CrewButton>
    </div>
    <p class="mt-2 text-lg leading-snug">
      With {{ modules }} modules laid, read from their upper edge to one straight line: the ridge, or a string stretched beyond the array. Once at the {{ face.datum }} end, once past module {{ modules }}.
    </p>
    <CrewLength
      :label="`Margin at the ${face.datum} end${margins.first === null ? '' : `: ${say(margins.first)}`}`"
      :units="job.units"
      taken="Read"
      @take="margins.first = $event"
    />
    <CrewLength
      :label="`Margin past module ${modules}${margins.last === null ? '' : `: ${say(margins.last)}`}`"
      :units="job.units"
      taken="Read"
      @take="margins.last = $event"
    />
    <CrewLength
      :label="`How much farther the line is to lie off there by plan${margins.differs ? `: ${say(margins.differs)}` : ': not at all'}`"
      :units="job.units"
      taken="Set"
      @take="margins.differs = $event"
    />
    <div class="grid grid-cols-3 gap-2">
      <CrewButton
        v-for="n in [2, 3, 4]"
        :key="n"
        :pressed="modules === n"
        @press="modules = n"
      >
        {{ n }} laid
      </CrewButton>
    </div>
    <template v-if="turn">
      <p class="mt-3 border-l-8 border-black py-1 pl-3 text-xl leading-snug font-bold">
        {{ Math.abs(off) < 0.8 ? 'The row lies true to the line.' : `The row runs ${off > 0 ? 'towards' : 'away from'} the line: left so, its far end would be ${say(Math.abs(off))} off over ${say(lengthMm)}.` }}
      </p>
      <ol v-if="Math.abs(off) >= 0.8">
        <li
          v-for="(clamp, i) in clamps"
          :key="i"
          class="flex min-h-15 items-center justify-between border-b-2 border-black/30 text-lg font-semibold"
        >
          Clamp past module {{ i + 1 }}<span class="text-2xl font-extrabold">{{ say(Math.abs(clamp.byMm)) }} {{ clamp.byMm < 0 ? 'down' : 'up' }}</span>
        </li>
      </ol>
    </template>
  </div>
</template>
