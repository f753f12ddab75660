import type { Fixing } from '../fixings'
import { clampsOn, endNames, fixedPoint, type RailPlan } from '../rails'
import { count } from '../units'
import type { MarkoutInput } from './input'
import { stateWords, tapeOf } from './lines'
import { type MarkStep, sentenceCase, type StepMaker } from './step'

/** Rails or rows in the order in which they are built: from the eave up, or from the ridge down. */
export const inOrder = <T>({ face }: Pick<MarkoutInput, 'face'>, items: T[]): T[] => face.array.stackFrom === 'ridge' ? [...items].reverse() : items

export function fixingSteps(input: MarkoutInput, make: StepMaker): MarkStep[] {
  const { rails, fixings, parts } = input
  return inOrder(input, rails.map((rail, r) => {
    const own = fixings.rails[r]!.fixings
    const still = fixedPoint(rail, own.map(fixing => fixing.atMm))?.fixing
    const noteOf = ({ state, member }: Fixing, i: number) => [sentenceCase(member), ...(state === 'proved' ? [] : [`${stateWords[state]}: pilot first`]), ...(i === still && !parts.rail.frame ? ['fixed point: tighten first, the rail grows both ways from here'] : [])].join(', ')
    return make({
      id: `fixings-${rail.id}`, kind: 'fixings', title: `Fixings on ${parts.rail.frame ? 'line' : 'rail'} ${rail.number}`, tape: tapeOf(rail), lineMm: rail.lineMm,
      instruction: `${parts.mount.name}. ${parts.mount.screw.pilot}. ${parts.mount.sealant}.`,
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

export function moduleSteps(input: MarkoutInput, make: StepMaker): MarkStep[] {
  const { rows: { rows, columnGapMm }, rails } = input
  return inOrder(input, rows).flatMap((row) => {
    const { moduleWidthMm } = row
    const upper = rails.find(rail => rail.row === row.index && rail.side === 'upper')
    return [
      make({
        id: `modules-row${row.index + 1}`, kind: 'modules', title: `Module edges, row ${row.index + 1}`, tape: 'along', lineMm: row.bottomMm,
        instruction: 'Set about three, measure both ends to the ridge, then go on.',
        marks: row.moduleLeftsMm.flatMap((leftMm, i) => [
          { label: `Module ${i + 1}, left edge`, mm: leftMm }, { label: `Module ${i + 1}, right edge`, mm: leftMm + moduleWidthMm },
        ]),
        gauge: row.blocks.length === 1 && row.count > 1 ? { what: 'module and gap along the eave', lengthMm: moduleWidthMm + columnGapMm, steps: row.count - 1 } : null,
      }),
      make({
        id: `electronics-row${row.index + 1}`, kind: 'electronics', title: `Electronics, row ${row.index + 1}`, tape: 'along', lineMm: upper?.lineMm ?? null,
        instruction: `${upper ? 'On the upper rail' : 'On a rail or the frame'}, near the middle of each module, not under its junction box and not across two modules.`,
        marks: row.moduleLeftsMm.map((leftMm, i) => ({ label: `Unit ${i + 1}`, mm: leftMm + moduleWidthMm / 2 })),
      }),
    ]
  })
}

/** Where sticks meet, or frames are coupled. */
export function spliceSteps(input: MarkoutInput, make: StepMaker): MarkStep[] {
  const { rails, sticks, parts } = input
  const frames = parts.rail.frame !== null
  return inOrder(input, rails).map((rail: RailPlan) => {
    const places = frames ? rail.couplers.map(atMm => ({ atMm, bridged: false })) : sticks.splices.filter(splice => splice.railId === rail.id)
    return make({
      id: `splices-${rail.id}`, kind: 'splices', title: frames ? `Couplers on line ${rail.number}` : `Splices, rail ${rail.number}`, tape: tapeOf(rail), lineMm: rail.lineMm,
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
      id: `trim-${rail.id}`, kind: 'trim', title: `Trim, rail ${rail.number}`, tape: tapeOf(rail), lineMm: rail.lineMm,
      instruction: face.array.trimTailMm > 0 ? 'Leave the rail long at both ends. Trim at the marks when the modules are on.' : 'Cut the rail to the marks before it goes up.',
      marks: [{ label: `Rail end, ${first}`, mm: rail.fromMm, note: 'Trim here' }, { label: `Rail end, ${last}`, mm: rail.toMm, note: 'Trim here' }],
    })
  })
}
