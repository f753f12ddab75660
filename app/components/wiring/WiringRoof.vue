<script setup lang="ts">
import type { Point } from '#core/geometry'
import { planOutline, toPlan } from '#core/roof'
import { circuitDashes, circuitInk, circuitName, pathOf } from '#core/wiring'

/** The whole roof from above with every circuit as a numbered path, its ends and the roof box. */
const { job, plan, face, chooseFace } = useFace()
const { circuit, pick } = useCircuit()
const faces = computed(() => job.value.faces.map((own, f) => ({ own, points: planOutline(own), layout: plan.value.faces[f]! })))
const box = computed(() => planBox(faces.value.map(one => one.points), 0.06))
const unit = computed(() => Math.max(box.value.width, box.value.height) / 100)
const modules = computed(() => faces.value.flatMap(({ own, layout }) => layout.rows.rows.flatMap(row => row.moduleLeftsMm.map((left, i) => ({
  id: `${own.id} ${row.index} ${i}`,
  points: [[left, row.bottomMm], [left + row.moduleWidthMm, row.bottomMm], [left + row.moduleWidthMm, row.topMm], [left, row.topMm]].map(([x, y]) => toPlan(own, { x: x!, y: y! })),
})))))
const down = (point: Point) => `${point.x} ${-point.y}`
/** Each circuit's places over all faces it crosses, in its order. */
const paths = computed(() => plan.value.wiring.circuits.map((one) => {
  const path = pathOf(one).map(({ faceId, at, bow }) => ({ bow, at: toPlan(job.value.faces.find(own => own.id === faceId)!, at) }))
  const points = path.filter(({ bow }) => !bow).map(({ at }) => at)
  const ends = one.kind === 'branch' ? [{ at: points[0]!, words: String(one.number) }] : [{ at: points[0]!, words: `${one.number}+` }, { at: points.at(-1)!, words: `${one.number}−` }]
  return { one, points, ends, d: path.length > 1 ? `M${path.map(({ at }) => down(at)).join('L')}` : '', dash: circuitDashes[(one.number - 1) % circuitDashes.length] ?? [] }
}))
const roofBox = computed(() => {
  const place = plan.value.wiring.roofBox
  return place && toPlan(job.value.faces.find(own => own.id === place.faceId)!, place.at)
})
const label = computed(() => `The whole roof from above: ${plan.value.wiring.circuits.map(one => `${circuitName(one)}, ${one.kind === 'branch' ? `${one.units.length} units` : `${one.modules.length} modules`}`).join('; ') || 'nothing is wired yet'}`)
</script>

<template>
  <div class="flex flex-col">
    <svg
      :viewBox="`${box.x} ${box.y} ${box.width} ${box.height}`"
      class="min-h-0 w-full flex-1"
      role="img"
      :aria-label="label"
    >
      <path
        v-for="{ own, points } in faces"
        :key="own.id"
        :d="planPath(points)"
        :fill="own.id === face.id ? 'var(--color-graphite-100)' : 'var(--color-sheet)'"
        stroke="var(--color-graphite-900)"
        :stroke-width="unit * 0.35"
        stroke-linejoin="round"
        class="cursor-pointer"
        @click="chooseFace(own.id)"
      />
      <path
        v-for="one in modules"
        :key="one.id"
        :d="planPath(one.points)"
        fill="var(--color-chalk-100, #dbe7f5)"
        stroke="var(--color-graphite-500)"
        :stroke-width="unit * 0.12"
        pointer-events="none"
      />
      <g
        v-for="{ one, points, ends, d, dash } in paths"
        :key="one.number"
        class="cursor-pointer"
        @click="pick(one.number)"
      >
        <path
          :d="d"
          fill="none"
          :stroke="circuit?.number === one.number ? 'var(--color-brick-600)' : circuitInk"
          :stroke-width="unit * (circuit?.number === one.number ? 0.7 : 0.4)"
          :stroke-dasharray="dash.map(n => n * unit * 0.12).join(' ')"
          stroke-linejoin="round"
        />
        <circle
          v-for="(point, i) in points"
          :key="i"
          :cx="point.x"
          :cy="-point.y"
          :r="unit * 0.45"
          :fill="circuitInk"
        />
        <g
          v-for="end in ends"
          :key="end.words"
        >
          <circle
            :cx="end.at.x"
            :cy="-end.at.y"
            :r="unit * 1.7"
            fill="var(--color-sheet)"
            :stroke="circuitInk"
            :stroke-width="unit * 0.3"
          />
          <text
            :x="end.at.x"
            :y="-end.at.y + unit * 0.85"
            text-anchor="middle"
            :font-size="unit * 2.2"
            font-weight="700"
            :fill="circuitInk"
          >{{ end.words }}</text>
        </g>
      </g>
      <g v-if="roofBox">
        <rect
          :x="roofBox.x - unit"
          :y="-roofBox.y - unit"
          :width="unit * 2"
          :height="unit * 2"
          fill="var(--color-graphite-900)"
        />
        <text
          :x="roofBox.x + unit * 1.8"
          :y="-roofBox.y + unit * 0.8"
          paint-order="stroke"
          stroke="var(--color-sheet)"
          :stroke-width="unit * 0.7"
          :font-size="unit * 2.2"
          font-weight="700"
          fill="var(--color-graphite-900)"
        >Roof box</text>
      </g>
      <text
        :x="box.x + unit * 2"
        :y="box.y + unit * 4"
        :font-size="unit * 3"
        font-weight="700"
        fill="var(--color-graphite-900)"
      >N ↑</text>
    </svg>
    <p class="shrink-0 text-sm text-muted">
      {{ plan.wiring.circuits.length ? 'A number stands where a circuit begins, + and − where a string’s home runs leave. Press a circuit for its figures, a face to work on it.' : 'Nothing is wired yet: choose a system beside this.' }}
    </p>
  </div>
</template>
