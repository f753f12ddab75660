import type { ChosenParts } from '../catalogue'
import type { Fixing, FixingsPlan } from '../fixings'
import type { Face } from '../job'
import type { KeepClearStrip } from '../keepclear'
import { datumName, farEndName, placeAlong, readingAlong, shapeOf } from '../roof'
import { endNames, fixedPoint, type RailPlan, railWords } from '../rails'
import type { RowsPlan } from '../rows'
import type { SticksPlan } from '../sticks'
import { type Rafter, rafterAt, type SupportsPlan, type SupportState } from '../supports'

/** Which tape a mark is read off: the one along the eave or the one up the slope. */
export type Tape = 'along' | 'up'

/** One reading to be marked. */
export interface Mark {
  id: string
  label: string
  /** Exact running reading from the datum corner, mm; rounded only when it is shown. */
  readingMm: number
  /** Reading of the other tape, mm, for a mark that is a point of its own; null where the step's line gives it. */
  upMm: number | null
  note: string
}

export type MarkStepKind = 'datum' | 'keep-clear' | 'first-row' | 'rows' | 'rails' | 'supports' | 'fixings' | 'modules' | 'electronics' | 'rail-ends'

/** One thing to do on the roof: marks on one tape, all read from the one datum. */
export interface MarkStep {
  id: string
  kind: MarkStepKind
  title: string
  instruction: string
  tape: Tape
  /** Where this step's line lies on the other tape, mm; null when the step is not on one line. */
  lineMm: number | null
  marks: Mark[]
  /** A last reading at the far end of the tape that proves it was hooked and held straight. */
  closing: Mark
}

/** What the marks are taken from. */
export interface MarkoutInput {
  face: Face
  parts: ChosenParts
  strips: KeepClearStrip[]
  supports: SupportsPlan
  rows: RowsPlan
  rails: RailPlan[]
  fixings: FixingsPlan
  sticks: SticksPlan
}

/** The lines and marks of one face, from the eave up, in the order in which a crew strikes them. */
export function markoutSteps(input: MarkoutInput): MarkStep[] {
  const make = stepMaker(input.face)
  const { rows } = input.rows
  const steps = [
    datumStep(input, make),
    ...keepClearSteps(input, make),
    ...(rows.length ? [...rowSteps(input, make), railLines(input, make), ...supportSteps(input, make), ...fixingSteps(input, make), ...moduleSteps(input, make), ...railEndSteps(input, make)] : []),
  ]
  return steps.filter(step => step.marks.length > 0)
}

interface MarkDraft { label: string, mm: number, note?: string, upMm?: number }
type StepDraft = Omit<MarkStep, 'marks' | 'closing'> & { marks: MarkDraft[] }
type StepMaker = (draft: StepDraft) => MarkStep

/** Turns places on the face into readings from its datum, sorted as the tape runs, with a closing reading. */
function stepMaker(face: Face): StepMaker {
  const { eave, up } = shapeOf(face.outline)
  return ({ marks, lineMm, ...step }) => {
    const sorted = marks
      .map(mark => ({ ...mark, readingMm: step.tape === 'along' ? readingAlong(face, mark.mm) : mark.mm }))
      .sort((a, b) => a.readingMm - b.readingMm)
    return {
      ...step, lineMm: lineMm === null || step.tape === 'along' ? lineMm : readingAlong(face, lineMm),
      marks: sorted.map((mark, i) => ({ id: `${step.id}-${i + 1}`, label: mark.label, readingMm: mark.readingMm, upMm: mark.upMm ?? null, note: mark.note ?? '' })),
      closing: {
        id: `${step.id}-closing`, upMm: null, note: 'Closing reading',
        label: step.tape === 'along' ? `Eave’s far end, ${farEndName(face)}` : 'Top of the face',
        readingMm: step.tape === 'along' ? eave.toMm - eave.fromMm : up.toMm,
      },
    }
  }
}

function datumStep({ face }: MarkoutInput, make: StepMaker): MarkStep {
  return make({
    id: 'datum', kind: 'datum', title: 'Datum', tape: 'along', lineMm: 0,
    instruction: `Hook both tapes on the ${datumName(face)}. Every reading on this sheet runs from there: never add one to another.`,
    marks: [{ label: 'Datum corner', mm: placeAlong(face, 0), note: 'Tape reads zero here' }],
  })
}

/** Lines that run with a tape are one reading; those that run askew, as along a hip, are two points to snap between. */
function keepClearSteps({ face, strips }: MarkoutInput, make: StepMaker): MarkStep[] {
  // Of several rules along one edge the deepest is the line to snap.
  const deepest = (i: number) => Math.max(0, ...strips.filter(strip => strip.edge === i).map(strip => strip.depthMm))
  const lines = shapeOf(face.outline).edges.map((edge, i) => ({ edge, depthMm: deepest(i) })).filter(({ depthMm }) => depthMm > 0)
  const level = lines.filter(({ edge }) => Math.abs(edge.to.y - edge.from.y) < 1)
  const upright = lines.filter(({ edge }) => Math.abs(edge.to.x - edge.from.x) < 1)
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
    ...askew.map(({ edge, depthMm }, i) => {
      const length = Math.hypot(edge.to.x - edge.from.x, edge.to.y - edge.from.y)
      const inward = { x: -(edge.to.y - edge.from.y) / length * depthMm, y: (edge.to.x - edge.from.x) / length * depthMm }
      const ends = [edge.from, edge.to].sort((a, b) => a.y - b.y)
      return make({
        id: `keep-clear-askew-${i + 1}`, kind: 'keep-clear', title: `Keep-clear line along the ${edge.name}`, tape: 'along', lineMm: null,
        instruction: 'Snap between these two points. No module passes the line.',
        marks: ends.map((end, e) => ({ label: `${e === 0 ? 'Lower' : 'Upper'} point`, mm: end.x + inward.x, upMm: end.y + inward.y })),
      })
    }),
  ]
}

function rowSteps({ rows: { rows } }: MarkoutInput, make: StepMaker): MarkStep[] {
  const first = rows[0]!
  return [
    make({
      id: 'first-row', kind: 'first-row', title: 'First row', tape: 'up', lineMm: null,
      instruction: 'Snap the lower edge dead straight: every other row follows it. Check it at both ends.',
      marks: [{ label: 'Lower edge of row 1', mm: first.bottomMm }],
    }),
    make({
      id: 'rows', kind: 'rows', title: 'Row edges', tape: 'up', lineMm: null, instruction: 'Lower and upper edges of all rows.',
      marks: rows.flatMap(row => [{ label: `Row ${row.index + 1}, lower edge`, mm: row.bottomMm }, { label: `Row ${row.index + 1}, upper edge`, mm: row.topMm }]),
    }),
  ]
}

/** The tape along which a rail's fixings, splices and ends are read. */
const tapeOf = ({ way }: Pick<RailPlan, 'way'>): Tape => way === 'across' ? 'along' : 'up'

function railLines({ rails, parts }: MarkoutInput, make: StepMaker): MarkStep {
  const frames = parts.rail.frame !== null
  return make({
    id: 'rail-lines', kind: 'rails', title: frames ? 'Lines of mounts' : 'Rail lines', tape: rails[0]?.way === 'up' ? 'along' : 'up', lineMm: null,
    instruction: frames ? 'Snap each line along which frames are held.' : 'Snap each rail’s centre line.',
    marks: rails.map(rail => ({ label: `${frames ? 'Line' : 'Rail'} ${rail.number}`, mm: rail.lineMm, note: sentenceCase(railWords(rail)) })),
  })
}

const sentenceCase = (words: string): string => `${words[0]!.toUpperCase()}${words.slice(1)}`

/** How a support's place is known, in a few words. */
export const stateWords: Record<SupportState, string> = { proved: 'proved', inferred: 'inferred', guessed: 'guessed' }

/** A rafter that leans by less than this from eave to top is one reading, mm. */
const LEANS_FROM_MM = 1.5

function supportSteps({ supports, face }: MarkoutInput, make: StepMaker): MarkStep[] {
  const topMm = shapeOf(face.outline).up.toMm
  const note = (state: SupportState) => state === 'proved' ? 'Proved' : `${state === 'inferred' ? 'Inferred' : 'Guessed'}: pilot first`
  const marksOf = (rafter: Rafter): MarkDraft[] => {
    const topX = rafterAt(rafter, topMm)
    const plain = { label: `Rafter ${rafter.number}`, mm: rafter.centreMm, note: note(rafter.state) }
    return Math.abs(topX - rafter.centreMm) < LEANS_FROM_MM ? [plain] : [{ ...plain, label: `${plain.label}, lower point`, upMm: 0 }, { ...plain, label: `${plain.label}, upper point`, mm: topX, upMm: topMm }]
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

function fixingSteps({ rails, fixings, parts }: MarkoutInput, make: StepMaker): MarkStep[] {
  return rails.map((rail, r) => {
    const own = fixings.rails[r]!.fixings
    const still = fixedPoint(rail, own.map(fixing => fixing.atMm))?.fixing
    const noteOf = ({ state, member }: Fixing, i: number) => [member, ...(state === 'proved' ? [] : [`${stateWords[state]}: pilot first`]), ...(i === still && !parts.rail.frame ? ['fixed point: tighten first, the rail grows both ways from here'] : [])].join(', ')
    return make({
      id: `fixings-${rail.id}`, kind: 'fixings', title: `Fixings on ${parts.rail.frame ? 'line' : 'rail'} ${rail.number}`, tape: tapeOf(rail), lineMm: rail.lineMm,
      instruction: `${parts.mount.name}. ${parts.mount.screw.pilot}. ${parts.mount.sealant}.`,
      marks: own.map((fixing, i) => ({ label: `Fixing ${i + 1}`, mm: fixing.atMm, note: noteOf(fixing, i) })),
    })
  })
}

function moduleSteps({ rows: { rows }, rails }: MarkoutInput, make: StepMaker): MarkStep[] {
  return rows.flatMap((row) => {
    const { moduleWidthMm } = row
    const upper = rails.find(rail => rail.row === row.index && rail.side === 'upper')
    return [
      make({
        id: `modules-row${row.index + 1}`, kind: 'modules', title: `Module edges, row ${row.index + 1}`, tape: 'along', lineMm: row.bottomMm,
        instruction: 'Set about three, measure both ends to the ridge, then go on.',
        marks: row.moduleLeftsMm.flatMap((leftMm, i) => [
          { label: `Module ${i + 1}, left edge`, mm: leftMm }, { label: `Module ${i + 1}, right edge`, mm: leftMm + moduleWidthMm },
        ]),
      }),
      make({
        id: `electronics-row${row.index + 1}`, kind: 'electronics', title: `Electronics, row ${row.index + 1}`, tape: 'along', lineMm: upper?.lineMm ?? null,
        instruction: `${upper ? 'On the upper rail' : 'On a rail or the frame'}, near the middle of each module, not under its junction box and not across two modules.`,
        marks: row.moduleLeftsMm.map((leftMm, i) => ({ label: `Unit ${i + 1}`, mm: leftMm + moduleWidthMm / 2 })),
      }),
    ]
  })
}

function railEndSteps({ rails, sticks, face, parts }: MarkoutInput, make: StepMaker): MarkStep[] {
  if (parts.rail.frame) {
    return rails.map(rail => make({
      id: `couplers-${rail.id}`, kind: 'rail-ends', title: `Couplers on line ${rail.number}`, tape: 'along', lineMm: rail.lineMm, instruction: `${parts.rail.splice.partName} between neighbouring frames.`,
      marks: rail.couplers.map((mm, i) => ({ label: `Coupler ${i + 1}`, mm })),
    }))
  }
  return rails.map((rail) => {
    const [first, last] = endNames(rail)
    return make({
      id: `rail-ends-${rail.id}`, kind: 'rail-ends', title: `Splices and trim, rail ${rail.number}`, tape: tapeOf(rail), lineMm: rail.lineMm,
      instruction: face.array.trimTailMm > 0 ? 'Leave the rail long at both ends. Trim at the marks when the modules are on.' : 'Cut the rail to the marks before it goes up.',
      marks: [
        { label: `Rail end, ${first}`, mm: rail.fromMm, note: 'Trim here' },
        ...sticks.splices.filter(splice => splice.railId === rail.id).map(splice => ({ label: 'Splice', mm: splice.atMm, note: 'Sticks meet here' })),
        { label: `Rail end, ${last}`, mm: rail.toMm, note: 'Trim here' },
      ],
    })
  })
}
