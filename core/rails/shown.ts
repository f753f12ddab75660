import type { Point } from '../geometry'
import { isAcross, pushBy, shape, signOf } from '../trade'
import { skirtedLines } from './frames'
import type { RailsLayout } from './layout'
import { onFace, type RailPlan } from './rail'
import { placeOfLine, placeRailEdit } from './typed'
import { lengthWorkings } from './workings'
import type { FaceShown, Ask, Layer, Ref, Selectable, TapePlace, TapePlaces } from '../trade'

export type RailsAsk = Ask<RailsLayout>

const at = (rail: RailPlan, mm: number): Point => {
  const { xMm, yMm } = onFace(rail, mm)
  return { x: xMm, y: yMm }
}

const refOf = ({ id }: RailPlan): Ref => ({ kind: 'rail', id })

const toggle = { name: 'Rails', key: 'l', on: true, only: 'on-rails' as const }

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

/** What of it is drawn, taken hold of and worked out before eyes. */
export const railsShown = {
  layers: [lines, skirts, couplers],
  selectable: ask => [allRails(ask), ...ask.plan.rails.map(rail => oneRail(ask, rail))],
  workings: ({ plan }) => [plan.limits.spanWorking, plan.limits.overhangWorking],
} satisfies FaceShown<RailsLayout>
