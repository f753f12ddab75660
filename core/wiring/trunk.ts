/** Cable over a straight line from unit to unit that is still taken up by one drop's spacing; more is slack to be clipped. */
const JUST_MM = 1e-6
/** Loose cable at both ends of a jumper together, for its joints and a loop, mm (common practice). */
export const JUMPER_LOOSE_MM = 300
/** Clips to a metre of trunk (common practice: every 600 mm and at each unit). */
const CLIP_EVERY_MM = 600

export interface Hop {
  /** From unit to unit by the route, mm. */
  mm: number
  /** Drops that lie between the two and stay without a unit. */
  unused: number
  /** Cable more than the way, to be looped and clipped, mm. */
  slackMm: number
  /** A joint with plain cable in place of trunk: its length; null where the trunk goes on. */
  jumperMm: number | null
}

export interface TrunkRun {
  hops: Hop[]
  /** Drops to order: those of units and the unused ones. */
  drops: number
  used: number
  caps: number
  /** Ends to be closed, two where a branch is fed at its middle. */
  terminators: number
  /** Pairs of joints. */
  jumpers: number
  /** Trunk and jumpers, mm, with the cable from its beginning to the first drop. */
  cableMm: number
  clips: number
}

/**
 * The trunk of one branch by where its units really stand. Within a row the trunk goes on, with as many drops as the distance asks: those
 * between are capped. To another row it goes on where one spacing reaches, else it is jointed.
 * @param sameRow whether unit i and the next stand in one row
 */
export function trunkRun(hopsMm: { mm: number, sameRow: boolean }[], spacingMm: number, fedInside: boolean): TrunkRun {
  const hops = hopsMm.map(({ mm, sameRow }): Hop => {
    const spacings = Math.max(1, Math.ceil(mm / spacingMm - JUST_MM))
    if (!sameRow && spacings > 1) return { mm, unused: 0, slackMm: JUMPER_LOOSE_MM, jumperMm: mm + JUMPER_LOOSE_MM }
    return { mm, unused: spacings - 1, slackMm: spacings * spacingMm - mm, jumperMm: null }
  })
  const used = hopsMm.length + 1
  const caps = hops.reduce((sum, hop) => sum + hop.unused, 0)
  const inside = fedInside && used > 2
  const cableMm = spacingMm * (inside ? 2 : 1) + hops.reduce((sum, hop) => sum + cableOf(hop), 0)
  const jumpers = hops.filter(hop => hop.jumperMm !== null).length
  return { hops, used, caps, drops: used + caps, terminators: inside ? 2 : 1, jumpers, cableMm, clips: Math.ceil(cableMm / CLIP_EVERY_MM) + used }
}

/** Cable that lies on one hop, mm. */
export const cableOf = ({ mm, slackMm, jumperMm }: Pick<Hop, 'mm' | 'slackMm' | 'jumperMm'>): number => jumperMm ?? mm + slackMm
