<script setup lang="ts">
import type { Job } from '#core/job'
import type { Loadout } from '#core/sheets/loadout'
import { loadStageNames } from '#core/trade'
import type { UnitSystem } from '#core/units'

/** What each face takes, so that bundles can be laid out below it. */
const { job, loadout, units } = defineProps<{ job: Job, loadout: Loadout, units: UnitSystem }>()
const faces = computed(() => job.faces.map(face => ({
  id: face.id, name: face.name,
  lines: loadout.lines.map(line => ({ line, pieces: line.byFace.filter(one => one.faceId === face.id).reduce((sum, one) => sum + one.pieces, 0) })).filter(one => one.pieces > 0),
})).filter(face => face.lines.length > 1))
</script>

<template>
  <section
    v-for="face in faces"
    :key="face.id"
    class="mb-5 break-inside-avoid"
  >
    <h3 class="border-b-2 border-graphite-900 text-lg font-bold">
      {{ face.name }}
    </h3>
    <table class="w-full text-[15px]">
      <thead class="sr-only">
        <tr><th>Pieces</th><th>Part</th><th>Stage</th></tr>
      </thead>
      <tbody>
        <tr
          v-for="{ line, pieces } in face.lines"
          :key="line.id"
          class="border-b border-dotted border-graphite-400 align-baseline"
          :data-part="line.kind"
        >
          <td class="w-16 py-1 pr-3 text-right text-lg font-bold">
            {{ pieces }}
          </td>
          <td class="py-1">
            <SheetLoadPart
              :line="line"
              :units="units"
            />
          </td>
          <td class="py-1 text-right text-muted">
            {{ loadStageNames[line.stage] }}
          </td>
        </tr>
      </tbody>
    </table>
  </section>
  <p class="text-[15px] text-muted">
    Without spares. What is bought by the cartridge or the reel is counted over the whole job.
  </p>
</template>
