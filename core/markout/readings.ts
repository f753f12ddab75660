import type { Face, Obstruction } from '../job'
import { obstructionNames } from '../keepclear'
import type { FacePlan } from '../plan/face'
import { bounds } from '../geometry'
import type { RailPlan } from '../rails'
import { readingAlong, readingUp, shapeOf } from '../roof'
import { type Rafter, rafterName } from '../supports'

/** One running reading on a tape: where it points on the face and what the tape reads there. */
export interface TapeReading {
  key: string
  placeMm: number
  readingMm: number
  label: string
  tone: 'rafter' | 'fixing' | 'line' | 'module' | 'edge'
  /** How well the place is known, as a standard deviation, mm; null for what is not estimated. */
  sdMm?: number
}

/** What both tapes carry for a selection. */
export interface TapeReadings { along: TapeReading[], up: TapeReading[] }

type Draft = Omit<TapeReading, 'readingMm' | 'key'>

/**
 * The running readings of whatever is selected, from the face's datum corner.
 * @param selection `face`, `rafters`, `rafter 3`, `keep-clear`, `rows`, `row 2`, `rails` or a rail's id
 */
export function tapeReadings(face: Face, plan: FacePlan, selection: string): TapeReadings {
  const { along, up } = drafts(face, plan, selection)
  const keyed = (drafts: Draft[], readingOf: (mm: number) => number): TapeReading[] => drafts
    .map((draft, i) => ({ ...draft, key: `${selection}-${i}`, readingMm: readingOf(draft.placeMm) }))
    .sort((a, b) => a.readingMm - b.readingMm)
  return { along: keyed(along, mm => readingAlong(face, mm)), up: keyed(up, mm => readingUp(face, mm)) }
}

function drafts(face: Face, plan: FacePlan, selection: string): { along: Draft[], up: Draft[] } {
  const shape = shapeOf(face.outline)
  const rafter = plan.supports.rafters.find(one => rafterName(one.number) === selection)
  if (rafter) return { along: [ofRafter(rafter)], up: [] }
  const obstruction = face.obstructions.find(one => one.id === selection)
  if (obstruction) return ofObstruction(obstruction)
  const row = plan.rows.rows.find(one => `row ${one.index + 1}` === selection)
  if (row) {
    return {
      along: [...row.moduleLeftsMm, row.rightMm].map((placeMm, i) => ({ placeMm, label: i < row.count ? `Module ${i + 1}, left edge` : 'Right edge', tone: 'module' })),
      up: [{ placeMm: row.bottomMm, label: 'Lower edge', tone: 'module' }, { placeMm: row.topMm, label: 'Upper edge', tone: 'module' }],
    }
  }
  const railIndex = plan.rails.findIndex(one => one.id === selection)
  if (railIndex >= 0) {
    const rail = plan.rails[railIndex]!
    return byWay(rail, plan.fixings.rails[railIndex]!.fixings.map((fixing, i) => ({ placeMm: fixing.atMm, label: `Fixing ${i + 1}, ${fixing.member}`, tone: 'fixing' })), [ofRail(rail)])
  }
  switch (selection) {
    case 'rafters':
      return ofSupports(plan)
    case 'rows': {
      const { rows } = plan.rows
      const [first] = rows
      return {
        along: first ? [{ placeMm: Math.min(...rows.map(one => one.leftMm)), label: 'Left edge of the array', tone: 'module' }, { placeMm: Math.max(...rows.map(one => one.rightMm)), label: 'Right edge of the array', tone: 'module' }] : [],
        up: rows.flatMap(one => [{ placeMm: one.bottomMm, label: `Row ${one.index + 1}, lower edge`, tone: 'module' as const }, { placeMm: one.topMm, label: `Row ${one.index + 1}, upper edge`, tone: 'module' as const }]),
      }
    }
    case 'rails':
      return plan.rails[0] ? byWay(plan.rails[0], [], plan.rails.map(ofRail)) : { along: [], up: [] }
    case 'keep-clear': {
      const box = bounds(plan.region)
      if (!box) return { along: [], up: [] }
      return {
        along: [{ placeMm: box.along.fromMm, label: 'Left end of what is usable', tone: 'edge' }, { placeMm: box.along.toMm, label: 'Right end of what is usable', tone: 'edge' }],
        up: [{ placeMm: box.up.fromMm, label: 'Lower end of what is usable', tone: 'edge' }, { placeMm: box.up.toMm, label: 'Upper end of what is usable', tone: 'edge' }],
      }
    }
    default: {
      const corners = shape.region[0]!
      return {
        along: distinct(corners.map(point => point.x)).map(placeMm => ({ placeMm, label: 'Corner', tone: 'edge' })),
        up: distinct(corners.map(point => point.y)).map(placeMm => ({ placeMm, label: 'Corner', tone: 'edge' })),
      }
    }
  }
}

const ofRail = (rail: RailPlan): Draft => ({ placeMm: rail.lineMm, label: `Rail ${rail.number}`, tone: 'line' })

/** What is read along a rail and what is read across it, each on its tape. */
const byWay = ({ way }: RailPlan, run: Draft[], line: Draft[]) => way === 'across' ? { along: run, up: line } : { along: line, up: run }

const ofRafter = (rafter: Rafter): Draft => ({ placeMm: rafter.centreMm, label: `Rafter ${rafter.number} at the eave`, tone: 'rafter', sdMm: rafter.sdMm })

function ofSupports({ supports }: FacePlan): { along: Draft[], up: Draft[] } {
  return {
    along: [
      ...supports.rafters.map(ofRafter),
      ...supports.seams.map((seam): Draft => ({ placeMm: seam.xMm, label: `Seam ${seam.number}`, tone: 'rafter' })),
      ...[supports.screws.xMm[0], supports.screws.xMm.at(-1)].flatMap((placeMm, i): Draft[] => placeMm === undefined ? [] : [{ placeMm, label: `${i ? 'Last' : 'First'} screw`, tone: 'rafter' }]),
      ...supports.areas.flatMap((area): Draft[] => [{ placeMm: area.along.fromMm, label: 'Sheathing, left edge', tone: 'rafter' }, { placeMm: area.along.toMm, label: 'Sheathing, right edge', tone: 'rafter' }]),
    ],
    up: [
      ...supports.across.map((line): Draft => ({ placeMm: line.centreMm, label: line.name, tone: 'rafter', sdMm: line.sdMm })),
      ...supports.screws.rowsMm.map((placeMm): Draft => ({ placeMm, label: 'Row of screws', tone: 'rafter' })),
      ...supports.areas.flatMap((area): Draft[] => [{ placeMm: area.up.fromMm, label: 'Sheathing, lower edge', tone: 'rafter' }, { placeMm: area.up.toMm, label: 'Sheathing, upper edge', tone: 'rafter' }]),
    ],
  }
}

function ofObstruction({ kind, round, xMm, yMm, widthMm, heightMm }: Obstruction): { along: Draft[], up: Draft[] } {
  const name = obstructionNames[kind]
  const spread = (middleMm: number, sizeMm: number, low: string, high: string): Draft[] => [
    { placeMm: middleMm - sizeMm / 2, label: `${name}, ${low}`, tone: 'edge' }, { placeMm: middleMm, label: `${name}, middle`, tone: 'edge' }, { placeMm: middleMm + sizeMm / 2, label: `${name}, ${high}`, tone: 'edge' },
  ]
  return { along: spread(xMm, widthMm, 'left', 'right'), up: spread(yMm, round ? widthMm : heightMm, 'bottom', 'top') }
}

/** Places without those within a millimetre of one before. */
const distinct = (places: number[]): number[] =>
  [...places].sort((a, b) => a - b).filter((place, i, all) => i === 0 || place - all[i - 1]! > 1)
