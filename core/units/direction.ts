import { type Outcome, done, refused } from '../outcome'

/** A direction brought into 0 to below 360 degrees. */
export const wrapDeg = (deg: number): number => ((deg % 360) + 360) % 360

/** Compass words in steps of 45 degrees. */
const WINDS = ['north', 'north-east', 'east', 'south-east', 'south', 'south-west', 'west', 'north-west'] as const
const LETTERS: Record<string, number> = { n: 0, ne: 45, e: 90, se: 135, s: 180, sw: 225, w: 270, nw: 315 }

/** The nearest of eight winds to a direction. */
export const windName = (deg: number): string => WINDS[Math.round(wrapDeg(deg) / 45) % 8]!

/**
 * Reads a compass direction: degrees from north clockwise, or a wind by name or letters.
 * @returns degrees from 0 to below 360, or a sentence
 */
export function parseDirection(text: string): Outcome<number> {
  const clean = text.trim().toLowerCase()
  const wind = WINDS.findIndex(name => name === clean || name.replace('-', '') === clean)
  if (wind >= 0) return done(wind * 45)
  if (clean in LETTERS) return done(LETTERS[clean]!)
  const match = /^(-?\d+(?:\.\d+)?) ?(?:°|deg|degrees?)?$/.exec(clean)
  return match ? done(wrapDeg(Number(match[1]))) : refused(`“${text.trim()}” is not a direction. Type degrees from north, such as 180, or a wind, such as south-west.`)
}

/** Writes a direction as degrees from north, to a tenth. */
export const formatDirection = (deg: number): string => `${Number(deg.toFixed(1))}°`
