import { z } from 'zod'
import { closureSchema } from './closure'
import { coveringKinds } from './covering'
import { mm, price, resistances } from './fields'
import { shelved } from './source'

/** What a fixing can be driven into or hold on to. */
export const supportKinds = ['rafters', 'purlins', 'seams', 'screws', 'sheathing'] as const
export type SupportKind = typeof supportKinds[number]

/** The screws of one mount, as far as they must all find timber. Offsets are from the mount's centre, across the rafter. */
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
}).superRefine(({ threadMm, lengthMm, rootMm, diameterMm }, context) => {
  if (threadMm !== null && threadMm > lengthMm) context.addIssue({ code: 'custom', path: ['threadMm'], message: `The thread, ${threadMm} mm, is longer than the screw, ${lengthMm} mm.` })
  if (rootMm !== null && rootMm >= diameterMm) context.addIssue({ code: 'custom', path: ['rootMm'], message: `The root of the thread, ${rootMm} mm, is no thinner than the screw, ${diameterMm} mm.` })
})

export const mountSchema = z.object({
  ...shelved,
  coverings: z.array(z.enum(coveringKinds)).min(1, 'Say for which coverings it is made.'),
  /** What it is made to be fixed to. */
  into: z.array(z.enum(supportKinds)).min(1, 'Say what it is made to be fixed to.'),
  /** Null for mounts that drive nothing into timber, as clamps on a seam. */
  fasteners: fastenersSchema.nullable(),
  /** Of its own body and its grip on the rail. For a mount without timber under it, of the whole fixing. */
  resistances,
  /** Thickness of foot, flashing and pad between the screw's head and the covering's underlay, mm. */
  underMm: mm(0, 60),
  /** Thickness of the metal that the screw bears on, mm. */
  plateMm: mm(0.5, 20),
  /** The rail's pull stands this far up the slope from the screws, and the foot's heel this far below them, mm. */
  offsetMm: mm(0, 200), heelMm: mm(5, 300),
  /** The rail's axis above the timber, mm. */
  standoffMm: mm(0, 300),
  /** For hooks: how much they give under a load, how far they clear the tile below, how wide the arm is that leaves the covering, and how far it may be set to either side of the plate's middle. */
  hook: z.object({ stiffnessNPerMm: z.number().positive(), clearMm: mm(0, 30), armMm: mm(5, 120), travelMm: mm(0, 150) }).nullable(),
  /** Sheathing that it was tested on must be at least so thick, mm; null for mounts into timber. */
  leastSheathingMm: mm(5, 60).nullable(),
  /** The mount maker's own greatest distance between two, mm. */
  greatestSpanMm: mm(300, 4000).nullable(),
  price,
  /** Half the length up the slope of the part that must sit on one course, mm. */
  halfFootprintMm: mm(5, 200),
  screw: z.object({ name: z.string().trim().min(1).max(80), perMount: z.number().int().min(1).max(12), pilot: z.string().trim().max(120) }),
  /** Of the bolt that holds the rail, or the frame, on the foot. */
  torqueNm: z.number().positive().max(60),
  /** How it is made watertight, in its maker's words. */
  sealant: z.string().max(300),
  /** Its ways through the coverings it is made for, the usual one first. */
  closures: z.array(closureSchema).max(12).refine(list => new Set(list.map(one => one.id)).size === list.length, 'Two ways have the same id.').default([]),
  /** Tools and bits that its fixing needs. */
  tools: z.array(z.string().trim().min(1).max(120)).max(20),
  massKg: z.number().positive().max(10),
})
export type Mount = z.infer<typeof mountSchema>
export type Fasteners = z.infer<typeof fastenersSchema>
/** Where a mount's screws must find timber. */
export type ScrewPattern = Pick<Fasteners, 'diameterMm' | 'edgeDiameters' | 'acrossMm'>
