import { coveringNames, offered, wayUpNames } from '../catalogue'
import { isUnheld } from '../capacity'
import { type ArrivalThing, arrivalThings, type Edit, type InRoofFacts, plainRow } from '../job'
import { type Cure, type DraftFinding, type FindingAsk, listed, onFace, plural, writer } from '../trade'
import { angle, count, formatQuantity, formatShare, length, words } from '../units'
import { usualCovering } from '../coverings'
import { COURSES_BELOW } from './edges'
import { gaugesRead } from './laid'
import type { InRoofLayout, InRoofPlan } from './layout'
import { askedOf, coverCheckWords, thingNames, tickNames } from './words'

export type InRoofAsk = FindingAsk<InRoofLayout>

const STAGE = 'covering'
/** What is wrong with an in-roof array, one finding of a kind. */
const say = (ask: InRoofAsk, id: string, severity: DraftFinding['severity'], sentence: string, more: Partial<DraftFinding> = {}): DraftFinding => ({ ...onFace(ask, STAGE, id), severity, sentence, ...more })
const plan = (ask: InRoofAsk): InRoofPlan => ask.plan.inRoof!
const facts = (ask: InRoofAsk): InRoofFacts => ask.face.inRoof!
const set = ({ face }: InRoofAsk, values: Partial<Omit<InRoofFacts, 'tasks'>>): Edit => ({ type: 'set-in-roof', faceId: face.id, values })

/** Other systems on the shelf, each with a module that was tested on it where the chosen one was not. */
function otherSystems(ask: InRoofAsk, does: (system: InRoofPlan['system']) => boolean): Cure[] {
  const { catalogue, face } = ask
  return offered(catalogue.inRoofs).filter(one => one.id !== plan(ask).system.id && does(one)).map((one): Cure => {
    const tested = offered(catalogue.approvals).filter(approval => approval.systemId === one.id)
    const module = tested.some(approval => approval.moduleId === face.array.moduleId) ? null : catalogue.modules.find(own => !own.retired && tested.some(approval => approval.moduleId === own.id))
    const edit = set(ask, { systemId: one.id })
    return module
      ? { label: `Take ${one.name} with ${module.name}`, edit: { type: 'batch', edits: [edit as Extract<Edit, { type: 'set-in-roof' }>, { type: 'set-array', faceId: face.id, values: { moduleId: module.id } }] } }
      : { label: `Take ${one.name}`, edit }
  })
}

/** What lies round the array: a covering that the system is made for, with units whose courses the flashings find. */
export function coveringUnsuited(ask: InRoofAsk): DraftFinding[] {
  const { system } = plan(ask)
  const { covering, id } = ask.face
  if (system.coverings.includes(covering.kind)) return []
  const bare = covering.kind === 'felt-and-battens'
  return [say(ask, 'inroof-covering', 'stop', bare
    ? `Nobody has said which tile or slate will lie round the array: ${system.name} finds its place by their courses.`
    : `${system.name} is made for ${listed(system.coverings.map(kind => coveringNames[kind].toLowerCase()))}, and here lies ${coveringNames[covering.kind].toLowerCase()}.`, {
    measured: words(coveringNames[covering.kind]), limit: words(listed(system.coverings.map(kind => coveringNames[kind].toLowerCase()))),
    propose: () => bare
      ? system.coverings.map(kind => ({ label: `${coveringNames[kind]} at usual sizes`, edit: { type: 'set-face', faceId: id, values: { covering: usualCovering(kind, ask.job.units === 'imperial') } } }))
      : otherSystems(ask, one => one.coverings.includes(covering.kind)),
  })]
}

/** Pitch outside what the system was tested for, and what has to lie below it on a flat one. */
export function pitchUnsuited(ask: InRoofAsk): DraftFinding[] {
  const { system } = plan(ask)
  const { pitchDeg } = ask.face
  if (pitchDeg < system.leastPitchDeg - 1e-9 || pitchDeg > system.greatestPitchDeg + 1e-9) {
    const low = pitchDeg < system.leastPitchDeg
    return [say(ask, 'inroof-pitch', 'stop', `${system.name} is tight ${low ? `from ${system.leastPitchDeg}°` : `up to ${system.greatestPitchDeg}°`}, and this face lies at ${pitchDeg.toFixed(1)}°: water ${low ? 'runs back under its laps' : 'and snow are not what it was tested for'}.`, {
      measured: angle(pitchDeg), limit: angle(low ? system.leastPitchDeg : system.greatestPitchDeg), propose: () => otherSystems(ask, one => pitchDeg >= one.leastPitchDeg && pitchDeg <= one.greatestPitchDeg),
    })]
  }
  return pitchDeg < system.underlayBelowDeg
    ? [say(ask, 'inroof-pitch', 'caution', `At ${pitchDeg.toFixed(1)}° ${system.name} wants more below it than at ${system.underlayBelowDeg}° and over: ${system.underlay}.`, { measured: angle(pitchDeg), limit: angle(system.underlayBelowDeg) })]
    : []
}

/** Ways up that the system does not take, and more rows than it was tested with. */
export function waysAndRows(ask: InRoofAsk): DraftFinding[] {
  const { system, parts } = plan(ask)
  const { array, id } = ask.face
  const wrong = [...new Set([array.orientation, ...parts.map(part => part.orientation)])].filter(way => !system.waysUp.includes(way))
  const over = (array.rowCount ?? 0) > system.mostRows
  return [
    ...wrong.length
      ? [say(ask, 'inroof-way', 'stop', `${system.name} takes modules ${listed(system.waysUp.map(way => wayUpNames[way].toLowerCase()))} only.`, { measured: words(wayUpNames[wrong[0]!]), limit: words(wayUpNames[system.waysUp[0]!]), propose: () => [
          { label: `${wayUpNames[system.waysUp[0]!]}, all of them`, edit: { type: 'batch', edits: [{ type: 'set-array', faceId: id, values: { orientation: system.waysUp[0]! } }, { type: 'set-in-roof', faceId: id, values: { changeAtRow: null } }] } },
        ] })]
      : [],
    ...facts(ask).changeAtRow !== null && parts.length === 1 ? [say(ask, 'inroof-turn', 'caution', `Row ${facts(ask).changeAtRow} and those above were to lie the other way up; over the rows below, ${plural(system.changeCourses, 'course')} apart, there is no room for one. All are left out.`, { propose: () => [{ label: 'Keep one way up', edit: set(ask, { changeAtRow: null }) }] })] : [],
    ...over ? [say(ask, 'inroof-rows', 'stop', `${plural(array.rowCount!, 'row')} are asked for; ${system.name} was tested with ${system.mostRows} at most. ${system.mostRows} are set out.`, { measured: count(array.rowCount!, 'rows'), limit: count(system.mostRows, 'rows'), propose: () => [{ label: `Build ${plural(system.mostRows, 'row')}`, edit: { type: 'set-array', faceId: id, values: { rowCount: system.mostRows } } }] })] : [],
  ]
}

/** A module that was not tested with the system. */
export function notApproved(ask: InRoofAsk): DraftFinding[] {
  const { catalogue, face, plan: { parts: { module } } } = ask
  const { system, approval } = plan(ask)
  if (approval) return approval.fireClass === 'none' ? [say(ask, 'inroof-fire', 'caution', `${approval.test} of ${module.name} on ${system.name} says nothing of a fire from outside: ask the maker for the class of both together, and whoever approves the roof whether it will do.`)] : []
  return [say(ask, 'inroof-module', 'stop', `Nothing on the shelf says that ${module.name} was tested with ${system.name}. ${system.kind === 'tray' ? 'Tray' : 'Frame'} and module are one covering: tightness, fire class and what it holds are those of the pair.`, {
    measured: words(module.name), limit: words('tested together'),
    propose: () => [
      ...catalogue.modules.filter(one => !one.retired && catalogue.approvals.some(own => !own.retired && own.systemId === system.id && own.moduleId === one.id))
        .map((one): Cure => ({ label: `Take ${one.name}`, edit: { type: 'set-array', faceId: face.id, values: { moduleId: one.id } } })),
      ...otherSystems(ask, one => catalogue.approvals.some(own => own.systemId === one.id && own.moduleId === module.id)),
    ],
  })]
}

/** No height at which the array begins and ends on courses, though modules would have room. */
export function gaugeUnsuited(ask: InRoofAsk): DraftFinding[] {
  const { system, parts } = plan(ask)
  const { face, plan: { region, rows } } = ask
  if (parts.length || !region.length || face.array.rowCount === 0 || ask.plan.clear.most === 0 || !system.coverings.includes(face.covering.kind)) return []
  const tell = writer(ask)
  return [say(ask, 'inroof-gauge', 'stop', `No array of ${system.name} has room here: one module is ${tell(rows.moduleWidthMm)} by ${tell(rows.moduleHeightMm)} as it lies, ${COURSES_BELOW} courses go below it, and its apron has to lie ${tell(system.bottom.lapMm)} over a course below while the course above lies ${tell(system.top.lapMm)} over its head. With this gauge, or in what the keep-clear strips leave, no height does both.`, {
    propose: () => [
      ...system.waysUp.filter(way => way !== face.array.orientation).map((way): Cure => ({ label: `Modules ${wayUpNames[way].toLowerCase()}`, edit: { type: 'set-array', faceId: face.id, values: { orientation: way } } })),
      ...facts(ask).bottomMm !== null || facts(ask).leftMm !== null ? [{ label: 'Let the origin be found', edit: set(ask, { bottomMm: null, leftMm: null }) }] : [],
      ...otherSystems(ask, () => true),
    ],
  })]
}

/** Edges that lie on no course, by a typed height or a place left empty. */
export function offCourse(ask: InRoofAsk): DraftFinding[] {
  const { proof, system } = plan(ask)
  const [worst] = [...proof.off].sort((a, b) => b.mm - a.mm)
  if (!worst) return []
  const tell = writer(ask)
  const { face } = ask
  return [say(ask, 'inroof-edge', 'stop', worst.edge === 'bottom'
    ? `The lower edge of row ${worst.row + 1} is ${tell(worst.mm)} off every height at which its apron lies ${tell(system.bottom.lapMm)} over the course below.`
    : `The upper edge of row ${worst.row + 1} is ${tell(worst.mm)} off every height at which the course above lies ${tell(system.top.lapMm)} over its flashing.`, {
    about: { kind: 'row', index: worst.row }, measured: length(worst.mm), limit: length(0),
    propose: () => [
      ...facts(ask).bottomMm !== null ? [{ label: 'Let the height be found', edit: set(ask, { bottomMm: null }) }] : [],
      ...face.array.rows.flatMap((row, index): Cure[] => row.skip.length ? [{ label: `Fill row ${index + 1} again`, edit: { type: 'set-row', faceId: face.id, row: index, values: { skip: [] } } }] : []),
    ],
  })]
}

/** A cure that leaves out the modules nearest to a window. */
function leaveOut(ask: InRoofAsk, near: (cell: InRoofPlan['parts'][number]['cells'][number]) => boolean): Cure[] {
  const byRow = new Map<number, number[]>()
  for (const part of plan(ask).parts) for (const cell of part.cells) if (near(cell)) {
    const row = part.firstRow + cell.row
    const placed = part.cells.filter(one => one.row === cell.row).sort((a, b) => a.column - b.column).indexOf(cell) + 1
    // Places are counted over the row as it was before any was left out.
    const skip = ask.face.array.rows[row]?.skip ?? []
    let place = 0
    for (let seen = 0; seen < placed;) if (!skip.includes(++place)) seen++
    byRow.set(row, [...byRow.get(row) ?? [], place])
  }
  if (!byRow.size) return []
  const edits = [...byRow].map(([row, places]) => ({ type: 'set-row' as const, faceId: ask.face.id, row, values: { skip: [...(ask.face.array.rows[row] ?? plainRow).skip, ...places].sort((a, b) => a - b) } }))
  return [{ label: `Leave out ${plural([...byRow.values()].flat().length, 'module')}`, edit: { type: 'batch', edits } }]
}

/** Windows nearer than the kit allows, or at a distance that neither a cover set nor units of the covering fill. */
export function windowTrouble(ask: InRoofAsk): DraftFinding[] {
  const { kit, system } = plan(ask)
  const tell = writer(ask)
  return kit.windows.filter(one => one.trouble).map((one): DraftFinding => {
    const window = ask.face.obstructions.find(own => own.id === one.id)!
    const gaps = one.gaps
    const sentence = one.trouble === 'near'
      ? `A module stands nearer than ${tell(system.window.nearMm)} to the roof window: ${system.name} has no piece that narrow.`
      : one.trouble === 'no-set'
        ? `${system.name} has no cover set for a window of ${tell(window.widthMm)} by ${tell(window.heightMm)}, and units of the covering need ${tell(system.window.tiledMm)} round it.`
        : `Round the roof window lie ${tell(gaps!.leastMm)} to ${tell(gaps!.mostMm)}: a cover set bridges ${tell(system.window.farMm)} at most and needs the hole to itself, and units of the covering need ${tell(system.window.tiledMm)} on every side.`
    const reach = one.trouble === 'near' ? system.window.nearMm : system.window.tiledMm
    return say(ask, `inroof-window:${one.id}`, 'stop', sentence, {
      about: { kind: 'obstruction', id: one.id }, measured: gaps ? length(gaps.leastMm) : null, limit: length(reach),
      propose: () => [
        ...facts(ask).leftMm !== null || facts(ask).bottomMm !== null ? [{ label: 'Let the origin be found', edit: set(ask, { leftMm: null, bottomMm: null }) }] : [],
        ...leaveOut(ask, cell => Math.hypot(Math.max(cell.leftMm - window.xMm - window.widthMm / 2, window.xMm - window.widthMm / 2 - cell.rightMm, 0), Math.max(cell.bottomMm - window.yMm - window.heightMm / 2, window.yMm - window.heightMm / 2 - cell.topMm, 0)) < reach),
        ...otherSystems(ask, other => other.windowSets.some(own => window.widthMm >= own.wideFromMm && window.widthMm <= own.wideToMm && window.heightMm >= own.highFromMm && window.heightMm <= own.highToMm)),
      ],
    })
  })
}

/** Corners that the kit does not have. */
export function noCorner(ask: InRoofAsk): DraftFinding[] {
  const { kit, system, parts } = plan(ask)
  const inner = system.innerCorners ? [] : kit.pieces.filter(piece => piece.kind === 'inner-corner')
  if (!inner.length && !kit.pinches.length) return []
  const fill = ask.face.array.rows.flatMap((row, index): Cure[] => row.skip.length ? [{ label: `Fill row ${index + 1} again`, edit: { type: 'set-row', faceId: ask.face.id, row: index, values: { skip: [] } } }] : [])
  const [pinch] = kit.pinches
  return [say(ask, 'inroof-corner', 'stop', pinch
    ? `Two modules meet at a corner only: no kit has a piece for that. Leave one of them out, or fill the place beside them.`
    : `The outline turns inwards ${plural(inner.length, 'time')}, and ${system.name} has no inner corner: it makes rectangles only.`, {
    measured: count(pinch ? kit.pinches.length : inner.length, 'corners'), limit: count(0, 'corners'),
    propose: () => [
      ...fill, ...pinch ? leaveOut(ask, cell => parts.length > 0 && Math.abs(cell.topMm - pinch.y) < 1 && (Math.abs(cell.rightMm - pinch.x) < 1 || Math.abs(cell.leftMm - pinch.x) < 1)) : [], ...otherSystems(ask, one => one.innerCorners && !pinch),
    ],
  })]
}

/** Arrays, or parts of one, that stand too near for two flashings. */
export function tooClose(ask: InRoofAsk): DraftFinding[] {
  const { system, kit } = plan(ask)
  const outer = kit.loops.filter(loop => !loop.hole)
  let least = Infinity
  outer.forEach((a, i) => outer.slice(i + 1).forEach((b) => {
    for (const one of a.runs.flatMap(run => run.cells)) for (const other of b.runs.flatMap(run => run.cells)) {
      least = Math.min(least, Math.hypot(Math.max(one.leftMm - other.rightMm, other.leftMm - one.rightMm, 0), Math.max(one.bottomMm - other.topMm, other.bottomMm - one.topMm, 0)))
    }
  }))
  if (!(least < system.apartMm - 0.5)) return []
  const tell = writer(ask)
  return [say(ask, 'inroof-close', 'stop', `Two arrays stand ${tell(least)} apart: each has its own flashing, and units between them need ${tell(system.apartMm)}.`, {
    measured: length(least), limit: length(system.apartMm),
    propose: () => [
      ...facts(ask).changeAtRow !== null ? [{ label: 'Keep one way up', edit: set(ask, { changeAtRow: null }) }] : [],
      ...ask.face.array.rows.flatMap((row, index): Cure[] => row.skip.length ? [{ label: `Fill row ${index + 1} again`, edit: { type: 'set-row', faceId: ask.face.id, row: index, values: { skip: [] } } }] : []),
    ],
  })]
}

/** Units beside the array that are cut to less than half. */
export function sliversLeft(ask: InRoofAsk): DraftFinding[] {
  const { tiles, proof, kit } = plan(ask)
  if (!tiles?.slivers) return []
  const own = facts(ask).leftMm !== null
  // The search counts cuts round every hole; a cover set leaves none there, so that its fewest is not proved to be the fewest.
  const proved = proof.proved && !kit.windows.some(one => one.covers)
  return [say(ask, 'inroof-slivers', own ? 'caution' : 'note', `${plural(tiles.slivers, 'unit')} beside the array ${tiles.slivers === 1 ? 'is' : 'are'} cut to less than half${own ? '' : `; with as many modules ${proved ? 'no origin has fewer' : 'fewer were not found, which does not exclude them'}`}. Take one and a half units there, where they are made.`, {
    measured: count(tiles.slivers, 'units'), limit: count(0, 'units'), propose: () => own ? [{ label: 'Let the side be found', edit: set(ask, { leftMm: null }) }] : [],
  })]
}

/** That more modules are not excluded, where not every origin was tried. */
export const notProved = (ask: InRoofAsk): DraftFinding[] => plan(ask).parts.length && !plan(ask).proof.proved
  ? [say(ask, 'inroof-proof', 'note', facts(ask).changeAtRow !== null ? 'Each part of the array is the best by itself; that both together could hold more is not excluded.' : 'Not every origin was tried: more modules, or fewer cuts, are not excluded.')]
  : []

/** What is asked of modules, screws, battens and nails beyond what they bear. */
export function overused(ask: InRoofAsk): DraftFinding[] {
  const { use, system } = plan(ask)
  const { job, face } = ask
  return (use?.shares ?? []).filter(one => one.share > 1 + 1e-9).map((one): DraftFinding => {
    const { name, of } = coverCheckWords[one.check]
    const unheld = isUnheld(one.share)
    const nails = facts(ask).batten.nails
    const nailing = (values: Partial<typeof nails>): Edit => set(ask, { batten: { ...facts(ask).batten, nails: { ...nails, ...values } } })
    return say(ask, `inroof-strength:${one.check}`, 'stop', unheld
      ? `Nothing is known that holds ${name} on ${system.name} here: ${one.check === 'screw' ? use!.screwRule : one.check === 'batten-nails' ? use!.nailRule : 'the shelf has no test of it in this job’s rules'}.`
      : `${name[0]!.toUpperCase()}${name.slice(1)} is at ${formatShare(one.share)}: ${formatQuantity(of(one.value), job.units)} of ${formatQuantity(of(one.limit), job.units)} under ${one.combination}. An array that is the covering takes the whole suction.`, {
      about: one.moduleId ? { kind: 'module', id: one.moduleId } : null, measured: unheld ? null : of(one.value), limit: unheld ? null : of(one.limit),
      propose: () => [
        ...one.check === 'batten-nails' ? [{ label: 'Two nails a rafter', edit: nailing({ perRafter: 2 }) }, { label: 'Ring-shank nails 3.1 x 80 mm, two a rafter, whose maker declares 6 N/mm²', edit: nailing({ kind: 'ring-shank', lengthMm: 80, faxMpa: 6, perRafter: 2 }) }] : [],
        ...one.check.startsWith('batten') && 'battenDeepMm' in face.covering ? [{ label: 'Battens 50 mm deep', edit: { type: 'set-face', faceId: face.id, values: { covering: { ...face.covering, battenDeepMm: 50 } } } satisfies Edit }] : [],
        ...one.check.startsWith('module') || one.check === 'screw' ? otherSystems(ask, () => true) : [],
      ],
    })
  })
}

/** Screws under which no batten lies. */
export function looseScrews(ask: InRoofAsk): DraftFinding[] {
  const loose = plan(ask).battens?.loose ?? []
  return loose.length
    ? [say(ask, 'inroof-screws', 'stop', `${plural(loose.length, 'screw')} would find no batten, or one whose edge is nearer than ${writer(ask)(plan(ask).system.screw.edgeMm)}.`, { measured: count(loose.length, 'screws'), limit: count(0, 'screws'), propose: () => [...facts(ask).battensRead.length ? [{ label: 'Set the battens’ readings aside', edit: set(ask, { battensRead: [] }) }] : [], ...otherSystems(ask, () => true)] })]
    : []
}

/** "No wind uplift in-roof": relief that is asked for and whose conditions are not there; and what an engineer's pressures are taken for. */
export function reliefRefused(ask: InRoofAsk): DraftFinding[] {
  const { use, system } = plan(ask)
  const left = use?.insideLeft
    ? [say(ask, 'inroof-inside', 'caution', 'Nothing closed lies behind the array, and the pressures were typed: they are taken as net, and nothing is added for the house’s own pressure. Ask whoever gave them.')]
    : []
  const refused = use?.refused
  if (!refused) return left
  const why = refused.typed
    ? 'the pressures that an engineer typed are net already'
    : refused.relief === 'test'
      ? `${system.name} has no test of pressure equalisation`
      : refused.missing.length ? `${listed(refused.missing.map(one => `“${tickNames[one].toLowerCase()}”`))} ${refused.missing.length === 1 ? 'is' : 'are'} not ticked` : 'the clause is Europe’s and asks for a closed layer behind'
  return [...left, say(ask, 'inroof-relief', 'stop', `An array in the roof has wind uplift like any covering: no relief is given, since ${why}.`, {
    measured: words(why), limit: words('named and ticked'),
    propose: () => [{ label: 'Count the whole suction', edit: set(ask, { relief: 'none', reliefTicks: [] }) }],
  })]
}

/** Nobody has said what loads the roof. */
export const notChecked = (ask: InRoofAsk): DraftFinding[] => plan(ask).parts.length && !plan(ask).use
  ? [say(ask, 'inroof-unchecked', 'caution', 'Nobody has said what loads this roof: suction on modules, screws, battens and nails is not checked. It acts on an array in the roof as on any covering.')]
  : []

/** What was found on arrival, and who is to do what is missing by when. */
export function arrival(ask: InRoofAsk): DraftFinding[] {
  const { found, tasks, coursesLaid, battensRead } = facts(ask)
  const has = (thing: ArrivalThing) => tasks.some(one => one.id === `task-${thing}`)
  const needs = arrivalThings.filter(thing => (thing !== 'windows' && thing !== 'vents') || found[thing] !== 'unseen')
  const missing = needs.filter(thing => found[thing] === 'missing' && !has(thing))
  const undated = tasks.filter(one => !one.done && one.due === null)
  const few = coursesLaid !== null && coursesLaid < COURSES_BELOW && !tasks.some(one => one.id === 'task-courses')
  const taskFor = (id: string, trade: typeof tasks[number]['trade'], what: string): Edit => ({ type: 'put-task', faceId: ask.face.id, task: { id, trade, what, due: null, done: false } })
  const asks = [...missing.map(thing => ({ thing: thingNames[thing].toLowerCase(), edit: taskFor(`task-${thing}`, askedOf[thing].trade, askedOf[thing].what) })), ...few ? [{ thing: `${COURSES_BELOW} courses below`, edit: taskFor('task-courses', 'roofer', `Lay ${COURSES_BELOW} courses below the array`) }] : []]
  return [
    ...asks.length ? [say(ask, 'inroof-arrival', 'stop', `Not there on arrival: ${listed(asks.map(one => one.thing))}. Somebody has to be asked for ${asks.length === 1 ? 'it' : 'them'}, by a day.`, { measured: count(asks.length, 'things'), limit: count(0, 'things'), propose: () => [{ label: `Ask for ${listed(asks.map(one => one.thing))}`, edit: { type: 'batch', edits: asks.map(one => one.edit as Extract<Edit, { type: 'put-task' }>) } }] })] : [],
    ...undated.length ? [say(ask, 'inroof-undated', 'caution', `${plural(undated.length, 'task')} of other trades ${undated.length === 1 ? 'has' : 'have'} no day: ${listed(undated.map(one => one.what.toLowerCase()))}. Type the day beside ${undated.length === 1 ? 'it' : 'each'}.`)] : [],
    ...plan(ask).parts.length && battensRead.length < 4 ? [say(ask, 'inroof-unread', 'note', 'The courses are believed, not read: read the first batten’s upper edge and three more on arrival.', { assumed: true })] : [],
  ]
}

/** Readings of battens that don't come to one gauge, or to more than the units' lap allows (common practice: 3 mm a course). */
const GAUGE_APART_MM = 3

export function gaugeApart(ask: InRoofAsk): DraftFinding[] {
  const { covering } = ask.face
  const read = gaugesRead(facts(ask).battensRead)
  if (read.length < 2 || !('gaugeMm' in covering)) return []
  const tell = writer(ask)
  const worst = read.reduce((a, b) => Math.abs(b.gaugeMm - covering.gaugeMm) > Math.abs(a.gaugeMm - covering.gaugeMm) ? b : a)
  return Math.abs(worst.gaugeMm - covering.gaugeMm) > GAUGE_APART_MM
    ? [say(ask, 'inroof-gauge-read', 'caution', `Between battens ${worst.from} and ${worst.to} the gauge reads ${tell(worst.gaugeMm)}, and ${tell(covering.gaugeMm)} is what was said. The array is set out by what was read; check the lap of the units with the roofer.`, {
        measured: length(worst.gaugeMm), limit: length(covering.gaugeMm),
        propose: () => [{ label: `Take ${tell(worst.gaugeMm)} for the gauge`, edit: { type: 'set-face', faceId: ask.face.id, values: { covering: { ...covering, gaugeMm: worst.gaugeMm } } } }],
      })]
    : []
}

/** What is heavier than the units it takes the place of: rafters were made for those. */
export function heavier(ask: InRoofAsk): DraftFinding[] {
  const { weight: { arrayKgM2, unitsKgM2 } } = plan(ask)
  if (!plan(ask).parts.length || unitsKgM2 === null || arrayKgM2 <= unitsKgM2) return []
  return [say(ask, 'inroof-weight', 'caution', `The array weighs ${arrayKgM2.toFixed(0)} kg/m² and the units it takes the place of ${unitsKgM2.toFixed(0)} kg/m²: have the rafters looked at.`, { measured: words(`${arrayKgM2.toFixed(0)} kg/m²`), limit: words(`${unitsKgM2.toFixed(0)} kg/m²`) })]
}
