import { coveringNames, wayUpNames } from '../../catalogue'
import { usualCovering } from '../../coverings'
import { type Cure, type DraftFinding, listed, plural } from '../../trade'
import { angle, count, words } from '../../units'
import { factsOf, type InRoofAsk, otherSystems, planOf, say, set } from './ask'

/** What lies round the array: a covering that the system is made for, with units whose courses the flashings find. */
export function coveringUnsuited(ask: InRoofAsk): DraftFinding[] {
  const { system } = planOf(ask)
  const { covering, id } = ask.face
  if (system.coverings.includes(covering.kind)) return []
  const bare = covering.kind === 'felt-and-battens'
  const made = listed(system.coverings.map(kind => coveringNames[kind].toLowerCase()))
  return [
    say(
      ask,
      'inroof-covering',
      'stop',
      bare
        ? `Nobody has said which tile or slate will lie round the array: ${system.name} finds its place by their courses.`
        : `${system.name} is made for ${made}, and here lies ${coveringNames[covering.kind].toLowerCase()}.`,
      {
        measured: words(coveringNames[covering.kind]),
        limit: words(made),
        propose: () =>
          bare
            ? system.coverings.map(kind => ({
                label: `${coveringNames[kind]} at usual sizes`,
                edit: { type: 'set-face', faceId: id, values: { covering: usualCovering(kind, ask.job.units === 'imperial') } },
              }))
            : otherSystems(ask, one => one.coverings.includes(covering.kind)),
      },
    ),
  ]
}

/** Pitch outside what the system was tested for, and what has to lie below it on a flat one. */
export function pitchUnsuited(ask: InRoofAsk): DraftFinding[] {
  const { system } = planOf(ask)
  const { pitchDeg } = ask.face
  if (pitchDeg < system.leastPitchDeg - 1e-9 || pitchDeg > system.greatestPitchDeg + 1e-9) {
    const low = pitchDeg < system.leastPitchDeg
    const limit = low ? system.leastPitchDeg : system.greatestPitchDeg
    return [
      say(
        ask,
        'inroof-pitch',
        'stop',
        `${system.name} is tight ${low ? 'from' : 'up to'} ${limit}°, and this face lies at ${pitchDeg.toFixed(1)}°: `
        + `water ${low ? 'runs back under its laps' : 'and snow are not what it was tested for'}.`,
        {
          measured: angle(pitchDeg),
          limit: angle(limit),
          propose: () => otherSystems(ask, one => pitchDeg >= one.leastPitchDeg && pitchDeg <= one.greatestPitchDeg),
        },
      ),
    ]
  }
  return pitchDeg < system.underlayBelowDeg
    ? [
        say(
          ask,
          'inroof-pitch',
          'caution',
          `At ${pitchDeg.toFixed(1)}° ${system.name} wants more below it than at ${system.underlayBelowDeg}° and over: ${system.underlay}.`,
          {
            measured: angle(pitchDeg),
            limit: angle(system.underlayBelowDeg),
          },
        ),
      ]
    : []
}

/** Ways up that the system does not take, and more rows than it was tested with. */
export function waysAndRows(ask: InRoofAsk): DraftFinding[] {
  const { system, parts } = planOf(ask)
  const { array, id } = ask.face
  const wrong = [...new Set([array.orientation, ...parts.map(part => part.orientation)])].filter(way => !system.waysUp.includes(way))
  const rows = array.rowCount ?? 0
  const [way] = system.waysUp
  const found: DraftFinding[] = []
  if (wrong.length) {
    found.push(
      say(ask, 'inroof-way', 'stop', `${system.name} takes modules ${listed(system.waysUp.map(one => wayUpNames[one].toLowerCase()))} only.`, {
        measured: words(wayUpNames[wrong[0]!]),
        limit: words(wayUpNames[way!]),
        propose: () => [
          {
            label: `${wayUpNames[way!]}, all of them`,
            edit: { type: 'batch', edits: [{ type: 'set-array', faceId: id, values: { orientation: way! } }, set(ask, { changeAtRow: null })] },
          },
        ],
      }),
    )
  }
  const { changeAtRow } = factsOf(ask)
  if (changeAtRow !== null && parts.length === 1) {
    found.push(
      say(
        ask,
        'inroof-turn',
        'caution',
        `Row ${changeAtRow} and those above were to lie the other way up; over the rows below, ${plural(system.changeCourses, 'course')} apart, `
        + 'there is no room for one. All are left out.',
        { propose: () => [{ label: 'Keep one way up', edit: set(ask, { changeAtRow: null }) }] },
      ),
    )
  }
  if (rows > system.mostRows) {
    found.push(
      say(
        ask,
        'inroof-rows',
        'stop',
        `${plural(rows, 'row')} are asked for; ${system.name} was tested with ${system.mostRows} at most. ${system.mostRows} are set out.`,
        {
          measured: count(rows, 'rows'),
          limit: count(system.mostRows, 'rows'),
          propose: () => [{ label: `Build ${plural(system.mostRows, 'row')}`, edit: { type: 'set-array', faceId: id, values: { rowCount: system.mostRows } } }],
        },
      ),
    )
  }
  return found
}

/** A module that was not tested with the system. */
export function notApproved(ask: InRoofAsk): DraftFinding[] {
  const {
    catalogue,
    face,
    plan: {
      parts: { module },
    },
  } = ask
  const { system, approval } = planOf(ask)
  if (approval) {
    return approval.fireClass === 'none'
      ? [
          say(
            ask,
            'inroof-fire',
            'caution',
            `${approval.test} of ${module.name} on ${system.name} says nothing of a fire from outside: `
            + 'ask the maker for the class of both together, and whoever approves the roof whether it will do.',
          ),
        ]
      : []
  }
  return [
    say(
      ask,
      'inroof-module',
      'stop',
      `Nothing on the shelf says that ${module.name} was tested with ${system.name}. `
      + `${system.kind === 'tray' ? 'Tray' : 'Frame'} and module are one covering: tightness, fire class and what it holds are those of the pair.`,
      {
        measured: words(module.name),
        limit: words('tested together'),
        propose: () => [
          ...catalogue.modules
            .filter(one => !one.retired && catalogue.approvals.some(own => !own.retired && own.systemId === system.id && own.moduleId === one.id))
            .map((one): Cure => ({ label: `Take ${one.name}`, edit: { type: 'set-array', faceId: face.id, values: { moduleId: one.id } } })),
          ...otherSystems(ask, one => catalogue.approvals.some(own => own.systemId === one.id && own.moduleId === module.id)),
        ],
      },
    ),
  ]
}
