import { z } from 'zod'
import { mm, price } from './fields'
import { shelved } from './source'

export const railSchema = z.object({
  ...shelved,
  /** The greatest span between fixings that is taken when nobody has worked one out for the job, mm. */
  usualSpanMm: mm(300, 4000),
  /** The maker's limit past the last fixing, measured to the module's edge, mm; null: 24 in by common practice. */
  overhangMm: mm(50, 1500).nullable(),
  /** The maker's greatest span, whatever the load, mm. */
  greatestSpanMm: mm(300, 4000),
  /** Sticks it is sold in; none where the modules' own frames are coupled. */
  stock: z.array(z.object({ mm: mm(500, 8000), price })).max(8),
  massKgPerM: z.number().min(0).max(10),
  /** For a kit that couples the modules' own frames in place of rails: its section is that of one frame, its splice the coupler between two. Null for a rail. */
  frame: z.object({
    /** Gap between rows at which one line of mounts holds the edges of both, mm. */
    rowGapMm: mm(0, 200),
    /** Least distance of a mount from a module's corner, mm. */
    cornerMm: mm(0, 500),
    /** Greatest pressures, unfactored, of modules that were tested held by this kit. */
    upPa: z.number().positive().max(20_000), downPa: z.number().positive().max(20_000),
    /** The trim along the lowest edges. */
    skirt: z.object({ name: z.string().trim().min(1).max(80), mm: mm(500, 8000), price, massKgPerM: z.number().positive().max(10) }),
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
    partName: z.string().trim().min(1).max(80), price,
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
    /** Whether it joins two sticks electrically by its listing. */
    bonds: z.boolean().default(false),
    /** Least distance from the splice bar's end to a fixing's centre, mm. */
    clearMm: mm(0, 400),
  }),
  endCapName: z.string().trim().min(1).max(80),
}).superRefine((rail, context) => {
  if (!rail.frame && !rail.stock.length) context.addIssue({ code: 'custom', path: ['stock'], message: 'A rail is sold in sticks: give one length at least.' })
  if (rail.usualSpanMm > rail.greatestSpanMm) context.addIssue({ code: 'custom', path: ['usualSpanMm'], message: `The usual span, ${rail.usualSpanMm} mm, is over the maker’s greatest, ${rail.greatestSpanMm} mm.` })
  if (rail.section.fyMpa > rail.section.fuMpa) context.addIssue({ code: 'custom', path: ['section', 'fyMpa'], message: `The alloy yields at ${rail.section.fyMpa} MPa, over the ${rail.section.fuMpa} MPa at which it breaks: one of them is misread.` })
})
export type Rail = z.infer<typeof railSchema>
