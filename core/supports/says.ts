import { common, lineAcross, type Point, type Region, stretchesAt } from '../geometry'
import { shapeOf } from '../roof'
import { type Ask, type FaceSays, isAcross, type Layer, type MarkDraft, type Selectable, shape, signOf, type TapePlace, type Tone } from '../trade'
import { rafterGuess } from './assumed'
import { carried, clashes, outside, rivalSpacing, tooFewHits, waitingFit, wrongHits } from './findings'
import type { SupportsLayout } from './layout'
import type { SupportState } from './places'
import { type Rafter, rafterAt } from './rafter'

const tones: Record<SupportState, Tone> = { proved: 'plain', inferred: 'inferred', guessed: 'guessed' }
const box = (fromX: number, toX: number, fromY: number, toY: number): Region => [[{ x: fromX, y: fromY }, { x: toX, y: fromY }, { x: toX, y: toY }, { x: fromX, y: toY }]]

const toggle = { name: 'Rafters', key: 'r', on: true }

/** What fixings go into, at true width. */
const drawn: Layer<Ask<SupportsLayout>> = {
  id: 'supports', toggle, depth: 20,
  style: { fill: '#dcbb8a', stroke: '#a07a41', width: 0.6, text: 6, ink: '#22272e', dxfColour: 42, paper: { fill: '#ecd9bd' } },
  shapes: ({ plan: { supports, shape: { region, up } } }) => {
    const banded = (areas: Region) => common(areas, region)
    const upFrom = (from: Point, to: Point) => lineAcross({ from, to }, region)
    return [
      ...supports.rafters.flatMap((rafter) => {
        const half = rafter.widthMm / 2
        const [low, high] = [rafterAt(rafter, up.fromMm), rafterAt(rafter, up.toMm)]
        const band = banded([[{ x: low - half, y: up.fromMm }, { x: low + half, y: up.fromMm }, { x: high + half, y: up.toMm }, { x: high - half, y: up.toMm }]])
        const ref = { kind: 'rafter' as const, number: rafter.number }
        return [
          shape({ kind: 'area', rings: band }, ref, tones[rafter.state]),
          shape({ kind: 'text', at: { x: rafter.centreMm, y: up.fromMm }, text: String(rafter.number), roomMm: 0 }, ref),
        ]
      }),
      ...supports.across.flatMap(line => stretchesAt(region, line.centreMm).map(({ fromMm, toMm }) => shape({
        kind: 'area',
        rings: box(fromMm, toMm, line.centreMm - line.widthMm / 2, line.centreMm + line.widthMm / 2),
      }, null, tones[line.state]))),
      ...supports.seams.flatMap(({ xMm }) => {
        const on = upFrom({ x: xMm, y: up.fromMm }, { x: xMm, y: up.toMm })
        return on ? [shape({ kind: 'line', ...on })] : []
      }),
      ...supports.screws.rowsMm.flatMap(y => supports.screws.xMm.map(x => shape({ kind: 'dot', at: { x, y } }))),
      ...supports.areas.map(({ along, up: height }) => shape({ kind: 'area', rings: box(along.fromMm, along.toMm, height.fromMm, height.toMm) }, null, 'inferred')),
    ]
  },
}

/** Where rafters run under the modules. */
const under: Layer<Ask<SupportsLayout>> = {
  id: 'support-lines', toggle, depth: 45, screenOnly: true, style: { fill: null, stroke: '#c8a063', width: 0.6, dash: [2, 3.3], text: 0, ink: '#22272e', dxfColour: 42 },
  shapes: ({ plan: { supports, shape: { region, up } } }) => supports.rafters.flatMap((rafter) => {
    const on = lineAcross({ from: { x: rafterAt(rafter, up.fromMm), y: up.fromMm }, to: { x: rafterAt(rafter, up.toMm), y: up.toMm } }, region)
    return on ? [shape({ kind: 'line', ...on })] : []
  }),
}

/** A rafter that leans by less than this from eave to top is one reading, mm. */
const LEANS_FROM_MM = 1.5
const notes: Record<SupportState, string> = { proved: 'Proved', inferred: 'Inferred: pilot first', guessed: 'Guessed: pilot first' }

function rafterMarks(rafter: Rafter, region: Region, topMm: number): MarkDraft[] {
  const plain = { label: `Rafter ${rafter.number}`, mm: rafter.centreMm, note: notes[rafter.state], of: { kind: 'rafter' as const, number: rafter.number } }
  const on = lineAcross({ from: { x: rafter.centreMm, y: 0 }, to: { x: rafterAt(rafter, topMm), y: topMm } }, region)
  if (!on || Math.abs(on.to.x - on.from.x) < LEANS_FROM_MM) return [plain]
  const [low, high] = [on.from, on.to].sort((a, b) => a.y - b.y)
  return [{ ...plain, label: `${plain.label}, lower point`, mm: low!.x, upMm: low!.y }, { ...plain, label: `${plain.label}, upper point`, mm: high!.x, upMm: high!.y }]
}

const onTape = (rafter: Rafter): TapePlace => ({ placeMm: rafter.centreMm, label: `Rafter ${rafter.number} at the eave`, tone: 'rafter', sdMm: rafter.sdMm })

function allPlaces({ supports }: SupportsLayout): { along: TapePlace[], up: TapePlace[] } {
  const timber = (placeMm: number, label: string): TapePlace => ({ placeMm, label, tone: 'rafter' })
  return {
    along: [
      ...supports.rafters.map(onTape),
      ...supports.seams.map(seam => timber(seam.xMm, `Seam ${seam.number}`)),
      ...[supports.screws.xMm[0], supports.screws.xMm.at(-1)].flatMap((placeMm, i) => placeMm === undefined ? [] : [timber(placeMm, `${i ? 'Last' : 'First'} screw`)]),
      ...supports.areas.flatMap(area => [timber(area.along.fromMm, 'Sheathing, left edge'), timber(area.along.toMm, 'Sheathing, right edge')]),
    ],
    up: [
      ...supports.across.map((line): TapePlace => ({ ...timber(line.centreMm, line.name), sdMm: line.sdMm })),
      ...supports.screws.rowsMm.map(placeMm => timber(placeMm, 'Row of screws')),
      ...supports.areas.flatMap(area => [timber(area.up.fromMm, 'Sheathing, lower edge'), timber(area.up.toMm, 'Sheathing, upper edge')]),
    ],
  }
}

/** A rafter can be pushed along where its place is typed; elsewhere the hit log says where it is. */
const oneRafter = ({ face }: Ask<SupportsLayout>, rafter: Rafter): Selectable => ({
  ref: { kind: 'rafter', number: rafter.number }, name: `Rafter ${rafter.number}, ${rafter.state}`, stage: 'rafters', places: () => ({ along: [onTape(rafter)], up: [] }),
  nudge: (direction, push) => face.supports.kind === 'rafters' && face.supports.layout === 'nominal' && isAcross(direction) && push !== 'snap'
    ? { type: 'move-rafter', faceId: face.id, rafter: rafter.number, centreMm: rafter.centreMm + signOf(direction) * push }
    : null,
})

/** What fixings go into: how well it is known, and where it is marked. */
export const supports = {
  findings: {
    'rafter-guess': rafterGuess,
    'rafter-clash': clashes, 'rafters-carried': carried, 'rafter-outside': outside, 'hits-few': tooFewHits, 'fit-waits': waitingFit, 'hit-wrong': wrongHits, 'fit-rival': rivalSpacing,
  },
  marks: {
    supports: ({ face, plan: { supports: { rafters, across, seams, screws } } }, make) => {
      const { region, up: { toMm: topMm } } = shapeOf(face.outline)
      const base = { kind: 'supports' as const, lineMm: null }
      return [
        make({
          ...base, id: 'rafters', title: 'Rafter centres', tape: 'along',
          instruction: 'Mark at the eave and at the top, and snap. Those inferred or guessed are not timber until a pilot hole shows pale dust.',
          marks: rafters.flatMap(rafter => rafterMarks(rafter, region, topMm)),
        }),
        make({
          ...base,
          id: 'across',
          title: 'Lines of timber across',
          tape: 'up',
          instruction: 'Snap each centre line across the face.',
          marks: across.map(line => ({ label: line.name, mm: line.centreMm, note: notes[line.state] })),
        }),
        make({
          ...base,
          id: 'seams',
          title: 'Seams',
          tape: 'along',
          instruction: 'Count the seams off from the datum: clamps go on these.',
          marks: seams.map(seam => ({ label: `Seam ${seam.number}`, mm: seam.xMm })),
        }),
        make({
          ...base,
          id: 'screw-rows',
          title: 'Rows of screws',
          tape: 'up',
          instruction: 'Rails run over these rows: a foot takes the place of a screw.',
          marks: screws.rowsMm.map((mm, i) => ({ label: `Row of screws ${i + 1}`, mm })),
        }),
      ]
    },
  },
  layers: [drawn, under],
  selectable: ask => [{ ref: { kind: 'rafters' }, name: 'What it is fixed to', stage: 'rafters', places: () => allPlaces(ask.plan) }, ...ask.plan.supports.rafters.map(rafter => oneRafter(ask, rafter))],
} satisfies FaceSays<SupportsLayout>
