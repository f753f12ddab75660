import { z } from 'zod'

const mm = (min: number, max: number) => z.number().min(min).max(max)
const id = z.string().regex(/^[a-z0-9][a-z0-9-]{1,60}$/)
/** Where a figure comes from, so that nobody takes an invented or remembered value for a tested one. */
const evidence = z.string().min(3).max(200)

/**
 * The stretch of a module's frame where a clamp may hold it, measured in from the nearer corner
 * along the clamped edge, mm.
 */
const clampZone = z.object({ fromMm: mm(0, 2000), toMm: mm(0, 2000) })

export const moduleSchema = z.object({
  id, maker: z.string(), name: z.string(),
  /** Length of the long side, mm. */
  longMm: mm(300, 3000),
  /** Length of the short side, mm. */
  shortMm: mm(300, 3000),
  thicknessMm: mm(20, 60),
  massKg: z.number().positive().max(60),
  powerW: z.number().positive().max(1000),
  /** Zones on the long edges (used when the module stands upright on rails across the roof) and on the short edges. */
  clampZones: z.object({ longEdge: clampZone, shortEdge: clampZone }),
  evidence,
})

export const railSchema = z.object({
  id, maker: z.string(), name: z.string(),
  /** The greatest span between fixings that is taken when nobody has worked one out for the job, mm. */
  usualSpanMm: mm(300, 4000),
  /** The maker's limit past the last fixing, measured to the module's edge, mm; null: 24 in by common practice. */
  overhangMm: mm(50, 1500).nullable(),
  stockMm: z.array(mm(500, 8000)).min(1),
  massKgPerM: z.number().positive().max(10),
  splice: z.object({
    partName: z.string(),
    /** Length of the splice bar, mm. */
    barMm: mm(50, 800),
    /** Least distance from the splice bar's end to a fixing's centre, mm. */
    clearMm: mm(0, 400),
  }),
  /** Mounts whose head takes this rail. */
  mountIds: z.array(id).min(1),
  endCapName: z.string(),
  evidence,
})

export const coveringKinds = ['coursed-shingle', 'interlocking-tile', 'plain-tile', 'slate', 'pressed-metal-tile', 'screwed-sheet', 'standing-seam', 'felt-and-battens'] as const
/** What a fixing can be driven into or hold on to. */
export const supportKinds = ['rafters', 'purlins', 'seams', 'screws', 'sheathing'] as const

/**
 * The screws of one mount, as far as they must all find timber. Offsets are from the mount's centre, across the rafter.
 */
const fastenersSchema = z.object({
  diameterMm: mm(2, 30),
  /** Least distance from a screw's centre to the timber's edge, in screw diameters. */
  edgeDiameters: z.number().min(0).max(10),
  acrossMm: z.array(z.number().min(-200).max(200)).min(1).max(12),
})

export const mountSchema = z.object({
  id, maker: z.string(), name: z.string(),
  coverings: z.array(z.enum(coveringKinds)).min(1),
  /** What it is made to be fixed to. */
  into: z.array(z.enum(supportKinds)).min(1),
  /** Null for mounts that drive nothing into timber, as clamps on a seam. */
  fasteners: fastenersSchema.nullable(),
  /** Half the length up the slope of the part that must sit on one course, mm. */
  halfFootprintMm: mm(5, 200),
  screw: z.object({ name: z.string(), perMount: z.number().int().min(1).max(12), pilot: z.string() }),
  flashed: z.boolean(),
  sealant: z.string(),
  massKg: z.number().positive().max(10),
  evidence,
})

export const clampSetSchema = z.object({
  id, maker: z.string(), name: z.string(),
  /** Frame thicknesses that the clamps take, mm. */
  thicknessMm: z.object({ fromMm: mm(15, 70), toMm: mm(15, 70) }),
  /** Width of a mid clamp between two frames, and so the gap between columns, mm. */
  gapMm: mm(3, 40),
  /** Rail needed past the module's edge for an end clamp, mm; 0 for a hidden clamp. */
  railPastMm: mm(0, 150),
  torqueNm: z.number().positive().max(60),
  railIds: z.array(id).min(1),
  evidence,
})

export const catalogueSchema = z.object({
  modules: z.array(moduleSchema), rails: z.array(railSchema),
  mounts: z.array(mountSchema), clamps: z.array(clampSetSchema),
})

export type Module = z.infer<typeof moduleSchema>
export type Rail = z.infer<typeof railSchema>
export type Mount = z.infer<typeof mountSchema>
export type ClampSet = z.infer<typeof clampSetSchema>
export type Catalogue = z.infer<typeof catalogueSchema>
export type Fasteners = z.infer<typeof fastenersSchema>
export type CoveringKind = typeof coveringKinds[number]
export type SupportKind = typeof supportKinds[number]
