import { z } from 'zod'
import { lengthMm, partId } from './fields'
import type { WordsOf } from './words'

export const orientations = ['upright', 'on-side'] as const
export const fixingPatterns = ['soft-stagger', 'aligned', 'hard-stagger'] as const
export const columnRules = ['free', 'aligned', 'brick'] as const
/** Which way rails run: along the eave, or up the slope. */
export const railWays = ['across', 'up'] as const
export type RailWay = typeof railWays[number]
export const spliceKinds = ['butted', 'bridged'] as const
/** How modules load their rail: at their clamps, or spread along it. */
export const loadPaths = ['line', 'clamps'] as const
export type SpliceKind = typeof spliceKinds[number]
export type LoadPath = typeof loadPaths[number]
export const stackEnds = ['eave', 'ridge'] as const
export type ColumnRule = typeof columnRules[number]
export type StackEnd = typeof stackEnds[number]
export type Orientation = typeof orientations[number]
export type FixingPattern = typeof fixingPatterns[number]

/** What a person has said of one row; anything null follows from the rest. */
export const rowRuleSchema = z.object({
  /** Held number of modules; null fills the row. */
  count: z.number().int().min(1).max(200).nullable(),
  /** Moved along the eave from the array's left edge, mm to the right. */
  shiftMm: lengthMm('The shift of the row', -60_000, 60_000),
  /** Gap below the row, mm; null takes the array's. For row 1 it is the distance up from the lower edge of the region. */
  gapBelowMm: lengthMm('The gap below the row', 0, 30_000).nullable(),
  /** Lower rail, mm up from the row's lower edge; null is placed by rule. */
  lowerRailMm: lengthMm('The lower rail', 0, 3000).nullable(),
  /** Upper rail, mm up from the row's lower edge; null is placed by rule. */
  upperRailMm: lengthMm('The upper rail', 0, 3000).nullable(),
  /** How this row's modules lie; null takes the array's. */
  orientation: z.enum(orientations).nullable(),
  /** Places after which the row is parted by an expansion break, counted from the left, 1 first: the gap there is wider and rails end on both sides of it. */
  breaks: z.array(z.number().int().min(1).max(199)).max(20),
  /** Places in the row left empty, counted from the left, 1 first. */
  skip: z.array(z.number().int().min(1).max(200)).max(200),
  /** Left edges of modules that keep their very place, mm from the eave's left end; others are filled in round them. */
  held: z.array(lengthMm('A held module', -30_000, 60_000)).max(200),
  /** Kept as it is when the rows are solved again: only its held modules stand. */
  locked: z.boolean(),
})

const heldN = z.number({ error: 'What a fixing holds must be a force.' }).min(10, 'A fixing that holds under 10 N (2 lb) holds nothing.').max(1e5, 'At most 100 kN (22 480 lb).')

export const arraySchema = z.object({
  moduleId: partId, railId: partId, mountId: partId, clampsId: partId,
  /** Electronics, bonding and other small parts that are wanted where several would do. */
  supplyIds: z.array(partId).max(20),
  orientation: z.enum(orientations),
  /** Gap between columns, mm; null takes the mid clamp's. */
  columnGapMm: lengthMm('The gap between columns', 0, 500).nullable(),
  rowGapMm: lengthMm('The gap between rows', 0, 2000),
  /** Rows wanted; null fills the region. */
  rowCount: z.number().int().min(0).max(40).nullable(),
  /** The whole array moved from the middle of the region, mm to the right; null stands it where the fewest fixings do. */
  shiftMm: lengthMm('The shift of the array', -60_000, 60_000).nullable(),
  /** Rules for rows from the eave up; rows past the end follow the default. */
  rows: z.array(rowRuleSchema).max(40),
  /** How rows stand to each other: each in the middle of its own stretch, on common columns, or half a module over in turn. */
  columns: z.enum(columnRules),
  /** Which keep-clear line the rows are pushed against: the lower or the upper. */
  stackFrom: z.enum(stackEnds),
  fixingPattern: z.enum(fixingPatterns),
  railWay: z.enum(railWays),
  /** Rails up the slope: how far each lies in from the module's side, mm; null is placed by rule. */
  railInMm: lengthMm('The rail', 0, 3000).nullable(),
  loadPath: z.enum(loadPaths),
  spliceAs: z.enum(spliceKinds),
  /** Which of the mount's ways goes through the covering; null takes its usual one. */
  closureId: z.string().max(41).nullable(),
  /** The first few fixings are made with another mount, whose opening lets the rafters be seen; null where all are alike. */
  openFirst: z.object({ count: z.number().int('Whole fixings.').min(1, 'At least one fixing.').max(12, 'At most twelve fixings.'), mountId: partId }).nullable(),
  /** Two fixings at each end of every rail. */
  doubledEnds: z.boolean(),
  /** Deflection of a span is kept to this share of it, and twice that past the last fixing. */
  deflectionOver: z.number().int('A whole number.').min(60, 'At least 1 in 60.').max(1000, 'At most 1 in 1000.'),
  /** What one fixing holds by an engineer's or a test's figure; null works it out. */
  heldUpN: heldN.nullable(),
  heldDownN: heldN.nullable(),
  heldSlopeN: heldN.nullable(),
  /** Allowed span somebody has justified for this job, mm; null takes the maker's greatest where loads are worked out, else the usual one. */
  allowedSpanMm: lengthMm('The allowed span', 200, 5000).nullable(),
  /** Allowed overhang somebody has justified for this job, mm; null takes the maker's, else 24 in. */
  allowedOverhangMm: lengthMm('The allowed overhang', 0, 2000).nullable(),
  /** Rail left long at each end, to be trimmed when the modules are on, mm. */
  trimTailMm: lengthMm('The trim tail', 0, 500),
})

/** How an array is built where nobody has said otherwise. */
export const plainBuild: Pick<z.infer<typeof arraySchema>, 'railWay' | 'railInMm' | 'loadPath' | 'spliceAs' | 'deflectionOver' | 'heldUpN' | 'heldDownN' | 'heldSlopeN' | 'supplyIds' | 'closureId' | 'openFirst' | 'doubledEnds'>
  = { supplyIds: [], railWay: 'across', railInMm: null, loadPath: 'line', spliceAs: 'butted', deflectionOver: 120, heldUpN: null, heldDownN: null, heldSlopeN: null, closureId: null, openFirst: null, doubledEnds: false }

export type ArrayRules = z.infer<typeof arraySchema>
export type RowRule = z.infer<typeof rowRuleSchema>

export const arrayWords: WordsOf<Omit<ArrayRules, 'rows'>> = {
  moduleId: 'the module', railId: 'the rail', mountId: 'the mount', clampsId: 'the clamps', supplyIds: 'the small parts of its set', orientation: 'how the modules lie',
  columnGapMm: 'the gap between columns', rowGapMm: 'the gap between rows', rowCount: 'the number of rows', shiftMm: 'the array’s place along the eave',
  columns: 'how columns stand', stackFrom: 'which line the rows start from', fixingPattern: 'the fixing pattern', railWay: 'which way rails run', railInMm: 'how far rails lie in',
  closureId: 'the way through the covering', openFirst: 'the fixings that are opened first', doubledEnds: 'the doubled ends', loadPath: 'how modules load the rails', spliceAs: 'how rails are spliced', deflectionOver: 'the deflection limit',
  heldUpN: 'what a fixing holds', heldDownN: 'what a fixing holds', heldSlopeN: 'what a fixing holds',
  allowedSpanMm: 'the allowed span', allowedOverhangMm: 'the allowed overhang', trimTailMm: 'the trim tails',
}
export const rowWords: WordsOf<RowRule> = {
  count: 'the number of modules', shiftMm: 'the place along the eave', gapBelowMm: 'the gap below', lowerRailMm: 'the lower rail', upperRailMm: 'the upper rail', orientation: 'how the modules lie',
  breaks: 'the expansion breaks', skip: 'the places left empty', held: 'the modules held in place', locked: 'whether it is locked',
}

/** A row nobody has said anything about. */
export const plainRow: RowRule = {
  count: null,
  shiftMm: 0,
  gapBelowMm: null,
  lowerRailMm: null,
  upperRailMm: null,
  orientation: null,
  breaks: [],
  skip: [],
  held: [],
  locked: false,
}
