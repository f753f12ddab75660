import { describe, expect, it } from 'vitest'
import { after, catalogue, inch, threeRowsOfSix } from '../../tests/fixtures/jobs'
import { entry, followed, hole, logged, withHit } from '../../tests/fixtures/work-findings'
import { planJob } from '../plan'
import { onFace } from '../rails'
import type { Job } from '../job'
import { drilledOn } from '../rooflog'
import { closingSteps, mayPause, openOn } from './open'
import { movesOn, moveWords } from './moves'
import { photographRecord, photographsOf } from './photographs'
import { againstSealing, hourIsGood, workWindow } from './weather'

/** Spans of 48 in where 50 are allowed: a fixing may stand a hand's width aside. */
const start = followed(after(threeRowsOfSix(), { type: 'set-array', faceId: 'main', values: { allowedSpanMm: inch(50) } }))
const planned = (job: Job) => planJob(job, catalogue).faces[0]!
const before = planned(start)
const places = before.fixings.rails[0]!.fixings.map(one => onFace(before.rails[0]!, one.atMm))
const face = (job: Job) => job.faces[0]!

describe('what moves', () => {
  it('nothing, as long as everything is drilled where it was to be', () => {
    const job = logged(start, ...places.map(at => hole(at, 'hit')))
    expect(movesOn(job, face(job), planned(job))).toEqual([])
  })
  it.each(['left', 'right'] as const)('a miss with the timber on the %s goes there, and nothing else moves', (side) => {
    const miss = hole(places[1]!, 'miss', { timber: side })
    const job = withHit(logged(start, miss), miss)
    const moves = movesOn(job, face(job), planned(job))
    expect(moves).toHaveLength(1)
    expect(moves[0]).toMatchObject({ what: 'fixing', rail: before.rails[0]!.number })
    const byMm = moves[0]!.now!.xMm - places[1]!.xMm
    expect(side === 'left' ? -byMm : byMm).toBeGreaterThan(15)
    expect(Math.abs(byMm)).toBeLessThan(60)
    expect(moveWords(job, face(job), 'across', moves[0]!)).toMatch(/^The fixing at .+ goes to .+, rafter \d+$/)
  })
  it('a hole drilled elsewhere is where its fixing stands from then on', () => {
    const job = logged(start, hole({ xMm: places[1]!.xMm + 40, yMm: places[1]!.yMm }, 'hit'))
    expect(planned(job).fixings.rails[0]!.fixings.some(one => Math.abs(one.atMm - places[1]!.xMm - 40) < 1e-9)).toBe(true)
  })
})

describe('splices', () => {
  const spliced = before.rails.find(rail => before.sticks.splices.some(one => one.railId === rail.id))!
  const splicesOf = (job: Job) => planned(job).sticks.splices.filter(one => one.railId === spliced.id).map(one => one.atMm)
  const shifted = (mm: number) => after(start, { type: 'set-array', faceId: 'main', values: { shiftMm: before.shiftMm + mm } })
  it.each([0.6, 2.5, 20])('that are only marked stay where they are as a face is measured again and the rail moves %s mm, or go where they can be had', (mm) => {
    const was = splicesOf(start)
    const now = splicesOf(shifted(mm))
    expect(planJob(shifted(mm), catalogue).findings.filter(one => one.id.startsWith('splice:'))).toEqual([])
    if (mm < 3) now.forEach((at, i) => expect(Math.abs(at - was[i]!)).toBeLessThanOrEqual(3 + 1e-6))
  })
  it('of a rail that is laid are where they were cut: where its pieces do not reach, that is said of what lies there', () => {
    const laid = (job: Job, splicesMm: number[]) => logged(job, entry('rail', { way: 'across', lineMm: spliced.lineMm, fromMm: spliced.fromMm, toMm: spliced.toMm, splicesMm, state: 'placed' }))
    const said = (job: Job) => planJob(job, catalogue).findings.filter(one => one.id === `splice:main:${spliced.id}`).map(one => one.sentence)
    expect(said(laid(shifted(0.6), splicesOf(start)))).toEqual([])
    const longest = Math.max(...before.parts.rail.stock.map(one => one.mm))
    expect(said(laid(start, [spliced.fromMm + longest + 40]))).toEqual([expect.stringMatching(/^Rail \d+ is laid from .+ to .+, and the plan has it from .+ its pieces can’t be had so/)])
  })
})

describe('what is open', () => {
  it('a hole until its covering is closed, a miss until it is sealed, a rail until its bolts are tight, nearest first', () => {
    const [one, two, three] = [hole(places[0]!, 'hit'), hole(places[3]!, 'miss'), hole(places[2]!, 'hit')]
    const first = before.rails[0]!
    const job = logged(start, one, two, three, entry('closure', { holeId: three.id, step: 'lift', done: true }), entry('rail', { way: 'across', lineMm: first.lineMm, fromMm: first.fromMm, toMm: first.toMm, splicesMm: [], state: 'placed' }))
    const items = openOn(job, face(job), planned(job), places[0]!)
    expect(items.map(item => item.kind).sort()).toEqual(['course', 'hole', 'miss', 'rail'])
    expect(items[0]!.kind).toBe('hole')
    expect(mayPause(items)).toBe(false)
    for (const { words, close } of items) expect(`${words} ${close}`).not.toMatch(/undefined|NaN|null/)
  })
  it('is not when each step is ticked and each miss sealed; what is broken may wait for the day, and is told', () => {
    const [one, two] = [hole(places[0]!, 'hit'), hole(places[1]!, 'miss')]
    const job = logged(start, one, two, entry('seal', { holeId: two.id }), entry('damage', { what: 'module', place: null, words: 'A corner', doneBy: 'Tom', supplies: 'firm', due: null, photoId: null }))
    const steps = closingSteps(job, face(job), planned(job), places[0]!)
    expect(steps.length).toBeGreaterThan(3)
    const closed = logged(job, ...steps.map(step => entry('closure', { holeId: one.id, step: step.id, done: true })))
    const items = openOn(closed, face(closed), planned(closed), null)
    expect(items.map(item => item.kind)).toEqual(['damage'])
    expect(mayPause(items)).toBe(true)
    const [damage] = items
    expect(openOn(logged(closed, entry('mended', { damageId: damage!.of!, with: 'new' })), face(closed), planned(closed), null)).toEqual([])
  })
})

describe('a unit lent from under the array', () => {
  it('stays open until a new one is back in its place, and may wait for the day', () => {
    const broken = entry('damage', { what: 'tile', place: null, words: 'Torn', doneBy: 'Tom', supplies: 'firm', due: '2026-05-08', photoId: null })
    const lent = logged(start, broken, entry('mended', { damageId: broken.id, with: 'lent' }))
    const items = openOn(lent, face(lent), planned(lent), null)
    expect(items.map(item => item.words)).toEqual(['Broken covering, Torn, mended with a unit lent from under the array, due 2026-05-08'])
    expect(items[0]!.close).toContain('back under the array')
    expect(mayPause(items)).toBe(true)
    const back = logged(lent, entry('mended', { damageId: broken.id, with: 'new' }))
    expect(openOn(back, face(back), planned(back), null)).toEqual([])
  })
})

describe('photographs', () => {
  it('are asked for of what is covered for good, and the record names each hole that lacks one', () => {
    const [one, two] = [hole(places[0]!, 'hit'), hole(places[1]!, 'miss')]
    const job = logged(start, one, two, entry('photograph', { holeId: one.id, photoId: '00000000-0000-4000-8000-000000000001', step: 'Flashing before it is covered' }))
    const plan = planned(job)
    const [used, missed] = drilledOn(job.log, 'main')
    expect(photographsOf(used!, closingSteps(job, face(job), plan, used!)).map(({ step, asked }) => [step, asked])).toEqual([['Screw in timber', false], ['Flashing before it is covered', true]])
    expect(photographsOf(missed!, []).map(({ step }) => step)).toEqual(['The sealed hole'])
    expect(photographRecord(job, face(job), plan)).toMatchObject({ had: 1, asked: 2, missing: [{ hole: { id: two.id }, step: 'The sealed hole' }] })
  })
})

describe('weather', () => {
  it('speaks against sealing where it is too cold or not dry, with its unit', () => {
    const closure = { leastC: 10, dry: true, seal: 'inverted-u' as const }
    expect(againstSealing({ airC: 14, surface: 'dry' }, closure, 'metric')).toEqual([])
    expect(againstSealing({ airC: 6, surface: 'damp' }, closure, 'metric').join(' ')).toMatch(/6 °C.*10 °C.*damp/)
    expect(againstSealing({ airC: 6, surface: 'dry' }, closure, 'imperial').join(' ')).toMatch(/43 °F.*50 °F/)
    expect(againstSealing({ airC: 6, surface: 'dry' }, null, 'metric')).toEqual([])
  })
  it('finds the longest stretch of hours between dew and rain, and says what bounds it', () => {
    const hour = (at: string, airC: number, rainMm = 0) => ({ at, airC, dewPointC: 8, rainMm, windMps: 3 })
    const day = [hour('06', 9), hour('07', 12), hour('08', 14), hour('09', 15), hour('10', 16, 2), hour('11', 16)]
    expect(workWindow(day, null)).toEqual({ from: '07', to: '09', hours: 3, before: 'dew', after: 'rain' })
    expect(workWindow([hour('06', 9)], null)).toBeNull()
    expect(hourIsGood({ ...hour('12', 35) }, null)).toBe('heat')
    expect(hourIsGood({ ...hour('12', 20), windMps: 14 }, null)).toBe('wind')
    expect(hourIsGood(hour('12', 12), { leastC: 15, dry: true })).toBe('cold')
  })
})

describe('what is said', () => {
  it('is judged at once, also where nothing is laid out anew: a miss that was sealed is not open any more', () => {
    const miss = hole(places[2]!, 'miss', { timber: 'left' })
    const kinds = (job: Job) => planJob(job, catalogue).findings.map(one => one.kind)
    const job = withHit(logged(start, miss), miss)
    expect(kinds(job)).toContain('hole-unsealed')
    const sealed = logged(job, entry('seal', { holeId: miss.id }))
    expect(kinds(sealed)).not.toContain('hole-unsealed')
    expect(planned(sealed).fixings).toBe(planned(job).fixings)
  })
})
