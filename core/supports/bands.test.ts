import { describe, expect, it } from 'vitest'
import { type Hit, rafterRow, type RafterSupports } from '../job'
import { timberBands } from './bands'
import { fitRafters } from './fit'
import { rafterAt } from './rafter'

const up = { fromMm: 0, toMm: 5000 }
const log = (hits: [x: number, y: number][], more: Partial<RafterSupports> = {}): RafterSupports => ({
  ...rafterRow(300, 600, 45), layout: 'fitted', hits: hits.map(([xMm, yMm], i): Hit => ({ id: `h${i}`, xMm, yMm, state: 'seen', use: 'rafter' })), ...more,
})
const bandsOf = (supports: RafterSupports) => {
  const fit = fitRafters(supports, { fromMm: 0, toMm: 9200 }, up.toMm)!
  return { fit, bands: timberBands(fit.rafters, fit, true, up) }
}
const across = (ring: { x: number, y: number }[], yMm: number) => ring.filter(point => point.y === yMm).map(point => point.x)

describe('bands', () => {
  it('lean with rafters that are askew', () => {
    const { fit, bands } = bandsOf(log([[300, 400], [900, 4400], [2100, 900], [3300, 3900], [5100, 600], [6300, 4500], [7500, 2400]].map(([x, y]) => [x! + 0.025 * y!, y!])))
    bands.forEach(({ pieces }, i) => {
      expect(pieces).toHaveLength(1)
      for (const yMm of [up.fromMm, up.toMm]) {
        const [a, b] = across(pieces[0]!.ring, yMm)
        expect(Math.abs((a! + b!) / 2 - rafterAt(fit.rafters[i]!, yMm))).toBeLessThan(5)
        expect(Math.abs(a! - b!)).toBeLessThan(60)
      }
    })
    // 25 mm a metre over 5 m.
    const [first] = bands
    expect(Math.abs(across(first!.pieces[0]!.ring, up.toMm)[0]! - across(first!.pieces[0]!.ring, up.fromMm)[1]!)).toBeGreaterThan(60)
  })
  it('grow with the way from the last hit, and come in pieces where 600 mm and 24 in rival', () => {
    const { bands } = bandsOf(log([[300, 1000], [900, 1000]]))
    const widths = bands.map(({ pieces }) => pieces.reduce((sum, { ring }) => sum + ring[1]!.x - ring[0]!.x, 0))
    expect(widths[1]).toBeLessThan(40)
    expect(widths.at(-1)).toBeGreaterThan(2 * widths[1]!)
    const far = bands.at(-1)!.pieces
    expect(far.length).toBeGreaterThan(1)
    const held = far.reduce((sum, one) => sum + one.share, 0)
    expect(held).toBeGreaterThan(0.945)
    expect(held).toBeLessThan(0.97)
  })
})
