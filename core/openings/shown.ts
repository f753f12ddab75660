import { rectangle } from '../geometry'
import { type Ask, type FaceShown, type Layer, type Shape, shape } from '../trade'
import { count, length, words } from '../units'
import type { Working } from '../working'
import type { OpeningsLayout } from './layout'
import { throughOf } from './through'
import { placeOfUnit } from './where'

type Asked = Ask<OpeningsLayout>

/** Units that are lifted, each once. */
const lifted: Layer<Asked> = {
  id: 'units-lifted', toggle: { name: 'Openings', key: 'o', on: false, only: 'on-rails' }, depth: 36, style: { fill: '#f0dfa8', stroke: '#8a6a12', width: 0.5, text: 0, ink: '#22272e', dxfColour: 40 },
  shapes: ({ face, plan }) => unitShapes(face, plan.openings.flatMap(one => one.lifted)),
}

/** Units that are notched, slotted, cored or drilled. */
const cut: Layer<Asked> = {
  id: 'units-cut', toggle: { name: 'Openings', key: 'o', on: false, only: 'on-rails' }, depth: 37, style: { fill: '#f3c3b4', stroke: '#b4331a', width: 0.8, text: 0, ink: '#22272e', dxfColour: 30 },
  shapes: ({ face, plan }) => unitShapes(face, plan.openings.flatMap(one => one.cut ? [{ course: one.cut.course, unit: one.cut.unit }] : [])),
}

function unitShapes(face: Asked['face'], refs: { course: number, unit: number | null }[]): Shape[] {
  const seen = new Set<string>()
  return refs.flatMap((ref) => {
    const key = `${ref.course} ${ref.unit}`
    const place = seen.has(key) ? null : placeOfUnit(face, ref)
    seen.add(key)
    return place ? [shape({ kind: 'area', rings: rectangle(place.along, place.up) })] : []
  })
}

/** Units that were found broken. */
const broken: Layer<Asked> = {
  id: 'units-broken', toggle: { name: 'Openings', key: 'o', on: false, only: 'on-rails' }, depth: 38, style: { fill: '#e2b7af', stroke: '#8c2116', width: 1.2, text: 0, ink: '#22272e', dxfColour: 14, hatched: true },
  shapes: ({ face }) => unitShapes(face, face.broken),
}

/** Plates where they are screwed, and the cuts at their true size. */
const plates: Layer<Asked> = {
  id: 'openings', toggle: { name: 'Openings', key: 'o', on: false, only: 'on-rails' }, depth: 79, style: { fill: null, stroke: '#7a2c12', width: 1, text: 0, ink: '#22272e', dxfColour: 12 },
  shapes: ({ plan }) => plan.openings.flatMap(({ plate, exit, fixingId, cut: own, unit, course }) => {
    const ref = { kind: 'fixing' as const, id: fixingId }
    const half = 35
    const box = shape({ kind: 'area', rings: rectangle({ fromMm: plate.xMm - half, toMm: plate.xMm + half }, { fromMm: plate.yMm - half, toMm: plate.yMm + half }) }, ref)
    const arm = exit ? [shape({ kind: 'line', from: { x: exit.xMm, y: exit.yMm }, to: { x: exit.xMm, y: plate.yMm - half } }, ref)] : []
    const slot = own && own.kind !== 'hole' && unit && course && own.fromLeftMm !== null
      ? [shape({ kind: 'area', rings: rectangle({ fromMm: unit.leftMm + own.fromLeftMm, toMm: unit.leftMm + own.fromLeftMm + own.wideMm }, { fromMm: course.fromMm + own.fromLowerMm, toMm: course.fromMm + own.fromLowerMm + own.highMm }) }, ref)]
      : []
    return [box, ...arm, ...slot]
  }),
}

/** Units and sealant of the face, and how they come about. */
function openingWorkings(plan: OpeningsLayout): Working[] {
  const { openings, units, stripped } = plan
  if (!openings.length) return []
  const ml = openings.reduce((sum, one) => sum + one.seal.ml, 0)
  const ways = [true, false].map(first => openings.filter(one => one.first === first)).filter(own => own.length)
  return [
    {
      what: 'Sealant of the face', formula: 'Σ (bead × section + film + filling + dabs)', values: [
        ...ways.flatMap((own): Working['values'] => {
          const of = ways.length > 1 ? `, ${throughOf(plan, own[0]!).mount.name}` : ''
          const { beadLengthMm, sectionMm2, ml: oneMl } = own[0]!.seal
          return [
            { symbol: 'n', what: `openings${of}`, value: count(own.length, 'openings') }, { symbol: 'l', what: `bead of one${of}`, value: length(beadLengthMm) },
            { symbol: 'A', what: `its section${of}`, value: words(`${sectionMm2.toFixed(1)} mm²`) }, { symbol: 'V', what: `all of one${of}`, value: words(`${oneMl.toFixed(1)} ml`) },
          ]
        }),
      ],
      result: words(`${ml.toFixed(0)} ml`), source: 'Bead figures by the mount’s maker', basis: 'maker',
    },
    {
      what: 'Units that are bought', formula: 'broken by rule of thumb + found broken − what is not laid again; none below 0', values: [
        { symbol: 'l', what: 'lifted, each once', value: count(units.lifted, 'units') }, { symbol: 't', what: 'break by rule of thumb', value: count(units.thumb, 'units') }, { symbol: 'b', what: 'found broken', value: count(units.broken, 'units') },
        { symbol: 'u', what: 'not laid again, under the array', value: count(stripped?.covered ?? 0, 'units') },
      ],
      result: count(units.bought, 'units'), source: 'Share by the mount’s way through (common practice)', basis: 'common practice',
    },
  ]
}

/** What of it is drawn, taken hold of and worked out before eyes. */
export const openingsShown = { layers: [lifted, cut, broken, plates], workings: ({ plan }) => openingWorkings(plan) } satisfies FaceShown<OpeningsLayout>
