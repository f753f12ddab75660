import { type Outcome, done, refused } from '../outcome'
import { inchesValue, type UnitSystem, withPlainFractions } from './length'

const DEG_PER_RAD = 180 / Math.PI
/** A roof steeper than this is a wall to the people who work on it. */
export const STEEPEST_PITCH_DEG = 75

/** Pitches so near are one: machines differ in the last digit of an arc tangent, and no rule may turn on it. */
export const SAME_PITCH_DEG = 0.01

export const radians = (deg: number): number => deg / DEG_PER_RAD
export const degrees = (rad: number): number => rad * DEG_PER_RAD

/** Pitch in degrees from rise over a run of twelve. */
export const pitchFromRise = (riseIn12: number): number => degrees(Math.atan2(riseIn12, 12))
/** Rise in twelve from a pitch in degrees. */
export const riseIn12 = (pitchDeg: number): number => 12 * Math.tan(radians(pitchDeg))

/**
 * Slope length over plan run, 1/cos(pitch). The figure stamped on a framing square as
 * "length of common rafters per foot run", divided by twelve.
 */
export const slopeFactor = (pitchDeg: number): number => 1 / Math.cos(radians(pitchDeg))

/** Length up the slope, mm, of a plan run, mm. */
export const slopeLengthMm = (runMm: number, pitchDeg: number): number => runMm * slopeFactor(pitchDeg)

/**
 * Length of a hip or valley, mm, over a common rafter's run, mm, where two faces of equal pitch
 * meet at a right angle in plan: the diagonal of run, run and rise.
 */
export function hipLengthMm(runMm: number, pitchDeg: number): number {
  return Math.hypot(runMm, runMm, runMm * Math.tan(radians(pitchDeg)))
}

const NUMBER = String.raw`(\d+(?:\.\d+)?|\.\d+)`
/** A rise as a framing square has it: 7, 7.5, 7 1/2 or 7-1/2 in twelve. */
const RISE = /^(.+?) ?(?::|\/|in) ?12$/
const DEGREES = new RegExp(String.raw`^${NUMBER} ?(?:°|deg|degrees?)$`)
const PERCENT = new RegExp(String.raw`^${NUMBER} ?%$`)
const BARE = new RegExp(`^${NUMBER}$`)
/** Roofs rise so much in twelve at most (common practice): a larger bare figure is as likely degrees. */
const MOST_BARE_RISE = 18

/**
 * Reads a pitch written as rise in twelve, degrees or percent. A bare number is a rise in twelve
 * on an imperial job and degrees on a metric one.
 * @returns degrees above 0 and up to {@link STEEPEST_PITCH_DEG}, or a sentence
 */
export function parsePitch(text: string, units: UnitSystem): Outcome<number> {
  const clean = withPlainFractions(text.trim().toLowerCase()).replace(/\s+/g, ' ').trim()
  if (units === 'imperial' && BARE.test(clean) && Number(clean) > MOST_BARE_RISE) return refused(`“${clean}” may be degrees or a rise in twelve. Write ${clean}° or ${clean}:12.`)
  const example = units === 'imperial' ? '6:12, 26.6° or 50 %' : '35°, 8:12 or 70 %'
  const deg = pitchValue(clean, units)
  if (deg === null) return refused(`“${text.trim()}” is not a pitch. Write ${example}.`)
  if (deg <= 0) return refused('A pitched roof has a pitch above 0°. Flat roofs are outside this tool.')
  if (deg > STEEPEST_PITCH_DEG) return refused(`${deg.toFixed(1)}° is steeper than ${STEEPEST_PITCH_DEG}°, which is a wall rather than a roof. Check the reading.`)
  return done(deg)
}

function pitchValue(clean: string, units: UnitSystem): number | null {
  let match = RISE.exec(clean)
  const rise = match && inchesValue(match[1]!)
  if (rise !== null && Number.isFinite(rise)) return pitchFromRise(rise)
  match = DEGREES.exec(clean)
  if (match) return Number(match[1])
  match = PERCENT.exec(clean)
  if (match) return degrees(Math.atan(Number(match[1]) / 100))
  match = BARE.exec(clean)
  if (!match) return null
  return units === 'imperial' ? pitchFromRise(Number(match[1])) : Number(match[1])
}

/** Writes a pitch: `6:12` or `6.3:12` on imperial jobs, `35°` or `26.6°` on metric ones. */
export function formatPitch(pitchDeg: number, units: UnitSystem): string {
  const value = units === 'imperial' ? riseIn12(pitchDeg) : pitchDeg
  const rounded = Number(value.toFixed(1))
  return units === 'imperial' ? `${rounded}:12` : `${rounded}°`
}
