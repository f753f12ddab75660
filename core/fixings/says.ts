import { fixedPoint, runTape } from '../rails'
import { type FaceSays, inBuildOrder, type JobSays, type MarkStep, sentenceCase, type StepMaker } from '../trade'
import type { SupportState } from '../supports'
import { formatQuantity, torque } from '../units'
import { type FixingsAsk, noSupport, notDoubled, overhangTooLong, patternNotHad, spanTooLong } from './findings'
import type { FixingsLayout } from './layout'
import type { Fixing } from './place'
import { emptyStrip, guessed, pilotOff, thinSheathing, unproved } from './timber'
import type { Fixed } from './shown'
import { fixingsShown } from './shown'

const pilotWords: Record<SupportState, string[]> = { proved: [], inferred: ['inferred: pilot first'], guessed: ['guessed: pilot first'] }

function fixingSteps({ face, job, plan: { rails, fixings, parts } }: Fixed, make: StepMaker): MarkStep[] {
  const frames = parts.rail.frame !== null
  return inBuildOrder(face, rails.map((rail, r) => {
    const own = fixings.rails[r]!.fixings
    const still = fixedPoint(rail, own.map(fixing => fixing.atMm))?.fixing
    const noteOf = ({ state, member }: Fixing, i: number) => [
      sentenceCase(member),
      ...pilotWords[state],
      ...(i === still && !frames ? ['fixed point: tighten first'] : []),
    ].join(', ')
    return make({
      id: `fixings-${rail.id}`, kind: 'fixings', title: `Fixings on ${frames ? 'line' : 'rail'} ${rail.number}`, tape: runTape(rail), lineMm: rail.lineMm,
      instruction: `${parts.mount.name}. ${parts.mount.screw.pilot}. ${parts.mount.sealant}. ${frames ? 'Frame' : 'Rail'} bolt on the foot: ${formatQuantity(torque(parts.mount.torqueNm), job.units)}.`,
      marks: own.map((fixing, i) => ({ label: `Fixing ${i + 1}`, mm: fixing.atMm, note: noteOf(fixing, i), key: fixing.member, of: { kind: 'fixing', id: fixing.id } })),
    })
  }))
}

/** Where rails are fixed, and how sure it is that timber is there. */
export const fixings = {
  ...fixingsShown,
  findings: {
    'no-support': noSupport, 'overhang': overhangTooLong, 'span': spanTooLong, 'pattern': patternNotHad, 'not-doubled': notDoubled,
    'rafters-guessed': guessed, 'strip-empty': emptyStrip, 'thin-sheathing': thinSheathing, 'pilot': pilotOff,
  },
  marks: { fixings: fixingSteps },
} satisfies FaceSays<FixingsLayout, FixingsAsk>

export const fixingsOfJob = {
  findings: { 'rafters-unproved': unproved },
  tools: ({ job, faces }) => {
    const torques = [...new Set(faces.flatMap(({ plan: { parts } }) => [parts.clamps.torqueNm, parts.mount.torqueNm]))].sort((a, b) => a - b)
    return [
      `Torque wrench: ${torques.map(nm => formatQuantity(torque(nm), job.units)).join(' and ')} for feet and clamps`,
      ...(faces.some(({ plan: { parts } }) => parts.clamps.bolt.enters === 'end' && !parts.rail.frame) ? ['Box for bolts, counted out rail by rail'] : []),
    ]
  },
} satisfies JobSays<FixingsLayout>
