import { z } from 'zod'
import { partKinds } from './part-kinds'

const mm = (min: number, max: number) => z.number().min(min).max(max)
const id = z.string().regex(/^[a-z0-9][a-z0-9-]{1,60}$/)
const price = z.number().min(0).max(10_000)

/**
 * Two ways of being safe, never to be mixed: loads at service level against allowable resistances (ASD), or factored loads
 * against design resistances (EN).
 */
export const formats = ['asd', 'en'] as const
export type Format = typeof formats[number]

/**
 * What a part carries by its maker's word: allowable values for ASD, design values for EN. Up is away from the roof, slope
 * is down it.
 */
const resistance = z.object({ format: z.enum(formats), upN: z.number().positive().max(1e5), downN: z.number().positive().max(1e5), slopeN: z.number().positive().max(1e5) })

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
  })).min(1),
  evidence,
})

export const railSchema = z.object({
  id, maker: z.string(), name: z.string(),
  /** The greatest span between fixings that is taken when nobody has worked one out for the job, mm. */
  usualSpanMm: mm(300, 4000),
  /** The maker's limit past the last fixing, measured to the module's edge, mm; null: 24 in by common practice. */
  overhangMm: mm(50, 1500).nullable(),
  /** The maker's greatest span, whatever the load, mm. */
  greatestSpanMm: mm(300, 4000),
  /** Sticks it is sold in; none where the modules' own frames are coupled. */
  stock: z.array(z.object({ mm: mm(500, 8000), price })),
  massKgPerM: z.number().min(0).max(10),
  /**
   * For a kit that couples the modules' own frames in place of rails: its section is that of one frame, its splice the coupler
   * between two. Null for a rail.
   */
  frame: z.object({
    /** Gap between rows at which one line of mounts holds the edges of both, mm. */
    rowGapMm: mm(0, 200),
    /** Least distance of a mount from a module's corner, mm. */
    cornerMm: mm(0, 500),
    /** Greatest pressures, unfactored, of modules that were tested held by this kit. */
    upPa: z.number().positive().max(20_000), downPa: z.number().positive().max(20_000),
    /** The trim along the lowest edges. */
    skirt: z.object({ name: z.string(), mm: mm(500, 8000), price, massKgPerM: z.number().positive().max(10) }),
  }).nullable(),
  section: z.object({
    eMpa: z.number().min(1000).max(250_000),
    /** Second moments and least section moduli about the axis along the roof (loads normal to it) and the other. */
    ixMm4: z.number().positive(), zxMm3: z.number().positive(), iyMm4: z.number().positive(), zyMm3: z.number().positive(),
    shearAreaMm2: z.number().positive(),
    fyMpa: z.number().positive().max(1000), fuMpa: z.number().positive().max(1000),
    /** Tension coefficient of the alloy in the rupture check. */
    kt: z.number().min(1).max(2),
  }),
  /** The longest run without an expansion break, mm. */
  longestRunMm: mm(2000, 50_000),
  splice: z.object({
    partName: z.string(), price,
    /** Whether the splice carries moment like the rail itself, or turns like a hinge. */
    continuity: z.enum(['full', 'hinged']),
    /** Middle share of every span in which it may not lie; 0 for none. */
    midspanShare: z.number().min(0).max(0.9),
    /** Whether it may lie in a rail's first or last span. */
    endSpans: z.boolean(),
    /** Greatest gap that it may bridge, mm; 0 where the rails must touch. */
    bridgeMm: mm(0, 100),
    /** Length of the splice bar, mm. */
    barMm: mm(50, 800),
    /** Least distance from the splice bar's end to a fixing's centre, mm. */
    clearMm: mm(0, 400),
  }),
  /** Mounts whose head takes this rail. */
  mountIds: z.array(id).min(1),
  endCapName: z.string(),
  evidence,
}).refine(rail => rail.frame !== null || rail.stock.length > 0, { path: ['stock'], error: 'A rail is sold in sticks: give at least one length.' })

export const coveringKinds = ['coursed-shingle', 'interlocking-tile', 'plain-tile', 'slate', 'pressed-metal-tile', 'screwed-sheet', 'standing-seam', 'felt-and-battens'] as const
/** What a fixing can be driven into or hold on to. */
export const supportKinds = ['rafters', 'purlins', 'seams', 'screws', 'sheathing'] as const

/**
 * The screws of one mount, as far as they must all find timber. Offsets are from the mount's centre, across the rafter.
 */
const fastenersSchema = z.object({
  kind: z.enum(['lag', 'wood-screw']),
  /** Nominal diameter of a lag, outer thread diameter of a screw. */
  diameterMm: mm(2, 30),
  lengthMm: mm(20, 300),
  /** Tapered tip, which holds nothing; a lag's follows from its diameter. */
  tipMm: mm(0, 30),
  /** Thread with its tip, by the maker; null for standard ones. */
  threadMm: mm(10, 300).nullable(),
  /** Root of the thread, by the maker; null for 0.7 of the outer diameter. */
  rootMm: mm(1, 30).nullable(),
  /** Bending yield strength. */
  yieldMpa: z.number().positive().max(2000),
  pilotMm: mm(1, 20).nullable(),
  /** Least distance from a screw's centre to the timber's edge, in screw diameters. */
  edgeDiameters: z.number().min(0).max(10),
  acrossMm: z.array(z.number().min(-200).max(200)).min(1).max(12),
  /** Distance of screws one behind the other along the rafter; null where there is one to a row. */
  alongMm: mm(5, 300).nullable(),
  /** The maker's own approval for edges, spacings and members outside the European code; null for none. */
  approval: z.string().max(120).nullable(),
})

export const mountSchema = z.object({
  id, maker: z.string(), name: z.string(),
  coverings: z.array(z.enum(coveringKinds)).min(1),
  /** What it is made to be fixed to. */
  into: z.array(z.enum(supportKinds)).min(1),
  /** Null for mounts that drive nothing into timber, as clamps on a seam. */
  fasteners: fastenersSchema.nullable(),
  /** Of its own body and its grip on the rail. For a mount without timber under it, of the whole fixing. */
  resistances: z.array(resistance).max(2),
  /** Thickness of foot, flashing and pad between the screw's head and the covering's underlay, mm. */
  underMm: mm(0, 60),
  /** Thickness of the metal that the screw bears on, mm. */
  plateMm: mm(0.5, 20),
  /** The rail's pull stands this far up the slope from the screws, and the foot's heel this far below them, mm. */
  offsetMm: mm(0, 200), heelMm: mm(5, 300),
  /** The rail's axis above the timber, mm. */
  standoffMm: mm(0, 300),
  /**
   * For hooks: how much they give under a load, how far they clear the tile below, how wide the arm is that leaves the covering,
   * and how far it may be set to either side of the plate's middle.
   */
  hook: z.object({ stiffnessNPerMm: z.number().positive(), clearMm: mm(0, 30), armMm: mm(5, 120), travelMm: mm(0, 150) }).nullable(),
  /** Sheathing that it was tested on must be at least so thick, mm; null for mounts into timber. */
  leastSheathingMm: mm(5, 60).nullable(),
  /** The mount maker's own greatest distance between two, mm. */
  greatestSpanMm: mm(300, 4000).nullable(),
  price,
  /** Half the length up the slope of the part that must sit on one course, mm. */
  halfFootprintMm: mm(5, 200),
  screw: z.object({ name: z.string(), perMount: z.number().int().min(1).max(12), pilot: z.string() }),
  /** Of the bolt that holds the rail, or the frame, on the foot. */
  torqueNm: z.number().positive().max(60),
  flashed: z.boolean(),
  sealant: z.string(),
  /** Sealant that one fixing takes, ml; 0 for none. */
  sealantMl: mm(0, 200),
  /** Tools and bits that its fixing needs. */
  tools: z.array(z.string()),
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
  /** Its bolt, and how the head gets into the rail: dropped into the slot anywhere and turned, or from the rail's end only. */
  bolt: z.object({ name: z.string(), enters: z.enum(['slot', 'end']) }),
  /** Of one clamp: pull-off, and slip down the slope. */
  resistances: z.array(resistance).max(2),
  railIds: z.array(id).min(1),
  evidence,
})

/** A small part, by the pack it is bought in and what one weighs. */
export const supplySchema = z.object({
  id, maker: z.string(), name: z.string(),
  kind: z.enum(partKinds),
  /** The module, rail, mount or clamp set that it is a part of; null where it goes with any. */
  forId: id.nullable(),
  /** Of one piece, kg; null where the item it is a part of says so itself. */
  massKg: z.number().min(0).max(100).nullable(),
  packOf: z.number().int().min(1).max(1000),
  /** Of one piece; null where the item it is a part of says so itself. */
  price: price.nullable(),
  /** What one holds: ml of sealant in a cartridge, mm of cable on a reel; null for what is counted. */
  holds: z.number().positive().nullable(),
  evidence,
})
export type Supply = z.infer<typeof supplySchema>

export const catalogueSchema = z.object({
  /** ISO 4217 code of its prices. */
  currency: z.string().length(3),
  modules: z.array(moduleSchema), rails: z.array(railSchema),
  mounts: z.array(mountSchema), clamps: z.array(clampSetSchema), supplies: z.array(supplySchema),
})

export type Module = z.infer<typeof moduleSchema>
export type Rail = z.infer<typeof railSchema>
export type Mount = z.infer<typeof mountSchema>
export type ClampSet = z.infer<typeof clampSetSchema>
export type Catalogue = z.infer<typeof catalogueSchema>
export type Resistance = z.infer<typeof resistance>
export type Fasteners = z.infer<typeof fastenersSchema>
/** Where a mount's screws must find timber. */
export type ScrewPattern = Pick<Fasteners, 'diameterMm' | 'edgeDiameters' | 'acrossMm'>
export type CoveringKind = typeof coveringKinds[number]
export type SupportKind = typeof supportKinds[number]
