import Papa from 'papaparse'
import { type Hit, type HitState, hitStates, MOST_HITS } from '../job'
import { done, type Outcome, refused } from '../outcome'
import { formatLength, parseLength, type UnitSystem } from '../units'
import type { Interval } from '../geometry'

/** What a reading is called out as. */
export const hitStateNames: Record<HitState, string> = {
  'knock': 'Knock', 'edge-left': 'Left edge', 'edge-right': 'Right edge', 'seen': 'Seen', 'pilot-hit': 'Pilot hit', 'pilot-miss': 'Pilot miss',
}

/** Words that a pasted table may use for a state. */
const STATE_WORDS: Record<string, HitState> = {
  'knock': 'knock', 'middle': 'knock', 'centre': 'knock', 'left': 'edge-left', 'left edge': 'edge-left', 'right': 'edge-right', 'right edge': 'edge-right', 'seen': 'seen',
  'pilot': 'pilot-hit', 'hit': 'pilot-hit', 'pilot hit': 'pilot-hit', 'miss': 'pilot-miss', 'pilot miss': 'pilot-miss',
}

/** A reading called out, from the datum corner. */
export interface CalledReading { readingMm: number, yMm: number, state: HitState }

/** Readings this close together, taken the same way at the same height, are one reading said twice, mm. */
const SAME_MM = 0.5

/** Why a hit can't go into the log; null when it can. */
export function hitProblem(log: Hit[], hit: Hit, along: Interval, up: Interval, units: UnitSystem): string | null {
  if (log.length >= MOST_HITS) return `The log is full: ${MOST_HITS} hits a face at most.`
  if (hit.xMm < along.fromMm - 1 || hit.xMm > along.toMm + 1) return `That is off the face: it runs from ${formatLength(along.fromMm, units)} to ${formatLength(along.toMm, units)}.`
  if (hit.yMm > up.toMm + 1) return `That height is above the face: its top is at ${formatLength(up.toMm, units)}.`
  const twin = log.findIndex(one => one.state === hit.state && Math.abs(one.xMm - hit.xMm) < SAME_MM && Math.abs(one.yMm - hit.yMm) < SAME_MM)
  return twin >= 0 ? `That reading is in the log already, as hit ${twin + 1}.` : null
}

/**
 * Reads a pasted column of readings: a line each, with its state and height where they were written beside it. What a line
 * does not say is taken from `usual`.
 */
export function parseReadings(text: string, units: UnitSystem, usual: Omit<CalledReading, 'readingMm'>): Outcome<CalledReading[]> {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: 'greedy', delimiter: ['\t', ';'].find(mark => text.includes(mark)) ?? ',' })
  const lines = data.map(line => line.map(cell => cell.trim()))
  const body = lines[0] && !/\d/.test(lines[0][0] ?? '') ? lines.slice(1) : lines
  if (!body.length) return refused('Paste the readings, one a line.')
  if (body.length > MOST_HITS) return refused(`That is ${body.length.toLocaleString('en')} lines; a face’s log takes ${MOST_HITS} hits at most.`)
  const readings: CalledReading[] = []
  for (const [i, [reading = '', state = '', height = '']] of body.entries()) {
    const where = `Line ${i + 1 + lines.length - body.length}`
    const along = parseLength(reading, units)
    if (!along.ok) return refused(`${where}: ${along.problem}`)
    const known = state ? STATE_WORDS[state.toLowerCase()] ?? hitStates.find(one => one === state.toLowerCase()) : usual.state
    if (!known) return refused(`${where}: “${state}” is no state. Write knock, left, right, seen, hit or miss.`)
    const up = height ? parseLength(height, units) : done(usual.yMm)
    if (!up.ok) return refused(`${where}, height: ${up.problem}`)
    readings.push({ readingMm: along.value, state: known, yMm: up.value })
  }
  return done(readings)
}
