import { describe, expect, it } from 'vitest'
import { entry, hole } from '../../tests/fixtures/work-findings'
import type { LogEntry } from '../job'
import { differencesOn } from './differences'
import { drilledOn } from './drilled'
import { modulesThere, railsThere } from './laid'

const at = { xMm: 1000, yMm: 800 }
const only = (...log: LogEntry[]) => drilledOn(log, 'main')[0]!

describe('holes by the log', () => {
  it('a hit is in use, a miss is not; both keep who said it', () => {
    expect(only(hole(at, 'hit', { dust: 'pale' }))).toMatchObject({ ...at, state: 'used', missed: false, dust: 'pale', by: 'Ines', sealed: false })
    expect(only(hole(at, 'miss', { timber: 'left' }))).toMatchObject({ state: 'abandoned', missed: true, timber: 'left' })
  })
  it('what is said of a hole later is its own: sealed, steps, height, torque, given up', () => {
    const one = hole(at, 'hit')
    const holeId = one.id
    const said = [entry('closure', { holeId, step: 'seal', done: true }), entry('closure', { holeId, step: 'lift', done: true }), entry('closure', { holeId, step: 'seal', done: false }), entry('height', { holeId, heightMm: 85 }), entry('torque', { holeId, torqueNm: 14, driver: 'wrench', wrench: 'No. 2', by: 'Tom' })]
    expect(only(one, ...said)).toMatchObject({ closure: ['lift'], heightMm: 85, torque: { nm: 14, driver: 'wrench', wrench: 'No. 2', by: 'Tom' } })
    expect(only(one, entry('give-up', { holeId }), entry('seal', { holeId }))).toMatchObject({ state: 'abandoned', missed: false, sealed: true })
  })
  it('said twice alike is one hole; holes a hand apart are two; other faces have their own', () => {
    const twice = [hole(at, 'hit'), hole({ xMm: at.xMm + 2, yMm: at.yMm + 1 }, 'hit', { by: 'Tom' })]
    expect(drilledOn(twice, 'main')).toHaveLength(1)
    expect(drilledOn([...twice, hole({ xMm: 1030, yMm: 800 }, 'hit')], 'main')).toHaveLength(2)
    expect(drilledOn([entry('hole', { ...at, faceId: 'wing', result: 'hit', timber: null, dust: null })], 'main')).toEqual([])
  })
  it('said differently is nobody’s until it is settled, and then what was said of either counts', () => {
    const [a, b] = [hole(at, 'hit'), hole({ xMm: at.xMm + 3, yMm: at.yMm }, 'miss', { by: 'Tom' })]
    expect(only(a, b).state).toBe('disputed')
    expect(differencesOn([a, b], 'main')).toHaveLength(1)
    const settled = [a, b, entry('seal', { holeId: b.id }), entry('settle', { holdsId: a.id, overId: b.id })]
    expect(differencesOn(settled, 'main')).toEqual([])
    expect(drilledOn(settled, 'main')).toMatchObject([{ id: a.id, state: 'used', sealed: true }])
  })
})

describe('rails and modules by the log', () => {
  it('the last word on a rail holds; another run of the same line is another rail', () => {
    const rail = (fromMm: number, toMm: number, state: 'cut' | 'placed') => entry('rail', { way: 'across', lineMm: 900, fromMm, toMm, splicesMm: [], state })
    expect(railsThere([rail(0, 3000, 'cut'), rail(5, 3000, 'placed'), rail(4000, 7000, 'cut')], 'main').map(one => one.state)).toEqual(['placed', 'cut'])
  })
  it('a module that was taken off again does not lie there', () => {
    const module = (xMm: number, state: 'laid' | 'lifted') => entry('module', { xMm, yMm: 1500, state })
    expect(modulesThere([module(500, 'laid'), module(1700, 'laid'), module(510, 'lifted'), module(1700, 'laid')], 'main')).toEqual([{ xMm: 1700, yMm: 1500 }])
  })
})
