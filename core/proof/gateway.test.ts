import { describe, expect, it } from 'vitest'
import { proved } from '../../tests/fixtures/proof'
import { grounded } from '../../tests/fixtures/ground'
import { seeded } from '../../tests/fixtures/random'
import type { SeenUnit } from '../job'
import { causesOf, circuitsOf, gatewayNow, serialPlaces } from './index'

describe('the gateway', () => {
  const one = proved(grounded('main-panel'))
  const { gateway, report } = gatewayNow(one.ask)
  const units = serialPlaces(one.ask).filter(at => at.what === 'unit')
  const branches = [...new Set(units.map(at => at.circuit))]
  const along = (number: number | null) => circuitsOf(one.ask).find(own => own.circuit.number === number)!.members.map(member => units.find(at => at.id === member)!.found!.serial)
  const told = (change: (units: SeenUnit[]) => SeenUnit[], values: Partial<typeof gateway & object> = {}) => causesOf(one.ask, { ...gateway!, ...values }, { ...report!, units: change(report!.units) }).map(cause => cause.kind)
  const without = (...serials: string[]) => (seen: SeenUnit[]) => seen.filter(unit => !serials.includes(unit.serial))
  it('says nothing where all report and make alike', () => expect(told(seen => seen)).toEqual([]))
  it('one unit, the far end of a branch, a whole branch, all: each has its own cause', () => {
    const own = along(branches[0]!)
    expect(told(without(own[3]!))).toEqual(['connector'])
    expect(told(without(...own.slice(-3)))).toEqual(['branch-tail'])
    if (branches.length > 1) expect(told(without(...own))).toEqual(['branch-missing'])
    expect(told(() => [])).toEqual(['all-missing'])
    expect(told(seen => seen, { powered: false })).toEqual(['no-power'])
    expect(told(seen => seen, { online: false })).toEqual(['no-network'])
  })
  it('names the joint: between the last that reports and the first that does not, whichever end is fed', () => {
    const own = along(branches[0]!)
    const words = (...serials: string[]) => causesOf(one.ask, gateway, { ...report!, units: without(...serials)(report!.units) })[0]!
    expect(words(...own.slice(-2)).places.map(at => at.found!.serial)).toEqual(own.slice(-2))
    expect(words(own[0]!, own[1]!).places.map(at => at.found!.serial)).toEqual([own[1], own[0]])
  })
  it('a weak signal beside it: move the gateway; a profile that is pending is not set; a unit that makes less; a stranger', () => {
    const own = along(branches[0]!)
    const near = [own[2]!, own[4]!]
    expect(told(seen => without(own[3]!)(seen).map(unit => near.includes(unit.serial) ? { ...unit, signal: 1 } : unit))).toEqual(['weak'])
    expect(told(seen => seen.map((unit, i) => i === 4 ? { ...unit, profile: 'pending' } : unit))).toEqual(['profile'])
    expect(told(seen => seen.map((unit, i) => i === 4 ? { ...unit, watts: 90 } : unit))).toEqual(['little'])
    expect(told(seen => seen.map(unit => ({ ...unit, watts: 5 })))).toEqual(['too-dark'])
    expect(told(seen => seen.map(unit => ({ ...unit, watts: null })))).toEqual(['no-output'])
    expect(told(seen => [...seen, { serial: 'OTHER-1', signal: 4, profile: 'set', watts: 260 }])).toEqual(['stranger'])
    expect(told(without(own[3]!), { updating: true })).toEqual(['updating', 'connector'])
  })
  it('random faults, one or two at once: what is missing is always named, and nothing that reports', () => {
    const random = seeded(11)
    for (let trial = 0; trial < 200; trial++) {
      const gone = new Set(Array.from({ length: random.whole(1, 6) }, () => random.pick(report!.units).serial))
      const causes = causesOf(one.ask, gateway, { ...report!, units: without(...gone)(report!.units) })
      const named = causes.flatMap(cause => cause.places.map(at => at.found!.serial))
      expect(new Set(named)).toEqual(gone)
      expect(named).toHaveLength(gone.size)
    }
  })
})
