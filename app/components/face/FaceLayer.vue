<script setup lang="ts">
import { type LayerStyle, type Ref as FaceRef, refKey, sameRef, type Shape, type Tone } from '#core/trade'
import type { FaceScale } from '../../composables/useFaceScale'

/** One layer of the drawing on the screen: what can be taken hold of is pressed here, and what is held stands out. */
const { layerStyle, shapes, scale, held, hatch, avoid = [] } = defineProps<{
  layerStyle: LayerStyle
  shapes: Shape[]
  scale: FaceScale
  held: FaceRef | null
  hatch: string
  /** Where other words lie already. */
  avoid?: Box[]
}>()
const emit = defineEmits<{ select: [what: FaceRef] }>()

const HELD = 'var(--color-chalk-500)'
const WRONG = 'var(--color-brick-500)'
/** Lines closer than this would be a grey: every second, third … one is drawn, or none where they can't be told apart by number. */
const LEAST_PX = 4
/** A letter is about so wide, as a share of its size. */
const LETTER = 0.55
const fontPx = computed(() => layerStyle.text * 1.5)
/** A timber never gets thinner than can be seen. */
const LEAST_PX_WIDE = 2

type Of<K extends Shape['kind']> = Extract<Shape, { kind: K }>
const of = <K extends Shape['kind']>(kind: K) => computed(() => shapes.filter((one): one is Of<K> => one.kind === kind))
const areas = of('area')
const crosses = of('cross')
const bars = of('bar')
const dots = of('dot')
const texts = computed(() => shapes.filter((one): one is Of<'text'> => one.kind === 'text' && one.roomMm * scale.pxPerMm >= one.text.length * LETTER * fontPx.value && !avoid.some(other => overlap(other, boxOf(one)))))
function boxOf({ at: { x, y }, text, begins }: Of<'text'>): Box {
  const wide = text.length * LETTER * fontPx.value
  const left = scale.x(x) - (begins ? -5 : wide / 2)
  return { left, right: left + wide, top: scale.y(y) - fontPx.value * 0.65, bottom: scale.y(y) + fontPx.value * 0.65 }
}

const fill = computed(() => layerStyle.hatched ? `url(#${hatch})` : ink(layerStyle.screen?.fill ?? layerStyle.fill ?? 'none'))
const stroke = computed(() => ink(layerStyle.screen?.stroke ?? layerStyle.stroke))
const dash = computed(() => layerStyle.dash?.map(one => one * 1.5).join(' '))
const dashOf: Partial<Record<Tone, string>> = { guessed: '5 4' }

const isHeld = (one: Shape) => sameRef(one.ref, held) || sameRef(one.within ?? null, held)
const at = ({ x, y }: { x: number, y: number }) => `${scale.x(x).toFixed(2)} ${scale.y(y).toFixed(2)}`
const path = (rings: { x: number, y: number }[][]) => rings.map(ring => `M${ring.map(at).join('L')}Z`).join('')
/** So thin an area is drawn by its edge. */
const isThin = ({ rings }: Of<'area'>) => {
  const xs = rings.flat().map(point => scale.x(point.x))
  const ys = rings.flat().map(point => scale.y(point.y))
  return Math.min(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)) < LEAST_PX_WIDE
}
/** What has no edge has one only where it would be too thin to be seen. */
function edgeOf(one: Of<'area'>): string {
  if (layerStyle.edgeless) return isThin(one) ? stroke.value : 'none'
  return isHeld(one) ? HELD : one.tone === 'wrong' ? WRONG : layerStyle.hatched ? 'none' : stroke.value
}
const isDrawn = ({ apartMm, index }: Of<'line'>) => {
  const px = (apartMm ?? Infinity) * scale.pxPerMm
  return px >= LEAST_PX || (index !== undefined && index % Math.ceil(LEAST_PX / px) === 0)
}
const lines = computed(() => shapes.filter((one): one is Of<'line'> => one.kind === 'line' && isDrawn(one)))
/** Lines that nobody takes hold of are one path: a roof has hundreds of joints. */
const plainLines = computed(() => lines.value.filter(one => !one.ref).map(one => `M${at(one.from)}L${at(one.to)}`).join(''))
const namedLines = computed(() => lines.value.filter(one => one.ref))
const ends = ({ from, to }: Of<'line'>) => ({ x1: scale.x(from.x), y1: scale.y(from.y), x2: scale.x(to.x), y2: scale.y(to.y) })
/** A first press takes the whole, as a row; the next what lies under the finger in it. */
const take = (one: Shape) => {
  if (one.ref) emit('select', one.within && (isHeld(one) || inHeld.value) ? one.within : one.ref)
}
const inHeld = computed(() => shapes.some(one => one.within && sameRef(one.within, held)))
</script>

<template>
  <g>
    <path
      v-for="(one, i) in areas"
      :key="`area ${i}`"
      :d="path(one.rings)"
      :data-ref="one.ref ? refKey(one.ref) : undefined"
      :fill="one.tone === 'guessed' ? 'none' : fill"
      :fill-opacity="one.weight ?? (one.tone === 'inferred' ? 0.4 : layerStyle.hatched ? 1 : 0.9)"
      fill-rule="evenodd"
      :stroke="edgeOf(one)"
      :stroke-opacity="layerStyle.edgeless ? one.weight : undefined"
      :stroke-width="layerStyle.edgeless ? 1 : isHeld(one) || one.tone === 'wrong' ? 2.5 : isThin(one) ? 2 : Math.max(1, layerStyle.width * 1.5)"
      :stroke-dasharray="dashOf[one.tone] ?? dash"
      :pointer-events="one.ref ? 'all' : 'none'"
      :class="one.ref ? 'cursor-pointer' : ''"
      @click="take(one)"
    >
      <title v-if="one.name">
        {{ one.name }}
      </title>
    </path>
    <path
      v-if="plainLines"
      :d="plainLines"
      fill="none"
      :stroke="stroke"
      :stroke-width="Math.max(1, layerStyle.width * 1.5)"
      :stroke-dasharray="dash"
      class="pointer-events-none"
    />
    <g
      v-for="one in namedLines"
      :key="refKey(one.ref!)"
      :data-ref="refKey(one.ref!)"
      class="cursor-pointer"
      @click="take(one)"
    >
      <line
        v-bind="ends(one)"
        stroke="transparent"
        stroke-width="22"
      />
      <line
        v-if="isHeld(one)"
        v-bind="ends(one)"
        stroke="var(--color-sheet)"
        stroke-width="8"
      />
      <line
        v-bind="ends(one)"
        :stroke="one.tone === 'wrong' ? 'var(--color-brick-500)' : isHeld(one) ? ink(layerStyle.stroke) : stroke"
        :stroke-width="isHeld(one) ? 4 : layerStyle.width * 2"
        :stroke-dasharray="one.tone === 'wrong' ? '8 4' : undefined"
      />
    </g>
    <g class="pointer-events-none">
      <circle
        v-for="(one, i) in dots"
        :key="`dot ${i}`"
        :cx="scale.x(one.at.x)"
        :cy="scale.y(one.at.y)"
        r="2"
        :fill="stroke"
      />
      <rect
        v-for="(one, i) in bars"
        :key="`bar ${i}`"
        :x="scale.x(one.at.x) - (one.across ? 2 : 6)"
        :y="scale.y(one.at.y) - (one.across ? 6 : 2)"
        :width="one.across ? 4 : 12"
        :height="one.across ? 12 : 4"
        :fill="fill"
        :stroke="stroke"
        stroke-width="1.2"
      />
      <g
        v-for="(one, i) in crosses"
        :key="`cross ${i}`"
        :data-ref="one.ref ? refKey(one.ref) : undefined"
        :transform="`translate(${at(one.at)})`"
        :class="one.ref ? 'pointer-events-auto cursor-pointer' : ''"
        @click="take(one)"
      >
        <circle
          v-if="isHeld(one)"
          r="11"
          fill="var(--color-chalk-200)"
          :stroke="HELD"
          stroke-width="2.5"
        />
        <path
          d="M-6 -6 L6 6 M6 -6 L-6 6"
          stroke="var(--color-sheet)"
          stroke-width="5.5"
        />
        <path
          d="M-6 -6 L6 6 M6 -6 L-6 6"
          :stroke="stroke"
          stroke-width="3"
        />
        <circle
          v-if="one.tone !== 'plain'"
          r="9"
          fill="none"
          stroke="var(--color-sheet)"
          stroke-width="1.6"
          stroke-dasharray="3 2.6"
        />
      </g>
      <text
        v-for="(one, i) in texts"
        :key="`text ${i}`"
        :x="scale.x(one.at.x) + (one.begins ? 5 : 0)"
        :y="scale.y(one.at.y) + (one.begins ? -5 : layerStyle.text * 0.55)"
        :text-anchor="one.begins ? 'start' : 'middle'"
        :font-size="fontPx"
        font-weight="600"
        :fill="ink(layerStyle.ink)"
        :stroke="one.begins ? 'var(--color-sheet)' : layerStyle.halo ? ink(layerStyle.halo) : 'none'"
        stroke-width="3"
        paint-order="stroke"
      >
        {{ one.text }}
      </text>
    </g>
  </g>
</template>
