import { lineAcross, type Region } from '../geometry'
import { shapeOf } from '../roof'
import type { FaceSays, MarkDraft } from '../trade'
import { rafterGuess } from './assumed'
import { carried, clashes, outside, rivalSpacing, tooFewHits, waitingFit, wrongHits } from './findings'
import type { SupportsLayout } from './layout'
import type { SupportState } from './places'
import { type Rafter, rafterAt } from './rafter'
import { supportsShown } from './shown'

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

/** What fixings go into: how well it is known, and where it is marked. */
export const supports = {
  ...supportsShown,
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
} satisfies FaceSays<SupportsLayout>
