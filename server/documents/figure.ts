import { byDepth, type FaceFigure, type LayerShapes, styleOf } from '#core/sheets/figure'
import type { Point } from '#core/geometry'
import type { Pdf } from './pdf'

const CROSS = 2.6
const DOT = 0.8
/** A line of words is so high, as a share of its size. */
const LINE = 1.17

export interface FigureBox { x: number, y: number, width: number, height: number }

/** Scales that a figure may be drawn to, as on a drawing: one to so many. */
const SCALES = [10, 20, 25, 40, 50, 60, 75, 100, 125, 150, 200, 250, 500]
const POINTS_PER_MM = 72 / 25.4

/** A point of a line or of text is so many mm of a drawing in its files. */
const MM_PER_POINT = 15
/** Words are never printed smaller, points. */
const LEAST_WORDS = 5

/**
 * Draws a face to a round scale inside a box, ridge up; returns the scale, one to so many, and the height it took.
 * @param words of their own size whatever the scale, or as large beside what they name as in the drawing’s files
 */
export function drawFigure(pdf: Pdf, { along, up, layers }: FaceFigure, box: FigureBox, words: 'own-size' | 'to-scale' = 'own-size'): { scale: number, height: number } {
  const wide = along.toMm - along.fromMm
  const high = up.toMm - up.fromMm
  const needed = Math.max(wide * POINTS_PER_MM / box.width, high * POINTS_PER_MM / box.height)
  const scale = SCALES.find(one => one >= needed) ?? Math.ceil(needed)
  const perMm = POINTS_PER_MM / scale
  const left = box.x + (box.width - wide * perMm) / 2
  const at = ({ x, y }: Point): [number, number] => [left + (x - along.fromMm) * perMm, box.y + (up.toMm - y) * perMm]
  const written: FigureBox[] = []
  for (const one of byDepth(layers)) drawLayer(pdf, one, at, written, words === 'own-size' ? 1 : MM_PER_POINT * perMm)
  return { scale, height: high * perMm }
}

/** Where a word is tried, as shares of its own size: where it belongs, then over, under, beside that and at its corners. */
const TRIED = [[0, 0], [0, -1], [0, 1], [1, 0], [-1, 0], [1, -1], [-1, -1], [1, 1], [-1, 1]] as const

/** A word's box, moved aside no farther than it must be to keep off those that stand already. */
function keptOff(words: FigureBox[], { x, y, width, height }: FigureBox): FigureBox {
  const boxes = TRIED.map(([aside, down]) => ({ x: x + aside * width, y: y + down * height, width, height }))
  return boxes.find(one => !words.some(other => one.x < other.x + other.width && other.x < one.x + one.width && one.y < other.y + other.height && other.y < one.y + one.height)) ?? boxes[0]!
}

/** @param words boxes of all words drawn so far, added to */
function drawLayer(pdf: Pdf, { layer, rings, lines, crosses, dots = [], texts }: LayerShapes, at: (point: Point) => [number, number], words: FigureBox[], wordShare: number) {
  const { paper, ...plain } = styleOf(layer)
  const style = { ...plain, ...paper }
  pdf.save().lineWidth(style.width).strokeColor(style.stroke)
  if (style.dash) pdf.dash(style.dash[0], { space: style.dash[1] })
  for (const ring of rings) {
    const [first, ...rest] = ring.map(at)
    pdf.moveTo(...first!)
    for (const point of rest) pdf.lineTo(...point)
    pdf.closePath()
    if (style.fill) pdf.fillAndStroke(style.fill, style.stroke)
    else pdf.stroke()
  }
  for (const [a, b] of lines) pdf.moveTo(...at(a)).lineTo(...at(b)).stroke()
  for (const cross of crosses) {
    const [x, y] = at(cross)
    if (style.fill) pdf.rect(x - 1.2, y - 3, 2.4, 6).fillAndStroke('#ffffff', style.stroke)
    else pdf.moveTo(x - CROSS, y - CROSS).lineTo(x + CROSS, y + CROSS).moveTo(x - CROSS, y + CROSS).lineTo(x + CROSS, y - CROSS).stroke()
  }
  for (const dot of dots) pdf.circle(...at(dot), DOT).fill(style.stroke)
  pdf.undash().restore()
  if (!style.text) return
  for (const { at: place, text } of texts) {
    const [x, y] = at(place)
    const size = Math.max(LEAST_WORDS, style.text * Math.min(1, wordShare))
    // The eave's and the rafters' names stand under the face, the ridge's over it, rails' numbers beside their ends.
    const below = layer === 'supports' ? 3 : layer === 'outline' ? (text === 'ridge' ? -size - 3 : 11) : -size / 2
    pdf.font(layer === 'modules' || layer === 'rails' || layer === 'line-names' || layer === 'wall-things' || layer === 'wall-there' ? 'bold' : 'regular').fontSize(size).fillColor(style.ink)
    const width = pdf.widthOfString(text)
    const box = keptOff(words, { x: x - width / 2 - (layer === 'rails' ? 7 : 0), y: y + below, width, height: size * LINE })
    words.push(box)
    pdf.text(text, box.x, box.y, { lineBreak: false })
  }
}
