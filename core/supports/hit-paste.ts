import Papa from 'papaparse'
import { type HitState, hitStates, MOST_HITS } from '../job'
import { done, type Outcome, refused } from '../outcome'
import { parseLength, type UnitSystem } from '../units'
import type { CalledReading } from './hit-log'

/** Words that a pasted table may use for a state. */
const STATE_WORDS: Record<string, HitState> = {
  'knock': 'knock', 'middle': 'knock', 'centre': 'knock', 'left': 'edge-left', 'left edge': 'edge-left', 'right': 'edge-right', 'right edge': 'edge-right', 'seen': 'seen',
  'pilot': 'pilot-hit', 'hit': 'pilot-hit', 'pilot hit': 'pilot-hit', 'miss': 'pilot-miss', 'pilot miss': 'pilot-miss',
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
