<script setup lang="ts">
import type { Probing } from '#core/asks'
import { readingAlong, readingUp } from '#core/roof'
import { KNOCKED, REACH_MM, type Site } from '#core/supports'

/** The few readings that would lower the expected misses most, the best from one place of the ladder, and whether to go on; worked out beside the page. */
const { job, face, facePlan, catalogue, units, select } = useFace()
/** Undefined while it is worked out. */
const probing = shallowRef<Probing | null>()
let latest = 0
watch([() => facePlan.value, () => face.value], async () => {
  const turn = ++latest
  const found = await usePlanner().probeFace(job.value, catalogue.value, face.value.id)
  if (turn === latest) probing.value = found
}, { immediate: true })
const probes = computed(() => probing.value?.probes ?? [])
const ladder = computed(() => probing.value?.ladder ?? null)
const total = computed(() => facePlan.value.fixings.total)
const byNumber = computed(() => face.value.supports.kind === 'rafters' && face.value.supports.layout === 'nominal')

const where = ({ rafter }: Site) => rafter === null ? 'Where a rival spacing has one,' : `Rafter ${rafter} at`
const show = ({ rafter }: Site) => {
  if (rafter !== null) select({ kind: 'rafter', number: rafter })
}
/** Whether to go on, in a sentence. */
const goOn = computed(() => {
  if (!probing.value) return ''
  const { readings, saves, worth } = probing.value.goOn
  return `${readings === 1 ? 'One more reading' : 'Two more readings'} would save ${saves.toFixed(1)} misses of ${total.value} fixings${worth ? '' : ': drill pilots instead'}.`
})
</script>

<template>
  <section
    v-if="total"
    class="mt-4"
    aria-label="Probe next"
    data-testid="probes"
  >
    <h2 class="slip-title">
      Probe next
    </h2>
    <p
      v-if="probing === undefined"
      class="text-sm text-muted"
    >
      Working out where to look…
    </p>
    <p
      v-else-if="!probes.length"
      class="text-sm text-muted"
    >
      No single reading found would lower the expected misses by much: drill a pilot before every fixing.
    </p>
    <template v-else>
      <ol>
        <li
          v-for="(probe, i) in probes"
          :key="i"
        >
          <button
            type="button"
            class="w-full border-b border-dotted border-graphite-300 py-1.5 text-left text-[15px] hover:bg-chalk-50"
            @click="show(probe)"
          >
            <span class="flex flex-wrap items-baseline justify-between gap-x-2"><span>{{ i + 1 }}. {{ where(probe) }}</span>
              <b><FieldLengthText
                :mm="readingAlong(face, probe.xMm)"
                :units="units"
              /><template v-if="!byNumber">, up <FieldLengthText
                :mm="readingUp(face, probe.yMm)"
                :units="units"
              /></template></b></span>
            <span class="block text-[13px] text-muted">expected misses {{ probe.missesBefore.toFixed(1) }} → {{ probe.missesAfter.toFixed(1) }} of {{ total }} fixings</span>
          </button>
        </li>
      </ol>
      <p
        class="mt-2 text-[15px]"
        :class="probing?.goOn.worth ? '' : 'font-semibold'"
        data-testid="go-on"
      >
        {{ goOn }}
      </p>
      <div
        v-if="ladder"
        class="mt-3"
        data-testid="ladder"
      >
        <h3 class="text-[15px] font-semibold">
          From one place of the ladder, at <FieldLengthText
            :mm="readingAlong(face, ladder.ladderMm)"
            :units="units"
          />
        </h3>
        <ul>
          <li
            v-for="(site, i) in ladder.sites"
            :key="i"
            class="flex flex-wrap items-baseline justify-between gap-x-2 py-0.5 text-[15px]"
          >
            <span>{{ where(site) }}</span>
            <span class="whitespace-nowrap"><FieldLengthText
              :mm="readingAlong(face, site.xMm)"
              :units="units"
            />, up <FieldLengthText
              :mm="readingUp(face, site.yMm)"
              :units="units"
            /></span>
          </li>
        </ul>
        <p class="text-[13px] text-muted">
          the best {{ ladder.sites.length }} found, <FieldLengthText
            :mm="REACH_MM"
            :units="units"
          /> to either side at most: expected misses {{ ladder.missesBefore.toFixed(1) }} → {{ ladder.missesAfter.toFixed(1) }}
        </p>
      </div>
      <p class="mt-1 text-[13px] text-muted">
        <template v-if="byNumber">
          Judged for rafters found and typed by their number.
        </template>
        <template v-else>
          Judged for a knock: good to <FieldLengthText
            :mm="KNOCKED.sdMm"
            :units="units"
          />, on nothing one time in twenty.
        </template>
      </p>
    </template>
  </section>
</template>
