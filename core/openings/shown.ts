import type { Point } from '../geometry'
import { type Ask, type FaceShown, type Layer, type Shape, shape } from '../trade'
import { count, length, words } from '../units'
import type { Working } from '../working'
import type { OpeningsLayout } from './layout'
import { placeOfUnit } from './where'

type Asked = Ask<OpeningsLayout>

const rectangle = (fromX: number, toX: number, fromY: number, toY: number): Point[] => [{ x: fromX, y: fromY }, { x: toX, y: fromY }, { x: toX, y: toY }, { x: fromX, y: toY }]

/** Units that are lifted, each once. */
const lifted: Layer<Asked> = {
  id: 'units-lifted', toggle: { name: 'Openings', key: 'o', on: false }, depth: 36, style: { fill: '#f0dfa8', stroke: '#8a6a12', width: 0.5, text: 0, ink: '#22272e', dxfColour: 40 },
  shapes: ({ face, plan }) => unitShapes(face, plan.openings.flatMap(one => one.lifted)),
}

/** Units that are notched, slotted, cored or drilled. */
const cut: Layer<Asked> = {
  id: 'units-cut', toggle: { name: 'Openings', key: 'o', on: false }, depth: 37, style: { fill: '#f3c3b4', stroke: '#b4331a', width: 0.8, text: 0, ink: '#22272e', dxfColour: 30 },
  shapes: ({ face, plan }) => unitShapes(face, plan.openings.flatMap(one => one.cut ? [{ course: one.cut.course, unit: one.cut.unit }] : [])),
}

function unitShapes(face: Asked['face'], refs: { course: number, unit: number | null }[]): Shape[] {
  const seen = new Set<string>()
  return refs.flatMap((ref) => {
    const key = `${ref.course} ${ref.unit}`
    const place = seen.has(key) ? null : placeOfUnit(face, ref)
    seen.add(key)
    return place ? [shape({ kind: 'area', rings: [rectangle(place.along.fromMm, place.along.toMm, place.up.fromMm, place.up.toMm)] })] : []
  })
}

/** Units that were found broken. */
const broken: Layer<Asked> = {
  id: 'units-broken', toggle: { name: 'Openings', key: 'o', on: false }, depth: 38, style: { fill: '#e2b7af', stroke: '#8c2116', width: 1.2, text: 0, ink: '#22272e', dxfColour: 14, hatched: true },
  shapes: ({ face }) => unitShapes(face, face.broken),
}

/** Plates where they are screwed, and the cuts at their true size. */
const plates: Layer<Asked> = {
  id: 'openings', toggle: { name: 'Openings', key: 'o', on: false }, depth: 79, style: { fill: null, stroke: '#7a2c12', width: 1, text: 0, ink: '#22272e', dxfColour: 12 },
  shapes: ({ plan }) => plan.openings.flatMap(({ plate, exit, fixingId, cut: own, unit, course }) => {
    const ref = { kind: 'fixing' as const, id: fixingId }
    const half = 35
    const box = shape({ kind: 'area', rings: [rectangle(plate.xMm - half, plate.xMm + half, plate.yMm - half, plate.yMm + half)] }, ref)
    const arm = exit ? [shape({ kind: 'line', from: { x: exit.xMm, y: exit.yMm }, to: { x: exit.xMm, y: plate.yMm - half } }, ref)] : []
    const slot = own && own.kind !== 'hole' && unit && course && own.fromLeftMm !== null
      ? [shape({ kind: 'area', rings: [rectangle(unit.leftMm + own.fromLeftMm, unit.leftMm + own.fromLeftMm + own.wideMm, course.fromMm + own.fromLowerMm, course.fromMm + own.fromLowerMm + own.highMm)] }, ref)]
      : []
    return [box, ...arm, ...slot]
  }),
}

/** Units and sealant of the face, and how they come about. */
function openingWorkings({ openings, units }: OpeningsLayout): Working[] {
  if (!openings.length) return []
  const ml = openings.reduce((sum, one) => sum + one.seal.ml, 0)
  const { beadLengthMm, sectionMm2 } = openings[0]!.seal
  return [
    {
      what: 'Sealant of the face', formula: 'Σ (bead × section + film + filling + dabs)', values: [
        { symbol: 'n', what: 'openings', value: count(openings.length, 'openings') }, { symbol: 'l', what: 'bead of one', value: length(beadLengthMm) }, { symbol: 'A', what: 'its section', value: words(`${sectionMm2.toFixed(1)} mm²`) },
      ],
      result: words(`${ml.toFixed(0)} ml`), source: 'Bead figures by the mount’s maker', basis: 'maker',
    },
    {
      what: 'Units that are bought', formula: 'broken by rule of thumb + found broken − what is spare', values: [
        { symbol: 'l', what: 'lifted, each once', value: count(units.lifted, 'units') }, { symbol: 't', what: 'break by rule of thumb', value: count(units.thumb, 'units') }, { symbol: 'b', what: 'found broken', value: count(units.broken, 'units') },
        { symbol: 's', what: 'spare', value: count(units.spare, 'units') },
      ],
      result: count(units.bought, 'units'), source: 'Share by the mount’s way through (common practice)', basis: 'common practice',
    },
  ]
}

/** What of it is drawn, taken hold of and worked out before eyes. */
export const openingsShown = { layers: [lifted, cut, broken, plates], workings: ({ plan }) => openingWorkings(plan) } satisfies FaceShown<OpeningsLayout>
