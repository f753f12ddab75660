import type { ChosenParts } from '../catalogue'
import type { FixingsPlan } from '../fixings'
import { bounds, type Region } from '../geometry'
import type { Face } from '../job'
import { edgesOf, edgeNames, readingAlong } from '../roof'
import type { RailPlan } from '../rails'
import type { RowsPlan } from '../rows'
import type { SticksPlan } from '../sticks'
import type { Rafter } from '../supports'

/** Which tape a mark is read off: the one along the eave or the one up the slope. */
export type Tape = 'along' | 'up'

/** One reading to be marked. */
export interface Mark {
  id: string
  label: string
  /** Exact running reading from the datum corner, mm; rounded only when it is shown. */
  readingMm: number
  note: string
}

export type MarkStepKind = 'datum' | 'keep-clear' | 'first-row' | 'rows' | 'rails' | 'rafters' | 'fixings' | 'modules' | 'electronics' | 'rail-ends'

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
  region: Region
  rafters: Rafter[]
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
    ...(rows.length ? [...rowSteps(input, make), railLines(input, make), rafterStep(input, make), ...fixingSteps(input, make), ...moduleSteps(input, make), ...railEndSteps(input, make)] : []),
  ]
  return steps.filter(step => step.marks.length > 0)
}

interface MarkDraft { label: string, mm: number, note?: string }
type StepDraft = Omit<MarkStep, 'marks' | 'closing'> & { marks: MarkDraft[] }
type StepMaker = (draft: StepDraft) => MarkStep

/** Turns places on the face into readings from its datum, sorted as the tape runs, with a closing reading. */
function stepMaker(face: Face): StepMaker {
  const { eaveLengthMm, slopeLengthMm } = face.outline
  return ({ marks, ...step }) => {
    const sorted = marks
      .map(mark => ({ ...mark, readingMm: step.tape === 'along' ? readingAlong(face, mark.mm) : mark.mm }))
      .sort((a, b) => a.readingMm - b.readingMm)
    return {
      ...step,
      marks: sorted.map((mark, i) => ({ id: `${step.id}-${i + 1}`, label: mark.label, readingMm: mark.readingMm, note: mark.note ?? '' })),
      closing: {
        id: `${step.id}-closing`, note: 'Closing reading',
        label: step.tape === 'along' ? `Edge of the ${face.datum === 'left' ? 'right' : 'left'} rake` : 'Ridge',
        readingMm: step.tape === 'along' ? eaveLengthMm : slopeLengthMm,
      },
    }
  }
}

function datumStep({ face }: MarkoutInput, make: StepMaker): MarkStep {
  return make({
    id: 'datum', kind: 'datum', title: 'Datum', tape: 'along', lineMm: 0,
    instruction: `Hook both tapes on the ${face.datum} rake at the eave. Every reading on this sheet runs from there: never add one to another.`,
    marks: [{ label: 'Datum corner', mm: face.datum === 'left' ? 0 : face.outline.eaveLengthMm, note: 'Tape reads zero here' }],
  })
}

function keepClearSteps({ face, region }: MarkoutInput, make: StepMaker): MarkStep[] {
  const box = bounds(region)
  if (!box) return []
  const depth = { 'eave': face.setbacks.eaveMm, 'ridge': face.setbacks.ridgeMm, 'left-rake': face.setbacks.leftRakeMm, 'right-rake': face.setbacks.rightRakeMm }
  const wanted = edgesOf(face.outline).filter(edge => depth[edge.kind] > 0).map(edge => edge.kind)
  const mark = (kind: typeof wanted[number], mm: number): MarkDraft[] => wanted.includes(kind) ? [{ label: `Keep-clear line, ${edgeNames[kind]}`, mm }] : []
  return [
    make({ id: 'keep-clear-up', kind: 'keep-clear', title: 'Keep-clear lines up the slope', tape: 'up', lineMm: null, instruction: 'Snap these across the face. No module passes them.', marks: [...mark('eave', box.up.fromMm), ...mark('ridge', box.up.toMm)] }),
    make({ id: 'keep-clear-along', kind: 'keep-clear', title: 'Keep-clear lines along the eave', tape: 'along', lineMm: null, instruction: 'Snap these up the slope. No module passes them.', marks: [...mark('left-rake', box.along.fromMm), ...mark('right-rake', box.along.toMm)] }),
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

function railLines({ rails }: MarkoutInput, make: StepMaker): MarkStep {
  return make({
    id: 'rail-lines', kind: 'rails', title: 'Rail lines', tape: 'up', lineMm: null, instruction: 'Snap each rail’s centre line.',
    marks: rails.map(rail => ({ label: `Rail ${rail.number}`, mm: rail.yMm, note: `Row ${rail.row + 1}, ${rail.side}` })),
  })
}

function rafterStep({ rafters }: MarkoutInput, make: StepMaker): MarkStep {
  return make({
    id: 'rafters', kind: 'rafters', title: 'Rafter centres', tape: 'along', lineMm: null,
    instruction: 'Mark at the eave and at the top, and snap. Those by spacing only are guesses until a pilot hole shows pale dust.',
    marks: rafters.map(rafter => ({ label: `Rafter ${rafter.number}`, mm: rafter.centreMm, note: rafter.state === 'found' ? 'Found' : 'By spacing only' })),
  })
}

function fixingSteps({ rails, fixings, parts }: MarkoutInput, make: StepMaker): MarkStep[] {
  return rails.map((rail, r) => make({
    id: `fixings-${rail.id}`, kind: 'fixings', title: `Fixings on rail ${rail.number}`, tape: 'along', lineMm: rail.yMm,
    instruction: `${parts.mount.name}. ${parts.mount.screw.pilot}. ${parts.mount.sealant}.`,
    marks: fixings.rails[r]!.fixings.map((fixing, i) => ({
      label: `Fixing ${i + 1}`, mm: fixing.xMm, note: fixing.state === 'found' ? fixing.member : `${fixing.member}, by spacing only: pilot first`,
    })),
  }))
}

function moduleSteps({ rows: { rows, moduleWidthMm }, rails }: MarkoutInput, make: StepMaker): MarkStep[] {
  return rows.flatMap((row) => {
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
        id: `electronics-row${row.index + 1}`, kind: 'electronics', title: `Electronics, row ${row.index + 1}`, tape: 'along', lineMm: upper?.yMm ?? null,
        instruction: 'On the upper rail, near the middle of each module, not under its junction box and not across two modules.',
        marks: row.moduleLeftsMm.map((leftMm, i) => ({ label: `Unit ${i + 1}`, mm: leftMm + moduleWidthMm / 2 })),
      }),
    ]
  })
}

function railEndSteps({ rails, sticks, face }: MarkoutInput, make: StepMaker): MarkStep[] {
  return rails.map(rail => make({
    id: `rail-ends-${rail.id}`, kind: 'rail-ends', title: `Splices and trim, rail ${rail.number}`, tape: 'along', lineMm: rail.yMm,
    instruction: face.array.trimTailMm > 0 ? 'Leave the rail long at both ends. Trim at the marks when the modules are on.' : 'Cut the rail to the marks before it goes up.',
    marks: [
      { label: 'Rail end, left', mm: rail.fromMm, note: 'Trim here' },
      ...sticks.splices.filter(splice => splice.railId === rail.id).map(splice => ({ label: 'Splice', mm: splice.xMm, note: 'Sticks meet here' })),
      { label: 'Rail end, right', mm: rail.toMm, note: 'Trim here' },
    ],
  }))
}
