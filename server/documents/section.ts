import type { Point } from '#core/geometry'
import { type SectionDrawing, sectionLook } from '#core/openings'
import type { FigureBox } from './figure'
import { INK, type Pdf } from './pdf'

/** Words of a section are no smaller than this on paper, points. */
const LEAST_TEXT = 5.5

/** Draws a section to scale as large as a box holds it, in its middle. */
export function drawSection(pdf: Pdf, { box, areas, lines, labels, dimensions, textMm }: SectionDrawing, into: FigureBox): void {
  const [wide, high] = [box.toX - box.fromX, box.toY - box.fromY]
  const scale = Math.min(into.width / wide, into.height / high)
  const [left, top] = [into.x + (into.width - wide * scale) / 2, into.y + (into.height - high * scale) / 2]
  const at = ({ x, y }: Point): [number, number] => [left + (x - box.fromX) * scale, top + (box.toY - y) * scale]
  const size = Math.max(LEAST_TEXT, textMm * scale)
  const trace = (points: Point[]) => points.map(at).forEach(([x, y], i) => i ? pdf.lineTo(x, y) : pdf.moveTo(x, y))
  pdf.save()
  for (const { tone, points } of areas) {
    const { fill, stroke, width } = sectionLook[tone]
    pdf.lineWidth(width * 0.7)
    trace(points)
    pdf.closePath()
    if (fill) pdf.fillAndStroke(fill, stroke)
    else pdf.strokeColor(stroke).stroke()
  }
  for (const { tone, points } of lines) {
    trace(points)
    pdf.lineWidth(sectionLook[tone].width * 0.7).strokeColor(sectionLook[tone].stroke).stroke()
  }
  for (const { at: place, text, leader, middle } of labels) {
    if (leader) {
      trace(leader)
      pdf.lineWidth(0.5).strokeColor(INK).stroke()
    }
    const [x, y] = at(place)
    pdf.font('regular').fontSize(size).fillColor(INK).text(text, middle ? x - 40 : x, y - size * 0.85, middle ? { width: 80, align: 'center', lineBreak: false } : { lineBreak: false })
  }
  for (const { from, to, text } of dimensions) {
    const long = Math.hypot(to.x - from.x, to.y - from.y) || 1
    const [nx, ny] = [-(to.y - from.y) / long * textMm * 0.5, (to.x - from.x) / long * textMm * 0.5]
    for (const ends of [[from, to], ...[from, to].map(({ x, y }) => [{ x: x + nx, y: y + ny }, { x: x - nx, y: y - ny }])]) {
      trace(ends)
      pdf.lineWidth(0.6).strokeColor(INK).stroke()
    }
    const [x, y] = at({ x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 })
    pdf.save().rotate(-Math.atan2(to.y - from.y, to.x - from.x) * 180 / Math.PI, { origin: [x, y] })
    // Paper under the figure, so that no line strikes it out.
    const wide = pdf.font('bold').fontSize(size).widthOfString(text)
    pdf.rect(x - wide / 2 - 1, y + 2, wide + 2, size).fill('#ffffff')
    pdf.fillColor(INK).text(text, x - 60, y + 2, { width: 120, align: 'center', lineBreak: false })
    pdf.restore()
  }
  pdf.restore()
}
