import type { Point } from '../../geometry'
import { byDepth, type FaceFigure, type LayerShapes, MM_PER_POINT, styleOf } from '../figure'

const CROSS_MM = 55
const DOT_MM = 15
const MARGIN_MM = 250

const escaped = (text: string): string => text.replace(/[&<>"]/g, sign => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign]!)
const n = (value: number): string => String(Math.round(value * 1000) / 1000)

/** A face as SVG 1.1: one group a layer, one unit a millimetre on the roof, ridge up. */
export function faceSvg({ name, along, up, layers }: FaceFigure): string {
  const [width, height] = [along.toMm - along.fromMm + 2 * MARGIN_MM, up.toMm - up.fromMm + 2 * MARGIN_MM]
  const at = ({ x, y }: Point) => `${n(x - along.fromMm + MARGIN_MM)},${n(up.toMm - y + MARGIN_MM)}`
  const group = ({ layer, rings, lines, crosses, dots = [], texts }: LayerShapes) => {
    const { fill, stroke, width: stroked, dash, text: size, ink } = styleOf(layer)
    const paths = [
      ...rings.map(ring => `<path d="M${ring.map(at).join(' L')} Z"/>`),
      ...lines.map(([a, b]) => `<path d="M${at(a)} L${at(b)}"/>`),
      ...crosses.map(({ x, y }) => `<path d="M${at({ x: x - CROSS_MM, y: y - CROSS_MM })} L${at({ x: x + CROSS_MM, y: y + CROSS_MM })} M${at({ x: x - CROSS_MM, y: y + CROSS_MM })} L${at({ x: x + CROSS_MM, y: y - CROSS_MM })}"/>`),
      ...dots.map(point => `<circle cx="${at(point).split(',')[0]}" cy="${at(point).split(',')[1]}" r="${DOT_MM}" fill="${stroke}" stroke="none"/>`),
      ...texts.map(({ at: place, text }) => `<text x="${at(place).split(',')[0]}" y="${at(place).split(',')[1]}" font-size="${n((size || 6) * MM_PER_POINT)}" text-anchor="middle" fill="${ink}" stroke="none">${escaped(text)}</text>`),
    ]
    return `<g id="${layer}" fill="${fill ?? 'none'}" stroke="${stroke}" stroke-width="${n(stroked * MM_PER_POINT)}"${dash ? ` stroke-dasharray="${dash.map(one => n(one * MM_PER_POINT)).join(' ')}"` : ''}>${paths.join('')}</g>`
  }
  return `<?xml version="1.0" encoding="UTF-8"?>\n<svg xmlns="http://www.w3.org/2000/svg" width="${n(width)}mm" height="${n(height)}mm" viewBox="0 0 ${n(width)} ${n(height)}" font-family="sans-serif"><title>${escaped(name)}</title>${byDepth(layers).map(group).join('\n')}</svg>\n`
}
