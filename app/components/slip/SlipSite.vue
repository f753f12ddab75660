<script setup lang="ts">
import { done } from '#core/outcome'

const { job, commit, units } = useFace()
const setText = (key: 'title' | 'place') => (text: string) => text === job.value[key] ? done(true) : commit({ type: 'set-job', values: { [key]: text } })
</script>

<template>
  <h2 class="slip-title">
    The job
  </h2>
  <FieldTypedField
    label="Name"
    :shown="job.title"
    :commit="setText('title')"
  />
  <FieldTypedField
    label="Place"
    :shown="job.place"
    :commit="setText('place')"
  />
  <FieldChoiceField
    label="Lengths are read in"
    :value="units"
    :choices="[{ label: 'Feet, inches and sixteenths', value: 'imperial' }, { label: 'Millimetres', value: 'metric' }]"
    @choose="commit({ type: 'set-job', values: { units: $event } })"
  />
  <h2 class="slip-title mt-5">
    Before anyone climbs
  </h2>
  <ul class="space-y-2 text-[15px] leading-snug">
    <li>Fall and edge protection in place, ladder tied off. Rails are no foothold.</li>
    <li>Keep off a covering that is wet, frosted, hot or fragile.</li>
    <li>Modules are live in daylight. Never unplug under load.</li>
    <li>Structure, wind and snow belong to a licensed engineer where the code says so, electrical work to a licensed electrician. The local authority and the makers come before this tool.</li>
  </ul>
</template>
