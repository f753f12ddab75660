<script setup lang="ts">
import { nameOf, tapeReadings } from '#core/hand'
import { formatShare } from '#core/units'

/** One fixing or one module, taken hold of on the drawing: its readings from the datum, and how sure it is. */
const { job, face, facePlan, units, selection, select } = useFace()
const ask = computed(() => ({ job: job.value, face: face.value, plan: facePlan.value }))
const name = computed(() => nameOf(ask.value, selection.value))
const readings = computed(() => tapeReadings(ask.value, selection.value))
const held = computed(() => selection.value)
const fixing = computed(() => {
  const ref = held.value
  return ref.kind === 'fixing' ? facePlan.value.fixings.rails.flatMap(rail => rail.fixings.map(one => ({ railId: rail.railId, ...one }))).find(one => one.id === ref.id) ?? null : null
})
</script>

<template>
  <section
    v-if="name"
    class="mb-4 border-l-4 border-chalk-500 bg-chalk-50 py-1 pr-1 pl-2"
    :aria-label="name"
  >
    <div class="flex items-start justify-between gap-2">
      <h2 class="slip-title">
        {{ name }}
      </h2>
      <UButton
        v-if="fixing"
        size="xs"
        color="neutral"
        variant="ghost"
        label="Its rail"
        @click="select({ kind: 'rail', id: fixing.railId })"
      />
    </div>
    <dl>
      <SlipLine
        v-for="one in readings.along"
        :key="`along ${one.key}`"
        :label="fixing ? 'Along the eave' : `${one.label}, along`"
      >
        <FieldLengthText
          :mm="one.readingMm"
          :units="units"
        />
      </SlipLine>
      <SlipLine
        v-for="one in readings.up"
        :key="`up ${one.key}`"
        :label="fixing ? 'Up the slope' : `${one.label}, up`"
      >
        <FieldLengthText
          :mm="one.readingMm"
          :units="units"
        />
      </SlipLine>
      <SlipLine
        v-if="fixing"
        label="Driven into"
      >
        {{ fixing.member }}, {{ fixing.state }}{{ fixing.chance < 0.995 ? `; sound timber ${formatShare(fixing.chance)}` : '' }}
      </SlipLine>
    </dl>
  </section>
</template>
