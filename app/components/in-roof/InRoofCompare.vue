<script setup lang="ts">
import { formatQuantity } from '#core/units'

/** One face built both ways, figure by figure, each with how it comes about. */
const { job, facePlan, catalogue, units } = useFace()
const { found, failed } = useAnswered(faceId => usePlanner().bothWays(job.value, catalogue.value, faceId))
const ways = [['inRoof', 'In the roof'], ['onRails', 'On rails']] as const
</script>

<template>
  <div>
    <p
      v-if="failed"
      role="alert"
      class="py-3"
    >
      Both ways could not be planned. Nothing was changed; change to another tab and back to try again.
    </p>
    <p
      v-else-if="!found"
      class="py-3 text-muted"
    >
      Planning this face both ways…
    </p>
    <template v-else>
      <p class="py-1.5 text-sm text-muted">
        {{ facePlan.inRoof?.system.name }} beside {{ facePlan.parts.rail.name }} on {{ facePlan.parts.mount.name }}, this face alone. Press a figure for how it comes about.
      </p>
      <table class="w-full text-base">
        <thead>
          <tr class="border-b-2 border-graphite-900 text-left">
            <th class="py-1.5 pr-2" />
            <th
              v-for="[way, name] in ways"
              :key="way"
              class="py-1.5 pr-2 text-right font-semibold"
            >
              {{ name }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="one in found.figures"
            :key="one.what"
            class="border-b border-dotted border-graphite-300"
          >
            <th class="py-2 pr-2 text-left font-normal">
              {{ one.what }}
            </th>
            <td
              v-for="[way] in ways"
              :key="way"
              class="py-2 pr-2 text-right font-semibold"
            >
              <WorkingFigure
                :what="one[way].what"
                :given="[one[way]]"
              >
                {{ formatQuantity(one[way].result, units) }}
              </WorkingFigure>
            </td>
          </tr>
          <tr class="align-top">
            <th class="py-2 pr-2 text-left font-normal">
              Stops, as it is planned
            </th>
            <td
              v-for="[way] in ways"
              :key="way"
              class="max-w-64 py-2 pr-2 text-right text-sm"
            >
              <span
                v-if="!found.stops[way].length"
                class="text-base font-semibold"
              >none</span>
              <span
                v-for="stop in found.stops[way]"
                :key="stop"
                class="mb-1 block border-l-4 border-brick-500 pl-2 text-left"
              >{{ stop }}</span>
            </td>
          </tr>
        </tbody>
      </table>
    </template>
  </div>
</template>
