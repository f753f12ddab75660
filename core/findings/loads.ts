import { type Job, type PlainEdit, plainRow } from '../job'
import { growthMm } from '../rails'
import { shapeOf } from '../roof'
import { share } from '../units'
import { type FindingContext, plural, writer } from './context'
import type { Cure, DraftFinding } from './finding'
import { noCures } from './finding'

/** What the loads rest on, where their method ends, and what is not covered at all. */
export function loadFindings(context: FindingContext): DraftFinding[] {
  return [...notCovered(context), ...method(context), ...ground(context), ...tooLongRuns(context), ...van(context)]
}

const base = (context: FindingContext, id: string) => ({ id: `${id}:${context.face.id}`, stage: 'rails' as const, faceId: context.face.id, about: '', measured: null, limit: null, propose: noCures })

function notCovered(context: FindingContext): DraftFinding[] {
  const { plan } = context
  if (!plan.rails.length) return []
  const found: DraftFinding[] = plan.loading.notCovered.map((why, i) => ({ ...base(context, `loads-not-covered-${i}`), severity: 'caution', sentence: `${why} Spans here are the usual ones: ask your engineer for pressures and type them.` }))
  const { loads } = plan.loading
  if (loads?.fromMemory) {
    found.push({ ...base(context, 'loads-from-memory'), severity: 'caution', sentence: `${loads.format === 'asd' ? 'The pressure coefficients of this edition' : 'The pressure coefficients for this roof’s form'} are from memory and not checked against the document. An engineer’s own figures can be typed over each of them.` })
  }
  if (loads && loads.snowPa > 0) {
    found.push({ ...base(context, 'snow-not-covered'), severity: 'note', sentence: 'Balanced snow is worked out. Unbalanced and drifted snow, and snow sliding from a roof above, are not covered: ask your engineer where they can come.' })
  }
  return found
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

/** What the mount needs of what it stands on. */
function ground(context: FindingContext): DraftFinding[] {
  const { face, plan } = context
  const { mount } = plan.parts
  const say = writer(context)
  if (!plan.rails.length) return []
  const found: DraftFinding[] = []
  if (face.supports.kind === 'sheathing' && mount.leastSheathingMm !== null && face.supports.thicknessMm < mount.leastSheathingMm - 0.1) {
    found.push({ ...base(context, 'thin-sheathing'), severity: 'stop', sentence: `The sheathing is ${say(face.supports.thicknessMm)} thick. ${mount.name} was tested on ${say(mount.leastSheathingMm)} and more.`, measured: { kind: 'length', mm: face.supports.thicknessMm }, limit: { kind: 'length', mm: mount.leastSheathingMm } })
  }
  const { fasteners } = mount
  if (fasteners?.kind === 'lag' && fasteners.pilotMm !== null) {
    const pilot = fasteners.pilotMm / fasteners.diameterMm
    if (pilot < 0.4 || pilot > 0.7) {
      found.push({ ...base(context, 'pilot'), severity: 'caution', sentence: `A pilot of ${say(fasteners.pilotMm)} is ${Math.round(100 * pilot)} % of the lag’s diameter. In this timber it should be 40 to 70 % (NDS 12.1.4): ${pilot > 0.7 ? 'a larger one holds less' : 'a smaller one splits the rafter'}.`, measured: share(pilot), limit: share(0.7) })
    }
  }
  const hold = plan.strength?.capacity.timber
  if (hold?.tooShort) {
    found.push({ ...base(context, 'short-thread'), severity: 'stop', sentence: `Only ${say(hold.threadMm)} of thread bites into timber under ${mount.name}: less than the code counts at all. A longer screw is needed.`, measured: { kind: 'length', mm: hold.threadMm } })
  }
  return found
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
    ...base(context, 'van'), severity: 'caution', sentence: `The shortest stick of ${plan.parts.rail.name} is ${writer(context)(shortest)}, and the van takes ${writer(context)(job.van.longestMm)}. The cut plan uses all lengths: have them brought, or take another rail.`,
    measured: { kind: 'length', mm: shortest }, limit: { kind: 'length', mm: job.van.longestMm },
  }]
}
