import { demoCatalogue } from '../../core/catalogue'
import { closingSteps, followingOf } from '../../core/fieldwork'
import { applyEdit, type Edit, type Hit, type Job, type LogEntry, type LogKind, type LogOf, plainRow, starterJob } from '../../core/job'
import { planJob } from '../../core/plan'
import { onFace } from '../../core/rails'
import { pitchFromRise } from '../../core/units'
import { lineCards, markTasks, strikeOf } from '../../core/sheets/markout'
import { DEMO_LEAD } from './ids'
import { groups, wiredHaven } from './wiring'
import { havenLoads, loaded } from './weather'
import { hits, imperialParts, inch, job, setbacks } from './make'
import { Prover } from './prove'

const [LEAD, SECOND] = [DEMO_LEAD.name, 'Ines Garboard']

/** Two rows over fourteen fitted rafters: the crew is half-way up, and the roof is not as planned. */
const sprat = job(starterJob('21 Sprat Walk', 'Saltmarsh Haven', 'imperial', imperialParts), {
  name: 'Garden face', outline: { kind: 'rectangle', eaveLengthMm: inch(28, 7), slopeLengthMm: inch(16, 5) }, pitchDeg: pitchFromRise(6), place: { azimuthDeg: 172, eastMm: 0, northMm: 0, eaveHeightMm: inch(10, 6), storeys: 1 },
  supports: {
    kind: 'rafters', layout: 'fitted', firstCentreMm: inch(0, 10), spacingMm: inch(2, 0), widthMm: inch(0, 1.5), found: [], timber: 'sawn', spacings: { kind: 'nominals' },
    hits: hits([[inch(2, 10.25), 1100, 'seen'], [inch(8, 9.75), 1150, 'pilot-hit'], [inch(12, 10), 1100, 'knock'], [inch(16, 9.5), 1180, 'seen'], [inch(20, 9.875), 1100, 'knock'], [inch(24, 9.5), 3400, 'pilot-hit'], [inch(10, 9.75), 3350, 'seen']]),
  },
  setbacks: setbacks(inch(1, 0), inch(1, 6), inch(1, 6), inch(1, 6)),
}, { rows: [plainRow, plainRow], rowCount: 2, closureId: 'half-circle' }, { access: 'ladder', exposure: 'sheltered', coveringState: 'sound', coveringAgeYears: 9, coveringYearsLeft: 20, decision: 'go-ahead', crew: [DEMO_LEAD.id], hazards: ['steep'], bring: ['ladder', 'harness-anchors'] })

/** A day until its middle: a rail done, a miss that was felt and sealed, a hole moved, a course lifted, a miss not sealed yet, a string read, a broken shingle. */
export function halfWayUp(): Job {
  const start = wiredHaven(loaded(sprat, havenLoads(118, 18)), groups.pair)
  const [face] = start.faces
  const plan = planJob(start, demoCatalogue).faces[0]!
  const log: LogEntry[] = []
  const readings: Hit[] = []
  let minutes = 7 * 60 + 40
  const say = <K extends LogKind>(kind: K, by: string, facts: Omit<LogOf<K>, 'id' | 'faceId' | 'by' | 'at' | 'kind'>): string => {
    minutes += 4
    const id = `sprat-${log.length + 1}`
    log.push({ id, faceId: face!.id, by, at: `2026-05-06T${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}:00Z`, kind, ...facts } as unknown as LogEntry)
    return id
  }
  const drill = (at: { xMm: number, yMm: number }, by: string, result: 'hit' | 'miss', timber: 'left' | 'right' | null = null): string => {
    const id = say('hole', by, { ...at, result, timber, dust: result === 'hit' ? 'pale' : 'dark' })
    readings.push({ id, ...at, state: result === 'hit' ? 'pilot-hit' : 'pilot-miss', use: 'rafter', ...timber ? { timber } : {} })
    return id
  }
  const close = (holeId: string, at: { xMm: number, yMm: number }, by: string, steps = Infinity) => {
    closingSteps(start, face!, plan, at).slice(0, steps).forEach(step => say('closure', by, { holeId, step: step.id, done: true }))
  }
  const places = plan.rails.map((rail, r) => plan.fixings.rails[r]!.fixings.map(one => onFace(rail, one.atMm)))

  say('weather', LEAD, { airC: 14, surface: 'dry', from: 'thermometer' })
  for (const at of places[0]!) {
    const id = drill(at, LEAD, 'hit')
    close(id, at, LEAD)
    say('torque', LEAD, { holeId: id, torqueNm: plan.parts.mount.torqueNm, driver: 'wrench', wrench: 'No. 2' })
  }
  const first = plan.rails[0]!
  say('rail', LEAD, { way: first.way, lineMm: first.lineMm, fromMm: first.fromMm, toMm: first.toMm, splicesMm: plan.sticks.splices.filter(one => one.railId === first.id).map(one => one.atMm), state: 'placed' })
  // The roof waves: a string over the first rail reads more in its middle.
  for (const [i, at] of places[0]!.entries()) say('gap', SECOND, { ...at, gapMm: inch(0, 4) + 9 * Math.sin(Math.PI * i / (places[0]!.length - 1)) - (i % 2) * 2, from: 'string' })
  const [a, b, c, d, e] = places[1]!
  close(drill(a!, SECOND, 'hit'), a!, SECOND)
  say('seal', SECOND, { holeId: drill(b!, SECOND, 'miss', 'left') })
  const moved = { xMm: b!.xMm - inch(0, 1.125), yMm: b!.yMm }
  close(drill(moved, SECOND, 'hit'), moved, SECOND)
  close(drill({ xMm: c!.xMm + inch(0, 0.5), yMm: c!.yMm }, SECOND, 'hit'), c!, SECOND, 3)
  drill(d!, LEAD, 'miss')
  if (e) drill(e, LEAD, 'hit')
  say('damage', SECOND, { what: 'tile', place: { xMm: inch(22, 4), yMm: inch(3, 2) }, words: 'A shingle torn by the ladder’s foot', doneBy: SECOND, supplies: 'firm', due: '2026-05-08', photoId: null })

  const edits: Edit[] = [
    { type: 'follow', faceId: face!.id, following: followingOf(plan, null), anew: true },
    { type: 'log-work', entries: log.map(entry => ({ at: null, entry })) },
    { type: 'log-hits', faceId: face!.id, hits: readings.map(hit => ({ at: face!.supports.kind === 'rafters' ? face!.supports.hits.length : 0, hit })) },
  ]
  const one = new Prover(edits.reduce(applyEdit, start), LEAD, '2026-05-06T06:40:00Z', undefined, 'sprat-p')
  one.goods()
  one.say('gateway', { powered: true, online: true, indoors: true, nearPanel: true, updating: true })
  one.papers(1)
  one.say('paper', { paper: 'grid-consent', state: 'asked', on: '2026-04-22', due: '2027-01-18', who: 'Perrin Oakum', number: 'U-2261', photoId: null })
  one.say('paper', { paper: 'rough-inspection', state: 'booked', on: '2026-05-05', due: '2027-01-25', who: 'Thora Brine', number: '', photoId: null })
  one.say('item', { words: 'New cap for the vent beside row 2', who: 'Ines Garboard', due: '2027-01-29' })
  return one.job
}

/** What a crew that drills has struck before: all lines down to those of the fixings, and the closing reading of the first of these. */
export function struckBefore(job: Job): string[] {
  if (!job.faces.some(face => face.following)) return []
  const faces = planJob(job, demoCatalogue).faces.map((plan, f) => ({ faceId: plan.faceId, name: job.faces[f]!.name, marks: plan.marks }))
  const cards = lineCards(markTasks(faces))
  const at = cards.findIndex(card => card.step.id.startsWith('fixings-'))
  const closing = cards[at]!.tasks.filter(task => task.kind !== 'mark')
  return [...cards.slice(0, at).flatMap(card => card.tasks), ...closing].map(strikeOf)
}
