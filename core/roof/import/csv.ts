import Papa from 'papaparse'
import { type EdgeKind, edgeKinds, type Outline } from '../../job'
import { done, type Outcome, refused } from '../../outcome'
import { parseLength, type UnitSystem } from '../../units'
import { ringOutline } from './dxf'
import { MOST_CORNERS, tooManyCorners } from './limits'

/**
 * An outline from a table of running readings, a corner a line: along the eave, up the slope, and if given what the edge
 * after it is. A first line of words is taken as headings.
 */
export function outlineFromCsv(text: string, units: UnitSystem): Outcome<Outline> {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: 'greedy', delimitersToGuess: [',', ';', '\t', '|'] })
  const lines = data.map(line => line.map(cell => cell.trim()))
  const isHeading = lines[0]?.slice(0, 2).every(cell => !/\d/.test(cell)) ?? false
  const rows = isHeading ? lines.slice(1) : lines
  if (rows.length < 3) return refused('A face needs at least three corners: a line each, along the eave and up the slope.')
  if (rows.length > MOST_CORNERS + 1) return refused(tooManyCorners(rows.length))
  const corners: { x: number, y: number, edge: string }[] = []
  for (const [i, row] of rows.entries()) {
    const where = `Line ${i + (isHeading ? 2 : 1)}`
    const along = parseLength(row[0] ?? '', units)
    if (!along.ok) return refused(`${where}, along: ${along.problem}`)
    const up = parseLength(row[1] ?? '', units)
    if (!up.ok) return refused(`${where}, up: ${up.problem}`)
    const edge = (row[2] ?? '').toLowerCase()
    if (edge && !edgeKinds.includes(edge as EdgeKind)) return refused(`${where}: “${row[2]}” is no edge. Write ${edgeKinds.join(', ')}, or leave it empty.`)
    const twin = corners.findIndex(other => other.x === along.value && other.y === up.value)
    if (twin >= 0 && !(twin === 0 && i === rows.length - 1)) return refused(`${where} is the same corner as line ${twin + (isHeading ? 2 : 1)}. Leave one out.`)
    if (twin < 0) corners.push({ x: along.value, y: up.value, edge })
  }
  const outline = ringOutline(corners)
  if (!outline.ok || outline.value.kind !== 'corners' || !corners.some(corner => corner.edge)) return outline
  return named(outline.value, corners)
}

/** Puts the edges that were named in place of the guesses: each is known by its two ends, whichever way round they were listed. */
function named(outline: Extract<Outline, { kind: 'corners' }>, listed: { x: number, y: number, edge: string }[]): Outcome<Outline> {
  const shift = { x: Math.min(...listed.map(one => one.x)), y: Math.min(...listed.map(one => one.y)) }
  const left = Math.min(...outline.corners.map(one => one.xMm))
  const indexOf = (corner: {
    xMm: number
    yMm: number
  }) => listed.findIndex(one => Math.abs(one.x - shift.x - (corner.xMm - left)) < 0.01 && Math.abs(one.y - shift.y - corner.yMm) < 0.01)
  const n = listed.length
  return done({
    ...outline,
    corners: outline.corners.map((corner, i) => {
      const here = indexOf(corner)
      const next = indexOf(outline.corners[(i + 1) % n]!)
      const edge = next === (here + 1) % n ? listed[here]?.edge : listed[next]?.edge
      // Those that nobody named keep what they most likely are.
      return { ...corner, edge: edge ? edge as EdgeKind : corner.edge }
    }),
  })
}
