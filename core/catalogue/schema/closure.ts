import { z } from 'zod'
import { coveringKinds, profiles } from './covering'
import { mm } from './fields'

/** Ways through a covering. */
export const closureWays = ['lapped', 'sealed', 'hook', 'post', 'strip', 'slot', 'plate', 'bracket', 'screw', 'clamp'] as const
export type ClosureWay = typeof closureWays[number]
export const closureWayNames: Record<ClosureWay, string> = {
  lapped: 'Flashing lapped into the courses', sealed: 'Foot on the covering, sealed', hook: 'Hook through a course line', post: 'Post through a cored unit', strip: 'Covering stripped, shingle below',
  slot: 'Hook through a slot, flashed', plate: 'Plate drilled through', bracket: 'Bracket through the sheet', screw: 'In the hole of the sheet’s own screw', clamp: 'Clamp on a seam',
}

/** Schools of sealing a fixing, each with its own bead. */
export const sealSchools = ['none', 'inverted-u', 'half-circle', 'rings', 'underside', 'injected', 'surface'] as const
export type SealSchool = typeof sealSchools[number]
export const sealNames: Record<SealSchool, string> = {
  'none': 'No sealant', 'inverted-u': 'Inverted U, open below', 'half-circle': 'Half circle above', 'rings': 'Ring inside and ring round', 'underside': 'Whole underside and a bead round it',
  'injected': 'Injected until both witness holes show', 'surface': 'Surface-sealed all round',
}

/** Small parts of which a fixing takes one each. */
export const closureParts = ['flashing', 'retaining-clip', 'foam', 'cap', 'gasket', 'extension'] as const

const share = z.number().min(0).max(0.5)

/**
 * The way a mount goes through one covering and is made watertight, by its maker: what is lifted, cut, screwed, sealed, flashed and put
 * back. Lengths in mm. Up is up the slope; a place is measured from the rail's axis or from the middle of the screws, as is said.
 */
export const closureSchema = z.object({
  id: z.string().regex(/^[a-z0-9][a-z0-9-]{1,40}$/, 'An id has 2 to 41 small letters, figures and dashes.'),
  name: z.string().trim().min(1, 'Say what this way is called.').max(80),
  coverings: z.array(z.enum(coveringKinds)).min(1, 'Say through which coverings it goes.'),
  way: z.enum(closureWays),
  /** Kinds of seam or of metal tile that it is made for; none for any. */
  profiles: z.array(z.enum(profiles)).max(profiles.length),
  /** Middle of the screws up from the rail's axis: the least and the most that foot or arm allow; below 0 where the rail runs above them. */
  screwsUp: z.object({ fromMm: mm(-300, 600), toMm: mm(-300, 600) }),
  /** What lies on the timber. */
  plateHighMm: mm(10, 600), plateWideMm: mm(10, 600),
  /** Hooks: where the arm leaves the covering, down from the middle of the screws; how thick it is; its underside above the timber there, at the most it can be packed to. 0 for what has no arm. */
  armDownMm: mm(0, 400), armThickMm: mm(0, 30), riseMm: mm(0, 150),
  /** Flashing: its head above and its foot below the middle of the screws, and its width. 0 for none. */
  headMm: mm(0, 600), footMm: mm(0, 400), flashWideMm: mm(0, 600),
  /** What is notched, slotted, cored or drilled: across the slope, up it, and how deep where not right through; the tolerance of each. 0 for none. */
  cutWideMm: mm(0, 400), cutHighMm: mm(0, 400), cutDeepMm: mm(0, 60), cutToleranceMm: mm(0, 20),
  /** A slot's height where the lap is old and uneven, and its lower edge above the slate's own. */
  cutOldHighMm: mm(0, 400), cutUpMm: mm(0, 300),
  /** Least distance of arm, cut or foot from the unit's edge, and how far it may stand aside of the arm's middle. */
  edgeMm: mm(0, 150), playMm: mm(0, 60),
  /** Shingle is trimmed back so far round a post. */
  trimMm: mm(0, 150),
  /** Courses are lifted for it, so many units side by side in so many courses: a covering that breaks when it is lifted has to be gone through another way. */
  lifts: z.boolean(),
  liftUnits: z.number().int().min(0).max(20), liftCourses: z.number().int().min(0).max(10),
  /** Whether a batten in the way may be cut back and carried by new ones. */
  battenCut: z.boolean(),
  seal: z.enum(sealSchools),
  /** Bead's diameter, and the size of its figure: across and up the slope, or the inner and the outer ring. */
  beadMm: mm(0, 20), sealAcrossMm: mm(0, 400), sealUpMm: mm(0, 400),
  /** Film under the whole underside, and what is injected. */
  filmMm: mm(0, 5), fillMl: mm(0, 200),
  /** Tabs bonded down again: dabs, and what each takes. */
  dabs: z.number().int().min(0).max(20), dabMl: mm(0, 20),
  /** Nails that are in the way, pulled and driven again. */
  nails: z.number().int().min(0).max(20),
  parts: z.array(z.enum(closureParts)).max(closureParts.length),
  /** Share of lifted units that break (rule of thumb). */
  breaks: share,
  minutes: z.number().min(0).max(300),
  /** Least temperature for sealant and covering, °C; null for any. */
  leastC: z.number().min(-30).max(40).nullable(),
  dry: z.boolean(),
}).refine(({ screwsUp }) => screwsUp.fromMm <= screwsUp.toMm, { path: ['screwsUp', 'toMm'], error: 'The most is below the least.' })
export type Closure = z.infer<typeof closureSchema>

/** What has no arm, no flashing, no cut and no sealant: to be filled in. */
export const plainClosure: Omit<Closure, 'id' | 'name' | 'coverings' | 'way' | 'screwsUp' | 'plateHighMm' | 'plateWideMm' | 'minutes'> = {
  profiles: [], armDownMm: 0, armThickMm: 0, riseMm: 0, headMm: 0, footMm: 0, flashWideMm: 0, cutWideMm: 0, cutHighMm: 0, cutDeepMm: 0, cutToleranceMm: 0, cutOldHighMm: 0, cutUpMm: 0, edgeMm: 0, playMm: 0, trimMm: 0,
  lifts: false, liftUnits: 0, liftCourses: 0, battenCut: false, seal: 'none', beadMm: 0, sealAcrossMm: 0, sealUpMm: 0, filmMm: 0, fillMl: 0, dabs: 0, dabMl: 0, nails: 0, parts: [], breaks: 0, leastC: null, dry: true,
}
