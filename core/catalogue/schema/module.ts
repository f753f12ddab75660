import { z } from 'zod'
import { mm } from './fields'
import { shelved } from './source'

/** The stretch of a module's frame where a clamp may hold it, measured in from the nearer corner along the clamped edge, mm. */
const clampZone = z.object({ fromMm: mm(0, 2000), toMm: mm(0, 2000) })

/** The nameplate's watts may differ from Vmp x Imp by rounding only. */
export const MOST_PLATE_ERROR = 0.03

/** What the plate on a module's back says of its electrics, at standard test conditions. */
const plateSchema = z.object({
  vocV: z.number().positive().max(200), vmpV: z.number().positive().max(200),
  iscA: z.number().positive().max(40), impA: z.number().positive().max(40),
  /** Change with each kelvin above 25 °C, as a share: of power and voltage below nought, of current above. */
  powerPerK: z.number().min(-0.01).max(0),
  /** Null where its maker gives none: then the code's table for crystalline modules stands in. */
  vocPerK: z.number().min(-0.01).max(0).nullable(), iscPerK: z.number().min(-0.005).max(0.005),
  cells: z.number().int().min(1).max(300),
  /** Cells cut in halves and wired as two strings side by side. */
  halfCut: z.boolean(),
  /** Largest series fuse, A; null where nobody has given it. */
  seriesFuseA: z.number().positive().max(60).nullable().default(null),
  /** What it may be over its plate when it leaves the works, and the gain of light on its back that its maker rates it for, as shares. */
  overPlate: z.number().min(0).max(0.1).nullable().default(null), backGain: z.number().min(0).max(0.3).nullable().default(null),
  /** Diode factor of its cells, by which voltage falls with the light; null where its maker gives none. */
  diodeFactor: z.number().min(0.8).max(2).nullable().default(null),
})
export type Plate = z.infer<typeof plateSchema>

/** Current at greatest power, from watts and voltage there, A: 230 W at 29.6 V are 7.77 A. */
export const currentAtPower = (powerW: number, vmpV: number): number => powerW / vmpV

export const moduleSchema = z.object({
  ...shelved,
  /** Length of the long side, mm. */
  longMm: mm(300, 3000),
  /** Length of the short side, mm. */
  shortMm: mm(300, 3000),
  thicknessMm: mm(20, 60),
  /** Width of the frame's lower lip that a clamp or a screw from below would hold, mm; null where nobody has given it. */
  lipMm: mm(3, 60).nullable(),
  massKg: z.number().positive().max(60),
  powerW: z.number().positive().max(1000),
  /** Null where nobody has given it: the module can be laid out, not wired. */
  plate: plateSchema.nullable(),
  /** Middle of the junction box, from the upper end of the long side and from the middle of the short one, mm, with leads down or up the module. */
  junctionBox: z.object({
    fromEndMm: mm(0, 3000), fromMiddleMm: mm(0, 1500),
    /** How far apart its two leads leave, across the short side: those of boxes parted in three, as on half-cut modules. The positive one is on the right, seen from outside with its label up. */
    leadsApartMm: mm(0, 1500).nullable().default(null),
  }).nullable(),
  /** Length of the shorter of its two leads, mm. */
  leadMm: mm(50, 5000).nullable(),
  /** Make of the plugs on its leads; null where nobody has given it. */
  plugs: z.string().trim().min(1).max(60).nullable().default(null),
  warranty: z.object({ productYears: z.number().min(0).max(60), powerYears: z.number().min(0).max(60), powerShare: z.number().min(0.3).max(1) }).nullable(),
  /** Zones on the long edges (used when the module stands upright on rails across the roof) and on the short edges. */
  clampZones: z.object({ longEdge: clampZone, shortEdge: clampZone }),
  /**
   * Greatest pressures, unfactored, when it is held by its long or its short edges with the rail inside a stretch from the corner.
   * The declared design load of IEC 61215, which is tested at 1.5 times that (from memory).
   */
  ratings: z.array(z.object({
    edge: z.enum(['long', 'short']),
    fromMm: mm(0, 2000),
    toMm: mm(0, 2000),
    upPa: z.number().positive().max(20_000),
    downPa: z.number().positive().max(20_000),
  })).min(1, 'Give the pressures it may take in one stretch of its frame at least.').max(12),
}).superRefine(({ longMm, shortMm, powerW, plate, clampZones, ratings }, context) => {
  const refuse = (path: (string | number)[], message: string) => context.addIssue({ code: 'custom', path, message })
  if (shortMm > longMm) refuse(['shortMm'], `The short side, ${shortMm} mm, is longer than the long side, ${longMm} mm.`)
  /** A stretch is measured from the nearer corner, so that it ends at the middle of its edge at the latest. */
  const within = ({ fromMm, toMm }: { fromMm: number, toMm: number }, edge: 'long' | 'short', path: (string | number)[], what: string) => {
    const edgeMm = edge === 'long' ? longMm : shortMm
    if (toMm <= fromMm) refuse([...path, 'toMm'], `${what} ends at ${toMm} mm, no farther from the corner than it begins, ${fromMm} mm.`)
    else if (toMm > edgeMm) refuse([...path, 'toMm'], `${what} is outside the frame: it ends ${toMm} mm from the corner, and the ${edge} edge is ${edgeMm} mm.`)
    else if (toMm > edgeMm / 2) refuse([...path, 'toMm'], `${what} passes the middle of the ${edge} edge, ${edgeMm / 2} mm: stretches are measured from the nearer corner.`)
  }
  within(clampZones.longEdge, 'long', ['clampZones', 'longEdge'], 'The clamp zone on the long edge')
  within(clampZones.shortEdge, 'short', ['clampZones', 'shortEdge'], 'The clamp zone on the short edge')
  ratings.forEach((one, i) => within(one, one.edge, ['ratings', i], `Stretch ${i + 1} of the ratings`))
  if (!plate) return
  const { vocV, vmpV, iscA, impA } = plate
  if (vmpV > vocV) refuse(['plate', 'vmpV'], `Vmp, ${vmpV} V, is over Voc, ${vocV} V: no module does that. One of them is misread.`)
  if (impA > iscA) refuse(['plate', 'impA'], `Imp, ${impA} A, is over Isc, ${iscA} A: no module does that. One of them is misread.`)
  const product = vmpV * impA
  if (Math.abs(powerW - product) > MOST_PLATE_ERROR * product) {
    refuse(['powerW'], `${powerW} W is ${(100 * Math.abs(powerW / product - 1)).toFixed(1)} % off Vmp × Imp, ${product.toFixed(1)} W; rounding makes 3 % at most. At ${vmpV} V, ${powerW} W would be ${currentAtPower(powerW, vmpV).toFixed(2)} A.`)
  }
})
export type Module = z.infer<typeof moduleSchema>
