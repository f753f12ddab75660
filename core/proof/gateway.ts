import { median } from 'es-toolkit'
import type { ProofOf, SeenUnit } from '../job'
import { listed, sentenceCase } from '../trade'
import type { ProofAsk } from './ask'
import { circuitsOf } from './circuits'
import { placeWords, type SerialPlace, serialPlaces } from './serials'

/** Signal from which a unit that reports is heard well, of 5. */
export const GOOD_SIGNAL = 2
/** A unit makes too little under this share of the middle one of its face. */
const TOO_LITTLE = 0.7
/** Under so many watts in the middle nothing is told of outputs. */
const TOO_DARK_W = 20
/** An update takes up to so many minutes. */
export const UPDATE_MINUTES = 30

export type CauseKind = 'no-power' | 'no-network' | 'updating' | 'all-missing' | 'branch-missing' | 'branch-tail' | 'weak' | 'connector' | 'stranger' | 'unmapped' | 'profile' | 'little' | 'no-output' | 'too-dark'
/** What keeps a unit, a branch or all of them from reporting, and what to do. */
export interface Cause { kind: CauseKind, sentence: string, does: string, places: SerialPlace[] }

interface Unit { place: SerialPlace, seen: SeenUnit | null, circuit: number | null, name: string }

/** Units whose serial numbers are on the map, along each circuit, with what the gateway heard of them. */
function unitsOf(ask: ProofAsk, report: ProofOf<'report'>, places: SerialPlace[]): Unit[] {
  const order = circuitsOf(ask).flatMap(({ circuit, members }) => members.map(member => ({ member, circuit: circuit.number })))
  const at = (place: SerialPlace) => order.findIndex(one => one.member === place.id)
  return places.filter(one => one.what === 'unit').sort((a, b) => at(a) - at(b)).map(place => ({
    place, circuit: place.circuit, seen: report.units.find(one => one.serial === place.found?.serial) ?? null,
    name: `${ask.faces.filter(({ plan }) => plan.modules).length > 1 ? `${ask.job.faces.find(one => one.id === place.faceId)!.name}, ` : ''}${placeWords(place, ask.job.faces.find(one => one.id === place.faceId)!)}`,
  }))
}

const cause = (kind: CauseKind, sentence: string, does: string, units: Unit[] = []): Cause => ({ kind, sentence, does, places: units.map(one => one.place) })
const some = (units: Unit[]): string => `${listed(units.slice(0, 3).map(one => one.name))}${units.length > 3 ? ` and ${units.length - 3} more` : ''}`

/**
 * What the last report of the gateway comes to. One unit, the far end of a branch, a whole branch and all units missing have different
 * causes; a weak signal is told from a plug by the signal of those beside it.
 */
export function causesOf(ask: ProofAsk, gateway: ProofOf<'gateway'> | null, report: ProofOf<'report'> | null): Cause[] {
  if (gateway && !gateway.powered) return [cause('no-power', 'The gateway has no power.', 'Put it on a circuit of its own near the panel, indoors, on arrival.')]
  if (gateway && !gateway.online) return [cause('no-network', 'The gateway is not on the network: nobody will see a fault later.', 'Join it to the house’s network, by cable where it can be.')]
  if (!report) return gateway?.updating ? [cause('updating', `The gateway updates itself; that takes up to ${UPDATE_MINUTES} minutes.`, 'Go on elsewhere and ask again.')] : []
  const units = unitsOf(ask, report, serialPlaces(ask))
  const unmapped = units.filter(one => !one.place.found)
  const known = units.filter(one => one.place.found)
  const missing = known.filter(one => !one.seen)
  const causes: Cause[] = []
  if (gateway?.updating && missing.length) causes.push(cause('updating', `The gateway updates itself; that takes up to ${UPDATE_MINUTES} minutes, and units may come after it.`, 'Ask again when it is done, before anything is opened.'))
  if (known.length && missing.length === known.length) causes.push(cause('all-missing', `None of ${known.length} units reports, though the gateway is on.`, 'Is the array’s device on, is the gateway on the same phase and behind no filter, is it daylight?', missing))
  else causes.push(...missingCauses(ask, known))
  const strangers = report.units.filter(one => !places(units).includes(one.serial))
  if (strangers.length) causes.push(cause('stranger', `${strangers.length} ${strangers.length === 1 ? 'unit reports that is' : 'units report that are'} not on the map: ${listed(strangers.slice(0, 3).map(one => one.serial))}.`, 'A serial number misread on the map, or a neighbour’s unit: take it off the gateway’s list.'))
  if (unmapped.length) causes.push(cause('unmapped', `${unmapped.length} ${unmapped.length === 1 ? 'unit has' : 'units have'} no serial number on the map: whether they report can’t be told.`, `Read ${unmapped.length === 1 ? 'it' : 'them'}: ${some(unmapped)}.`, unmapped))
  const unset = known.filter(one => one.seen && one.seen.profile !== 'set')
  if (unset.length) causes.push(cause('profile', `The grid profile is not set on ${unset.length} of ${known.length}: ${unset.some(one => one.seen!.profile === 'pending') ? 'pending is not set' : 'none is there'}.`, 'Send the profile again and wait until each unit says set.', unset))
  return [...causes, ...outputCauses(known)]
}

const places = (units: Unit[]): string[] => units.flatMap(one => one.place.found ? [one.place.found.serial] : [])

function missingCauses(ask: ProofAsk, known: Unit[]): Cause[] {
  const causes: Cause[] = []
  const circuits = [...new Set(known.map(one => one.circuit))]
  for (const number of circuits) {
    const own = known.filter(one => one.circuit === number)
    const gone = own.filter(one => !one.seen)
    if (!gone.length) continue
    const name = number === null ? 'Units on no circuit' : `${ask.wiring.circuits.find(one => one.number === number)?.kind === 'string' ? 'String' : 'Branch'} ${number}`
    if (gone.length === own.length && own.length > 1) {
      causes.push(cause('branch-missing', `All ${own.length} units of ${name} are missing, others report.`, 'Its device is off or tripped, or its plug at the roof box is not home.', gone))
      continue
    }
    const tail = tailOf(own)
    if (tail) causes.push(cause('branch-tail', `${name} reports as far as ${tail.last.name}; ${tail.gone.length} beyond it are missing.`, `It is open between ${tail.last.name} and ${tail.gone[0]!.name}: look at that joint.`, tail.gone))
    for (const one of gone.filter(one => !tail?.gone.includes(one))) {
      const heard = neighbours(own, one).flatMap(near => near.seen ? [near.seen.signal] : [])
      const weak = heard.length > 0 && median(heard) < GOOD_SIGNAL
      causes.push(weak
        ? cause('weak', `${sentenceCase(one.name)} does not report, and those beside it are heard weakly, ${median(heard)} of 5.`, 'Move the gateway nearer the panel, away from metal and other electronics; then ask again.', [one])
        : cause('connector', `${sentenceCase(one.name)} does not report, though those beside it are heard well.`, 'Look at its own plugs: the one on the trunk and both of the module, pushed home until they click.', [one]))
    }
  }
  const faint = known.filter(one => one.seen && one.seen.signal < GOOD_SIGNAL)
  if (faint.length && !causes.some(one => one.kind === 'weak')) causes.push(cause('weak', `${faint.length} of ${known.length} are heard weakly, under ${GOOD_SIGNAL} of 5.`, 'Move the gateway nearer the panel, away from metal and other electronics.', faint))
  return causes
}

/** Units beside one along its circuit. */
const neighbours = (own: Unit[], one: Unit): Unit[] => [own[own.indexOf(one) - 1], own[own.indexOf(one) + 1]].filter(near => near !== undefined)

/** The longer end of a circuit that is missing as a whole, two units and more: from the joint outwards, with the last that reports. */
function tailOf(own: Unit[]): { gone: Unit[], last: Unit } | null {
  const end = (units: Unit[]) => {
    const at = units.findLastIndex(one => one.seen)
    return { gone: units.slice(at + 1), last: units[at]! }
  }
  const [after, before] = [end(own), end([...own].reverse())]
  const longer = after.gone.length >= before.gone.length ? after : before
  return longer.gone.length > 1 ? longer : null
}

/** Each unit's output beside the middle of its face; a meter that turns proves none of them. */
function outputCauses(known: Unit[]): Cause[] {
  const causes: Cause[] = []
  const silent = known.filter(one => one.seen && one.seen.watts === null)
  if (silent.length) causes.push(cause('no-output', `${silent.length} of ${known.length} report no output yet.`, 'Wait for daylight and for the units’ own start, five minutes and more, and ask again.', silent))
  for (const faceId of new Set(known.map(one => one.place.faceId))) {
    const own = known.filter(one => one.place.faceId === faceId && one.seen && one.seen.watts !== null)
    if (!own.length) continue
    const usual = median(own.map(one => one.seen!.watts!))
    if (usual < TOO_DARK_W) causes.push(cause('too-dark', `The middle unit of this face makes ${Math.round(usual)} W: too little light to tell outputs apart.`, 'Ask again in daylight, before anybody calls it done.', own))
    else {
      const low = own.filter(one => one.seen!.watts! < TOO_LITTLE * usual)
      if (low.length) causes.push(cause('little', `${low.length === 1 ? `${sentenceCase(low[0]!.name)} makes` : `${low.length} units make`} ${listed(low.slice(0, 4).map(one => `${Math.round(one.seen!.watts!)} W`))} where the middle one of the face makes ${Math.round(usual)} W.`, 'Shade now? If not: a module plug half in, a shorted diode, or the wrong module at that unit.', low))
    }
  }
  return causes
}

/** Words of the record on the gateway: its last state and its last report. */
export function gatewayNow({ job }: Pick<ProofAsk, 'job'>): { gateway: ProofOf<'gateway'> | null, report: ProofOf<'report'> | null } {
  return {
    gateway: job.proof.findLast((entry): entry is ProofOf<'gateway'> => entry.kind === 'gateway') ?? null,
    report: job.proof.findLast((entry): entry is ProofOf<'report'> => entry.kind === 'report') ?? null,
  }
}
