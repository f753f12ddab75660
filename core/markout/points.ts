import type { Fixing } from '../fixings'
import { clampsOn, endNames, fixedPoint, type RailPlan, runTape } from '../rails'
import { count, formatQuantity, length, torque } from '../units'
import type { MarkoutInput } from './input'
import { evenGaps, stateWords } from './lines'
import { type MarkStep, sentenceCase, type StepMaker } from './step'

/** Rails or rows in the order in which they are built: from the eave up, or from the ridge down. */
export const inOrder = <T>({ face }: Pick<MarkoutInput, 'face'>, items: T[]): T[] => face.array.stackFrom === 'ridge' ? [...items].reverse() : items

export function fixingSteps(input: MarkoutInput, make: StepMaker): MarkStep[] {
  const { rails, fixings, parts } = input
  return inOrder(input, rails.map((rail, r) => {
    const own = fixings.rails[r]!.fixings
    const still = fixedPoint(rail, own.map(fixing => fixing.atMm))?.fixing
    const noteOf = ({ state, member }: Fixing, i: number) => [sentenceCase(member), ...(state === 'proved' ? [] : [`${stateWords[state]}: pilot first`]), ...(i === still && !parts.rail.frame ? ['fixed point: tighten first'] : [])].join(', ')
    return make({
      id: `fixings-${rail.id}`, kind: 'fixings', title: `Fixings on ${parts.rail.frame ? 'line' : 'rail'} ${rail.number}`, tape: runTape(rail), lineMm: rail.lineMm,
      instruction: `${parts.mount.name}. ${parts.mount.screw.pilot}. ${parts.mount.sealant}. ${parts.rail.frame ? 'Frame' : 'Rail'} bolt on the foot: ${formatQuantity(torque(parts.mount.torqueNm), input.units)}.`,
      marks: own.map((fixing, i) => ({ label: `Fixing ${i + 1}`, mm: fixing.atMm, note: noteOf(fixing, i), key: fixing.member })),
    })
  }))
}

/** Bolts whose heads go in from a rail's end only: all of them, before the rail is fixed. */
export function boltSteps({ rails, parts: { clamps, rail } }: MarkoutInput, make: StepMaker): MarkStep[] {
  if (clamps.bolt.enters !== 'end' || rail.frame || !rails.length) return []
  return [make({
    id: 'bolts', kind: 'bolts', title: 'Bolts into the rails', tape: 'along', lineMm: null, marks: [],
    instruction: `${clamps.bolt.name}: slide them into the slot from the rail’s end before the rail is fixed. None can be added afterwards.`,
    checks: rails.map((one) => {
      const { mids, ends } = clampsOn(one, clamps)
      return { label: `Rail ${one.number}`, value: count(mids + ends, mids + ends === 1 ? 'bolt' : 'bolts'), note: 'One for each clamp' }
    }),
  })]
}

/**
 * Where each row's modules begin and end; between the two a stick is stepped. Only a row whose modules don't follow at one distance
 * has all its edges marked.
 */
export function moduleSteps(input: MarkoutInput, make: StepMaker): MarkStep[] {
  const { rows: { rows, columnGapMm }, parts: { clamps }, units, face } = input
  const left = face.datum === 'left'
  return inOrder(input, rows).map((row) => {
    const { moduleWidthMm } = row
    const numberOf = (leftMm: number) => row.moduleLeftsMm.indexOf(leftMm) + 1
    const even = row.blocks.every(block => evenGaps(block.moduleLeftsMm))
    const ends = row.blocks.flatMap((block) => {
      const [first, last] = [block.moduleLeftsMm[0]!, block.moduleLeftsMm.at(-1)!]
      const edges = [{ label: `Module ${numberOf(first)}, left edge`, mm: first }, { label: `Module ${numberOf(last)}, right edge`, mm: last + moduleWidthMm }]
      return left ? edges : edges.reverse()
    })
    return make({
      id: `modules-row${row.index + 1}`, kind: 'modules', title: `Modules, row ${row.index + 1}`, tape: 'along', lineMm: row.bottomMm,
      instruction: `Set about three, measure both ends to the ridge, then go on. Clamps: nip, then ${formatQuantity(torque(clamps.torqueNm), units)} with the torque wrench.`,
      marks: even ? ends : row.moduleLeftsMm.flatMap((leftMm, i) => [{ label: `Module ${i + 1}, left edge`, mm: leftMm }, { label: `Module ${i + 1}, right edge`, mm: leftMm + moduleWidthMm }]),
      gauge: even && row.blocks.length === 1 && row.count > 1 ? { what: 'module and gap along the eave', lengthMm: moduleWidthMm + columnGapMm, steps: row.count - 1 } : null,
    })
  })
}

const upperRail = ({ rails }: MarkoutInput, row: number) => rails.find(rail => rail.row === row && rail.side === 'upper')

/** A unit near the middle of every module, along one line a row. */
export function electronicsSteps(input: MarkoutInput, make: StepMaker): MarkStep[] {
  return inOrder(input, input.rows.rows).map((row) => {
    const upper = upperRail(input, row.index)
    return make({
      id: `electronics-row${row.index + 1}`, kind: 'electronics', title: `Electronics, row ${row.index + 1}`, tape: 'along', lineMm: upper?.lineMm ?? null,
      instruction: `${upper ? 'On the upper rail' : 'On a rail or the frame'}, near the middle of each module, not under its junction box and not across two modules.`,
      marks: row.moduleLeftsMm.map((leftMm, i) => ({ label: `Unit ${i + 1}`, mm: leftMm + row.moduleWidthMm / 2 })),
    })
  })
}

/** The trunk cable: along each row from its first unit to its last, and from row to row. */
export function trunkSteps(input: MarkoutInput, make: StepMaker): MarkStep[] {
  const rows = inOrder(input, input.rows.rows).filter(row => row.count > 0)
  if (!rows.length) return []
  const heightOf = (row: typeof rows[number]) => upperRail(input, row.index)?.lineMm ?? (row.bottomMm + row.topMm) / 2
  return [make({
    id: 'trunk', kind: 'trunk', title: 'Trunk cable', tape: 'along', lineMm: null, marks: [],
    instruction: 'Clip the trunk to the rail under the units, clear of the roof, slack at every joint. Cap what stays unused with the maker’s caps and close the end with its terminator.',
    checks: [
      ...rows.map(row => ({ label: `Row ${row.index + 1}, first unit to last`, value: length(row.moduleLeftsMm.at(-1)! - row.moduleLeftsMm[0]!), note: '' })),
      ...rows.slice(1).map((row, i) => ({ label: `Row ${rows[i]!.index + 1} to row ${row.index + 1}`, value: length(Math.abs(heightOf(row) - heightOf(rows[i]!))), note: 'Up the slope' })),
    ],
  })]
}

/** Where sticks meet, or frames are coupled. */
export function spliceSteps(input: MarkoutInput, make: StepMaker): MarkStep[] {
  const { rails, sticks, parts } = input
  const frames = parts.rail.frame !== null
  return inOrder(input, rails).map((rail: RailPlan) => {
    const places = frames ? rail.couplers.map(atMm => ({ atMm, bridged: false })) : sticks.splices.filter(splice => splice.railId === rail.id)
    return make({
      id: `splices-${rail.id}`, kind: 'splices', title: frames ? `Couplers on line ${rail.number}` : `Splices, rail ${rail.number}`, tape: runTape(rail), lineMm: rail.lineMm,
      instruction: frames ? `${parts.rail.splice.partName} between neighbouring frames.` : `${parts.rail.splice.partName}, its middle on the mark.`,
      marks: places.map(({ atMm, bridged }, i) => ({ label: frames ? `Coupler ${i + 1}` : `Splice ${i + 1}`, mm: atMm, note: bridged ? 'Bridged: leave the gap' : frames ? '' : 'Sticks meet here' })),
    })
  })
}

export function trimSteps(input: MarkoutInput, make: StepMaker): MarkStep[] {
  const { rails, face, parts } = input
  if (parts.rail.frame) return []
  return inOrder(input, rails).map((rail) => {
    const [first, last] = endNames(rail)
    return make({
      id: `trim-${rail.id}`, kind: 'trim', title: `Trim, rail ${rail.number}`, tape: runTape(rail), lineMm: rail.lineMm,
      instruction: face.array.trimTailMm > 0 ? 'Leave the rail long at both ends. Trim at the marks when the modules are on.' : 'Cut the rail to the marks before it goes up.',
      marks: [{ label: `Rail end, ${first}`, mm: rail.fromMm, note: 'Trim here' }, { label: `Rail end, ${last}`, mm: rail.toMm, note: 'Trim here' }],
    })
  })
}
