<script setup lang="ts">
import { readingAlong, readingUp } from '#core/roof'
import type { Probe } from '#core/supports'

/** The few readings that would lower the expected misses most; worked out beside the page, since each is fitted anew. */
const { job, face, facePlan, catalogue, units, select } = useFace()
const probes = shallowRef<Probe[] | null>(null)
let latest = 0
watch([() => facePlan.value, () => face.value], async () => {
  const turn = ++latest
  const found = await usePlanner().probeFace(job.value, catalogue.value, face.value.id)
  if (turn === latest) probes.value = found
}, { immediate: true })
</script>

<template>
  <section
    v-if="facePlan.fixings.total"
    class="mt-4"
    aria-label="Probe next"
    data-testid="probes"
  >
    <h2 class="slip-title">
      Probe next
    </h2>
    <p
      v-if="!probes"
      class="text-sm text-muted"
    >
      Working out where to look…
    </p>
    <p
      v-else-if="!probes.length"
      class="text-sm text-muted"
    >
      No single reading would lower the expected misses by much.
    </p>
    <ol v-else>
      <li
        v-for="(probe, i) in probes"
        :key="probe.rafter"
      >
        <button
          type="button"
          class="w-full border-b border-dotted border-graphite-300 py-1.5 text-left text-[15px] hover:bg-chalk-50"
          @click="select({ kind: 'rafter', number: probe.rafter })"
        >
          <span class="flex items-baseline justify-between gap-2"><span>{{ i + 1 }}. Rafter {{ probe.rafter }} at</span>
            <b><FieldLengthText
              :mm="readingAlong(face, probe.xMm)"
              :units="units"
            />, up <FieldLengthText
              :mm="readingUp(face, probe.yMm)"
              :units="units"
            /></b></span>
          <span class="block text-[13px] text-muted">expected misses {{ probe.missesBefore.toFixed(1) }} → {{ probe.missesAfter.toFixed(1) }} of {{ facePlan.fixings.total }} fixings</span>
        </button>
      </li>
    </ol>
  </section>
</template>
