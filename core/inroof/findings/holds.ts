import { isUnheld } from '../../capacity'
import type { Edit } from '../../job'
import { type Cure, type DraftFinding, listed, plural, writer } from '../../trade'
import { count, force, formatQuantity, formatShare, words } from '../../units'
import { coverCheckWords, tickNames } from '../words'
import { factsOf, type InRoofAsk, otherSystems, planOf, say, set } from './ask'

/** What is asked of modules, screws, battens and nails beyond what they bear. */
export function overused(ask: InRoofAsk): DraftFinding[] {
  const { use, system } = planOf(ask)
  const { job, face } = ask
  return (use?.shares ?? [])
    .filter(one => one.share > 1 + 1e-9)
    .map((one): DraftFinding => {
      const { name, of } = coverCheckWords[one.check]
      const unheld = isUnheld(one.share)
      const nails = factsOf(ask).batten.nails
      const nailing = (values: Partial<typeof nails>): Edit => set(ask, { batten: { ...factsOf(ask).batten, nails: { ...nails, ...values } } })
      const cures = (): Cure[] => {
        if (one.check.startsWith('module') || one.check === 'screw') return otherSystems(ask, () => true)
        const deeper: Cure[]
          = 'battenDeepMm' in face.covering
            ? [{ label: 'Battens 50 mm deep', edit: { type: 'set-face', faceId: face.id, values: { covering: { ...face.covering, battenDeepMm: 50 } } } }]
            : []
        return one.check === 'batten-nails'
          ? [
              { label: 'Two nails a rafter', edit: nailing({ perRafter: 2 }) },
              {
                label: 'Ring-shank nails 3.1 x 80 mm, two a rafter, whose maker declares 6 N/mm²',
                edit: nailing({ kind: 'ring-shank', lengthMm: 80, faxMpa: 6, perRafter: 2 }),
              },
              ...deeper,
            ]
          : deeper
      }
      const rule = one.check === 'screw' ? use!.screwRule : one.check === 'batten-nails' ? use!.nailRule : 'the shelf has no test of it in this job’s rules'
      return say(
        ask,
        `inroof-strength:${one.check}`,
        'stop',
        unheld
          ? `Nothing is known that holds ${name} on ${system.name} here: ${rule}.`
          : `${name[0]!.toUpperCase()}${name.slice(1)} is at ${formatShare(one.share)}: ${formatQuantity(of(one.value), job.units)} of `
            + `${formatQuantity(of(one.limit), job.units)} under ${one.combination}. An array that is the covering takes the whole suction.`,
        {
          about: one.moduleId ? { kind: 'module', id: one.moduleId } : null,
          measured: unheld ? null : of(one.value),
          limit: unheld ? null : of(one.limit),
          propose: cures,
        },
      )
    })
}

/** Screws under which no batten lies, or that lie past the module: its system holds it higher than it reaches. */
export function looseScrews(ask: InRoofAsk): DraftFinding[] {
  const { battens, parts, system } = planOf(ask)
  const cells = new Map(parts.flatMap(part => part.cells).map(cell => [cell.id, cell]))
  const past = battens?.screws.filter(({ moduleId, yMm }) => yMm > cells.get(moduleId)!.topMm) ?? []
  const [first] = past
  if (first) {
    const { bottomMm, topMm } = cells.get(first.moduleId)!
    const tell = writer(ask)
    return [
      say(
        ask,
        'inroof-screws',
        'stop',
        `${system.name} holds a module ${tell(first.yMm - bottomMm)} above its lower edge, and this one reaches ${tell(topMm - bottomMm)} as it lies: `
        + `${plural(past.length, 'screw')} would miss it.`,
        {
          measured: count(past.length, 'screws'),
          limit: count(0, 'screws'),
          propose: () => otherSystems(ask, () => true),
        },
      ),
    ]
  }
  const loose = battens?.loose ?? []
  if (!loose.length) return []
  const edge = writer(ask)(system.screw.edgeMm)
  return [
    say(ask, 'inroof-screws', 'stop', `${plural(loose.length, 'screw')} would find no batten, or one whose edge is nearer than ${edge}.`, {
      measured: count(loose.length, 'screws'),
      limit: count(0, 'screws'),
      propose: () => [
        ...(factsOf(ask).battensRead.length ? [{ label: 'Set the battens’ readings aside', edit: set(ask, { battensRead: [] }) }] : []),
        ...otherSystems(ask, () => true),
      ],
    }),
  ]
}

/** "No wind uplift in-roof": relief that is asked for and whose conditions are not there; and what an engineer's pressures are taken for. */
export function reliefRefused(ask: InRoofAsk): DraftFinding[] {
  const { use, system } = planOf(ask)
  const left = use?.insideLeft
    ? [
        say(
          ask,
          'inroof-inside',
          'caution',
          'Nothing closed lies behind the array, and the pressures were typed: '
          + 'they are taken as net, and nothing is added for the house’s own pressure. Ask whoever gave them.',
        ),
      ]
    : []
  const refused = use?.refused
  if (!refused) return left
  const unticked = () => `${listed(refused.missing.map(one => `“${tickNames[one].toLowerCase()}”`))} ${refused.missing.length === 1 ? 'is' : 'are'} not ticked`
  const why = refused.typed
    ? 'the pressures that an engineer typed are net already'
    : refused.relief === 'test'
      ? `${system.name} has no test of pressure equalisation`
      : refused.missing.length
        ? unticked()
        : 'the clause is Europe’s and asks for a closed layer behind'
  return [
    ...left,
    say(ask, 'inroof-relief', 'stop', `An array in the roof has wind uplift like any covering: no relief is given, since ${why}.`, {
      measured: words(why),
      limit: words('named and ticked'),
      propose: () => [{ label: 'Count the whole suction', edit: set(ask, { relief: 'none', reliefTicks: [] }) }],
    }),
  ]
}

/** What pulls down the slope, where no test of the system says what it bears there: screws, battens on edge and nails are not worked out for it. */
export function slopeNotChecked(ask: InRoofAsk): DraftFinding[] {
  const { use, system } = planOf(ask)
  if (!use?.slopeLeft) return []
  const pull = formatQuantity(force(use.slopeLeft.n), ask.job.units)
  return [
    say(
      ask,
      'inroof-slope',
      'caution',
      `Weight and snow pull each module down the slope with up to ${pull} (${use.slopeLeft.combination}). What holds it there, screws across their length, battens on edge and their nails, `
      + `is not checked, since ${system.name} has no test for it on the shelf: ask its maker, and put the figure there.`,
      {
        measured: force(use.slopeLeft.n),
        propose: () => otherSystems(ask, one => one.holds.some(held => held.slopePa !== null)),
      },
    ),
  ]
}

/** Nobody has said what loads the roof. */
export const notChecked = (ask: InRoofAsk): DraftFinding[] =>
  planOf(ask).parts.length && !planOf(ask).use
    ? [
        say(
          ask,
          'inroof-unchecked',
          'caution',
          'Nobody has said what loads this roof: suction on modules, screws, battens and nails is not checked. '
          + 'It acts on an array in the roof as on any covering.',
        ),
      ]
    : []

/** What is heavier than the units it takes the place of: rafters were made for those. */
export function heavier(ask: InRoofAsk): DraftFinding[] {
  const {
    weight: { arrayKgM2, unitsKgM2 },
  } = planOf(ask)
  if (!planOf(ask).parts.length || unitsKgM2 === null || arrayKgM2 <= unitsKgM2) return []
  const [array, units] = [arrayKgM2, unitsKgM2].map(one => `${one.toFixed(0)} kg/m²`) as [string, string]
  return [
    say(ask, 'inroof-weight', 'caution', `The array weighs ${array} and the units it takes the place of ${units}: have the rafters looked at.`, {
      measured: words(array),
      limit: words(units),
    }),
  ]
}
