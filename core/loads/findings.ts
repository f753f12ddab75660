import { type DraftFinding, type FindingAsk, type JobAsk, onFace, onJob, writer } from '../trade'
import { gapBelow } from '../rows'
import { shapeOf } from '../roof'
import { radians } from '../units'
import { buildingOf } from './building'
import { roofSnow } from './snow'
import type { LoadsLayout } from './layout'

type LoadsAsk = FindingAsk<LoadsLayout>
type LoadsJobAsk = JobAsk<LoadsLayout>

/** The loads on a face that carries modules, with the rules they are by; null where nobody has said what loads the roof. */
function rulesOn({ plan, job }: LoadsAsk) {
  const { rules } = job.loads
  return plan.modules && plan.loading.loads && rules.edition !== 'none' ? { rules, loads: plan.loading.loads } : null
}

/** Loads that are not known stop the job: what is known is checked all the same. */
export const windNotKnown = (ask: LoadsAsk): DraftFinding[] => (rulesOn(ask)?.loads.wind.unknown ?? []).map((why, i) => ({
  ...onFace(ask, 'rails', `wind-not-known-${i}`), severity: 'stop', sentence: `${why} Dead load and snow are checked here, wind is not: have an engineer give the pressures and type them.`,
}))

export function windByNobody(ask: LoadsAsk): DraftFinding[] {
  const wind = rulesOn(ask)?.rules.wind
  return wind?.kind === 'typed' && !wind.by
    ? [{ ...onFace(ask, 'rails', 'wind-by-nobody'), severity: 'stop', sentence: 'The wind pressures are typed, and nobody is named for them. Write down the engineer who gave them.' }]
    : []
}

export const snowNotKnown = (ask: LoadsAsk): DraftFinding[] => (rulesOn(ask)?.loads.snow.unknown ?? []).map((why, i) => ({
  ...onFace(ask, 'rails', `snow-not-known-${i}`), severity: 'stop', sentence: `${why} On a roof of this pitch it is nearly always the greater: balanced snow alone is no plan.`,
}))

/** Modules over an eave that stands out past the wall have coefficients of their own, which this tool lacks. */
export function overEave(ask: LoadsAsk): DraftFinding[] {
  const { face, plan, job } = ask
  const { eaveOverhangMm } = job.loads.building
  const on = rulesOn(ask)
  if (eaveOverhangMm === null || !on || on.rules.wind.kind === 'typed' || on.loads.wind.unknown.length) return []
  const alongSlopeMm = eaveOverhangMm / Math.cos(radians(face.pitchDeg))
  // Where the eave is out of level its higher end is the nearer one.
  const { left, right } = plan.shape.eaveEnds
  const lowMm = Math.min(...plan.rows.rows.map(row => row.bottomMm)) - Math.max(left.y, right.y)
  if (lowMm >= alongSlopeMm - 0.5) return []
  return [{
    ...onFace(ask, 'rails', 'over-eave'), severity: 'stop', measured: { kind: 'length', mm: lowMm }, limit: { kind: 'length', mm: alongSlopeMm },
    sentence: `Modules begin ${writer(ask)(lowMm)} up the slope and the eave stands out ${writer(ask)(alongSlopeMm)} along it past the wall: over it the edition has coefficients for overhangs, and this tool does not have them. Move the rows up, or type an engineer’s pressures.`,
    propose: () => [{
      label: 'Raise the rows past the wall',
      edit: { type: 'set-row', faceId: face.id, row: 0, values: { gapBelowMm: gapBelow(plan.rows, 0) + alongSlopeMm - lowMm } },
    }],
  }]
}

const INCH = 25.4
/** Conditions of ASCE 7-16, 29.4.4 (from memory): height over the roof, gaps between modules, distance from the roof's edges in heights. */
const METHOD = { highestMm: 10 * INCH, leastGapMm: 0.25 * INCH, greatestGapMm: 6.7 * 12 * INCH, edgeHeights: 2 }

/** What somebody near the method's limits is told. */
const METHOD_ENDS = 'The edition’s method for modules close over the roof does not hold there: ask your engineer.'

/** Modules close over a roof have a method of their own in the 2016 edition; outside its conditions its factors do not hold. */
const byMethod = ({ face, plan }: LoadsAsk): boolean => Boolean(plan.loading.loads?.exposure) && plan.rows.rows.length > 0 && !face.inRoof
const outsideMethod = (ask: LoadsAsk, id: string, sentence: string): DraftFinding[] => [{ ...onFace(ask, 'rails', id), severity: 'caution', sentence: `${sentence} ${METHOD_ENDS}` }]
const overRoofMm = ({ plan: { parts } }: LoadsAsk): number => parts.mount.standoffMm + parts.module.thicknessMm + 40

export const methodHeight = (ask: LoadsAsk): DraftFinding[] => byMethod(ask) && overRoofMm(ask) > METHOD.highestMm
  ? outsideMethod(ask, 'method-height', `The array stands ${writer(ask)(overRoofMm(ask))} over the roof, and at most ${writer(ask)(METHOD.highestMm)} is covered.`)
  : []

export const methodSkirt = (ask: LoadsAsk): DraftFinding[] => byMethod(ask) && ask.plan.parts.rail.frame
  ? outsideMethod(ask, 'method-skirt', 'A skirt closes the array along its lower edge.')
  : []

export function methodGap(ask: LoadsAsk): DraftFinding[] {
  const { face, plan } = ask
  const narrow = Math.min(plan.rows.columnGapMm, ...(plan.rows.rows.length > 1 ? [face.array.rowGapMm] : []))
  return byMethod(ask) && narrow < METHOD.leastGapMm - 0.01
    ? outsideMethod(ask, 'method-gap', `Modules are ${writer(ask)(narrow)} apart, and the pressure under them evens out only from ${writer(ask)(METHOD.leastGapMm)}.`)
    : []
}

export function methodEdge(ask: LoadsAsk): DraftFinding[] {
  if (!byMethod(ask)) return []
  const say = writer(ask)
  const { rows } = ask.plan.rows
  const wanted = METHOD.edgeHeights * overRoofMm(ask)
  const shape = shapeOf(ask.face.outline)
  const low = Math.min(...rows.map(row => row.bottomMm)) - shape.up.fromMm
  const high = shape.up.toMm - Math.max(...rows.map(row => row.topMm))
  const left = Math.min(...rows.map(row => row.leftMm)) - shape.along.fromMm
  const right = shape.along.toMm - Math.max(...rows.map(row => row.rightMm))
  const nearest = Math.min(low, high, left, right)
  return nearest < wanted - 0.5 ? outsideMethod(ask, 'method-edge', `The array comes within ${say(Math.max(0, nearest))} of the roof’s edge, and twice its height over the roof is ${say(wanted)}.`) : []
}

/** A narrow roof's unbalanced snow depends on what carries it: asked once for the job. */
export function framing(ask: LoadsJobAsk): DraftFinding[] {
  const { loads, faces } = ask.job
  const asks = faces.some((face) => {
    const snow = roofSnow(loads.rules, face.pitchDeg, buildingOf({ loads }, face))
    return loads.building.framing === 'unasked' && snow.uniformPa > snow.balancedPa && snow.drift !== null
  })
  if (!asks) return []
  return [{
    ...onJob(ask, 'rails', 'framing'), severity: 'caution',
    sentence: 'Unbalanced snow on a roof this narrow depends on what carries it: plain rafters from eave to ridge, or trusses and the like. Both are taken until somebody says which, under Loads, Building.',
  }]
}

/** Where the code or the authority asks for an engineer, the whole job waits for one. */
export function engineer(ask: LoadsJobAsk): DraftFinding[] {
  const { asked, name } = ask.job.loads.engineer
  if (!asked) return []
  return [{
    ...onJob(ask, 'rails', 'engineer'), severity: name ? 'note' : 'stop',
    sentence: name
      ? `The structure rests on the work of ${name}. Every sheet says so.`
      : 'A licensed engineer is asked for here. Nothing of this is a sign-off: write down who does it before anything is fixed.',
  }]
}

/** Said once for the job: it would be the same sentence on every face. */
export function fromMemory(ask: LoadsJobAsk): DraftFinding[] {
  const { job } = ask
  const from = ask.faces.filter(({ plan }) => plan.modules && plan.loading.loads?.wind.fromMemory && job.loads.rules.edition !== 'none')
  if (!from.length) return []
  const asd = from[0]!.plan.loading.loads!.format === 'asd'
  return [{
    ...onJob(ask, 'rails', 'loads-from-memory'), faceId: from[0]!.face.id, severity: 'caution',
    sentence: `${asd ? 'The pressure coefficients of this edition' : 'The pressure coefficients for this roof’s form'} are from memory and not checked against the document${asd ? '; where memory leaves it open the greater is taken' : ''}. An engineer’s own figures can be typed over each of them.`,
  }]
}
