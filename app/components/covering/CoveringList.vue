<script setup lang="ts">
import { fromDatum } from '#core/coverings'
import { readingOn } from '#core/roof'
import { type Opening, unitWords } from '#core/openings'

/** Every opening of the face: course, unit, plate and cut, in the order in which they are reached. */
const { face, units, selection, select } = useFace()
const { openings } = useOpening()
const unit = computed(() => unitWords[face.value.covering.kind].one)
const isHeld = (one: Opening) => selection.value.kind === 'fixing' && selection.value.id === one.fixingId
const hasUnits = computed(() => openings.value.some(one => one.unit))
const hasCuts = computed(() => openings.value.some(one => one.cut))
</script>

<template>
  <div>
    <table class="w-full text-[15px]">
      <caption class="py-1 text-left text-sm text-muted">
        Readings from the datum corner, of the plate: not of the rail.
      </caption>
      <thead>
        <tr class="border-b-2 border-graphite-900 text-left align-bottom">
          <th class="py-1 pr-2 font-semibold">
            Rail, fixing
          </th>
          <th class="py-1 pr-2 font-semibold">
            Course
          </th>
          <th
            v-if="hasUnits"
            class="py-1 pr-2 font-semibold"
          >
            {{ unit[0]!.toUpperCase() }}{{ unit.slice(1) }}
          </th>
          <th class="py-1 pr-2 text-right font-semibold">
            Along
          </th>
          <th class="py-1 pr-2 text-right font-semibold">
            Up
          </th>
          <th
            v-if="hasCuts"
            class="py-1 pr-2 font-semibold"
          >
            Cut
          </th>
          <th class="py-1 font-semibold">
            Into
          </th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="one in openings"
          :key="one.fixingId"
          class="border-b border-dotted border-graphite-300"
          :class="isHeld(one) ? 'bg-chalk-50' : ''"
        >
          <td class="py-1 pr-2">
            <button
              type="button"
              class="min-h-8 font-semibold underline underline-offset-2"
              @click="select({ kind: 'fixing', id: one.fixingId })"
            >
              {{ one.rail }}, {{ one.place }}
            </button>{{ one.first ? ' (opened first)' : '' }}
          </td>
          <td class="py-1 pr-2">
            {{ one.course?.number ?? '' }}
          </td>
          <td
            v-if="hasUnits"
            class="py-1 pr-2"
          >
            {{ one.unit && one.course ? fromDatum(face, one.course.number, one.unit.number) : '' }}
          </td>
          <td class="py-1 pr-2 text-right whitespace-nowrap">
            <FieldLengthText
              :mm="readingOn(face, 'along', one.plate.xMm)"
              :units="units"
            />
          </td>
          <td class="py-1 pr-2 text-right whitespace-nowrap">
            <FieldLengthText
              :mm="readingOn(face, 'up', one.plate.yMm)"
              :units="units"
            />
          </td>
          <td
            v-if="hasCuts"
            class="py-1 pr-2"
          >
            {{ one.cut?.kind ?? '' }}
          </td>
          <td class="py-1">
            {{ one.member }}<b
              v-if="one.faults.length"
              class="text-brick-600"
            > stop</b>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
