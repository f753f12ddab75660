import { z } from 'zod'
import { coveringKinds } from './covering'
import { formats, itemId, mm } from './fields'
import { shelved } from './source'

/** Systems that take the covering's place: trays between cut battens, or frames screwed to the battens as they lie. */
export const inRoofKinds = ['tray', 'frame'] as const
export type InRoofKind = typeof inRoofKinds[number]
export const inRoofKindNames: Record<InRoofKind, string> = { tray: 'Trays, battens cut where they stand', frame: 'Framed modules screwed to the battens' }

/** How a module stands on the face. */
export const waysUp = ['upright', 'on-side'] as const
export const wayUpNames: Record<typeof waysUp[number], string> = { 'upright': 'Upright', 'on-side': 'On its side' }

/** Lengths in which an edge's flashing is sold, and how far each lies over the next. */
const lengths = { stockMm: mm(200, 6000), overlapMm: mm(0, 400) }
const perFormat = <T extends z.ZodRawShape>(figures: T) => z.array(z.object({ format: z.enum(formats) }).extend(figures)).max(2)

/**
 * A system for an array that replaces the covering, by its maker. Lengths in mm, square to the eave unless said otherwise; heights of a
 * module count from its lower edge as it lies.
 */
export const inRoofSchema = z.object({
  ...shelved,
  kind: z.enum(inRoofKinds),
  coverings: z.array(z.enum(coveringKinds)).min(1, 'Say among which coverings it is laid.'),
  leastPitchDeg: z.number().min(0).max(80), greatestPitchDeg: z.number().min(1).max(90),
  mostRows: z.number().int().min(1).max(20),
  waysUp: z.array(z.enum(waysUp)).min(1, 'Say which way up modules may lie.'),
  columnGapMm: mm(0, 200), rowGapMm: mm(0, 200),
  /** Whole courses between two parts of an array that lie different ways up. */
  changeCourses: z.number().int().min(1).max(20),
  /** Least distance of two arrays, each with its own flashing. */
  apartMm: mm(0, 3000),
  /** The apron: how far it reaches below the lowest modules, how far it must lie over the course below, and the least from that course's head up to the modules. */
  bottom: z.object({ downMm: mm(20, 800), lapMm: mm(10, 500), clearMm: mm(0, 300), ...lengths }),
  /** How far it reaches above the highest modules, how far the course above must lie over it, and the least from the modules up to that course's edge. */
  top: z.object({ upMm: mm(20, 800), lapMm: mm(10, 500), gapMm: mm(0, 400), ...lengths }),
  /** How far it reaches beside the modules, and from the modules to the cut units. */
  side: z.object({ outMm: mm(20, 600), gapMm: mm(0, 200), ...lengths }),
  /** Whether the kit turns inwards, as at a step or a hole; and whether a side one row high comes in one piece with its two corners. */
  innerCorners: z.boolean(), oneRowSides: z.boolean(),
  /** Cover sets for roof windows that stand inside an array, by the window's outside size. */
  windowSets: z.array(z.object({ name: z.string().trim().min(1).max(80), wideFromMm: mm(200, 4000), wideToMm: mm(200, 4000), highFromMm: mm(200, 4000), highToMm: mm(200, 4000) })).max(20),
  /** Module to window: the least, the most that a cover set bridges, and the least with units of the covering between. */
  window: z.object({ nearMm: mm(0, 1000), farMm: mm(0, 2500), tiledMm: mm(0, 2500) }),
  /** Lines across a module that must lie on a batten: each anywhere between two heights, with so many screws a module, the outermost so far in from its sides. */
  lines: z.array(z.object({ wayUp: z.enum(waysUp), fromMm: mm(0, 3000), toMm: mm(0, 3000), screws: z.number().int().min(1).max(8), insetMm: mm(5, 800) })).min(2, 'Say on which lines a module is held.').max(12),
  screw: z.object({
    name: z.string().trim().min(1).max(80), diameterMm: mm(2, 12), threadMm: mm(5, 150),
    /** Least length of thread in the batten by the screw's own approval; null where the code's rule holds. */
    leastMm: mm(3, 100).nullable(),
    /** Least distance from the screw to the batten's upper or lower edge. */
    edgeMm: mm(0, 40),
    /** What its head and what it holds down bear before one pulls through the other. */
    pullThrough: perFormat({ n: z.number().positive().max(20_000) }),
  }),
  /** Clamps a module on trays; 0 where its frame is screwed down. */
  clamps: z.number().int().min(0).max(12),
  /** What a module on this system bore in its test: allowable for ASD, design for EN. */
  holds: perFormat({
    upPa: z.number().positive().max(20_000), downPa: z.number().positive().max(20_000),
    /** Down the slope, on the module's area; null where it was not tested for that. */
    slopePa: z.number().positive().max(20_000).nullable().default(null),
  }),
  /** Share of the outer suction that acts on a module by a test of pressure equalisation, and that test; null where there is none. */
  relief: z.object({ share: z.number().min(0.1).max(1), test: z.string().trim().min(3).max(120) }).nullable(),
  /** Trays, joints, screws and strips that lie under one module, without itself. */
  kitKg: z.number().min(0).max(60),
  /** Under this pitch the underlay below must be closed and the roof space aired as the maker says. */
  underlayBelowDeg: z.number().min(0).max(60),
  underlay: z.string().trim().max(300), cable: z.string().trim().min(1, 'Say how cables come through flashing and underlay.').max(300),
  /** Of two people: minutes a module with its fixing, and a piece of flashing. */
  moduleMinutes: z.number().min(0).max(300), pieceMinutes: z.number().min(0).max(120),
  tools: z.array(z.string().trim().min(1).max(120)).max(20),
}).superRefine(({ leastPitchDeg, greatestPitchDeg, waysUp: ways, lines, windowSets, window, bottom, top, side }, context) => {
  const refuse = (path: (string | number)[], message: string) => context.addIssue({ code: 'custom', path, message })
  if (greatestPitchDeg <= leastPitchDeg) refuse(['greatestPitchDeg'], 'The greatest pitch is not above the least.')
  if (bottom.lapMm + bottom.clearMm > bottom.downMm) refuse(['bottom', 'downMm'], 'The apron is shorter than its lap and the distance to the modules together.')
  if (top.lapMm + top.gapMm > top.upMm) refuse(['top', 'upMm'], 'The upper flashing is shorter than its lap and the distance to the modules together.')
  // Else one side would come in pieces without number.
  for (const [edge, { stockMm, overlapMm }] of Object.entries({ bottom, top, side })) if (overlapMm * 2 > stockMm) refuse([edge, 'overlapMm'], 'A flashing laps the next by more than half its length.')
  if (window.nearMm > window.farMm) refuse(['window', 'farMm'], 'The most that a cover set bridges is under the least.')
  lines.forEach((one, i) => {
    if (one.toMm < one.fromMm) refuse(['lines', i, 'toMm'], 'A line ends below where it begins.')
    if (!ways.includes(one.wayUp)) refuse(['lines', i, 'wayUp'], 'A line is given for a way up that modules may not lie.')
  })
  for (const way of ways) if (lines.filter(one => one.wayUp === way).length < 2) refuse(['lines'], `A module that lies ${way === 'upright' ? 'upright' : 'on its side'} has to be held on two lines at least.`)
  windowSets.forEach((one, i) => {
    if (one.wideToMm < one.wideFromMm || one.highToMm < one.highFromMm) refuse(['windowSets', i], 'A window’s greatest size is below its least.')
  })
})
export type InRoof = z.infer<typeof inRoofSchema>

/** Classes of a roof covering in a fire from outside, as the module with its frame was tested. */
export const fireClasses = ['broof-t4', 'broof-t1', 'class-a', 'class-b', 'class-c', 'none'] as const
export type FireClass = typeof fireClasses[number]
export const fireClassNames: Record<FireClass, string> = { 'broof-t4': 'BROOF(t4)', 'broof-t1': 'BROOF(t1)', 'class-a': 'Class A', 'class-b': 'Class B', 'class-c': 'Class C', 'none': 'Not tested' }

/** A module that was tested together with a tray or frame: by which test, in which fire class, and when it was approved. Its maker is who approved it. */
export const approvalSchema = z.object({
  ...shelved,
  moduleId: itemId, systemId: itemId,
  test: z.string().trim().min(3, 'Name the test report.').max(120),
  fireClass: z.enum(fireClasses),
  on: z.iso.date('The date of an approval is written like 2026-04-30.'),
})
export type Approval = z.infer<typeof approvalSchema>
