import { wayUpNames } from '../../catalogue'
import { type Cure, type DraftFinding, plural, writer } from '../../trade'
import { count, length } from '../../units'
import { COURSES_BELOW } from '../edges'
import { factsOf, fillAgain, findAgain, type InRoofAsk, otherSystems, planOf, say, set } from './ask'

/** No height at which the array begins and ends on courses, though modules would have room. */
export function gaugeUnsuited(ask: InRoofAsk): DraftFinding[] {
  const { system, parts } = planOf(ask)
  const {
    face,
    plan: { region, rows },
  } = ask
  if (parts.length || !region.length || face.array.rowCount === 0 || ask.plan.clear.most === 0 || !system.coverings.includes(face.covering.kind)) return []
  const tell = writer(ask)
  return [
    say(
      ask,
      'inroof-gauge',
      'stop',
      `No array of ${system.name} has room here: one module is ${tell(rows.moduleWidthMm)} by ${tell(rows.moduleHeightMm)} as it lies, `
      + `${COURSES_BELOW} courses go below it, and its apron has to lie ${tell(system.bottom.lapMm)} over a course below while the course above lies `
      + `${tell(system.top.lapMm)} over its head. With this gauge, or in what the keep-clear strips leave, no height does both.`,
      {
        propose: () => [
          ...system.waysUp
            .filter(way => way !== face.array.orientation)
            .map((way): Cure => ({
              label: `Modules ${wayUpNames[way].toLowerCase()}`,
              edit: { type: 'set-array', faceId: face.id, values: { orientation: way } },
            })),
          ...findAgain(ask),
          ...otherSystems(ask, () => true),
        ],
      },
    ),
  ]
}

/** Edges that lie on no course, by a typed height or a place left empty. */
export function offCourse(ask: InRoofAsk): DraftFinding[] {
  const { proof, system } = planOf(ask)
  const [worst] = [...proof.off].sort((a, b) => b.mm - a.mm)
  if (!worst) return []
  const tell = writer(ask)
  return [
    say(
      ask,
      'inroof-edge',
      'stop',
      worst.edge === 'bottom'
        ? `The lower edge of row ${worst.row + 1} is ${tell(worst.mm)} off every height at which its apron lies ${tell(system.bottom.lapMm)} over the course below.`
        : `The upper edge of row ${worst.row + 1} is ${tell(worst.mm)} off every height at which the course above lies ${tell(system.top.lapMm)} over its flashing.`,
      {
        about: { kind: 'row', index: worst.row },
        measured: length(worst.mm),
        limit: length(0),
        propose: () => [...(factsOf(ask).bottomMm !== null ? [{ label: 'Let the height be found', edit: set(ask, { bottomMm: null }) }] : []), ...fillAgain(ask)],
      },
    ),
  ]
}

/** Units beside the array that are cut to less than half. */
export function sliversLeft(ask: InRoofAsk): DraftFinding[] {
  const { tiles, proof, kit } = planOf(ask)
  if (!tiles?.slivers) return []
  const typed = proof.as === 'typed'
  // The search counts cuts round every hole; a cover set leaves none there, so that its fewest is not proved to be the fewest.
  const proved = proof.proved && !kit.windows.some(one => one.covers)
  const fewer = {
    found: `; with as many modules ${proved ? 'no origin on whole millimetres has fewer' : 'fewer were not found, which does not exclude them'}`,
    typed: '',
    wanted: '; fewer modules are wanted than fit, and an origin with fewer cuts was not looked for',
    emptied: '; places were left empty, and an origin with fewer cuts was not looked for',
  }[proof.as]
  return [
    say(
      ask,
      'inroof-slivers',
      typed ? 'caution' : 'note',
      `${plural(tiles.slivers, 'unit')} beside the array ${tiles.slivers === 1 ? 'is' : 'are'} cut to less than half${fewer}. `
      + 'Take one and a half units there, where they are made.',
      {
        measured: count(tiles.slivers, 'units'),
        limit: count(0, 'units'),
        propose: () => findAgain(ask),
      },
    ),
  ]
}

/** That more modules are not excluded, where not every origin was tried. */
export const notProved = (ask: InRoofAsk): DraftFinding[] =>
  planOf(ask).parts.length && !planOf(ask).proof.proved
    ? [
        say(
          ask,
          'inroof-proof',
          'note',
          factsOf(ask).changeAtRow !== null
            ? 'Each part of the array is the best by itself; that both together could hold more is not excluded.'
            : 'Not every origin was tried: more modules, or fewer cuts, are not excluded.',
        ),
      ]
    : []
