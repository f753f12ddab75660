import { type Job, type PlainEdit, plainRow } from '../job'
import { buildingOf, type FaceLoads, roofSnow } from '../loads'
import { growthMm } from '../rails'
import { shapeOf } from '../roof'
import { gapBelow } from '../rows'
import { radians } from '../units'
import { type FindingContext, plural, writer } from './context'
import type { Cure, DraftFinding } from './finding'
import { noCures } from './finding'

/** What the loads rest on, where their method ends, and what is not covered at all. */
export function loadFindings(context: FindingContext): DraftFinding[] {
  return [...notCovered(context), ...method(context), ...tooLongRuns(context), ...van(context)]
}

const base = (context: FindingContext, id: string) => ({ id: `${id}:${context.face.id}`, stage: 'rails' as const, faceId: context.face.id, about: '', measured: null, limit: null, propose: noCures })

/** Loads that are not known stop the job: what is known is checked all the same. */
function notCovered(context: FindingContext): DraftFinding[] {
  const { plan, job } = context
  const { loads } = plan.loading
  const { rules } = job.loads
  if (!plan.rails.length || !loads || rules.edition === 'none') return []
  const found: DraftFinding[] = loads.wind.unknown.map((why, i) => ({
    ...base(context, `wind-not-known-${i}`),
    severity: 'stop',
    sentence: `${why} Dead load and snow are checked here, wind is not: have an engineer give the pressures and type them.`,
  }))
  if (rules.wind.kind === 'typed' && !rules.wind.by) {
    found.push({ ...base(context, 'wind-by-nobody'), severity: 'stop', sentence: 'The wind pressures are typed, and nobody is named for them. Write down the engineer who gave them.' })
  }
  found.push(...loads.snow.unknown.map((why, i): DraftFinding => ({ ...base(context, `snow-not-known-${i}`), severity: 'stop', sentence: `${why} On a roof of this pitch it is nearly always the greater: balanced snow alone is no plan.` })))
  return [...found, ...overEave(context, loads)]
}

/** Modules over an eave that stands out past the wall have coefficients of their own, which this tool lacks. */
function overEave(context: FindingContext, { wind }: FaceLoads): DraftFinding[] {
  const { face, plan, job } = context
  const { eaveOverhangMm } = job.loads.building
  const { rules } = job.loads
  if (eaveOverhangMm === null || rules.edition === 'none' || rules.wind.kind === 'typed' || wind.unknown.length || !plan.rows.rows.length) return []
  const alongSlopeMm = eaveOverhangMm / Math.cos(radians(face.pitchDeg))
  // Where the eave is out of level its higher end is the nearer one.
  const { left, right } = plan.shape.eaveEnds
  const lowMm = Math.min(...plan.rows.rows.map(row => row.bottomMm)) - Math.max(left.y, right.y)
  if (lowMm >= alongSlopeMm - 0.5) return []
  return [{
    ...base(context, 'over-eave'), severity: 'stop', measured: { kind: 'length', mm: lowMm }, limit: { kind: 'length', mm: alongSlopeMm },
    sentence: `Modules begin ${writer(context)(lowMm)} up the slope and the eave stands out ${writer(context)(alongSlopeMm)} along it past the wall: over it the edition has coefficients for overhangs, and this tool does not have them. Move the rows up, or type an engineer’s pressures.`,
    propose: () => [{ label: 'Raise the rows past the wall', edit: { type: 'set-row', faceId: face.id, row: 0, values: { gapBelowMm: gapBelow(plan.rows, 0) + alongSlopeMm - lowMm } } }],
  }]
}

const INCH = 25.4
/** Conditions of ASCE 7-16, 29.4.4 (from memory): height over the roof, gaps between modules, distance from the roof's edges in heights. */
const METHOD = { highestMm: 10 * INCH, leastGapMm: 0.25 * INCH, greatestGapMm: 6.7 * 12 * INCH, edgeHeights: 2 }

/** Modules close over a roof have a method of their own in the 2016 edition; outside its conditions its factors do not hold. */
function method(context: FindingContext): DraftFinding[] {
  const { face, plan } = context
  const say = writer(context)
  if (!plan.loading.loads?.exposure || !plan.rows.rows.length) return []
  const found: DraftFinding[] = []
  const add = (id: string, sentence: string) => found.push({ ...base(context, id), severity: 'caution', sentence: `${sentence} The edition’s method for modules close over the roof does not hold there: ask your engineer.` })
  const overMm = plan.parts.mount.standoffMm + plan.parts.module.thicknessMm + 40
  if (overMm > METHOD.highestMm) add('method-height', `The array stands ${say(overMm)} over the roof, and at most ${say(METHOD.highestMm)} is covered.`)
  if (plan.parts.rail.frame) add('method-skirt', 'A skirt closes the array along its lower edge.')
  const gaps = [plan.rows.columnGapMm, ...(plan.rows.rows.length > 1 ? [face.array.rowGapMm] : [])]
  const narrow = Math.min(...gaps)
  if (narrow < METHOD.leastGapMm - 0.01) add('method-gap', `Modules are ${say(narrow)} apart, and the pressure under them evens out only from ${say(METHOD.leastGapMm)}.`)
  const wanted = METHOD.edgeHeights * overMm
  const shape = shapeOf(face.outline)
  const low = Math.min(...plan.rows.rows.map(row => row.bottomMm)) - shape.up.fromMm
  const high = shape.up.toMm - Math.max(...plan.rows.rows.map(row => row.topMm))
  const left = Math.min(...plan.rows.rows.map(row => row.leftMm)) - shape.along.fromMm
  const right = shape.along.toMm - Math.max(...plan.rows.rows.map(row => row.rightMm))
  const nearest = Math.min(low, high, left, right)
  if (nearest < wanted - 0.5) add('method-edge', `The array comes within ${say(Math.max(0, nearest))} of the roof’s edge, and twice its height over the roof is ${say(wanted)}.`)
  return found
}

/** A narrow roof's unbalanced snow depends on what carries it: asked once for the job. */
export function framingFindings({ loads, faces }: Job): DraftFinding[] {
  const asks = faces.some((face) => {
    const snow = roofSnow(loads.rules, face.pitchDeg, buildingOf({ loads }, face))
    return loads.building.framing === 'unasked' && snow.uniformPa > snow.balancedPa && snow.drift !== null
  })
  if (!asks) return []
  return [{
    id: 'framing', severity: 'caution', stage: 'rails', faceId: faces[0]!.id, about: '', measured: null, limit: null, propose: noCures,
    sentence: 'Unbalanced snow on a roof this narrow depends on what carries it: plain rafters from eave to ridge, or trusses and the like. Both are taken until somebody says which, under Loads, Building.',
  }]
}

/** Where the code or the authority asks for an engineer, the whole job waits for one. */
export function engineerFindings({ loads, faces }: Job): DraftFinding[] {
  if (!loads.engineer.asked) return []
  const { name } = loads.engineer
  return [{
    id: 'engineer', severity: name ? 'note' : 'stop', stage: 'rails', faceId: faces[0]!.id, about: '', measured: null, limit: null, propose: noCures,
    sentence: name
      ? `The structure rests on the work of ${name}. Every sheet says so.`
      : 'A licensed engineer is asked for here. Nothing of this is a sign-off: write down who does it before anything is fixed.',
  }]
}

/** Rails longer than their maker lets them run without an expansion break; a rail up the slope is parted by leaving a module out. */
function tooLongRuns(context: FindingContext): DraftFinding[] {
  const { face, plan } = context
  const say = writer(context)
  const most = plan.parts.rail.longestRunMm
  const long = plan.rails.filter(rail => rail.toMm - rail.fromMm > most + 0.5)
  if (!long.length) return []
  const rows = [...new Set(long.flatMap(rail => rail.carries.map(one => one.row)))]
  const longest = Math.max(...long.map(rail => rail.toMm - rail.fromMm))
  const growsMm = growthMm(longest)
  return [{
    ...base(context, 'long-run'), severity: 'stop', about: long[0]!.id,
    sentence: `${plural(long.length, 'rail')} run${long.length === 1 ? 's' : ''} up to ${say(longest)} unbroken, and ${plan.parts.rail.name} may run ${say(most)}: it grows by about ${say(growsMm)} between frost and sun. Part the row with an expansion break; no module may lie across it.`,
    measured: { kind: 'length', mm: longest }, limit: { kind: 'length', mm: most },
    propose: (): Cure[] => [...(long.every(rail => rail.way === 'across') ? [broken(context, rows, most)] : []), {
      label: rows.length === 1 ? `Leave out the middle module of row ${rows[0]! + 1}` : `Leave out the middle module of ${rows.length} rows`,
      edit: { type: 'batch', edits: rows.map((row): PlainEdit => ({ type: 'set-row', faceId: face.id, row, values: { skip: [...(face.array.rows[row] ?? plainRow).skip, Math.ceil(plan.rows.rows[row]!.count / 2)] } })) },
    }],
  }]
}

/** Every row with a break after so many modules that no rail is longer than it may be. */
function broken({ face, plan }: FindingContext, rows: number[], mostMm: number): Cure {
  const breaksOf = (index: number): number[] => {
    const row = plan.rows.rows[index]!
    let before = 0
    return row.blocks.flatMap((block) => {
      const lengthMm = block.rightMm - block.leftMm + 2 * plan.parts.clamps.railPastMm
      const pieces = Math.ceil(lengthMm / mostMm - 1e-9)
      const places = Array.from({ length: pieces - 1 }, (_, i) => before + Math.round(block.count * (i + 1) / pieces))
      before += block.count
      return places
    })
  }
  return {
    label: rows.length === 1 ? `Part row ${rows[0]! + 1} by an expansion break` : `Part ${rows.length} rows by expansion breaks`,
    edit: { type: 'batch', edits: rows.map((row): PlainEdit => ({ type: 'set-row', faceId: face.id, row, values: { breaks: [...new Set([...(face.array.rows[row] ?? plainRow).breaks, ...breaksOf(row)])].sort((a, b) => a - b) } })) },
  }
}

/** Sticks that the van can't carry. */
function van(context: FindingContext): DraftFinding[] {
  const { job, plan } = context
  if (!plan.sticks.tooLongForVan || job.van.longestMm === null || !plan.rails.length) return []
  const shortest = Math.min(...plan.parts.rail.stock.map(one => one.mm))
  return [{
    ...base(context, 'van'),
    severity: 'caution',
    sentence: `The shortest stick of ${plan.parts.rail.name} is ${writer(context)(shortest)}, and the van takes ${writer(context)(job.van.longestMm)}. The cut plan uses all lengths: have them brought, or take another rail.`,
    measured: { kind: 'length', mm: shortest }, limit: { kind: 'length', mm: job.van.longestMm },
  }]
}
