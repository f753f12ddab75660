import { type Outcome, done, refused } from '../outcome'

/** How a job writes lengths: feet, inches and sixteenths, or whole millimetres. */
export type UnitSystem = 'imperial' | 'metric'

/** One inch in millimetres, exact by the international yard and pound agreement of 1959. */
export const MM_PER_INCH = 25.4
const MM_PER_FOOT = 12 * MM_PER_INCH
/** A tape is read to the sixteenth of an inch. */
const DIVISIONS_PER_INCH = 16

/** The smallest step a reading is shown in: 1/16 in or 1 mm, in millimetres. */
export const readingDivisionMm = (units: UnitSystem): number =>
  units === 'imperial' ? MM_PER_INCH / DIVISIONS_PER_INCH : 1

/** A reading split for typesetting. Imperial: whole feet, whole inches below 12, and a reduced fraction. */
export type LengthParts
  = | { units: 'metric', negative: boolean, mm: number }
    | { units: 'imperial', negative: boolean, feet: number, inches: number, numerator: number, denominator: number }

/**
 * Rounds a length once to the nearest reading (1/16 in or 1 mm) and splits it.
 * @param mm exact length in millimetres
 */
export function lengthParts(mm: number, units: UnitSystem): LengthParts {
  const steps = Math.round(Math.abs(mm) / readingDivisionMm(units))
  const negative = mm < 0 && steps > 0
  if (units === 'metric') return { units, negative, mm: steps }
  const wholeInches = Math.floor(steps / DIVISIONS_PER_INCH)
  let numerator = steps % DIVISIONS_PER_INCH
  let denominator = DIVISIONS_PER_INCH
  while (numerator > 0 && numerator % 2 === 0) {
    numerator /= 2
    denominator /= 2
  }
  return { units, negative, feet: Math.floor(wholeInches / 12), inches: wholeInches % 12, numerator, denominator: numerator ? denominator : 1 }
}

/**
 * Writes a length the way a tape is read: `12' 3 1/2"`, `7/16"`, `3742 mm`.
 * The text is read back by {@link parseLength} to within half a division.
 * @param mm exact length in millimetres
 */
export function formatLength(mm: number, units: UnitSystem): string {
  const parts = lengthParts(mm, units)
  const sign = parts.negative ? '-' : ''
  if (parts.units === 'metric') return `${sign}${parts.mm} mm`
  const fraction = parts.numerator ? `${parts.numerator}/${parts.denominator}` : ''
  const inches = parts.inches || !fraction ? String(parts.inches) : ''
  const inchText = `${[inches, fraction].filter(Boolean).join(' ')}"`
  return parts.feet ? `${sign}${parts.feet}' ${inchText}` : `${sign}${inchText}`
}

const VULGAR: Record<string, string> = { '½': '1/2', '¼': '1/4', '¾': '3/4', '⅛': '1/8', '⅜': '3/8', '⅝': '5/8', '⅞': '7/8' }

/** Fractions that are one sign, and those with a slash of their own, as figures: `7½` is `7 1/2`. */
export const withPlainFractions = (text: string): string => text.replace(/[½¼¾⅛⅜⅝⅞]/g, mark => ` ${VULGAR[mark]}`).replace(/⁄/g, '/')

/** Brings the many ways of writing prime marks, dashes and fractions to one. */
function normalise(text: string): string {
  return withPlainFractions(text.trim().toLowerCase())
    .replace(/[−–]/g, '-')
    .replace(/''|″|“|”|(?:inches|inch|in)(?![a-z])\.?/g, '"')
    .replace(/′|’|‘|`|(?:feet|foot|ft)(?![a-z])\.?/g, '\'')
    .replace(/\s+/g, ' ')
    .replace(/\s*(["'])/g, '$1')
    .trim()
}

const NUMBER = String.raw`(?:\d+(?:\.\d+)?|\.\d+)`
const FRACTION = String.raw`\d+\/\d+`
const INCHES = String.raw`(?:${NUMBER} ${FRACTION}|${NUMBER}-${FRACTION}|${FRACTION}|${NUMBER})`
const FEET_AND_INCHES = new RegExp(`^(${NUMBER})'(?:[ -]?(${INCHES})"?)?$`)
const ONLY_INCHES = new RegExp(`^(${INCHES})"$`)
const DASHED = new RegExp(String.raw`^(\d+)-(\d+(?:\.\d+)?)(?:-(${FRACTION}))?$`)
const METRIC = new RegExp(`^(${NUMBER}) ?(mm|cm|m)$`)
const BARE = new RegExp(`^${INCHES}$`)

const ONLY_INCHES_FIGURE = new RegExp(`^${INCHES}$`)

/** Value of `3`, `3.5`, `1/2`, `3 1/2` or `3-1/2`; null for anything else, and when a fraction's lower figure is zero. */
export function inchesValue(text: string): number | null {
  if (!ONLY_INCHES_FIGURE.test(text)) return null
  let total = 0
  for (const piece of text.split(/[ -]/)) {
    const [over, under] = piece.split('/')
    if (under === undefined) total += Number(over)
    else if (Number(under) === 0) return null
    else total += Number(over) / Number(under)
  }
  return total
}

const METRIC_FACTOR = { mm: 1, cm: 10, m: 1000 } as const
const EXAMPLES: Record<UnitSystem, string> = {
  imperial: `12' 3 1/2", 12-3-1/2 or 147.5"`,
  metric: '3742, 374.2 cm or 3.742 m',
}

/**
 * Reads a length as people write it. Marked lengths mean what they say in either system;
 * a bare number is in the job's unit: inches (imperial) or millimetres (metric).
 * @returns millimetres, or a sentence that says how to write it
 */
export function parseLength(text: string, units: UnitSystem): Outcome<number> {
  const clean = normalise(text)
  if (!clean) return refused(`Type a length, for example ${EXAMPLES[units]}.`)
  if (clean.includes(',')) return refused(`A comma can mean two things in a length. Write it with a point, for example ${EXAMPLES[units]}.`)
  const negative = clean.startsWith('-')
  const body = negative ? clean.slice(1).trim() : clean
  const tooMany = moreThanAFoot(body)
  if (tooMany) return refused(`${tooMany.inches} inches are more than a foot. Is it ${formatLength((tooMany.feet * 12 + tooMany.inches) * MM_PER_INCH, 'imperial')}? Write it so, or mend the inches.`)
  const mm = unsignedLength(body, units)
  if (mm === null || !Number.isFinite(mm)) return refused(`“${text.trim()}” is not a length. Write ${EXAMPLES[units]}.`)
  return done(negative && mm !== 0 ? -mm : mm)
}

/** Feet with twelve inches and more behind them: a slip of the tongue as often as a sum. */
function moreThanAFoot(body: string): { feet: number, inches: number } | null {
  const [, feet, written] = FEET_AND_INCHES.exec(body) ?? DASHED.exec(body) ?? []
  const inches = written === undefined ? null : inchesValue(written)
  return inches !== null && inches >= 12 ? { feet: Number(feet), inches } : null
}

function unsignedLength(body: string, units: UnitSystem): number | null {
  let match = METRIC.exec(body)
  if (match) return Number(match[1]) * METRIC_FACTOR[match[2] as keyof typeof METRIC_FACTOR]
  match = FEET_AND_INCHES.exec(body)
  if (match) return inFeetAndInches(Number(match[1]), match[2] ?? '0')
  match = DASHED.exec(body)
  if (match) return inFeetAndInches(Number(match[1]), match[3] ? `${match[2]} ${match[3]}` : match[2]!)
  match = ONLY_INCHES.exec(body)
  if (match) return inFeetAndInches(0, match[1]!)
  if (!BARE.test(body)) return null
  if (units === 'metric') return body.includes('/') ? null : Number(body)
  return inFeetAndInches(0, body)
}

function inFeetAndInches(feet: number, inchText: string): number | null {
  const inches = inchesValue(inchText)
  return inches === null ? null : feet * MM_PER_FOOT + inches * MM_PER_INCH
}
