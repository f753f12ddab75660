import { type Edit, type Face, type Job, keepClearWords, type KeepClearRules, type PlainEdit, plainRow, type Setbacks } from '../job'
import { type FaceClear, obstructionNames } from '../keepclear'
import { type Cure, type DraftFinding, type FindingAsk, type JobAsk, onJob, plural } from '../trade'
import { count } from '../units'
import type { RowsLayout } from './layout'

/** The whole roof's rows. */
export type RoofRowsAsk = JobAsk<RowsLayout> & {
  roof: { modules: number, fits: number }
  /** Only a cure is being tried: nobody reads what a finding says. */
  trial: boolean
  /** How many modules the rows would hold after edits, and with claims on faces relaxed; pathways and ridge strip else stay as they were chosen. */
  modulesWith: (edits: PlainEdit[], relaxed?: (clear: FaceClear) => FaceClear) => number
}

/** What takes room on the roof, most first, as many as are worth saying. */
const MOST_REASONS = 4

interface Room { what: string, edits: PlainEdit[], relaxed?: (clear: FaceClear) => FaceClear }

const carries = ({ array }: Face): boolean => array.rowCount !== 0

/** Strips by edge, as they are typed for each face. */
const setbackStrips: { what: string, values: Partial<Setbacks> }[] = [
  { what: 'the strips below the ridge', values: { ridgeMm: 0 } },
  { what: 'the strips along the rakes', values: { leftRakeMm: 0, rightRakeMm: 0 } },
  { what: 'the strips over the eave', values: { eaveMm: 0 } },
  { what: 'the strips at hips and valleys', values: { hipMm: 0, valleyMm: 0 } },
  { what: 'the distance from walls', values: { wallMm: 0 } },
]
/** Strips by the rules for the whole roof. */
const ruleStrips: { what: string, values: Partial<KeepClearRules['values']>, relaxed?: Room['relaxed'] }[] = [
  { what: 'the strip below the ridge', values: {}, relaxed: clear => ({ ...clear, ridgeMm: 0, most: null }) },
  { what: 'the pathways', values: {}, relaxed: clear => ({ ...clear, pathways: [], straddles: [] }) },
  { what: 'the strips at hips and valleys', values: { hipValleyMm: 0 } },
  { what: 'the strip along every edge', values: { edgeMm: 0 } },
  { what: 'the way to an escape opening', values: { escapeMm: 0 } },
]

/** Everything that could be taking room, each with the edits that would do away with it: only to be counted, never offered. */
function rooms({ faces, keepClear }: Job): Room[] {
  const on = faces.filter(carries)
  const strips: Room[] = keepClear.ruleSet === 'plain'
    ? setbackStrips.map(({ what, values }) => ({ what, edits: on.map(face => ({ type: 'set-face', faceId: face.id, values: { setbacks: { ...face.setbacks, ...values } } })) }))
    : ruleStrips.map(({ what, values, relaxed }) => ({ what, ...(relaxed ? { relaxed } : {}), edits: [{ type: 'set-keep-clear', values: { values: { ...keepClear.values, ...values } } }] }))
  const things = on.flatMap(face => face.obstructions.map((one): Room => ({
    what: `the ${obstructionNames[one.kind]}${on.length > 1 ? ` on ${face.name.toLowerCase()}` : ''}`,
    edits: [{ type: 'set-face', faceId: face.id, values: { obstructions: face.obstructions.filter(other => other.id !== one.id) } }],
  })))
  const reserved = on.filter(face => face.reserved.length).map((face): Room => ({ what: `what is reserved on ${face.name.toLowerCase()}`, edits: [{ type: 'set-face', faceId: face.id, values: { reserved: [] } }] }))
  return [...strips, ...things, ...reserved]
}

const unlimited: PlainEdit = { type: 'set-job', values: { wanted: null } }
const batch = (edits: PlainEdit[]): Edit => ({ type: 'batch', edits })

/** Rows on faces that carry modules, each left to fill itself as it was before anybody held it. */
const refilled = (faces: Face[]): PlainEdit[] => faces.filter(face => carries(face) && (face.array.rowCount !== null || face.array.rows.some(row => row.count !== null)))
  .flatMap(face => [
    { type: 'set-array' as const, faceId: face.id, values: { rowCount: null } },
    ...face.array.rows.map((_, row): PlainEdit => ({ type: 'set-row', faceId: face.id, row, values: { count: null } })),
  ])

/** Fewer modules stand than are wanted: what takes the room, and what would give some. */
export function wantedShort(ask: RoofRowsAsk): DraftFinding[] {
  const { job, roof, modulesWith, trial } = ask
  const { wanted, faces } = job
  if (wanted === null || roof.modules >= wanted) return []
  const gains = (trial ? [] : rooms(job)).map(room => ({ ...room, gain: modulesWith(room.edits, room.relaxed) - roof.modules })).filter(room => room.gain > 0).sort((a, b) => b.gain - a.gain).slice(0, MOST_REASONS)
  const bare = (trial ? [] : faces.filter(face => !carries(face))).map(face => ({ face, holds: modulesWith([{ type: 'set-array', faceId: face.id, values: { rowCount: null } }]) - roof.modules })).filter(one => one.holds > 0)
  const taken = gains.length ? ` Without ${gains.map(({ what, gain }) => `${what} ${gain} more would stand`).join(', without ')}.` : ''
  const others = bare.length ? ` ${bare.map(({ face, holds }) => `${face.name}, bare now, would hold ${holds}`).join('; ')}.` : ''
  return [{
    ...onJob(ask, 'rows', 'wanted-short'), severity: 'caution', measured: count(roof.modules, 'modules'), limit: count(wanted, 'modules'),
    sentence: `${plural(wanted, 'module')} ${wanted === 1 ? 'is' : 'are'} asked for and ${roof.modules} ${roof.modules === 1 ? 'stands' : 'stand'}.${taken}${others}`,
    propose: () => [
      ...bare.map(({ face }): Cure => ({ label: `Put modules on ${face.name.toLowerCase()} too`, edit: { type: 'set-array', faceId: face.id, values: { rowCount: null } } })),
      ...turned(faces),
      ...(refilled(faces).length ? [{ label: 'Let the rows fill again', edit: batch(refilled(faces)) }] : []),
      ...(roof.modules > 0 ? [{ label: `Ask for ${roof.modules}`, edit: { type: 'set-job' as const, values: { wanted: roof.modules } } }] : []),
    ],
  }]
}

const turned = (faces: Face[]): Cure[] => (['upright', 'on-side'] as const).flatMap((orientation) => {
  const edits = faces.filter(face => carries(face) && face.array.orientation !== orientation).map((face): PlainEdit => ({ type: 'set-array', faceId: face.id, values: { orientation } }))
  return edits.length ? [{ label: orientation === 'upright' ? 'Stand the modules upright' : 'Lay the modules on their side', edit: batch(edits) }] : []
})

/** Rows that somebody holds at a number, and that a limit on the whole leaves shorter. */
export function heldBack({ job, face, plan }: FindingAsk<RowsLayout>): DraftFinding[] {
  const { most } = plan.clear
  if (most === null) return []
  const back = face.array.rows.map((rule, index) => ({ index, held: rule.count ?? 0, stands: plan.rows.rows[index]?.count ?? 0 })).filter(row => row.held > row.stands)
  if (!back.length) return []
  const over = back.reduce((sum, row) => sum + row.held - row.stands, 0)
  const byWanted = job.wanted !== null
  return [{
    id: `rows-limited:${face.id}`, stage: 'rows', faceId: face.id, about: { kind: 'row', index: Math.min(back[0]!.index, Math.max(0, plan.rows.rows.length - 1)) }, severity: 'caution', measured: count(plan.modules, 'modules'), limit: count(plan.modules + over, 'modules'),
    sentence: `${back.map(row => `Row ${row.index + 1} is held at ${row.held} and stands with ${row.stands}`).join('; ')}: ${byWanted ? `${plural(job.wanted!, 'module')} ${job.wanted === 1 ? 'is' : 'are'} asked for on the whole roof` : `${keepClearWords.ridgeChoice} that was chosen leaves this face ${most}`}.`,
    propose: () => [
      ...(byWanted ? [{ label: `Ask for ${job.wanted! + over}`, edit: { type: 'set-job' as const, values: { wanted: job.wanted! + over } } }, { label: 'Ask for no number', edit: unlimited }] : []),
      { label: 'Let these rows fill', edit: batch(back.map(row => ({ type: 'set-row', faceId: face.id, row: row.index, values: { count: plainRow.count } }))) },
    ],
  }]
}
