import { z } from 'zod'
import { coveringKinds } from '../catalogue/schema'
import { firstCrossing, signedAreaMm2 } from '../geometry/ring'
import { formatLength, STEEPEST_PITCH_DEG } from '../units'

/** A limit as either crew reads it; a schema does not know the job's units. */
const limit = (mm: number): string => mm === 0 ? '0' : `${mm} mm (${formatLength(mm, 'imperial')})`

/** A length in mm with the sentence a person reads when it is out of reach. */
const lengthMm = (what: string, min: number, max: number) => z.number({ error: `${what} must be a length in mm.` })
  .min(min, `${what} must be at least ${limit(min)}.`).max(max, `${what} must be at most ${limit(max)}.`)

const partId = z.string().min(1, 'Choose a part.').max(61)
const shortId = z.string().regex(/^[A-Za-z0-9-]{1,40}$/, 'An id has 1 to 40 letters, figures and dashes.')

/** Which corner the tapes are hooked on, looking at the face from outside. */
export const sides = ['left', 'right'] as const
export type Side = typeof sides[number]

/** What an edge of a face is. */
export const edgeKinds = ['eave', 'ridge', 'rake', 'hip', 'valley', 'wall'] as const
export type EdgeKind = typeof edgeKinds[number]

/** Shapes that are entered by taped lengths, with their number of sides. */
export const tapedForms = { 'triangle': 3, 'quadrilateral': 4, 'l-low-right': 6, 'l-low-left': 6 } as const
export type TapedForm = keyof typeof tapedForms

const corner = z.number().int().min(0).max(39)
const sideSchema = z.object({ mm: lengthMm('A side', 200, 60_000), edge: z.enum(edgeKinds) })
const diagonalSchema = z.object({ from: corner, to: corner, mm: lengthMm('A diagonal', 200, 80_000) })

const tapedSchema = z.object({
  kind: z.literal('taped'),
  form: z.enum(Object.keys(tapedForms) as [TapedForm, ...TapedForm[]]),
  /** Sides in order from the eave's left corner, anticlockwise seen from outside: the eave first. */
  sides: z.array(sideSchema).min(3).max(6),
  /** Further taped lengths between corners, counted from 0 at the eave's left end; a length may be taped more than once. */
  diagonals: z.array(diagonalSchema).max(30),
  /** Standard deviation of one taped length, mm. */
  tapeSdMm: lengthMm('The tape’s standard deviation', 0.5, 50),
}).superRefine((outline, context) => {
  const sides = tapedForms[outline.form]
  if (outline.sides.length !== sides) context.addIssue({ code: 'custom', path: ['sides'], message: `This shape has ${sides} sides, not ${outline.sides.length}.` })
  outline.diagonals.forEach(({ from, to }, i) => {
    if (from >= sides || to >= sides || from === to) context.addIssue({ code: 'custom', path: ['diagonals', i], message: `A length is taped between two different corners of ${sides}.` })
  })
})

const cornersSchema = z.object({
  kind: z.literal('corners'),
  /** Corners by running readings from the eave's left end, anticlockwise; `edge` is the one from this corner to the next. */
  corners: z.array(z.object({ xMm: lengthMm('A reading along the eave', -30_000, 60_000), yMm: lengthMm('A reading up the slope', 0, 30_000), edge: z.enum(edgeKinds) }))
    .min(3, 'A face has at least three corners.').max(40, 'A face has at most forty corners.'),
}).superRefine(({ corners }, context) => {
  const points = corners.map(({ xMm, yMm }) => ({ x: xMm, y: yMm }))
  const crossing = firstCrossing(points)
  if (crossing) context.addIssue({ code: 'custom', path: ['corners', crossing[0]], message: `The outline crosses itself: the edges after corners ${crossing[0] + 1} and ${crossing[1] + 1} meet. Check the order of the corners.` })
  else if (signedAreaMm2(points) < 100_000) context.addIssue({ code: 'custom', path: ['corners'], message: 'These corners enclose next to nothing, or run clockwise. Give them anticlockwise, starting at the eave’s left end.' })
  if (!corners.some(({ edge }) => edge === 'eave')) context.addIssue({ code: 'custom', path: ['corners'], message: 'Say which edge is the eave: the tapes are hooked on it.' })
})

export const outlineSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('rectangle'),
    eaveLengthMm: lengthMm('The eave', 500, 60_000),
    slopeLengthMm: lengthMm('The slope', 500, 30_000),
  }),
  tapedSchema,
  cornersSchema,
])

/** Obstructions, with whether a person may have to get out through it. */
export const obstructionKinds = ['vent', 'chimney', 'roof-window', 'escape-window', 'dish', 'conduit', 'old-array'] as const
export type ObstructionKind = typeof obstructionKinds[number]

export const obstructionSchema = z.object({
  id: shortId,
  kind: z.enum(obstructionKinds),
  /** Round by its width alone, else a rectangle with its sides along eave and slope. */
  round: z.boolean(),
  /** Its middle by running readings: along the eave from its left end, and up the slope. */
  xMm: lengthMm('The reading along the eave', -30_000, 60_000),
  yMm: lengthMm('The reading up the slope', 0, 30_000),
  widthMm: lengthMm('The width', 10, 20_000),
  heightMm: lengthMm('The height', 10, 20_000),
  clearanceMm: lengthMm('The clearance', 0, 3000),
})
export type Obstruction = z.infer<typeof obstructionSchema>

export const coveringSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal(coveringKinds[0]),
    /** Height of a course that shows, mm. */
    exposureMm: lengthMm('The exposure', 50, 500),
    /** Lower edge of the second course above the eave, mm up the slope: where the regular courses begin. */
    firstCourseMm: lengthMm('The first course', 0, 1000),
  }),
])

export const rafterFindSchema = z.object({
  /** Rafter number from the left rake, 1 first. */
  rafter: z.number().int().min(1).max(400),
  centreMm: lengthMm('A rafter', -2000, 62_000),
})

export const supportsSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('rafters'),
    /** Centre of rafter 1 from the left rake, mm. */
    firstCentreMm: lengthMm('The first rafter', 0, 5000),
    spacingMm: lengthMm('The rafter spacing', 150, 3000),
    widthMm: lengthMm('The rafter width', 19, 300),
    /** Rafters measured where they really are; the others stand at the nominal spacing. */
    found: z.array(rafterFindSchema).max(400),
  }),
])

export const setbacksSchema = z.object({
  eaveMm: lengthMm('The eave setback', 0, 10_000),
  ridgeMm: lengthMm('The ridge setback', 0, 10_000),
  leftRakeMm: lengthMm('The left rake setback', 0, 10_000),
  rightRakeMm: lengthMm('The right rake setback', 0, 10_000),
  hipMm: lengthMm('The hip setback', 0, 10_000),
  valleyMm: lengthMm('The valley setback', 0, 10_000),
  wallMm: lengthMm('The wall setback', 0, 10_000),
})

export const orientations = ['upright', 'on-side'] as const
export const fixingPatterns = ['soft-stagger', 'aligned', 'hard-stagger'] as const
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
})

export const arraySchema = z.object({
  moduleId: partId, railId: partId, mountId: partId, clampsId: partId,
  orientation: z.enum(orientations),
  /** Gap between columns, mm; null takes the mid clamp's. */
  columnGapMm: lengthMm('The gap between columns', 0, 500).nullable(),
  rowGapMm: lengthMm('The gap between rows', 0, 2000),
  /** Rows wanted; null fills the region. */
  rowCount: z.number().int().min(0).max(40).nullable(),
  /** The whole array moved from the middle of the region, mm to the right. */
  shiftMm: lengthMm('The shift of the array', -60_000, 60_000),
  /** Rules for rows from the eave up; rows past the end follow the default. */
  rows: z.array(rowRuleSchema).max(40),
  fixingPattern: z.enum(fixingPatterns),
  /** Allowed span somebody has justified for this job, mm; null takes the rail's usual one. */
  allowedSpanMm: lengthMm('The allowed span', 200, 5000).nullable(),
  /** Allowed overhang somebody has justified for this job, mm; null takes the maker's, else 24 in. */
  allowedOverhangMm: lengthMm('The allowed overhang', 0, 2000).nullable(),
  /** Rail left long at each end, to be trimmed when the modules are on, mm. */
  trimTailMm: lengthMm('The trim tail', 0, 500),
})

export const faceSchema = z.object({
  id: shortId,
  name: z.string().trim().min(1, 'Give the face a name.').max(60),
  outline: outlineSchema,
  pitchDeg: z.number().gt(0, 'The pitch must be above 0°.').max(STEEPEST_PITCH_DEG, `The pitch must be at most ${STEEPEST_PITCH_DEG}°.`),
  covering: coveringSchema,
  supports: supportsSchema,
  setbacks: setbacksSchema,
  obstructions: z.array(obstructionSchema).max(60, 'A face has at most sixty obstructions.'),
  /** The corner at the eave where both tapes start. */
  datum: z.enum(sides),
  array: arraySchema,
})

/** A job: what people know and decide. What follows from it is the plan, which is never stored as truth. */
export const jobSchema = z.object({
  format: z.literal('upper-deck-job'),
  formatVersion: z.literal(1),
  title: z.string().trim().min(1, 'Give the job a name.').max(80),
  place: z.string().trim().max(80),
  units: z.enum(['imperial', 'metric']),
  faces: z.array(faceSchema).min(1, 'A job has at least one face.').max(20),
}).superRefine((job, context) => {
  const seen = new Set<string>()
  job.faces.forEach((face, index) => {
    if (seen.has(face.id)) context.addIssue({ code: 'custom', path: ['faces', index, 'id'], message: `Two faces have the id “${face.id}”.` })
    seen.add(face.id)
  })
})

export type Job = z.infer<typeof jobSchema>
export type Face = z.infer<typeof faceSchema>
export type Outline = z.infer<typeof outlineSchema>
export type Covering = z.infer<typeof coveringSchema>
export type Supports = z.infer<typeof supportsSchema>
export type Setbacks = z.infer<typeof setbacksSchema>
export type ArrayRules = z.infer<typeof arraySchema>
export type RowRule = z.infer<typeof rowRuleSchema>

/** A row nobody has said anything about. */
export const plainRow: RowRule = { count: null, shiftMm: 0, gapBelowMm: null, lowerRailMm: null, upperRailMm: null }
