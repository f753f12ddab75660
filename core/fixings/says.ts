import { fixedPoint, onFace, runTape } from '../rails'
import { type Ask, type FaceSays, inBuildOrder, type JobSays, type Layer, type MarkStep, type Selectable, sentenceCase, shape, type StepMaker, type TapePlace } from '../trade'
import type { SupportState } from '../supports'
import { formatQuantity, torque } from '../units'
import { type FixingsAsk, noSupport, overhangTooLong, patternNotHad, spanTooLong } from './findings'
import type { FixingsLayout } from './layout'
import type { Fixing } from './place'
import { emptyStrip, guessed, pilotOff, thinSheathing, unproved } from './timber'

type Fixed = Ask<FixingsLayout>

/** Crayon crosses. */
const crosses: Layer<Fixed> = {
  id: 'fixings', toggle: { name: 'Fixings', key: 'f', on: true }, depth: 80, style: { fill: null, stroke: '#cf3a1a', width: 1.5, text: 0, ink: '#22272e', dxfColour: 1 },
  shapes: ({ plan }) => plan.fixings.rails.flatMap((rail, r) => rail.fixings.map((fixing) => {
    const { xMm, yMm } = onFace(plan.rails[r]!, fixing.atMm)
    return shape({ kind: 'cross', at: { x: xMm, y: yMm } }, { kind: 'fixing', id: fixing.id }, fixing.state === 'proved' ? 'plain' : fixing.state)
  })),
}

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

/** One fixing: it stands where its support and its rail cross. */
function oneFixing({ plan }: Fixed, r: number, i: number): Selectable {
  const rail = plan.rails[r]!
  const fixing = plan.fixings.rails[r]!.fixings[i]!
  const { xMm, yMm } = onFace(rail, fixing.atMm)
  const place = (placeMm: number): TapePlace => ({ placeMm, label: sentenceCase(fixing.member), tone: 'fixing' })
  return {
    ref: { kind: 'fixing', id: fixing.id }, name: `Fixing ${i + 1} of rail ${rail.number}, ${fixing.member}`, stage: 'rails',
    places: () => ({ along: [place(xMm)], up: [place(yMm)] }), workings: () => [plan.fixings.rails[r]!.working],
  }
}

function onRail({ plan }: Fixed, r: number): Selectable {
  const { way, id } = plan.rails[r]!
  const { fixings, working } = plan.fixings.rails[r]!
  return {
    ref: { kind: 'rail', id },
    places: () => {
      const run = fixings.map((fixing, i): TapePlace => ({ placeMm: fixing.atMm, label: `Fixing ${i + 1}, ${fixing.member}`, tone: 'fixing' }))
      return way === 'across' ? { along: run, up: [] } : { along: [], up: run }
    },
    workings: () => [working],
  }
}

/** Where rails are fixed, and how sure it is that timber is there. */
export const fixings = {
  findings: {
    'no-support': noSupport, 'overhang': overhangTooLong, 'span': spanTooLong, 'pattern': patternNotHad,
    'rafters-guessed': guessed, 'strip-empty': emptyStrip, 'thin-sheathing': thinSheathing, 'pilot': pilotOff,
  },
  marks: { fixings: fixingSteps },
  parts: {
    mount: ({ plan: { fixings: { total }, parts: { mount } } }) => [{
      kind: 'mount', item: {
        shelf: 'mounts',
        id: mount.id,
      }, name: mount.name, maker: mount.maker, stage: 'fixings', amount: total, massKg: mount.massKg, price: mount.price, rule: 'One at each fixing',
    }],
    screw: ({ plan: { fixings: { total }, parts: { mount } } }) => [{
      kind: 'screw', item: {
        shelf: 'mounts',
        id: mount.id,
      }, name: mount.screw.name, maker: mount.maker, stage: 'fixings', amount: total * mount.screw.perMount, massKg: 'by shelf', price: 'by shelf', rule: `${mount.screw.perMount} a fixing`,
    }],
    flashing: ({ plan: { fixings: { total }, parts: { mount } } }) => mount.flashed
      ? [{
          kind: 'flashing',
          item: { shelf: 'mounts', id: mount.id },
          name: `Flashing for ${mount.name}`,
          maker: '',
          stage: 'fixings',
          amount: total,
          massKg: 'by shelf',
          price: 'by shelf',
          rule: 'One a flashed fixing',
        }]
      : [],
    sealant: ({ plan: { fixings: { total }, parts: { mount } } }) => [{
      kind: 'sealant', item: null, name: 'Roof sealant', maker: '', stage: 'fixings', amount: total * mount.sealantMl, massKg: 'by shelf', price: 'by shelf', rule: `${mount.sealantMl} ml a fixing, whole cartridges over the job`,
    }],
  },
  layers: [crosses],
  selectable: ask => [...ask.plan.rails.map((_, r) => onRail(ask, r)), ...ask.plan.fixings.rails.flatMap((rail, r) => rail.fixings.map((_, i) => oneFixing(ask, r, i)))],
} satisfies FaceSays<FixingsLayout, FixingsAsk>

export const fixingsOfJob = {
  findings: { 'rafters-unproved': unproved },
  tools: ({ job, faces }) => {
    const torques = [...new Set(faces.flatMap(({ plan: { parts } }) => [parts.clamps.torqueNm, parts.mount.torqueNm]))].sort((a, b) => a - b)
    return [
      ...faces.flatMap(({ plan }) => plan.parts.mount.tools),
      `Torque wrench: ${torques.map(nm => formatQuantity(torque(nm), job.units)).join(' and ')} for feet and clamps`,
      ...(faces.some(({ plan }) => plan.parts.mount.sealantMl > 0) ? ['Sealant gun'] : []),
      ...(faces.some(({ plan: { parts } }) => parts.clamps.bolt.enters === 'end' && !parts.rail.frame) ? ['Box for bolts, counted out rail by rail'] : []),
    ]
  },
} satisfies JobSays<FixingsLayout>
