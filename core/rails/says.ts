import type { Point } from '../geometry'
import { type Ask, type FaceSays, isAcross, type Layer, type PartDraft, pushBy, type Ref, type Selectable, shape, signOf, type TapePlace, type TapePlaces } from '../trade'
import { clampsOn } from './clamps'
import { offCourse, offPan, offSupport, outsideZones, overhangOverMaker, spanOverMaker, tooLongRuns, underLaps, unjustified } from './findings'
import { skirtedLines } from './frames'
import type { RailsLayout } from './layout'
import { boltSteps, railLineSteps, trimSteps } from './marks'
import { onFace, type RailPlan } from './rail'
import { placeOfLine, placeRailEdit } from './typed'
import { lengthWorkings } from './workings'

type RailsAsk = Ask<RailsLayout>

const at = (rail: RailPlan, mm: number): Point => {
  const { xMm, yMm } = onFace(rail, mm)
  return { x: xMm, y: yMm }
}
const refOf = ({ id }: RailPlan): Ref => ({ kind: 'rail', id })
const toggle = { name: 'Rails', key: 'l', on: true }

/** Rails, or lines of coupled frames; one outside its clamp zone is wrong. */
const lines: Layer<RailsAsk> = {
  id: 'rails', toggle, depth: 60, style: { fill: null, stroke: '#1c5fae', width: 1.5, text: 7, ink: '#22272e', dxfColour: 5, screen: { stroke: '#7db2ea' } },
  shapes: ({ plan: { rails } }) => rails.flatMap(rail => [
    shape({ kind: 'line', from: at(rail, rail.fromMm), to: at(rail, rail.toMm) }, refOf(rail), rail.inZone ? 'plain' : 'wrong'),
    shape({ kind: 'text', at: at(rail, rail.fromMm), text: String(rail.number), roomMm: 0 }, refOf(rail)),
  ]),
}

const couplers: Layer<RailsAsk> = {
  id: 'couplers', toggle, depth: 65, style: { fill: '#ffffff', stroke: '#1c5fae', width: 1, text: 0, ink: '#22272e', dxfColour: 3 },
  shapes: ({ plan: { rails } }) => rails.flatMap(rail => rail.couplers.map(mm => shape({ kind: 'bar', at: at(rail, mm), across: rail.way === 'across' }))),
}

/** The trim along the lowest edges of coupled frames. */
const skirts: Layer<RailsAsk> = {
  id: 'skirts', toggle, depth: 62, style: { fill: null, stroke: '#22272e', width: 3, text: 0, ink: '#22272e', dxfColour: 7 },
  shapes: ({ plan: { rails } }) => skirtedLines(rails).map(line => shape({ kind: 'line', from: at(line, line.fromMm), to: at(line, line.toMm) })),
}

const onTape = (rail: RailPlan): TapePlace => ({ placeMm: rail.lineMm, label: `Rail ${rail.number}`, tone: 'line' })
/** A rail's line is read off the tape across its run. */
const acrossRun = ({ way }: RailPlan, places: TapePlace[]): TapePlaces => way === 'across' ? { along: [], up: places } : { along: places, up: [] }

const oneRail = ({ face, plan }: RailsAsk, rail: RailPlan): Selectable => ({
  ref: refOf(rail), name: `Rail ${rail.number}`, stage: 'rails', places: () => acrossRun(rail, [onTape(rail)]), workings: () => [plan.limits.spanWorking, plan.limits.overhangWorking, rail.working, ...lengthWorkings(rail)],
  nudge: (direction, push) => {
    if (isAcross(direction) === (rail.way === 'across')) return null
    const ends = plan.railLines.flatMap(line => [line.fromMm, line.toMm]).filter(mm => mm > rail.zone.fromMm && mm < rail.zone.toMm)
    const byMm = pushBy([rail.zone.fromMm, ...ends, rail.zone.toMm], rail.lineMm, signOf(direction), push)
    const placeMm = byMm === null ? null : placeOfLine(rail, plan.rows.rows, rail.lineMm + byMm)
    return placeMm === null ? null : placeRailEdit(face.id, rail, Math.max(0, placeMm))
  },
})

const allRails = ({ plan: { rails } }: RailsAsk): Selectable => ({
  ref: { kind: 'rails' },
  name: 'All rails',
  stage: 'rails',
  places: () => rails[0] ? acrossRun(rails[0], rails.map(onTape)) : { along: [], up: [] },
})

const clampsOf = ({ plan: { parts, rails } }: RailsAsk, which: 'mids' | 'ends'): number => rails.reduce((sum, rail) => sum + clampsOn(rail, parts.clamps)[which], 0)
const clampPart = (ask: RailsAsk, kind: 'mid-clamp' | 'end-clamp', which: 'mids' | 'ends', word: string, rule: string): PartDraft[] => {
  const { clamps } = ask.plan.parts
  return [{
    kind,
    item: { shelf: 'clamps', id: clamps.id },
    name: `${clamps.name}, ${word}`,
    maker: clamps.maker,
    stage: 'modules',
    amount: clampsOf(ask, which),
    massKg: 'by shelf',
    price: 'by shelf',
    rule,
  }]
}

/** Rails and what holds modules on them, or frames coupled in place of rails. */
export const rails = {
  findings: {
    'clamp-zone': outsideZones, 'off-course': offCourse, 'off-pan': offPan, 'under-laps': underLaps, 'off-support': offSupport, 'long-run': tooLongRuns,
    'over-maker-span': spanOverMaker, 'over-maker-overhang': overhangOverMaker, 'span-basis': unjustified,
  },
  marks: { rails: railLineSteps, bolts: boltSteps, trim: trimSteps },
  parts: {
    'mid-clamp': ask => clampPart(ask, 'mid-clamp', 'mids', 'mid', 'Between neighbours, on each rail'),
    'end-clamp': ask => clampPart(ask, 'end-clamp', 'ends', 'end', 'Both ends of each rail, and where modules stand too far apart for a mid clamp'),
    'coupler': ({ plan: { parts: { rail }, rails: own } }) => [{
      kind: 'coupler', item: {
        shelf: 'rails',
        id: rail.id,
      }, name: rail.splice.partName, maker: rail.maker, stage: 'modules', amount: own.reduce((sum, line) => sum + line.couplers.length, 0),
      massKg: 'by shelf', price: rail.splice.price, rule: 'Between neighbours, on each line of frames',
    }],
    'skirt': ({ plan: { parts: { rail }, rails: own } }) => {
      const skirt = rail.frame?.skirt
      if (!skirt) return []
      const lengths = skirtedLines(own).reduce((sum, line) => sum + Math.ceil((line.reach.toMm - line.reach.fromMm - 0.5) / skirt.mm), 0)
      return [{
        kind: 'skirt',
        item: { shelf: 'rails', id: rail.id },
        name: skirt.name,
        maker: rail.maker,
        stage: 'modules',
        amount: lengths,
        lengthMm: skirt.mm,
        massKg: skirt.mm / 1000 * skirt.massKgPerM,
        price: skirt.price,
        rule: 'Along the lowest edges, each line by itself',
      }]
    },
    'end-cap': ({ plan: { parts: { rail }, rails: own } }) => [{
      kind: 'end-cap', item: { shelf: 'rails', id: rail.id }, name: rail.endCapName, maker: rail.maker, stage: 'finish', amount: (rail.frame ? skirtedLines(own) : own).length * 2,
      massKg: 'by shelf', price: 'by shelf', rule: rail.frame ? 'Both ends of each skirt' : 'Both ends of each rail',
    }],
  },
  layers: [lines, skirts, couplers],
  selectable: ask => [allRails(ask), ...ask.plan.rails.map(rail => oneRail(ask, rail))],
  workings: ({ plan }) => [plan.limits.spanWorking, plan.limits.overhangWorking],
} satisfies FaceSays<RailsLayout>
