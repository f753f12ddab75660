<script setup lang="ts">
import { endsByCompass, type SerialPlace } from '#core/proof'
import type { Serials } from '../../composables/useSerials'

/** A face with its modules to scale, seen from outside: which have their number, which is in hand; the roof's compass at its ends. */
const { serials, faceId } = defineProps<{ serials: Serials, faceId: string }>()
const { ask, places, place, take, what } = serials
const own = computed(() => ask.value!.faces.find(one => one.face.id === faceId)!)
const shape = computed(() => own.value.plan.shape)
const ends = computed(() => endsByCompass(own.value.face))
const rows = computed(() => own.value.plan.rows.rows)
const boxes = computed(() => places.value.filter(one => one.faceId === faceId && one.what === 'module').map((one) => {
  const row = rows.value.find(row => row.index === one.row)!
  const unit = places.value.find(other => other.what === 'unit' && other.faceId === faceId && other.number === one.number) ?? null
  return { one, unit, x: one.xMm - row.moduleWidthMm / 2, y: shape.value.up.toMm - one.yMm - row.moduleHeightMm / 2, wide: row.moduleWidthMm, high: row.moduleHeightMm }
}))
const PAD = 350
const box = computed(() => `${shape.value.along.fromMm - PAD} ${-PAD - 200} ${shape.value.along.toMm - shape.value.along.fromMm + 2 * PAD} ${shape.value.up.toMm + 2 * PAD + 300}`)
const isHeld = (one: SerialPlace | null) => one !== null && one === place.value
const pick = (one: typeof boxes.value[number]) => take(what.value === 'unit' && one.unit ? one.unit : one.one)
const label = (one: SerialPlace) => `${one.what === 'unit' ? 'Unit under module' : 'Module'} ${one.number}, row ${one.row + 1}: ${one.found?.serial ?? 'not read'}`
</script>

<template>
  <figure>
    <figcaption class="text-[15px]">
      <b>{{ own.face.name }}</b>, looks {{ ends.faces }}; seen from outside
    </figcaption>
    <svg
      :viewBox="box"
      class="max-h-[58dvh] w-full"
      role="group"
      :aria-label="`${own.face.name}: serial numbers by place`"
    >
      <path
        :d="shape.region.map(ring => `M${ring.map(({ x, y }) => `${x} ${shape.up.toMm - y}`).join('L')}Z`).join('')"
        class="fill-sheet stroke-graphite-900"
        stroke-width="2"
        vector-effect="non-scaling-stroke"
      />
      <text
        :x="shape.along.fromMm"
        :y="-140"
        class="fill-graphite-700 font-semibold"
        font-size="240"
      >◄ {{ ends.left }}</text>
      <text
        :x="shape.along.toMm"
        :y="-140"
        text-anchor="end"
        class="fill-graphite-700 font-semibold"
        font-size="240"
      >{{ ends.right }} ►</text>
      <text
        :x="(shape.along.fromMm + shape.along.toMm) / 2"
        :y="shape.up.toMm + 400"
        text-anchor="middle"
        class="fill-graphite-700"
        font-size="220"
      >eave</text>
      <g
        v-for="one in boxes"
        :key="one.one.id"
        role="button"
        tabindex="0"
        class="cursor-pointer outline-none focus-visible:[&>rect]:stroke-chalk-500"
        :aria-label="label(what === 'unit' && one.unit ? one.unit : one.one)"
        :aria-pressed="isHeld(one.one) || isHeld(one.unit)"
        @click="pick(one)"
        @keydown.enter="pick(one)"
        @keydown.space.prevent="pick(one)"
      >
        <rect
          :x="one.x"
          :y="one.y"
          :width="one.wide"
          :height="one.high"
          :class="[(what === 'unit' ? one.unit : one.one)?.found ? 'fill-module' : 'fill-paper', isHeld(one.one) || isHeld(one.unit) ? 'stroke-crayon' : 'stroke-graphite-700']"
          :stroke-width="isHeld(one.one) || isHeld(one.unit) ? 5 : 1.5"
          :stroke-dasharray="(what === 'unit' ? one.unit : one.one)?.found ? undefined : '6 4'"
          vector-effect="non-scaling-stroke"
        />
        <text
          :x="one.x + one.wide / 2"
          :y="one.y + one.high / 2 - 20"
          text-anchor="middle"
          :class="(what === 'unit' ? one.unit : one.one)?.found ? 'fill-white' : 'fill-graphite-900'"
          font-weight="700"
          :font-size="Math.min(360, one.wide / 3)"
        >{{ one.one.number }}</text>
        <text
          v-if="(what === 'unit' ? one.unit : one.one)?.found"
          :x="one.x + one.wide / 2"
          :y="one.y + one.high / 2 + 220"
          text-anchor="middle"
          class="fill-white"
          :font-size="Math.min(190, one.wide / 5)"
        >{{ (what === 'unit' ? one.unit : one.one)!.found!.serial.slice(-6) }}</text>
      </g>
    </svg>
  </figure>
</template>
