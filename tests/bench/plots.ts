import { scaleLinear } from 'd3-scale'
import type { Tenth } from '../fixtures/calibration'
import type { Tally } from '../fixtures/probe-tally'

const SIZE = 420
const EDGE = 46
const colours = ['#cf3a1a', '#2f6f9f', '#3d7a3a']

/** What was said against what was there: points on the diagonal say what they mean. Bars are 95 % by resampling roofs. */
export function calibrationPlot(series: { name: string, tenths: Tenth[] }[]): string {
  const x = scaleLinear([0, 1], [EDGE, SIZE - 12])
  const y = scaleLinear([0, 1], [SIZE - EDGE, 12])
  const text = (at: [number, number], words: string, more = '') => `<text x="${at[0].toFixed(1)}" y="${at[1].toFixed(1)}" ${more}>${words}</text>`
  const ticks = x.ticks(5)
  const points = series.flatMap(({ tenths }, s) => tenths.filter(one => one.places >= 500).map((one) => {
    const [cx, cy, half] = [x(one.stated) + 3 * (s - 1), y(one.timber), y(0) - y(1.96 * one.sd)]
    return `<g stroke="${colours[s]}" fill="${colours[s]}"><path d="M${cx.toFixed(1)} ${(cy - half).toFixed(1)}V${(cy + half).toFixed(1)}"/><circle cx="${cx.toFixed(1)}" cy="${cy.toFixed(1)}" r="3"/></g>`
  }))
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${SIZE} ${SIZE}" font-family="sans-serif" font-size="12" fill="#22272e">
<rect width="${SIZE}" height="${SIZE}" fill="#fff"/>
<path d="M${x(0)} ${y(0)}L${x(1)} ${y(1)}" stroke="#8a8f98" stroke-dasharray="4 4"/>
<path d="M${x(0)} ${y(1)}V${y(0)}H${x(1)}" stroke="#22272e" fill="none"/>
${ticks.map(tick => text([x(tick), y(0) + 18], tick.toFixed(1), 'text-anchor="middle"')).join('\n')}
${ticks.map(tick => text([x(0) - 8, y(tick) + 4], tick.toFixed(1), 'text-anchor="end"')).join('\n')}
${text([(x(0) + x(1)) / 2, SIZE - 8], 'chance of timber that was stated', 'text-anchor="middle"')}
<text transform="translate(13 ${(y(0) + y(1)) / 2}) rotate(-90)" text-anchor="middle">share of such places that was timber</text>
${points.join('\n')}
${series.map(({ name }, s) => `${text([x(0.06), y(0.95 - 0.06 * s)], name, `fill="${colours[s]}"`)}`).join('\n')}
</svg>
`
}

const ROW = 44
const NAMES = 170
const WIDE = 640

/** What one reading saves by each way to choose it, on roofs of one kind in each row. */
export function probePlot(rows: Tally[]): string {
  const high = 70 + ROW * rows.length
  const x = scaleLinear([0, Math.max(...rows.map(one => Math.max(one.exact, one.ours, one.least)))], [NAMES, WIDE - 90]).nice()
  const ways = [{ name: 'least-known rafter', of: (one: Tally) => one.least, colour: colours[1] }, { name: 'probe next', of: (one: Tally) => one.ours, colour: colours[0] }, { name: 'exact best', of: (one: Tally) => one.exact, colour: '#22272e' }]
  const y = (row: number, way: number) => 40 + ROW * row + 11 * way
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDE} ${high}" font-family="sans-serif" font-size="12" fill="#22272e">
<rect width="${WIDE}" height="${high}" fill="#fff"/>
${ways.map(({ name, colour }, w) => `<circle cx="${NAMES + 10 + 150 * w}" cy="16" r="4" fill="${colour}"/><text x="${NAMES + 20 + 150 * w}" y="20">${name}</text>`).join('\n')}
${rows.map((one, r) => `<text x="${NAMES - 10}" y="${y(r, 1) + 4}" text-anchor="end">${one.name} (${one.roofs})</text>
${ways.map(({ of, colour }, w) => `<path d="M${x(0)} ${y(r, w)}H${x(of(one)).toFixed(1)}" stroke="${colour}" stroke-width="2"/><circle cx="${x(of(one)).toFixed(1)}" cy="${y(r, w)}" r="4" fill="${colour}"/><text x="${(x(of(one)) + 9).toFixed(1)}" y="${y(r, w) + 4}" font-size="11">${of(one).toFixed(2)}</text>`).join('\n')}`).join('\n')}
<path d="M${x(0)} 30V${high - 34}H${x.range()[1]}" stroke="#22272e" fill="none"/>
${x.ticks(5).map(tick => `<text x="${x(tick).toFixed(1)}" y="${high - 19}" text-anchor="middle">${tick}</text>`).join('\n')}
<text x="${(x.range()[0]! + x.range()[1]!) / 2}" y="${high - 4}" text-anchor="middle">missed fixings that one reading saves on average</text>
</svg>
`
}
