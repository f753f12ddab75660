import type { Point } from '../geometry'

/** What a part of a section is made of: it gives its look. */
export type SectionTone = 'timber' | 'sheathing' | 'batten' | 'unit' | 'lifted' | 'flashing' | 'steel' | 'screw' | 'rail' | 'module' | 'zone' | 'sealant' | 'cut' | 'thin'

/** A section or a view from above to scale, mm: x to the right, y up. Plain data: screen, sheet and phone draw the same. */
export interface SectionDrawing {
  title: string
  /** All of it with its words. */
  box: { fromX: number, toX: number, fromY: number, toY: number }
  areas: { tone: SectionTone, points: Point[] }[]
  lines: { tone: SectionTone, points: Point[] }[]
  /** Words with a thin line to what they speak of. */
  labels: { at: Point, text: string, leader: [Point, Point] | null, middle?: true }[]
  /** Distances, drawn with ticks at their ends. */
  dimensions: { from: Point, to: Point, text: string }[]
  /** Height of its words, mm. */
  textMm: number
}

/** Colours as `#rrggbb`; widths in points on paper, which are about pixels on a screen. */
export const sectionLook: Record<SectionTone, { fill: string | null, stroke: string, width: number }> = {
  timber: { fill: '#ddbd8b', stroke: '#a37a35', width: 1 }, sheathing: { fill: '#ead9b8', stroke: '#a37a35', width: 0.6 }, batten: { fill: '#c99a4c', stroke: '#7b571c', width: 1 },
  unit: { fill: '#c3c4bb', stroke: '#6d6f68', width: 0.8 }, lifted: { fill: '#f0dfa8', stroke: '#8a6a12', width: 1 }, flashing: { fill: null, stroke: '#0f7a6c', width: 2.4 }, steel: { fill: '#3d4650', stroke: '#22272e', width: 0.8 },
  screw: { fill: null, stroke: '#22272e', width: 2 }, rail: { fill: '#9cc3ec', stroke: '#1c5fae', width: 1.2 }, module: { fill: '#59626d', stroke: '#22272e', width: 1 }, zone: { fill: null, stroke: '#1c5fae', width: 3.2 },
  sealant: { fill: null, stroke: '#b4331a', width: 2.6 }, cut: { fill: '#f3c3b4', stroke: '#b4331a', width: 1.4 }, thin: { fill: null, stroke: '#4a525b', width: 0.7 },
}

/** Width of words about, mm. */
export const textWidth = (text: string, textMm: number): number => text.length * textMm * 0.505

/** Words before they have a place: what they say, and the places of any of which they may speak. */
export interface Saying { text: string, of: Point[] }

/** All orders of a few things. */
const orders = <T>(items: T[]): T[][] => items.length < 2 ? [items] : items.flatMap((one, i) => orders([...items.slice(0, i), ...items.slice(i + 1)]).map(rest => [one, ...rest]))

/** Every way of pointing each of them at one of its places. */
const pointed = (sayings: Saying[]): { text: string, of: Point }[][] => sayings.reduce<{ text: string, of: Point }[][]>((ways, { text, of }) => ways.flatMap(way => of.map(one => [...way, { text, of: one }])), [[]])

const turns = (a: Point, b: Point, c: Point): number => (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x)
const cross = ([a, b]: [Point, Point], [c, d]: [Point, Point]): boolean => turns(a, b, c) * turns(a, b, d) < 0 && turns(c, d, a) * turns(c, d, b) < 0

/**
 * Puts words one under another from a place down, in the order and with lines to those places at which they cross the least and are then
 * the shortest.
 * @param side where the words stand: their lines leave from their other end
 * @param others words that have their places, whose lines are not to be crossed either
 */
export function stacked(sayings: Saying[], from: Point, textMm: number, side: 'left' | 'right', others: SectionDrawing['labels'] = []): SectionDrawing['labels'] {
  const laid = (order: { text: string, of: Point }[], fromBelow: boolean) => order.map(({ text, of }, i): SectionDrawing['labels'][number] & { leader: [Point, Point] } => {
    const at = { x: from.x, y: from.y - i * textMm * 1.55 }
    // Below the lowest there are no more words in the way: its line may leave under where it begins.
    if (fromBelow && i === order.length - 1) return { text, at, leader: [{ x: at.x + textMm, y: at.y - textMm * 0.35 }, of] }
    return { text, at, leader: [{ x: side === 'left' ? at.x + textWidth(text, textMm) + textMm * 0.3 : at.x - textMm * 0.3, y: at.y + textMm * 0.35 }, of] }
  })
  /** Words as the line through their middle: another's leader is not to strike them out. */
  const middle = ({ at, text }: { at: Point, text: string }): [Point, Point] => [{ x: at.x, y: at.y + textMm * 0.35 }, { x: at.x + textWidth(text, textMm), y: at.y + textMm * 0.35 }]
  const struck = (labels: ReturnType<typeof laid>) => labels.reduce((n, one) => n + labels.filter(other => other !== one && cross(one.leader, middle(other))).length, 0)
  const cost = (labels: ReturnType<typeof laid>) => struck(labels) * 3e4 + labels.reduce((sum, one, i) => sum + Math.hypot(one.leader[0].x - one.leader[1].x, one.leader[0].y - one.leader[1].y) + [...labels.slice(i + 1), ...others].filter(other => other.leader && cross(one.leader, other.leader)).length * 1e5, 0)
  return orders(sayings).flatMap(pointed).flatMap(order => side === 'left' ? [laid(order, false), laid(order, true)] : [laid(order, false)]).reduce((a, b) => cost(b) < cost(a) ? b : a)
}
