import { apartFor, nearHole, ON_LINE_MM } from '../fixings'
import { footOf } from '../coverings'
import type { Edit, LogEntry } from '../job'
import { readingOn, readingUp } from '../roof'
import { differencesOn, type Drilled, drilledOn, modulesThere } from '../rooflog'
import { type DraftFinding, type FindingAsk, listed, noCures, onFace, plural, writer } from '../trade'
import { count, length } from '../units'
import type { WiringLayout } from '../wiring'
import { movesOn, moveWords } from './moves'
import { openOn } from './open'

export type WorkAsk = FindingAsk<WiringLayout>

/** Where a hole is, as it is called out. */
const placeWords = (ask: WorkAsk, { xMm, yMm }: { xMm: number, yMm: number }): string => `${writer(ask)(readingOn(ask.face, 'along', xMm))} along, ${writer(ask)(readingUp(ask.face, yMm))} up`
const own = ({ job, face }: WorkAsk): Drilled[] => drilledOn(job.log, face.id)
/** Entries that a cure makes: said by the plan's own hand, when somebody presses it. */
const said = (ask: WorkAsk, entry: Record<string, unknown>): Edit => ({ type: 'log-work', entries: [{ at: null, entry: { faceId: ask.face.id, by: '', at: lastSaid(ask), ...entry } as LogEntry }] })
const lastSaid = ({ job }: WorkAsk): string => job.log.reduce((last, { at }) => at > last ? at : last, '2026-01-01T00:00:00Z')

/** One hole said differently by two people. */
export function disputed(ask: WorkAsk): DraftFinding[] {
  return differencesOn(ask.job.log, ask.face.id).map(({ a, b }): DraftFinding => ({
    ...onFace(ask, 'on-roof', `disputed-${a.id}-${b.id}`), severity: 'stop',
    sentence: `Two people say one hole differently, at ${placeWords(ask, a)}: ${a.by || 'somebody'} a ${a.result}, ${b.by || 'somebody'} a ${b.result}. Nothing is planned on it until one of them, or both, have looked.`,
    propose: () => [[a, b], [b, a]].map(([holds, over]) => ({ label: `It is a ${holds!.result}, as ${holds!.by || 'was'} said`, edit: said(ask, { id: `settle-${holds!.id}`.slice(0, 40), kind: 'settle', holdsId: holds!.id, overId: over!.id }) })),
  }))
}

/** Holes that nothing stands in and nobody has sealed. */
export function unsealed(ask: WorkAsk): DraftFinding[] {
  const open = own(ask).filter(one => one.state === 'abandoned' && !one.sealed)
  return open.length
    ? [{
        ...onFace(ask, 'on-roof', 'unsealed'), severity: 'caution', measured: count(open.length, open.length === 1 ? 'hole' : 'holes'),
        sentence: `${plural(open.length, 'hole')} that nothing stands in ${open.length === 1 ? 'is' : 'are'} not sealed yet: ${listed(open.slice(0, 3).map(one => placeWords(ask, one)))}${open.length > 3 ? ` and ${open.length - 3} more` : ''}. Seal before anything else is laid over ${open.length === 1 ? 'it' : 'them'}.`,
      }]
    : []
}

/** Holes with a fixing in them that no rail goes over. */
export function offLine(ask: WorkAsk): DraftFinding[] {
  const { plan } = ask
  return own(ask).filter(hole => hole.state === 'used' && !plan.rails.some((rail) => {
    const [off, at] = rail.way === 'across' ? [hole.yMm - rail.lineMm, hole.xMm] : [hole.xMm - rail.lineMm, hole.yMm]
    return Math.abs(off) <= ON_LINE_MM && at >= rail.reach.fromMm && at <= rail.reach.toMm
  })).map((hole): DraftFinding => ({
    ...onFace(ask, 'on-roof', `off-line-${hole.id}`), severity: 'stop',
    sentence: `The hole at ${placeWords(ask, hole)} has a fixing in it and no rail goes over it. Move the row to it, or take the fixing out and seal the hole.`,
    propose: () => [{ label: 'Take it out; the hole is given up', edit: said(ask, { id: `up-${hole.id}`.slice(0, 40), kind: 'give-up', holeId: hole.id }) }],
  }))
}

/** Fixings nearer to an abandoned hole than screws may be, or with one on their flashing's edge. */
export function tooNear(ask: WorkAsk): DraftFinding[] {
  const holes = own(ask)
  const { mount } = ask.plan.parts
  const apart = apartFor(ask.job.loads, mount.fasteners)
  const { closure } = footOf(ask.face, mount)
  const gone = holes.filter(one => one.state !== 'used')
  return holes.filter(one => one.state === 'used').flatMap((hole): DraftFinding[] => {
    const near = nearHole(hole, gone, mount, closure, apart)
    return near
      ? [{
          ...onFace(ask, 'on-roof', `too-near-${hole.id}`), severity: near === 'timber' ? 'stop' : 'caution', measured: null, limit: length(apart.alongMm),
          sentence: near === 'timber'
            ? `The fixing at ${placeWords(ask, hole)} is in the timber beside a hole that nothing stands in, nearer than ${apart.source}. Its screws can’t be counted on: take it out, or let an engineer say what it holds.`
            : `An abandoned hole lies on the edge of the flashing of the fixing at ${placeWords(ask, hole)}. It is neither under it nor clear of it: give it a patch of its own that is lapped under the next course.`,
          propose: near === 'timber' ? () => [{ label: 'Take it out; the hole is given up', edit: said(ask, { id: `up-${hole.id}`.slice(0, 40), kind: 'give-up', holeId: hole.id }) }] : noCures,
        }]
      : []
  })
}

/** What is to be marked otherwise than the crew has it. */
export function moved(ask: WorkAsk): DraftFinding[] {
  const moves = movesOn(ask.job, ask.face, ask.plan)
  const rails = [...new Set(moves.map(one => one.railId))]
  return rails.map((railId): DraftFinding => {
    const r = ask.plan.rails.findIndex(one => one.id === railId)
    const rail = ask.plan.rails[r]!
    const { followed } = ask.plan.fixings.rails[r]!
    const words = moves.filter(one => one.railId === railId).map(one => moveWords(ask.job, ask.face, rail.way, one))
    const fewest = !followed?.passes ? ' A limit is broken all the same; see what else is found.' : followed.proved ? ' Proved: nothing changes less and keeps every limit.' : ' Not yet proved to be the fewest changes.'
    return {
      ...onFace(ask, 'on-roof', `moved-${railId}`), severity: 'note', about: { kind: 'rail', id: railId }, measured: count(words.length, words.length === 1 ? 'mark' : 'marks'),
      sentence: `Rail ${rail.number}, round what is there: ${words.slice(0, 4).join('; ')}${words.length > 4 ? `; and ${words.length - 4} more` : ''}.${fewest}`,
    }
  })
}

/** A laid module is where the plan has one within this, mm. */
const LAID_MM = 40

/** Modules that lie where the plan has none any more: somebody has moved a row under them. */
export function laidElsewhere(ask: WorkAsk): DraftFinding[] {
  const middles = ask.plan.rows.rows.flatMap(row => row.moduleLeftsMm.map(left => ({ xMm: left + row.moduleWidthMm / 2, yMm: (row.bottomMm + row.topMm) / 2 })))
  const off = modulesThere(ask.job.log, ask.face.id).filter(laid => !middles.some(one => Math.hypot(one.xMm - laid.xMm, one.yMm - laid.yMm) < LAID_MM))
  if (!off.length) return []
  return [{
    ...onFace(ask, 'on-roof', 'laid-elsewhere'), severity: 'stop', measured: count(off.length, off.length === 1 ? 'module' : 'modules'),
    sentence: `${plural(off.length, 'module')} ${off.length === 1 ? 'lies' : 'lie'} where the plan has none: the middle of the first at ${placeWords(ask, off[0]!)}. What is laid stays: put the row back under ${off.length === 1 ? 'it' : 'them'}, or take ${off.length === 1 ? 'it' : 'them'} off and say so.`,
    propose: () => [{ label: off.length === 1 ? 'It is taken off' : 'They are taken off', edit: { type: 'log-work', entries: off.slice(0, 200).map(({ xMm, yMm }, i) => ({ at: null, entry: { id: `off-${ask.job.log.length}-${i}`, faceId: ask.face.id, by: '', at: lastSaid(ask), kind: 'module', xMm, yMm, state: 'lifted' } })) } }],
  }]
}

/** What is begun and not closed: the job is not done before it is. Misses that are not sealed have a finding of their own. */
export function openWork(ask: WorkAsk): DraftFinding[] {
  const open = openOn(ask.job, ask.face, ask.plan, null).filter(item => item.kind !== 'miss' && item.kind !== 'dispute')
  return open.length
    ? [{
        ...onFace(ask, 'on-roof', 'open-work'), severity: 'caution', measured: count(open.length, 'open'),
        sentence: `${plural(open.length, 'thing')} on the roof ${open.length === 1 ? 'is' : 'are'} open, and the job is not done before ${open.length === 1 ? 'it is' : 'they are'} closed: ${listed(open.slice(0, 3).map(item => `${item.words[0]!.toLowerCase()}${item.words.slice(1)}`))}${open.length > 3 ? ` and ${open.length - 3} more` : ''}.`,
      }]
    : []
}
