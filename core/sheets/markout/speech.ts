import { formatLength, formatQuantity, type UnitSystem } from '../../units'
import { type Check, type Mark, type MarkStep, sentenceCase } from '../../trade'
import { endReadings } from './words'

const VULGAR = /(\d+)\/(\d+)/g
const NAMES: Record<string, [string, string]> = { 2: ['half', 'halves'], 4: ['quarter', 'quarters'], 8: ['eighth', 'eighths'], 16: ['sixteenth', 'sixteenths'] }

/** A length as it is said: `4 feet 7 and 3 sixteenths inches`, `1226 millimetres`. */
export function spokenLength(mm: number, units: UnitSystem): string {
  const text = formatLength(mm, units)
  if (units === 'metric') return text.replace(/ mm$/, ' millimetres')
  return text
    .replace(VULGAR, (_, top: string, bottom: string) => `${top} ${NAMES[bottom]![top === '1' ? 0 : 1]}`)
    .replace(/(\d+)' ?/, (_, feet: string) => `${feet} ${feet === '1' ? 'foot' : 'feet'} `)
    .replace(/(\d+) (\d+ (?:half|halves|quarters?|eighths?|sixteenths?))/, '$1 and $2')
    .replace(/"/, ' inches').replace(/\s+/g, ' ').trim()
    .replace(/^(\d+ (?:half|halves|quarters?|eighths?|sixteenths?)) inches$/, '$1 of an inch')
}

/** A mark as it is read aloud to somebody who holds the tape. */
export function spokenMark(mark: Pick<Mark, 'label' | 'readingMm' | 'upMm' | 'endsMm' | 'note'>, units: UnitSystem): string {
  const up = mark.upMm === null ? '' : ` Up ${spokenLength(mark.upMm, units)}.`
  const ends = endReadings(mark).map(({ where, mm }) => ` ${sentenceCase(where)} ${spokenLength(mm, units)}.`).join('')
  return `${mark.label}. ${spokenLength(mark.readingMm, units)}.${up}${ends}${mark.note ? ` ${mark.note}.` : ''}`
}

export const spokenCheck = ({ label, value, note }: Check, units: UnitSystem): string =>
  `Check. ${label}. ${value.kind === 'length' ? spokenLength(value.mm, units) : formatQuantity(value, units)}.${note ? ` ${note}.` : ''}`

/** A step's title and instruction, as an opening. */
export const spokenStep = ({ title, instruction, lineMm, tape }: MarkStep, units: UnitSystem): string =>
  `${title}. ${tape === 'along' ? 'Along the eave' : 'Up the slope'}${lineMm ? `, line at ${spokenLength(lineMm, units)}` : ''}. ${instruction}`
