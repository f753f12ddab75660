import type { Format, Mount, Resistance } from '../catalogue'
import type { ArrayRules, Face } from '../job'
import { lateralEn, lateralUs } from './lateral'
import { type OutsideRule, outsideEn, rowEffective } from './screws-en'
import { embedment } from './thread'
import { UNHELD, usedShare } from './used'
import { withdrawalEn, withdrawalPerMm } from './withdrawal'

/** What the screws of one fixing hold in timber, before duration: reference values for ASD, characteristic ones for EN. */
export interface TimberHold {
  /** Thread in the member, without tip, mm. */
  threadMm: number
  /** All of a screw in the member, without tip, mm. */
  penetrationMm: number
  /** Least that must be in it for anything to count, mm. */
  leastMm: number
  /** False for a purlin or batten whose thickness nobody has measured: then nothing counts. */
  thicknessKnown: boolean
  /** Where the screws leave the European code without an approval of their maker's. */
  outside: OutsideRule[]
  screws: number
  withdrawalN: number
  lateralN: number
  /** Screw force over the pull at the rail: the foot prises itself up on its heel. */
  prying: number
  /** Screw tension that a push down the slope at the rail's height brings with it, as a share of it. */
  tilt: number
  wet: boolean
  /** True when less thread bites than the code asks for: then the screws hold nothing that may be counted. */
  tooShort: boolean
}

/** What one fixing holds, in the format of the job's loads. */
export interface FixingCapacity<F extends Format = Format> {
  format: F
  maker: Resistance | null
  timber: TimberHold | null
  /** Typed by an engineer or from a test, in place of all the rest; null where not. */
  held: { upN: number | null, downN: number | null, slopeN: number | null }
  hook: Mount['hook']
}

/** What loads a fixing in one combination, N: pull away from the roof, push towards it, push down the slope. */
export interface Duty<F extends Format = Format> { format: F, upN: number, downN: number, slopeN: number }
export type Shortest = 'dead' | 'snow' | 'wind'

/** In diameters: lags 4 (NDS 12.1.4), wood screws 6 (12.1.5, from memory); EN 1995-1-1, 8.7.2 asks 6 point side. */
const leastPenetration = (format: Format, kind: 'lag' | 'wood-screw'): number => format === 'asd' && kind === 'lag' ? 4 : 6
/** Lateral values grow with the penetration up to so many diameters (NDS 12.3.2 and 12.3.4, from memory). */
const WHOLE_PENETRATION = { 'lag': 8, 'wood-screw': 10 }

/** How long timber bears a load: C_D of NDS table 2.3.2, and k_mod of EN 1995-1-1 table 3.1 for solid timber, dry and wet. */
const DURATION = { dead: 0.9, snow: 1.15, wind: 1.6 }
const KMOD = { dry: { dead: 0.6, snow: 0.9, wind: 1.1 }, wet: { dead: 0.5, snow: 0.7, wind: 0.9 } }
const GAMMA_M = 1.3
/** Wet service factor on withdrawal and lateral values (NDS table 11.3.3). */
const WET = 0.7

/** Capacity of a mount's fixing on a face. Timber counts only where the support is timber that the mount is screwed into. */
export function fixingCapacity<F extends Format>(mount: Mount, face: Pick<Face, 'supports' | 'timber'>, array: Pick<ArrayRules, 'heldUpN' | 'heldDownN' | 'heldSlopeN'>, format: F): FixingCapacity<F> {
  const inTimber = face.supports.kind === 'rafters' || face.supports.kind === 'purlins'
  return {
    format, maker: mount.resistances.find(one => one.format === format) ?? null, timber: inTimber ? timberHold(mount, face, format) : null,
    held: { upN: array.heldUpN, downN: array.heldDownN, slopeN: array.heldSlopeN }, hook: mount.hook,
  }
}

/** Thickness of what a fixing's screws are driven into, along them, mm; null where nobody has measured it. */
export const memberMm = ({ supports, timber }: Pick<Face, 'supports' | 'timber'>): number | null => supports.kind === 'purlins' ? supports.thicknessMm : timber.depthMm
/** Width of the timber across a screw, mm. */
const widthOf = ({ supports }: Pick<Face, 'supports'>): number => supports.kind === 'rafters' || supports.kind === 'purlins' ? supports.widthMm : 0
/** A rafter of unknown depth is at least so deep (common practice); a purlin or batten of unknown thickness holds nothing. */
const SHALLOW_RAFTER_MM = 89

function timberHold(mount: Mount, face: Pick<Face, 'supports' | 'timber'>, format: Format): TimberHold | null {
  const { fasteners } = mount
  const { timber } = face
  if (!fasteners) return null
  const thick = memberMm(face)
  const { threadMm, penetrationMm, pointSideMm } = embedment(fasteners, mount.underMm + timber.sheathingMm, thick ?? (face.supports.kind === 'purlins' ? 0 : SHALLOW_RAFTER_MM))
  const n = mount.screw.perMount
  const { diameterMm: d, kind } = fasteners
  const least = leastPenetration(format, kind) * d
  const counts = format === 'asd' ? (kind === 'lag' ? threadMm : penetrationMm) : pointSideMm
  const inRow = Math.max(1, Math.round(n / fasteners.acrossMm.length))
  return {
    threadMm, penetrationMm, leastMm: least, screws: n, wet: timber.wet, tooShort: counts < least - 1e-6, thicknessKnown: thick !== null || face.supports.kind === 'rafters',
    outside: format === 'en' && fasteners.approval === null ? outsideEn(fasteners, n, widthOf(face), thick, pointSideMm) : [],
    withdrawalN: format === 'asd' ? n * threadMm * withdrawalPerMm(kind, timber.gravity, d) : withdrawalEn(d, threadMm, timber.densityKgM3, n),
    lateralN: format === 'asd'
      ? n * lateralUs(fasteners, timber.gravity, penetrationMm, mount.plateMm) * Math.min(1, penetrationMm / (WHOLE_PENETRATION[kind] * d))
      : fasteners.acrossMm.length * rowEffective(d, inRow, fasteners.alongMm ?? 0) * lateralEn(fasteners, timber.densityKgM3, penetrationMm, mount.plateMm),
    prying: 1 + mount.offsetMm / mount.heelMm, tilt: mount.standoffMm / mount.heelMm,
  }
}

/** What duration, moisture and the material's own safety make of a timber value. */
export const timberFactor = (format: Format, shortest: Shortest, wet: boolean): number => format === 'asd' ? DURATION[shortest] * (wet ? WET : 1) : KMOD[wet ? 'wet' : 'dry'][shortest] / GAMMA_M

/** What timber holds under a load that lasts so long, N. */
export function adjusted(hold: TimberHold, format: Format, shortest: Shortest): { withdrawalN: number, lateralN: number } {
  const times = timberFactor(format, shortest, hold.wet)
  return { withdrawalN: hold.withdrawalN * times, lateralN: hold.lateralN * times }
}

export interface FixingUse {
  /** Shares of what is allowed, 1 being all of it. */
  up: number
  down: number
  slope: number
}

/**
 * How far one combination uses a fixing up. Pull with push down the slope is combined: ASD by Z' = W Z / (W cos² α + Z sin² α)
 * (NDS 12.4.1), EN by the sum of squares (8.28). A share stands at `UNHELD` where nothing is known to hold.
 * Loads of one format are not taken against resistances of the other: neither by the types nor at run time.
 * @throws when they are
 */
export function fixingUse<F extends Format>({ format, maker, timber, held }: FixingCapacity<NoInfer<F>>, duty: Duty<F>, shortest: Shortest): FixingUse {
  if (duty.format !== format) throw new Error(`Loads for ${duty.format} against resistances for ${format}.`)
  const up = held.upN ? usedShare(duty.upN, held.upN) : usedShare(duty.upN, maker?.upN)
  const down = usedShare(duty.downN, held.downN ?? maker?.downN)
  const slope = held.slopeN ? usedShare(duty.slopeN, held.slopeN) : usedShare(duty.slopeN, maker?.slopeN)
  if (!timber) return { up, down, slope }
  const { withdrawalN, lateralN } = adjusted(timber, format, shortest)
  const screws = timber.tooShort ? { withdrawalN: 0, lateralN: 0 } : { withdrawalN, lateralN }
  const pull = Math.max(0, duty.upN * timber.prying + duty.slopeN * timber.tilt - duty.downN)
  const both = combined(format, pull, duty.slopeN, screws.withdrawalN, screws.lateralN)
  return { up: held.upN ? up : Math.max(up, duty.upN > 0 ? both : 0), down, slope: held.slopeN ? slope : Math.max(slope, both) }
}

function combined(format: Format, pullN: number, shearN: number, withdrawalN: number, lateralN: number): number {
  if (pullN <= 0 && shearN <= 0) return 0
  if (withdrawalN <= 0 || lateralN <= 0) return UNHELD
  if (format === 'en') return Math.min(UNHELD, Math.sqrt((pullN / withdrawalN) ** 2 + (shearN / lateralN) ** 2))
  // With cos α = shear / force and sin α = pull / force.
  const forceN = Math.sqrt(pullN * pullN + shearN * shearN)
  return Math.min(UNHELD, (withdrawalN * shearN * shearN + lateralN * pullN * pullN) / (withdrawalN * lateralN * forceN))
}

/**
 * The least that one combination can use a fixing up while what presses on it (N; below 0 where it is pulled) and what pushes it down
 * the slope are known within bounds only: no less than this, whichever of them are true. At a point it is what `fixingUse` says.
 */
export function leastFixingUse({ format, maker, timber, held }: FixingCapacity, press: Bounds, slope: Bounds, shortest: Shortest): number {
  const [upLo, upHi] = [Math.max(0, -press.hi), Math.max(0, -press.lo)]
  const [downLo, downHi] = [Math.max(0, press.lo), Math.max(0, press.hi)]
  const plain = Math.max(
    usedShare(upLo, held.upN ? held.upN : maker?.upN),
    usedShare(downLo, held.downN ?? maker?.downN),
    usedShare(slope.lo, held.slopeN ? held.slopeN : maker?.slopeN),
  )
  // Both together count where the screws do, and not a typed value in their place.
  if (!timber || (held.slopeN && (held.upN || upLo <= 0))) return plain
  const { withdrawalN, lateralN } = adjusted(timber, format, shortest)
  const pull = { lo: Math.max(0, upLo * timber.prying + slope.lo * timber.tilt - downHi), hi: Math.max(0, upHi * timber.prying + slope.hi * timber.tilt - downLo) }
  return Math.max(plain, leastCombined(format, pull, slope, timber.tooShort ? 0 : withdrawalN, timber.tooShort ? 0 : lateralN))
}

/** A value that is known to lie between two. */
export interface Bounds { lo: number, hi: number }

/** Force times a function of its angle that has its least at one of the angle's ends: no less than the least of either. */
function leastCombined(format: Format, pull: Bounds, shear: Bounds, withdrawalN: number, lateralN: number): number {
  if (format === 'en' || withdrawalN <= 0 || lateralN <= 0) return combined(format, pull.lo, shear.lo, withdrawalN, lateralN)
  const forceN = Math.sqrt(pull.lo ** 2 + shear.lo ** 2)
  if (forceN <= 0) return 0
  const alongShare = (shearN: number, pullN: number) => shearN ** 2 / (shearN ** 2 + pullN ** 2)
  const at = (share: number) => (withdrawalN * share + lateralN * (1 - share)) / (withdrawalN * lateralN)
  return Math.min(UNHELD, forceN * Math.min(at(alongShare(shear.lo, pull.hi)), at(alongShare(shear.hi, pull.lo))))
}
