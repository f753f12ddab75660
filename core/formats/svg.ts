import type { FaceFigure, FigureLayer, LayerShapes } from '../drawing'
import type { Point } from '../geometry'

interface Style { fill: string, stroke: string, width: number, dash?: string }
const INK = '#22272e'
/** How each layer is drawn; widths in mm on the roof. */
const styles: Record<FigureLayer, Style> = {
  'outline': { fill: 'none', stroke: INK, width: 24 }, 'keep-clear': { fill: '#e9e3d3', stroke: '#8d8471', width: 6, dash: '60 40' }, 'courses': { fill: 'none', stroke: '#d8d3c6', width: 3 },
  'supports': { fill: '#d9b382', stroke: '#a67c45', width: 3 }, 'obstructions': { fill: '#fff', stroke: INK, width: 12 }, 'modules': { fill: '#66707a', stroke: '#1d2329', width: 8 },
  'rails': { fill: 'none', stroke: '#1c5fae', width: 30 }, 'splices': { fill: 'none', stroke: '#1c5fae', width: 14 }, 'fixings': { fill: 'none', stroke: '#cf3a1a', width: 26 },
}
const CROSS_MM = 55
const MARGIN_MM = 250

const escaped = (text: string): string => text.replace(/[&<>"]/g, sign => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign]!)
const n = (value: number): string => String(Math.round(value * 1000) / 1000)

/** A face as SVG 1.1: one group a layer, one unit a millimetre on the roof, ridge up. */
export function faceSvg({ name, along, up, layers }: FaceFigure): string {
  const [width, height] = [along.toMm - along.fromMm + 2 * MARGIN_MM, up.toMm - up.fromMm + 2 * MARGIN_MM]
  const at = ({ x, y }: Point) => `${n(x - along.fromMm + MARGIN_MM)},${n(up.toMm - y + MARGIN_MM)}`
  const group = ({ layer, rings, lines, crosses, texts }: LayerShapes) => {
    const { fill, stroke, width: stroked, dash } = styles[layer]
    const paths = [
      ...rings.map(ring => `<path d="M${ring.map(at).join(' L')} Z"/>`),
      ...lines.map(([a, b]) => `<path d="M${at(a)} L${at(b)}"/>`),
      ...crosses.map(({ x, y }) => `<path d="M${at({ x: x - CROSS_MM, y: y - CROSS_MM })} L${at({ x: x + CROSS_MM, y: y + CROSS_MM })} M${at({ x: x - CROSS_MM, y: y + CROSS_MM })} L${at({ x: x + CROSS_MM, y: y - CROSS_MM })}"/>`),
      ...texts.map(({ at: place, text }) => `<text x="${at(place).split(',')[0]}" y="${at(place).split(',')[1]}" font-size="130" text-anchor="middle" fill="${layer === 'modules' ? '#fff' : INK}" stroke="none">${escaped(text)}</text>`),
    ]
    return `<g id="${layer}" fill="${fill}" stroke="${stroke}" stroke-width="${stroked}"${dash ? ` stroke-dasharray="${dash}"` : ''}>${paths.join('')}</g>`
  }
  return `<?xml version="1.0" encoding="UTF-8"?>\n<svg xmlns="http://www.w3.org/2000/svg" width="${n(width)}mm" height="${n(height)}mm" viewBox="0 0 ${n(width)} ${n(height)}" font-family="sans-serif"><title>${escaped(name)}</title>${layers.map(group).join('\n')}</svg>\n`
}
