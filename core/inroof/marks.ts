import { readingOn } from '../roof'
import { type Ask, listed, type MarkStep, plural, type StepMaker, writer } from '../trade'
import { length, words } from '../units'
import type { BattenAct } from './battens'
import type { InRoofLayout } from './layout'
import { courseBelow } from './edges'
import { laidOf } from './laid'

type Asked = Ask<InRoofLayout>

/** A lift's boards lie so far below the eave, and lifts so far apart, mm (common practice). */
const BELOW_EAVE_MM = 300
const LIFT_MM = 2000

/** Heights of the scaffold's boards over the ground, mm, the highest last. */
export function liftHeights(eaveHeightMm: number): number[] {
  const topMm = Math.max(0, eaveHeightMm - BELOW_EAVE_MM)
  const lifts = Math.max(1, Math.ceil(topMm / LIFT_MM))
  return Array.from({ length: lifts }, (_, i) => topMm - (lifts - 1 - i) * LIFT_MM).filter(mm => mm > 0)
}

export const scaffoldSteps = ({ face, plan }: Asked, make: StepMaker): MarkStep[] =>
  plan.inRoof?.parts.length
    ? [
        make({
          id: 'scaffold',
          kind: 'scaffold',
          title: 'Scaffold',
          tape: 'up',
          lineMm: null,
          marks: [],
          instruction:
            'Boards under the eave and edge protection round it before anybody opens the roof. Its builder inspects it and tags it; nobody works from the array.',
          checks: liftHeights(face.place.eaveHeightMm).map((mm, i, all) => ({
            label: i === all.length - 1 ? 'Boards below the eave, over the ground' : `Lift ${i + 1}, over the ground`,
            value: length(mm),
            note: 'common practice',
          })),
        }),
      ]
    : []

const actWords: Record<BattenAct, string> = { keep: 'stays', add: 'add', move: 'move', cut: 'cut out' }

/** Battens to add, move and cut, by their upper edges, each with where it begins and ends. */
export function battenSteps(ask: Asked, make: StepMaker): MarkStep[] {
  const { face, plan } = ask
  const battens = plan.inRoof?.battens
  if (!battens?.steps.length) return []
  const say = writer(ask)
  const along = (mm: number) => say(readingOn(face, 'along', mm))
  const acts = (['cut', 'move', 'add', 'keep'] as const).filter(act => battens.steps.some(one => one.act === act))
  return acts.map(act =>
    make({
      id: `battens-${act}`,
      kind: 'battens',
      title: { keep: 'Battens that carry', add: 'Battens to add', move: 'Battens to move', cut: 'Battens to cut out' }[act],
      tape: 'up',
      lineMm: null,
      instruction: {
        keep: 'They lie where modules are screwed: check each against its reading before anything covers it.',
        add: `Upper edges. Each ends on rafters, nailed to every one it crosses; ${battens.cuts.sticks.length ? `from ${plural(battens.cuts.sticks.length, 'length')} of ${say(battens.cuts.stockMm)}` : 'from stock'}.`,
        move: 'Saw beside rafters, lift, nail at the new height to every rafter.',
        cut: 'Saw clear of the felt: mark both ends, cut, draw the nails, leave both ends on a rafter.',
      }[act],
      marks: battens.steps.flatMap((one, i) =>
        one.act === act
          ? [
              {
                label: `Batten ${i + 1}: ${actWords[act]}`,
                mm: one.upperMm,
                key: `${act} ${one.course ?? ''} ${one.rows.join('+')} ${Math.round(one.fromMm)}`,
                note: [
                  `from ${along(one.fromMm)} to ${along(one.toMm)}, ${say(one.toMm - one.fromMm)} long`,
                  ...(one.rows.length ? [`carries row ${listed(one.rows.map(row => String(row + 1)))}`] : []),
                  ...(act === 'move' ? [`was at ${say(readingOn(face, 'up', one.wasMm))}`] : []),
                ].join(', '),
              },
            ]
          : [],
      ),
      checks:
        act === 'add'
          ? battens.cuts.sticks.map((stick, i) => ({
              label: `Length ${i + 1}, cut to`,
              value: words(stick.cuts.map(({ rail }) => say(battens.cuts.pieces[rail]!.toMm - battens.cuts.pieces[rail]!.fromMm)).join(' + ')),
              note: say(stick.mm),
            }))
          : [],
    }),
  )
}

/** Each piece of flashing where it begins, step by step, and what must be tight before anybody goes down. */
export function flashingSteps(ask: Asked, make: StepMaker): MarkStep[] {
  const { face, plan } = ask
  const { inRoof } = plan
  if (!inRoof?.parts.length) return []
  const say = writer(ask)
  const laid = laidOf(face)
  const below = laid && courseBelow(inRoof.system, laid, inRoof.parts[0]!.cells[0]!.bottomMm)
  const steps = inRoof.kit.steps.flatMap(({ number, words: what }) => {
    const pieces = inRoof.kit.pieces.filter(piece => piece.step === number && !piece.kind.startsWith('joint'))
    if (!pieces.length) return []
    return [
      make({
        id: `flashing-${number}`,
        kind: 'flashings',
        title: `Flashing, step ${number} of ${inRoof.kit.steps.length}`,
        tape: 'along',
        lineMm: null,
        instruction: `${what}.`,
        marks: pieces.map(piece => ({
          label: piece.mark,
          mm: Math.min(piece.from.x, piece.to.x),
          upMm: Math.min(piece.from.y, piece.to.y),
          key: `${piece.kind} ${Math.round(piece.from.x)} ${Math.round(piece.from.y)}`,
          note: [piece.name ?? piece.kind.replace('-', ' '), ...(piece.lengthMm === null ? [] : [`${say(piece.lengthMm)} long`])].join(', '),
        })),
      }),
    ]
  })
  return [
    ...steps,
    make({
      id: 'watertight',
      kind: 'flashings',
      title: 'Tight before a pause',
      tape: 'up',
      lineMm: null,
      marks: [],
      instruction: 'Nobody goes down with a row half flashed. If the array is not finished before rain, a break or the night:',
      checks: [
        { label: 'Bottom flashing', value: words('lapped and sealed'), note: `over ${below ? `course ${below.number}` : 'the course below'}` },
        { label: 'Row that is begun', value: words('finished or capped'), note: 'to its end with both sides, or taken back to the last joint' },
        { label: 'Upper edge of what is laid', value: words('covered'), note: 'a sheet under the felt or the course above, lapped over the modules and held' },
        { label: 'Holes in the felt', value: words('none open'), note: `cables: ${inRoof.system.cable}` },
      ],
    }),
  ]
}
