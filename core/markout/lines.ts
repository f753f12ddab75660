import { lineAcross, type Point } from '../geometry'
import { datumName, isLevel, placeAlong, placeUp, readsLevel, readsUpright, shapeOf } from '../roof'
import { railWords } from '../rails'
import { type Rafter, rafterAt, type SupportState } from '../supports'
import { length } from '../units'
import { edgeBeyond, marginsOf } from './ends'
import type { MarkoutInput } from './input'
import { squareFor } from './square'
import { type MarkDraft, type MarkStep, sentenceCase, type StepMaker } from './step'

export function datumStep({ face }: MarkoutInput, make: StepMaker): MarkStep {
  return make({
    id: 'datum', kind: 'datum', title: 'Datum', tape: 'along', lineMm: placeUp(face, 0),
    instruction: `Hook both tapes on the ${datumName(face)}. Every reading on this sheet runs from there: never add one to another.`,
    marks: [{ label: 'Datum corner', mm: placeAlong(face, 0), note: 'Tape reads zero here' }],
  })
}

/** Lines that run with a tape are one reading; those that run askew, as along a hip, are two points to snap between. */
export function keepClearSteps({ face, strips }: MarkoutInput, make: StepMaker): MarkStep[] {
  // Of several rules along one edge the deepest is the line to snap.
  const deepest = (i: number) => Math.max(0, ...strips.filter(strip => strip.edge === i).map(strip => strip.depthMm))
  const { edges, region } = shapeOf(face.outline)
  const lines = edges.map((edge, i) => ({ edge, depthMm: deepest(i) })).filter(({ depthMm }) => depthMm > 0)
  const level = lines.filter(({ edge }) => readsLevel(edge))
  const upright = lines.filter(({ edge }) => readsUpright(edge))
  const askew = lines.filter(one => !level.includes(one) && !upright.includes(one))
  return [
    make({
      id: 'keep-clear-up', kind: 'keep-clear', title: 'Keep-clear lines up the slope', tape: 'up', lineMm: null, instruction: 'Snap these across the face. No module passes them.',
      marks: level.map(({ edge, depthMm }) => ({ label: `Keep-clear line, ${edge.name}`, mm: edge.from.y + (edge.to.x > edge.from.x ? depthMm : -depthMm) })),
    }),
    make({
      id: 'keep-clear-along', kind: 'keep-clear', title: 'Keep-clear lines along the eave', tape: 'along', lineMm: null, instruction: 'Snap these up the slope. No module passes them.',
      marks: upright.map(({ edge, depthMm }) => ({ label: `Keep-clear line, ${edge.name}`, mm: edge.from.x + (edge.to.y > edge.from.y ? -depthMm : depthMm) })),
    }),
    // Moved inward a line is marked where it comes on to the face and where it leaves it: never beside the roof.
    ...askew.flatMap(({ edge, depthMm }, i) => {
      const on = lineAcross(inward(edge, depthMm), region)
      if (!on) return []
      const ends = isLevel(edge) ? [on.from, on.to].sort((a, b) => a.x - b.x) : [on.from, on.to].sort((a, b) => a.y - b.y)
      const names = isLevel(edge) ? ['Left point', 'Right point'] : ['Lower point', 'Upper point']
      return [make({
        id: `keep-clear-askew-${i + 1}`, kind: 'keep-clear', title: `Keep-clear line along the ${edge.name}`, tape: 'along', lineMm: null,
        instruction: 'Snap between these two points. No module passes the line.',
        marks: ends.map((end, e) => ({ label: names[e]!, mm: end.x, upMm: end.y })),
      })]
    }),
  ]
}

/** An edge moved square to itself into the face. */
function inward({ from, to }: { from: Point, to: Point }, depthMm: number): { from: Point, to: Point } {
  const run = Math.hypot(to.x - from.x, to.y - from.y)
  const [x, y] = [-(to.y - from.y) / run * depthMm, (to.x - from.x) / run * depthMm]
  return { from: { x: from.x + x, y: from.y + y }, to: { x: to.x + x, y: to.y + y } }
}

/** The square of the first row, the line that every other row follows, and the edges of all rows with what is left beside them. */
export function rowSteps(input: MarkoutInput, make: StepMaker): { square: MarkStep[], lines: MarkStep[] } {
  const { face, rows: { rows }, units } = input
  const downward = face.array.stackFrom === 'ridge'
  const first = downward ? rows.at(-1)! : rows[0]!
  const others = rows.filter(row => row.count > 0)
  const top = others.at(-1) ?? first
  const corner = face.datum === 'left' ? first.leftMm : first.rightMm
  // Beside a hip the face ends sooner above the row's corner than in the middle.
  const room = edgeBeyond(shapeOf(face.outline), { x: corner, y: downward ? first.topMm : first.bottomMm }, downward ? 'down' : 'up') ?? 0
  const square = squareFor(first.rightMm - first.leftMm, Math.min(room, downward ? first.topMm - rows[0]!.bottomMm : top.topMm - first.bottomMm), units)
  return {
    square: square
      ? [make({
          id: 'square', kind: 'square', title: 'Square', tape: 'along', lineMm: downward ? first.topMm : first.bottomMm,
          instruction: `From the first row’s corner measure along its line and ${downward ? 'down' : 'up'} the slope. The diagonal between both proves the corner square; a row laid to a corner that is not drifts.`,
          marks: [{ label: 'Corner of the row', mm: corner }, { label: 'Along the line', mm: corner + (face.datum === 'left' ? 1 : -1) * square.alongMm }],
          checks: [
            { label: `${downward ? 'Down' : 'Up'} the slope from the corner`, value: length(square.upMm), note: '' },
            { label: 'Diagonal between the two', value: length(square.diagonalMm), note: '3 : 4 : 5' },
          ],
        })]
      : [],
    lines: [
      make({
        id: 'first-row', kind: 'first-row', title: 'First row', tape: 'up', lineMm: null,
        instruction: downward ? 'Snap the upper edge of the top row dead straight: every other row follows it down. Check it at both ends.' : 'Snap the lower edge dead straight: every other row follows it. Check it at both ends.',
        marks: [downward ? { label: `Upper edge of row ${first.index + 1}`, mm: first.topMm } : { label: 'Lower edge of row 1', mm: first.bottomMm }],
      }),
      make({
        id: 'rows', kind: 'rows', title: 'Row edges', tape: 'up', lineMm: null, instruction: 'Lower and upper edges of all rows.',
        marks: rows.flatMap(row => [{ label: `Row ${row.index + 1}, lower edge`, mm: row.bottomMm }, { label: `Row ${row.index + 1}, upper edge`, mm: row.topMm }]),
        checks: others.flatMap(row => marginsOf(face, row, `Row ${row.index + 1}`, row === top)).map(({ label, mm }) => ({ label, value: length(mm), note: 'Margin' })),
        gauge: rows.length > 1 && rows.every(row => row.moduleHeightMm === first.moduleHeightMm) && evenGaps(rows.map(row => row.bottomMm))
          ? { what: 'module and gap up the slope', lengthMm: rows[1]!.bottomMm - rows[0]!.bottomMm, steps: rows.length - 1 }
          : null,
      }),
    ],
  }
}

/** Whether places follow each other at one distance, so that a stick can be stepped along them. */
export const evenGaps = (places: number[]): boolean => places.slice(2).every((mm, i) => Math.abs(mm - places[i + 1]! - (places[1]! - places[0]!)) < 1e-6)

export function railLines({ rails, parts }: MarkoutInput, make: StepMaker): MarkStep {
  const frames = parts.rail.frame !== null
  return make({
    id: 'rail-lines', kind: 'rails', title: frames ? 'Lines of mounts' : 'Rail lines', tape: rails[0]?.way === 'up' ? 'along' : 'up', lineMm: null,
    instruction: frames ? 'Snap each line along which frames are held.' : 'Snap each rail’s centre line.',
    marks: rails.map(rail => ({ label: `${frames ? 'Line' : 'Rail'} ${rail.number}`, mm: rail.lineMm, note: sentenceCase(railWords(rail)) })),
  })
}

/** How a support's place is known, in a few words. */
export const stateWords: Record<SupportState, string> = { proved: 'proved', inferred: 'inferred', guessed: 'guessed' }

/** A rafter that leans by less than this from eave to top is one reading, mm. */
const LEANS_FROM_MM = 1.5

export function supportSteps({ supports, face }: MarkoutInput, make: StepMaker): MarkStep[] {
  const { region, up: { toMm: topMm } } = shapeOf(face.outline)
  const note = (state: SupportState) => state === 'proved' ? 'Proved' : `${state === 'inferred' ? 'Inferred' : 'Guessed'}: pilot first`
  const marksOf = (rafter: Rafter): MarkDraft[] => {
    const plain = { label: `Rafter ${rafter.number}`, mm: rafter.centreMm, note: note(rafter.state) }
    const on = lineAcross({ from: { x: rafter.centreMm, y: 0 }, to: { x: rafterAt(rafter, topMm), y: topMm } }, region)
    if (!on || Math.abs(on.to.x - on.from.x) < LEANS_FROM_MM) return [plain]
    const [low, high] = [on.from, on.to].sort((a, b) => a.y - b.y)
    return [{ ...plain, label: `${plain.label}, lower point`, mm: low!.x, upMm: low!.y }, { ...plain, label: `${plain.label}, upper point`, mm: high!.x, upMm: high!.y }]
  }
  const base = { kind: 'supports' as const, lineMm: null }
  return [
    make({
      ...base, id: 'rafters', title: 'Rafter centres', tape: 'along',
      instruction: 'Mark at the eave and at the top, and snap. Those inferred or guessed are not timber until a pilot hole shows pale dust.',
      marks: supports.rafters.flatMap(marksOf),
    }),
    make({ ...base, id: 'across', title: 'Lines of timber across', tape: 'up', instruction: 'Snap each centre line across the face.', marks: supports.across.map(line => ({ label: line.name, mm: line.centreMm, note: note(line.state) })) }),
    make({ ...base, id: 'seams', title: 'Seams', tape: 'along', instruction: 'Count the seams off from the datum: clamps go on these.', marks: supports.seams.map(seam => ({ label: `Seam ${seam.number}`, mm: seam.xMm })) }),
    make({ ...base, id: 'screw-rows', title: 'Rows of screws', tape: 'up', instruction: 'Rails run over these rows: a foot takes the place of a screw.', marks: supports.screws.rowsMm.map((mm, i) => ({ label: `Row of screws ${i + 1}`, mm })) }),
  ]
}
