import Papa from 'papaparse'
import type { Found, Subject, TestStep } from '../job'
import { foundSchema } from '../job'
import { problemsOf, sentencesOf } from '../outcome'
import type { ProofAsk } from './ask'
import { circuitsOf } from './circuits'
import { readResistance } from './insulation'

/** One reading of an instrument's file. */
export interface FileReading { subject: Subject, found: Found, instrument: string, /** When, by the file; null where it does not say. */ at: string | null }
export interface FileRead { readings: FileReading[], /** What of it was not taken in, line by line, and why. */ problems: string[] }

/** Heads by which columns are known, in capitals and small letters alike, with or without their unit. */
const COLUMNS = { circuit: /^(circuit|string|branch)/, test: /^(test|measurement|function)/, value: /^(value|reading|result)/, second: /^(second|plus|\+)/, light: /^(irradiance|g\b|w\/m)/, cells: /^(cell|module temp|t_?cell|temperature)/, volts: /^(test volt|voltage of test)/, at: /^(time|date|at\b)/, instrument: /^(instrument|device|serial of instrument)/ } as const
type Column = keyof typeof COLUMNS
const TESTS: [RegExp, TestStep][] = [[/^(voc|open)/, 'voc'], [/^(isc|short)/, 'isc'], [/^(riso|insulation)/, 'insulation'], [/^polarity/, 'polarity'], [/^(rpe|continuity)/, 'continuity']]

/** Nothing written is no figure, and never nought. */
const numberOf = (text: string): number => text.trim() === '' ? Number.NaN : Number(text.trim().replace(',', '.').replace(/\s*(v|a|ω|ohm|w\/m²|w\/m2|°c|c)$/i, ''))

/**
 * Reads an instrument's file: comma- or semicolon-separated, one line a reading, columns by their heads (circuit, test, value; and, where the test wants
 * them, irradiance, cell temperature, test voltage, time, instrument). Every line that is not taken in is said.
 */
export function readInstrumentFile(ask: ProofAsk, text: string): FileRead {
  const { data, meta } = Papa.parse<Record<string, string>>(text.trim(), { header: true, skipEmptyLines: 'greedy', transformHeader: head => head.trim().toLowerCase() })
  const headOf = (column: Column) => meta.fields?.find(head => COLUMNS[column].test(head))
  const heads = Object.fromEntries((Object.keys(COLUMNS) as Column[]).map(column => [column, headOf(column)])) as Record<Column, string | undefined>
  const lacking = (['circuit', 'test', 'value'] as const).filter(column => !heads[column])
  if (lacking.length) return { readings: [], problems: [`This file has no column “${lacking.join('” and no column “')}”: its first line names its columns, as circuit, test, value, irradiance, cell temperature.`] }
  const known = new Set(Object.values(heads))
  const unused = (meta.fields ?? []).filter(head => head && !known.has(head))
  const circuits = circuitsOf(ask)
  const readings: FileReading[] = []
  const problems = unused.length ? [`Columns that nothing is read from: ${unused.join(', ')}.`] : []
  data.forEach((row, i) => {
    const cell = (column: Column): string => (heads[column] ? row[heads[column]!] ?? '' : '').trim()
    const line = `Line ${i + 2}`
    const step = TESTS.find(([pattern]) => pattern.test(cell('test').toLowerCase()))?.[1]
    if (!step) return problems.push(`${line}: “${cell('test')}” is no test that is read from a file.`)
    const number = Number(/\d+/.exec(cell('circuit'))?.[0])
    const circuit = circuits.find(one => one.tag.number === number)
    if (!circuit && step !== 'continuity') return problems.push(`${line}: there is no circuit “${cell('circuit')}”.`)
    const made = foundOf(step, cell, circuit?.kind)
    const read = typeof made === 'string' ? made : foundSchema.safeParse(made)
    if (typeof read === 'string') return problems.push(`${line}: ${read}`)
    if (!read.success) return problems.push(`${line}: ${sentencesOf(problemsOf(read.error))}`)
    const face = circuit ? null : ask.faces.find(one => one.plan.modules > 0)
    if (!circuit && !face) return problems.push(`${line}: there is no face with modules.`)
    // A day and a month that could be either are not guessed: readings are compared by the quarter of an hour.
    const when = cell('at') ? new Date(/^\d{4}-\d{2}-\d{2}[T ]\d{2}:\d{2}/.test(cell('at')) ? cell('at') : '') : null
    if (when && Number.isNaN(when.getTime())) return problems.push(`${line}: “${cell('at')}” is no time that can be read; it is written like 2026-05-04T09:30.`)
    readings.push({ subject: circuit ? { of: 'circuit', tag: circuit.tag } : { of: 'face', faceId: face!.face.id }, found: read.data, instrument: cell('instrument') || 'from a file', at: when?.toISOString() ?? null })
    return undefined
  })
  return { readings, problems }
}

function foundOf(step: TestStep, cell: (column: Column) => string, kind: string | undefined): unknown {
  const light = { gWm2: numberOf(cell('light')), cellC: numberOf(cell('cells')) }
  const hasLight = cell('light') !== '' && cell('cells') !== '' && Number.isFinite(light.gWm2) && Number.isFinite(light.cellC)
  const value = numberOf(cell('value'))
  switch (step) {
    case 'voc': case 'isc':
      if (!hasLight) return 'irradiance or cell temperature is missing; without them the reading tells nothing.'
      return step === 'voc' ? { step, volts: value, light, units: kind === 'optimisers' || kind === 'shutdown-units' ? 'standby' : 'none' } : { step, amps: value, light }
    case 'insulation': {
      const [minus, plus] = [readResistance(cell('value')), cell('second') ? readResistance(cell('second')) : null]
      if (!minus.ok) return minus.problem
      if (plus && !plus.ok) return plus.problem
      if (!cell('volts')) return 'the test voltage is missing.'
      return { step, method: plus ? 'each' : 'joined', testV: numberOf(cell('volts')), minus: minus.value, plus: plus?.ok ? plus.value : null }
    }
    case 'polarity': {
      const [right, reversed] = [/^(ok|pass|right|correct|true|yes)$/i, /^(reversed?|fail(ed)?|wrong|false|no)$/i].map(words => words.test(cell('value')))
      return right || reversed ? { step, right } : `“${cell('value')}” says neither right nor reversed.`
    }
    default: return { step, ohm: value }
  }
}
