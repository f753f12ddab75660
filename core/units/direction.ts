import { type Outcome, done, refused } from '../outcome'

/** A direction brought into 0 to below 360 degrees. */
export const wrapDeg = (deg: number): number => ((deg % 360) + 360) % 360

/** Compass words in steps of 45 degrees. */
const WINDS = ['north', 'north-east', 'east', 'south-east', 'south', 'south-west', 'west', 'north-west'] as const
/** All sixteen points by their letters, in steps of 22.5 degrees. */
const POINTS = ['n', 'nne', 'ne', 'ene', 'e', 'ese', 'se', 'sse', 's', 'ssw', 'sw', 'wsw', 'w', 'wnw', 'nw', 'nnw']
const lettersOf = (text: string): string => text.replace(/north/g, 'n').replace(/south/g, 's').replace(/east/g, 'e').replace(/west/g, 'w').replace(/[ .-]/g, '')

/** The nearest of eight winds to a direction. */
export const windName = (deg: number): string => WINDS[Math.round(wrapDeg(deg) / 45) % 8]!

/**
 * Reads a compass direction: degrees from north clockwise, or one of sixteen points by name or letters.
 * @returns degrees from 0 to below 360, or a sentence
 */
export function parseDirection(text: string): Outcome<number> {
  const clean = text.trim().toLowerCase()
  const point = POINTS.indexOf(lettersOf(clean))
  if (point >= 0) return done(point * 22.5)
  const match = /^(-?\d+(?:\.\d+)?) ?(?:°|deg|degrees?)?$/.exec(clean)
  return match ? done(wrapDeg(Number(match[1]))) : refused(`“${text.trim()}” is not a direction. Type degrees from north, such as 180, or a wind, such as south-west or SSW.`)
}

/** Writes a direction as degrees from north, to a tenth. */
export const formatDirection = (deg: number): string => `${Number(deg.toFixed(1))}°`
