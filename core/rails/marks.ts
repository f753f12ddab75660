import { type Ask, inBuildOrder, type MarkStep, sentenceCase, type StepMaker } from '../trade'
import { count } from '../units'
import { clampsOn } from './clamps'
import type { RailsLayout } from './layout'
import { endNames, railWords, runTape } from './rail'

type RailsAsk = Ask<RailsLayout>

export function railLineSteps({ plan: { rails, parts } }: RailsAsk, make: StepMaker): MarkStep[] {
  const frames = parts.rail.frame !== null
  return [make({
    id: 'rail-lines', kind: 'rails', title: frames ? 'Lines of mounts' : 'Rail lines', tape: rails[0]?.way === 'up' ? 'along' : 'up', lineMm: null,
    instruction: frames ? 'Snap each line along which frames are held.' : 'Snap each rail’s centre line.',
    marks: rails.map(rail => ({ label: `${frames ? 'Line' : 'Rail'} ${rail.number}`, mm: rail.lineMm, note: sentenceCase(railWords(rail)), of: { kind: 'rail', id: rail.id } })),
  })]
}

/** Bolts whose heads go in from a rail's end only: all of them, before the rail is fixed. */
export function boltSteps({ plan: { rails, parts: { clamps, rail } } }: RailsAsk, make: StepMaker): MarkStep[] {
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

/** Ends of rails, cut when the modules are on. */
export function trimSteps({ face, plan: { rails, parts } }: RailsAsk, make: StepMaker): MarkStep[] {
  if (parts.rail.frame) return []
  return inBuildOrder(face, rails).map((rail) => {
    const [first, last] = endNames(rail)
    return make({
      id: `trim-${rail.id}`, kind: 'trim', title: `Trim, rail ${rail.number}`, tape: runTape(rail), lineMm: rail.lineMm,
      instruction: face.array.trimTailMm > 0 ? 'Leave the rail long at both ends. Trim at the marks when the modules are on.' : 'Cut the rail to the marks before it goes up.',
      marks: [{ label: `Rail end, ${first}`, mm: rail.fromMm, note: 'Trim here' }, { label: `Rail end, ${last}`, mm: rail.toMm, note: 'Trim here' }],
    })
  })
}
