import { type Catalogue, chooseParts } from '../catalogue'
import { bounds, intersect, type Interval, spanOf, unite } from '../geometry'
import { applyEdit, type ArrayRules, type Edit, type Face, faceOf, type Job, type Orientation, orientations, type PlainEdit, plainRow, type RowRule } from '../job'
import { breakpoints, closedUp, heightsByLines, modulesThatFit, mostModules, moduleSize, type PlacedRow, type RowGaps, type RowKind, stripAt } from '../rows'
import { type FacePlan, planFace, roofClearOf } from '../plan'

/** What an arrangement of rows is best at. */
export type Aim = 'most' | 'tidiest' | 'fewest-fixings' | 'plainer' | 'given-count'

/** One good answer to how the rows of a face may stand, with what it comes to. */
export interface Arrangement {
  aim: Aim
  title: string
  modules: number
  powerW: number
  fixings: number
  /** Modules a row, from the eave up. */
  rowCounts: number[]
  /** Least distance from the array to what is kept clear, left and right, mm. */
  marginsMm: { left: number, right: number }
  stops: number
  /** What is proved of it, in words. */
  claim: string
  edit: Edit
  /** For a small drawing: module rectangles. */
  rectangles: { leftMm: number, bottomMm: number, widthMm: number, heightMm: number }[]
}

export interface ArrangeQuestion {
  job: Job
  catalogue: Catalogue
  faceId: string
  /** A number of modules to find rows for; null to look for the best of each kind. */
  wanted: number | null
}

/** Told how far the work is, as a share. */
export type Progress = (share: number) => void

/** Arrangements with fewer fixings a module count only when they hold at least this share of the most. */
const WORTH_SHARE = 0.85

/** What one try is made of: rows from the eave up with what each holds. */
interface Try { rows: { kind: RowKind, bottomMm: number, count: number | null, rule: RowRule | null }[], columns: ArrayRules['columns'] }

/**
 * Good answers for one face, each best at something else: the most modules, rows of one length on common columns, and the
 * fewest fixings a module; or those for a wanted number. Locked rows stay as they are and the rest is solved round them.
 */
export function arrangeFace({ job, catalogue, faceId, wanted }: ArrangeQuestion, progress: Progress = () => {}): Arrangement[] {
  const face = faceOf(job, faceId)
  const index = job.faces.indexOf(face)
  const clear = { ...roofClearOf(job, catalogue).faces[index]!, most: null }
  const base = planFace({ ...face, array: { ...face.array, shiftMm: 0 } }, catalogue, job, clear)
  const parts = chooseParts(catalogue, face.array)
  const kinds = orientations.map((orientation): RowKind => ({ orientation, ...moduleSize(parts.module, orientation) }))
  const gaps: RowGaps = { columnMm: base.rows.columnGapMm, rowMm: face.array.rowGapMm }
  // A row that is locked, or holds a locked module, keeps its height; only the second is filled up round what it holds.
  const locked = base.rows.rows.filter(row => row.locked || row.heldModules > 0)
  const lockedRows = locked.map(row => ({
    kind: kinds.find(kind => kind.orientation === row.orientation)!,
    bottomMm: row.bottomMm,
    count: row.locked ? row.count : null,
    rule: face.array.rows[row.index] ?? null,
  }))
  const bands = locked.map(row => ({ fromMm: row.bottomMm, toMm: row.topMm }))
  const heights: (kind: RowKind) => Interval[] | null = heightsByLines(parts, face.array, { covering: base.railLines, supports: base.supports.railLines }, base.shape.up)
  const evaluate = (one: Try, aim: Aim, claim: string) => arrangementOf(one, aim, claim, { job, catalogue, face, clear })

  progress(0.05)
  const tries: { one: Try, aim: Aim, claim: string }[] = []
  const sets: RowKind[][] = [kinds, ...kinds.map(kind => [kind])]
  const solved = sets.map((set, i) => {
    const found = mostModules({ region: base.region, kinds: set, gaps, heights, locked: bands })
    progress(0.05 + 0.35 * (i + 1) / sets.length)
    // Where rows wait for their heights, those of as many modules with the least gaps.
    return locked.length || !set.some(kind => heights(kind)) ? found : { ...found, rows: closedUp(found.rows, base.region, gaps, heights) }
  })
  const [most] = solved
  const mostCount = most!.modules + locked.reduce((sum, row) => sum + row.count, 0)
  const joined = (rows: PlacedRow[]) => [...rows.map(row => ({ ...row, count: null as number | null, rule: null })), ...lockedRows].sort((a, b) => a.bottomMm - b.bottomMm)
  tries.push({
    one: { rows: joined(most!.rows), columns: 'free' },
    aim: 'most',
    claim: most!.proved ? `Proved: no rows parallel to the eave ${kinds.some(kind => heights(kind)) ? 'whose rails find their lines ' : ''}hold more` : `${most!.modules} found; more were not excluded`,
  })

  const phases = kinds.flatMap(kind => rowPhases(base, kind, gaps, heights).map(bottomMm => ({ kind, bottomMm })))
  const tidy = locked.length ? [] : phases.flatMap(({ kind, bottomMm }) => tidyTries(base, kind, gaps, bottomMm, heights(kind)))
  const [tidiest] = bestOf(tidy)
  if (tidiest) tries.push({ one: tidiest, aim: 'tidiest', claim: `Best of ${tidy.length} even blocks tried` })

  progress(0.5)
  const candidates = [
    ...solved.map(found => ({ rows: joined(found.rows), columns: 'aligned' as const })),
    ...tidy.filter(one => countOf(one) >= WORTH_SHARE * mostCount).sort((a, b) => countOf(b) - countOf(a)).slice(0, 12),
  ]
  const priced = candidates.map((one, i) => {
    progress(0.5 + 0.45 * (i + 1) / candidates.length)
    return evaluate(one, 'fewest-fixings', `Best of ${candidates.length} arrangements priced`)
  }).filter(one => one.modules >= WORTH_SHARE * mostCount || !tidy.length)
  const fewest = priced.sort((a, b) => a.stops - b.stops || a.fixings / a.modules - b.fixings / b.modules || b.modules - a.modules)[0]

  // Where those come to the same, plainer answers make up the number.
  const plainer = [
    ...solved.slice(1).map((found, i) => ({
      one: { rows: joined(found.rows), columns: 'free' as const },
      title: i === 0 ? 'Most, all upright' : 'Most, all on their side',
      claim: found.proved ? 'Proved for modules that all lie this way' : 'Best found',
    })),
    ...kinds.flatMap(kind => bestOf(tidy.filter(one => one.rows[0]!.kind === kind)).map(one => ({
      one,
      title: kind.orientation === 'upright' ? 'Tidy, all upright' : 'Tidy, all on their side',
      claim: 'Best of the even blocks that lie this way',
    }))),
    ...[...tidy].sort((a, b) => countOf(b) - countOf(a)).filter(one => countOf(one) < countOf(tidiest!)).slice(0, 6).map(one => ({
      one,
      title: 'Tidy, smaller',
      claim: 'The next even block',
    })),
  ].map(({ one, title, claim }) => ({ ...evaluate(one, 'plainer', claim), title })).filter(one => one.modules > 0)
  const answers = wanted === null
    ? [...tries.map(({ one, aim, claim }) => evaluate(one, aim, claim)), ...(fewest ? [fewest] : []), ...plainer]
    : givenCount(wanted, [...tries.map(({ one }) => one), ...candidates], evaluate)
  progress(1)
  return distinctAnswers(answers)
}

const countOf = (one: Try): number => one.rows.reduce((sum, row) => sum + (row.count ?? 0), 0)

/** What the gaps between a try's rows come to, mm. */
const gapOf = ({ rows }: Try): number => rows.slice(1).reduce((sum, row, i) => sum + row.bottomMm - rows[i]!.bottomMm - rows[i]!.kind.heightMm, 0)

/** The one of a list that holds most, of those with the least gaps, as a list; empty when there is none. */
const bestOf = (tries: Try[]): Try[] => tries.length
  ? [tries.reduce((best, next) => countOf(next) > countOf(best) || (countOf(next) === countOf(best) && gapOf(next) < gapOf(best) - 1e-6) ? next : best)]
  : []

const both = (a: Interval[], b: Interval[]): Interval[] => unite(intersect(a, b))

/** Heights of a first row worth trying for rows of one length, thinned where there are many. */
function rowPhases(base: FacePlan, kind: RowKind, gaps: RowGaps, heights: (kind: RowKind) => Interval[] | null): number[] {
  const allowed = heights(kind)
  const all = [
    ...breakpoints(base.region, kind, gaps),
    ...(allowed ?? []).map(one => one.fromMm),
  ].filter(mm => !allowed || allowed.some(one => mm >= one.fromMm - 1e-6 && mm <= one.toMm + 1e-6))
  const step = Math.ceil(all.length / 40)
  return all.filter((_, i) => i % step === 0)
}

/** Even blocks from one height up: one row, two, three …, each as wide as the narrowest of its strips allows. */
function tidyTries(base: FacePlan, kind: RowKind, gaps: RowGaps, bottomMm: number, allowed: Interval[] | null): Try[] {
  const box = bounds(base.region)
  const tries: Try[] = []
  let common: Interval[] | null = null
  const rows: { kind: RowKind, bottomMm: number }[] = []
  for (let y = bottomMm; box && y + kind.heightMm <= box.up.toMm + 1e-3; y += kind.heightMm + gaps.rowMm) {
    // Where the covering wants another height the next row waits for it.
    const at: number = allowed ? allowed.map(one => Math.max(one.fromMm, Math.min(y, one.toMm))).filter(mm => mm >= y - 1e-6).sort((a, b) => a - b)[0] ?? Infinity : y
    if (at + kind.heightMm > box.up.toMm + 1e-3) break
    y = at
    const strip = stripAt(base.region, kind, y)
    common = common ? both(common, strip) : strip
    const widest = common.reduce<Interval | null>((best, one) => best && spanOf(best) >= spanOf(one) ? best : one, null)
    const n = widest ? modulesThatFit(spanOf(widest), kind.widthMm, gaps.columnMm) : 0
    if (!n) break
    rows.push({ kind, bottomMm: y })
    tries.push({ rows: rows.map(row => ({ ...row, count: n, rule: null })), columns: 'aligned' })
  }
  return tries
}

/** Rows for a wanted number: from every try that holds at least as many, modules leave the shortest rows first. */
function givenCount(wanted: number, tries: Try[], evaluate: (one: Try, aim: Aim, claim: string) => Arrangement): Arrangement[] {
  const enough = tries.map(one => ({ one, whole: evaluate(one, 'given-count', '') })).filter(({ whole }) => whole.modules >= wanted)
  return enough.map(({ one, whole }) => {
    const counts = [...whole.rowCounts]
    for (let over = whole.modules - wanted; over > 0; over--) counts[shortestRow(counts)]!--
    const rows = one.rows.map((row, k) => ({ ...row, count: counts[k] ?? 0 })).filter(row => row.count > 0)
    return evaluate({ ...one, rows }, 'given-count', `Best of ${enough.length} ways to stand ${wanted}`)
  }).filter(one => one.modules === wanted).sort((a, b) => a.stops - b.stops || a.fixings - b.fixings)
}

/** The shortest row that still has a module, the upper one of two alike. */
const shortestRow = (counts: number[]): number =>
  counts.reduce((best, n, k) => n > 0 && (counts[best] === 0 || n <= counts[best]!) ? k : best, 0)

/** The edit that stands a face's rows as a try has them. */
function editFor(face: Face, { rows, columns }: Try, regionBottomMm: number): Edit {
  const [first] = rows
  const orientation: Orientation = first?.kind.orientation ?? face.array.orientation
  const edits: PlainEdit[] = [{ type: 'set-array', faceId: face.id, values: { orientation, columns, stackFrom: 'eave', rowCount: rows.length, shiftMm: null } }]
  let topMm = regionBottomMm
  rows.forEach((row, i) => {
    const rule: RowRule = {
      ...plainRow, ...(row.rule ?? {}), count: row.count, orientation: row.kind.orientation === orientation ? null : row.kind.orientation,
      gapBelowMm: Math.max(0, row.bottomMm - topMm),
    }
    edits.push({ type: 'set-row', faceId: face.id, row: i, values: rule })
    topMm = row.bottomMm + row.kind.heightMm
  })
  face.array.rows.slice(rows.length).forEach((_, i) => edits.push({ type: 'set-row', faceId: face.id, row: rows.length + i, values: plainRow }))
  return { type: 'batch', edits }
}

const titles: Record<Aim, string> = {
  'most': 'Most modules',
  'tidiest': 'Tidiest',
  'fewest-fixings': 'Fewest fixings a module',
  'plainer': 'A plainer one',
  'given-count': 'As many as asked',
}

interface Setting { job: Job, catalogue: Catalogue, face: Face, clear: FacePlan['clear'] }

/** Plans a face with a try's rows and says what it comes to. */
function arrangementOf(one: Try, aim: Aim, claim: string, { job, catalogue, face, clear }: Setting): Arrangement {
  const bare = planFace({ ...face, array: { ...face.array, rowCount: 0 } }, catalogue, job, clear)
  const edit = editFor(face, one, bounds(bare.region)?.up.fromMm ?? 0)
  const plan = planFace(faceOf(applyEdit(job, edit), face.id), catalogue, job, clear)
  const blocks = plan.rows.rows.flatMap(row => row.blocks)
  const margin = (side: 'left' | 'right') => Math.max(0, Math.min(...blocks.map(block => block.free ? (side === 'left' ? block.leftMm - block.free.fromMm : block.free.toMm - block.rightMm) : 0)))
  const claimed = clear.most === null ? claim : `${claim}; at most ${clear.most} by the covered share`
  return {
    aim, title: titles[aim], modules: plan.modules, powerW: plan.powerW, fixings: plan.fixings.total, rowCounts: plan.rows.rows.map(row => row.count), claim: claimed,
    marginsMm: blocks.length ? { left: margin('left'), right: margin('right') } : { left: 0, right: 0 },
    stops: plan.fixings.rails.filter(rail => rail.shortfalls.length).length + plan.rows.rows.filter(row => !row.fits).length, edit,
    rectangles: plan.rows.rows.flatMap(row => row.moduleLeftsMm.map(leftMm => ({ leftMm, bottomMm: row.bottomMm, widthMm: row.moduleWidthMm, heightMm: row.moduleHeightMm }))),
  }
}

/** Answers that stand the very same modules are shown once, under the first aim that found them. */
function distinctAnswers(answers: Arrangement[]): Arrangement[] {
  const seen = new Map<string, Arrangement>()
  for (const answer of answers) {
    const key = JSON.stringify(answer.rectangles.map(one => [Math.round(one.leftMm), Math.round(one.bottomMm), Math.round(one.widthMm)]))
    const same = seen.get(key)
    const adds = same && answer.aim !== 'plainer' && answer.aim !== same.aim
    if (same) seen.set(key, adds ? { ...same, title: `${same.title}, ${answer.title.toLowerCase()}` } : same)
    else seen.set(key, answer)
  }
  return [...seen.values()].slice(0, 3)
}
