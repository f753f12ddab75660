import { type DraftFinding, plural, writer } from '../../trade'
import { count, length } from '../../units'
import { boxOf, clearBetween } from '../cells'
import { setFor } from '../kit'
import { factsOf, fillAgain, findAgain, type InRoofAsk, leaveOut, otherSystems, planOf, say, set } from './ask'

/** Windows nearer than the kit allows, or at a distance that neither a cover set nor units of the covering fill. */
export function windowTrouble(ask: InRoofAsk): DraftFinding[] {
  const { kit, system } = planOf(ask)
  const tell = writer(ask)
  return kit.windows
    .filter(one => one.trouble)
    .map((one): DraftFinding => {
      const window = ask.face.obstructions.find(own => own.id === one.id)!
      const gaps = one.gaps
      const sentence
        = one.trouble === 'near'
          ? `A module stands nearer than ${tell(system.window.nearMm)} to the roof window: ${system.name} has no piece that narrow.`
          : one.trouble === 'no-set'
            ? `${system.name} has no cover set for a window of ${tell(window.widthMm)} by ${tell(window.heightMm)}, and units of the covering need ${tell(system.window.tiledMm)} round it.`
            : `Round the roof window lie ${tell(gaps!.leastMm)} to ${tell(gaps!.mostMm)}: a cover set bridges ${tell(system.window.farMm)} at most `
              + `and needs the hole to itself, and units of the covering need ${tell(system.window.tiledMm)} on every side.`
      const reach = one.trouble === 'near' ? system.window.nearMm : system.window.tiledMm
      return say(ask, `inroof-window:${one.id}`, 'stop', sentence, {
        about: { kind: 'obstruction', id: one.id },
        measured: gaps ? length(gaps.leastMm) : null,
        limit: length(reach),
        propose: () => [
          ...findAgain(ask),
          ...leaveOut(ask, cell => clearBetween(cell, boxOf(window)) < reach),
          ...otherSystems(ask, other => setFor(other, window) !== undefined),
        ],
      })
    })
}

/** Corners that the kit does not have. */
export function noCorner(ask: InRoofAsk): DraftFinding[] {
  const { kit, system } = planOf(ask)
  const inner = system.innerCorners ? [] : kit.pieces.filter(piece => piece.kind === 'inner-corner')
  if (!inner.length && !kit.pinches.length) return []
  const fill = fillAgain(ask)
  const [pinch] = kit.pinches
  return [
    say(
      ask,
      'inroof-corner',
      'stop',
      pinch
        ? `Two modules meet at a corner only: no kit has a piece for that. Leave one of them out, or fill the place beside them.`
        : `The outline turns inwards ${plural(inner.length, 'time')}, and ${system.name} has no inner corner: it makes rectangles only.`,
      {
        measured: count(pinch ? kit.pinches.length : inner.length, 'corners'),
        limit: count(0, 'corners'),
        propose: () => [
          ...fill,
          ...(pinch
            ? leaveOut(ask, cell => Math.abs(cell.topMm - pinch.y) < 1 && (Math.abs(cell.rightMm - pinch.x) < 1 || Math.abs(cell.leftMm - pinch.x) < 1))
            : []),
          ...otherSystems(ask, one => one.innerCorners && !pinch),
        ],
      },
    ),
  ]
}

/** Arrays, or parts of one, that stand too near for two flashings. */
export function tooClose(ask: InRoofAsk): DraftFinding[] {
  const { system, kit } = planOf(ask)
  const outer = kit.loops.filter(loop => !loop.hole)
  let least = Infinity
  outer.forEach((a, i) =>
    outer.slice(i + 1).forEach((b) => {
      for (const one of a.runs.flatMap(run => run.cells))
        for (const other of b.runs.flatMap(run => run.cells)) {
          least = Math.min(least, clearBetween(one, other))
        }
    }),
  )
  if (!(least < system.apartMm - 0.5)) return []
  const tell = writer(ask)
  return [
    say(ask, 'inroof-close', 'stop', `Two arrays stand ${tell(least)} apart: each has its own flashing, and units between them need ${tell(system.apartMm)}.`, {
      measured: length(least),
      limit: length(system.apartMm),
      propose: () => [...(factsOf(ask).changeAtRow !== null ? [{ label: 'Keep one way up', edit: set(ask, { changeAtRow: null }) }] : []), ...fillAgain(ask)],
    }),
  ]
}
