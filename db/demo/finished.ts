import { demoCatalogue } from '../../core/catalogue'
import { closingSteps, followingOf, photographsOf } from '../../core/fieldwork'
import { applyEdit, type Edit, type Hit, type Job, type LogEntry, type LogKind, type LogOf, plainRow, plainWall, rafterRow, starterJob } from '../../core/job'
import { startedGround } from '../../core/ground'
import { planJob } from '../../core/plan'
import { wantedPictures } from '../../core/proof'
import { onFace } from '../../core/rails'
import { DEMO_LEAD } from './ids'
import { finds, job, metricParts, setbacks } from './make'
import { Prover } from './prove'
import { brackwaterLoads, judged, loaded } from './weather'
import { groups, wiredBrackwater } from './wiring'

const [LEAD, SECOND] = [DEMO_LEAD.name, 'Ines Garboard']

/** Two rows of eight on interlocking tile, two strings to an inverter in the hall: built, tested, handed over. */
const marram = wiredBrackwater(loaded(judged(job(starterJob('Marram Rise 11', 'Brackwater', 'metric', metricParts), {
  name: 'South-west face', outline: { kind: 'rectangle', eaveLengthMm: 10_940, slopeLengthMm: 5620 }, pitchDeg: 34, place: { azimuthDeg: 214, eastMm: 0, northMm: 0, eaveHeightMm: 2740, storeys: 1 },
  covering: { kind: 'interlocking-tile', gaugeMm: 341, coverWidthMm: 300, lengthMm: 420, firstCourseMm: 318, firstColumnMm: 62, pan: { fromMm: 70, toMm: 238 }, coursesRead: [{ course: 8, mm: 2702 }], coursesCounted: 16, battenMm: 40, battenDeepMm: 27 },
  supports: rafterRow(213, 600, 62, finds([[2, 815], [5, 2611], [8, 4416], [11, 6212], [14, 8015], [17, 9812]])),
  setbacks: setbacks(420, 480, 560, 560),
}, { mountId: 'windlass-tile-hook', rows: [{ ...plainRow, count: 8 }, { ...plainRow, count: 8 }], rowCount: 2 }, { access: 'tower', exposure: 'sheltered', altitudeM: 11, coveringState: 'sound', coveringAgeYears: 12, coveringYearsLeft: 40, decision: 'go-ahead', crew: [DEMO_LEAD.id] }), 'european'), brackwaterLoads(24, 600)), groups.strings('quillon-two'))

/** The way to the grid, with what its plates say. */
function connected(start: Job): Job {
  const ground = startedGround('main-panel', start, planJob(start, demoCatalogue).wiring)
  const says = ['two-way', 'surge', 'dc-surge', 'no-dc-residual', 'dc-isolator', 'fault-rating', 'arc-fault', 'ground-fault'] as const
  return { ...start, codes: { kind: 'european' }, ground: {
    ...ground, electrician: { name: 'Marlo Fenn', licence: 'EL 30-771' }, flashes: 0.9, supply: { ...ground.supply, faultKA: 6 },
    walls: [{ ...plainWall, name: 'Hall', place: 'utility', wideMm: 3410, highMm: 2450, base: 'masonry', corner: { left: true, right: true } }],
    things: ground.things.map(one => ({
      ...one, faultKA: 10, torqueNm: 2.5, says: one.kind === 'inverter' ? [...says, 'rcd-b'] : [...says], at: null, wallId: one.wallId && 'outside', deviceA: one.kind === 'inverter' ? 25 : one.deviceA,
      ...one.anchors ? { anchors: { ...one.anchors, pullN: 1900, shearN: 2300 } } : {},
      ...one.kind === 'main-panel' ? { name: 'Main board', deviceA: 40, panel: { ...one.panel!, busA: 100, mainA: 63, ways: 8, loadDevicesA: 140, loadA: 32, oppositeEnd: true } } : {},
    })),
  } }
}

/** Everything said from the roof: each hole, its steps and torque, one miss felt and sealed, rails, modules, photographs. */
function built(start: Job): Job {
  const [face] = start.faces
  const plan = planJob(start, demoCatalogue).faces[0]!
  const log: LogEntry[] = []
  const readings: Hit[] = []
  let minutes = 8 * 60
  const say = <K extends LogKind>(kind: K, by: string, facts: Omit<LogOf<K>, 'id' | 'faceId' | 'by' | 'at' | 'kind'>): string => {
    minutes += 2
    const id = `marram-${log.length + 1}`
    log.push({ id, faceId: face!.id, by, at: `2026-04-${String(14 + Math.floor(minutes / 1440)).padStart(2, '0')}T${String(Math.floor(minutes / 60) % 24).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}:00Z`, kind, ...facts } as unknown as LogEntry)
    return id
  }
  say('weather', LEAD, { airC: 12, surface: 'dry', from: 'thermometer' })
  plan.rails.forEach((rail, r) => {
    const by = r % 2 ? SECOND : LEAD
    plan.fixings.rails[r]!.fixings.forEach((fixing, i) => {
      const at = onFace(rail, fixing.atMm)
      if (r === 1 && i === 2) {
        const missed = { xMm: at.xMm + 58, yMm: at.yMm }
        const id = say('hole', by, { ...missed, result: 'miss', timber: 'left', dust: 'dark' })
        readings.push({ id, ...missed, state: 'pilot-miss', use: 'rafter', timber: 'left' })
        say('seal', by, { holeId: id })
        say('photograph', by, { holeId: id, photoId: pictureId(90), step: 'The sealed hole' })
      }
      const id = say('hole', by, { ...at, result: 'hit', timber: null, dust: 'pale' })
      readings.push({ id, ...at, state: 'pilot-hit', use: 'rafter' })
      const steps = closingSteps(start, face!, plan, at)
      for (const step of steps) say('closure', by, { holeId: id, step: step.id, done: true })
      for (const one of photographsOf({ state: 'used' }, steps).filter(one => one.asked)) say('photograph', by, { holeId: id, photoId: pictureId(91), step: one.step })
      say('torque', by, { holeId: id, torqueNm: plan.parts.mount.torqueNm, driver: 'wrench', wrench: 'No. 5' })
    })
    say('rail', by, { way: rail.way, lineMm: rail.lineMm, fromMm: rail.fromMm, toMm: rail.toMm, splicesMm: plan.sticks.splices.filter(one => one.railId === rail.id).map(one => one.atMm), state: 'placed' })
  })
  for (const row of plan.rows.rows) for (const leftMm of row.moduleLeftsMm) say('module', SECOND, { xMm: leftMm + row.moduleWidthMm / 2, yMm: row.bottomMm + row.moduleHeightMm / 2, state: 'laid' })
  const edits: Edit[] = [
    { type: 'follow', faceId: face!.id, following: followingOf(plan, null), anew: true },
    ...Array.from({ length: Math.ceil(log.length / 150) }, (_, i): Edit => ({ type: 'log-work', entries: log.slice(150 * i, 150 * (i + 1)).map(entry => ({ at: null, entry })) })),
  ]
  return edits.reduce(applyEdit, start)
}

const pictureId = (i: number): string => `5b7c2d1e-3a4f-4c6d-8e90-5a4b3c2d${String(1000 + i)}`

/** Built in April, proved on the day, energised three weeks later, with one screw still to be painted at a later visit. */
function proved(start: Job): Job {
  const one = new Prover(start, LEAD, '2026-04-15T07:30:00Z', { gWm2: 742, cellC: 41 }, 'marram-p')
  one.goods()
  one.serials()
  one.tests()
  one.torques()
  one.gateway()
  one.photographs(pictureId)
  one.papers()
  one.say('handed-over', { to: 'Mrs Sallow', on: '2026-05-08', calls: 'Gannet Row Roofworks, the office, 0900 555 014' })
  return one.job
}

let ready: Job | null = null
/** Has to be planned several times, so that is done when it is first looked at. */
export const finishedJob = (): Job => ready ??= proved(built(connected(marram)))

/** Its photographs: which there are, by their ids and captions. */
export const finishedPictures = (): { photoId: string, caption: string }[] => {
  const done = finishedJob()
  const plan = planJob(done, demoCatalogue)
  const ask = { job: done, catalogue: demoCatalogue, faces: plan.faces.map((own, i) => ({ face: done.faces[i]!, plan: own })), wiring: plan.wiring, grid: plan.grid }
  return [...wantedPictures(ask).map(({ had, caption }) => ({ photoId: had!.photoId, caption })), { photoId: pictureId(90), caption: 'The sealed hole' }, { photoId: pictureId(91), caption: 'Flashing before it is covered' }]
}
