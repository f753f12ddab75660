<script setup lang="ts">
import { readingAlong, readingUp } from '#core/roof'
import { formatLength } from '#core/units'
import { type Branch, circuitName, moduleWords, percent, type WireString } from '#core/wiring'

/** The wiring sheet: for every circuit where its units hang, in which order it is joined, and what goes with it. */
const { job, plan, units } = useFace()
const length = (mm: number) => formatLength(mm, units.value)
const faceOf = (id: string) => job.value.faces.find(one => one.id === id)!
const many = computed(() => job.value.faces.length > 1)
const byRow = (one: Branch) => [...new Set(one.units.map(unit => `${unit.faceId}|${unit.row}`))].map((key) => {
  const own = one.units.map((unit, i) => ({ unit, n: i + 1 })).filter(({ unit }) => `${unit.faceId}|${unit.row}` === key)
  const face = faceOf(own[0]!.unit.faceId)
  return { key, title: `${many.value ? `${face.name}, row` : 'Row'} ${own[0]!.unit.row + 1}`, marks: own.map(({ unit, n }) => ({ n, along: length(readingAlong(face, unit.place.at.x)), up: length(readingUp(face, unit.place.at.y)), clear: unit.clear })) }
})
const order = (one: WireString) => one.modules.map((module, i) => ({ n: i + 1, words: `${many.value ? `${faceOf(module.faceId).name}, ` : ''}${moduleWords(module.id)}`, extension: one.walk.extensions.find(ext => ext.after === i)?.mm ?? null }))
</script>

<template>
  <div>
    <p
      v-if="!plan.wiring.circuits.length"
      class="max-w-prose py-4 text-lg"
    >
      The sheet fills itself once a system is chosen.
    </p>
    <article
      v-for="one in plan.wiring.circuits"
      :key="one.number"
      class="mt-3 break-inside-avoid border-t-2 border-graphite-900 pt-2"
    >
      <h3 class="text-lg font-bold">
        {{ circuitName(one) }}
      </h3>
      <template v-if="one.kind === 'branch'">
        <div
          v-for="row in byRow(one)"
          :key="row.key"
          class="mt-1"
        >
          <h4 class="font-semibold">
            {{ row.title }}
          </h4>
          <ul class="flex flex-wrap gap-x-5 text-[15px]">
            <li
              v-for="mark in row.marks"
              :key="mark.n"
            >
              <b>{{ mark.n }}</b> at {{ mark.along }}, up {{ mark.up }}{{ mark.clear ? '' : ' (look)' }}
            </li>
          </ul>
        </div>
        <p
          v-if="one.trunk"
          class="mt-1 text-[15px]"
        >
          {{ one.trunk.drops }} drops, {{ one.trunk.caps }} capped, {{ one.trunk.terminators === 1 ? 'one terminator' : `${one.trunk.terminators} terminators` }}{{ one.trunk.jumpers ? `, ${one.trunk.jumpers === 1 ? 'one joint' : `${one.trunk.jumpers} joints`} to another row` : '' }}. Fed at unit {{ one.feedAt + 1 }}; home run {{ length(one.home.mm) }} of {{ one.home.size }} on its own {{ one.limit.deviceA }} A device. Lost {{ percent(one.drop.share) }}.
        </p>
      </template>
      <template v-else>
        <ol class="mt-1 flex flex-wrap gap-x-5 text-[15px]">
          <li
            v-for="step in order(one)"
            :key="step.n"
          >
            <b>{{ step.n }}</b> {{ step.words }}{{ step.extension === null ? '' : `, then an extension lead of ${length(step.extension)} at least` }}
          </li>
        </ol>
        <p class="mt-1 text-[15px]">
          + of 1 goes home, {{ length(one.plus.mm) }}; − of {{ one.modules.length }} goes home, {{ length(one.minus.mm) }}; both of {{ one.plus.size }} through one notch. Ends {{ length(one.walk.endsApartMm) }} apart, loop {{ one.walk.loopM2.toFixed(1) }} m². {{ one.walk.proved ? 'No shorter walk within the leads.' : 'A shorter walk is not excluded.' }} Inverter {{ one.inverter + 1 }}, tracker {{ one.tracker + 1 }}. Lost {{ percent(one.drop.share) }}.
        </p>
      </template>
    </article>
    <section
      v-if="plan.wiring.circuits.length"
      class="mt-4 border-l-4 border-amber-500 pl-3 text-[15px] leading-snug"
    >
      <p>Push every plug until it clicks, then pull. One make with its own. Cap what is unused and close ends with the maker’s terminator: never silicone. Never part plugs under load. Never test insulation through connected electronics. Electrical work is for licensed people; local rules and the makers come before this sheet.</p>
    </section>
  </div>
</template>
