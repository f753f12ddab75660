<script setup lang="ts">
import type { BattenAct } from '#core/inroof'
import { readingOn } from '#core/roof'
import { formatLength } from '#core/units'

/** Every batten under the array: what is done to it, at which readings, how long; and what is cut from which length. */
const { face, facePlan, units } = useFace()
const battens = computed(() => facePlan.value.inRoof?.battens ?? null)
const acts: Record<BattenAct, string> = { keep: 'stays', add: 'add', move: 'move', cut: 'cut out' }
const tones: Record<BattenAct, string> = { keep: '#d8b57a', add: '#7fc28a', move: '#8fb6e8', cut: '#f0b3a4' }
const say = (mm: number) => formatLength(mm, units.value)
</script>

<template>
  <div v-if="battens?.steps.length">
    <p class="py-1.5 text-sm text-muted">
      Upper edges, read from the datum corner. {{ battens.screws.length }} screws, {{ battens.loose.length ? `${battens.loose.length} of them without a batten` : 'each with a batten under it' }}.
      <template v-if="battens.cuts.sticks.length">
        New ones: {{ battens.cuts.pieces.length }} pieces from {{ battens.cuts.sticks.length }} lengths of {{ say(battens.cuts.stockMm) }}; {{ battens.cuts.proved ? 'fewer lengths do not hold them' : 'fewer lengths are not excluded' }}.
      </template>
      <template v-if="!battens.onRafters">
        No rafter is known: ends are taken 100 mm past the modules.
      </template>
    </p>
    <table class="w-full text-[15px]">
      <thead>
        <tr class="border-b-2 border-graphite-900 text-left">
          <th class="py-1 pr-2 font-semibold">
            Batten
          </th>
          <th class="py-1 pr-2 font-semibold">
            Do
          </th>
          <th class="py-1 pr-2 text-right font-semibold">
            Upper edge
          </th>
          <th class="py-1 pr-2 text-right font-semibold">
            From
          </th>
          <th class="py-1 pr-2 text-right font-semibold">
            To
          </th>
          <th class="py-1 pr-2 text-right font-semibold">
            Long
          </th>
          <th class="py-1 font-semibold max-md:hidden">
            Carries row
          </th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="(one, i) in battens.steps"
          :key="`${one.act} ${one.upperMm} ${one.fromMm}`"
          class="border-b border-dotted border-graphite-300"
        >
          <td class="py-1 pr-2 font-semibold">
            {{ i + 1 }}
          </td>
          <td class="py-1 pr-2 whitespace-nowrap">
            <span
              class="mr-1.5 inline-block size-3 border border-graphite-900"
              :style="{ background: tones[one.act] }"
              aria-hidden="true"
            />{{ acts[one.act] }}{{ one.act === 'move' ? ` from ${say(readingOn(face, 'up', one.wasMm))}` : '' }}
          </td>
          <td class="py-1 pr-2 text-right whitespace-nowrap">
            {{ say(readingOn(face, 'up', one.upperMm)) }}
          </td>
          <td class="py-1 pr-2 text-right whitespace-nowrap">
            {{ say(readingOn(face, 'along', one.fromMm)) }}
          </td>
          <td class="py-1 pr-2 text-right whitespace-nowrap">
            {{ say(readingOn(face, 'along', one.toMm)) }}
          </td>
          <td class="py-1 pr-2 text-right whitespace-nowrap">
            {{ say(one.toMm - one.fromMm) }}
          </td>
          <td class="py-1 max-md:hidden">
            {{ one.rows.map(row => row + 1).join(', ') }}
          </td>
        </tr>
      </tbody>
    </table>
    <template v-if="battens.cuts.sticks.length">
      <h3 class="slip-title mt-3">
        Cut list
      </h3>
      <ol>
        <li
          v-for="(stick, i) in battens.cuts.sticks"
          :key="i"
          class="border-b border-dotted border-graphite-300 py-1 text-[15px]"
        >
          Length {{ i + 1 }}: {{ stick.cuts.map(({ rail }) => `${say(battens!.cuts.pieces[rail]!.toMm - battens!.cuts.pieces[rail]!.fromMm)} (batten ${battens!.cuts.pieces[rail]!.step + 1})`).join(' + ') }}
        </li>
      </ol>
    </template>
  </div>
  <p
    v-else
    class="py-2 text-[15px]"
  >
    No batten is planned: no module stands, or the covering has no battens.
  </p>
</template>
