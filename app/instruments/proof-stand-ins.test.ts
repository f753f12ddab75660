import { describe, expect, it } from 'vitest'
import type { Found } from '#core/job'
import { causesOf, chainsOf, circuitsOf, gatewayNow, serialPlaces, stepOf } from '#core/proof'
import { proved, prover } from '../../tests/fixtures/proof'
import { grounded, strung } from '../../tests/fixtures/ground'
import { seeded } from '../../tests/fixtures/random'
import { simulatedTester, type TesterFault } from './array-tester'
import { type GatewayFault, gatewayFaults, simulatedGateway } from './gateway'

/** Faults planted in stand-ins, one by one: each is found, by its own cause. */
describe('the array tester', () => {
  it('says of itself that it is made up, and refuses what it can’t test', async () => {
    const tester = simulatedTester(() => 'none')
    expect(tester.name).toMatch(/made up/)
    await expect(tester.read('loop', circuitsOf(prover(strung()).ask)[0]!)).rejects.toThrow(/type what yours shows/)
  })
  /** Walks a string until it is wrong, or proved. */
  async function walk(fault: TesterFault): Promise<{ step: string, sentence: string } | null> {
    const one = prover(strung())
    one.next(chainsOf(one.ask)[0]!)
    const tester = simulatedTester(() => fault, seeded(4).next)
    for (const step of ['polarity', 'voc', 'isc', 'insulation'] as const) {
      const [own] = circuitsOf(one.ask)
      const found: Found = await tester.read(step, own!)
      const chain = () => chainsOf(one.ask).find(it => it.name === 'String 1')!
      one.next(chain(), () => found)
      const state = stepOf(chain(), step)!
      if (state.state === 'failed') return { step, sentence: state.verdict!.sentence }
    }
    return null
  }
  it.each([
    ['none', null, /./], ['reversed', 'polarity', /Reversed/], ['short', 'voc', /1 module short/], ['open', 'voc', /low/], ['shade', 'isc', /low/], ['leak', 'insulation', /under 1 MΩ/],
  ] as const)('planted: %s; found at %s', async (fault, step, words) => {
    const found = await walk(fault)
    expect(found?.step ?? null).toBe(step)
    if (found) expect(found.sentence).toMatch(words)
  })
})

describe('the gateway', () => {
  const one = proved(grounded('main-panel'))
  const units = serialPlaces(one.ask).filter(at => at.what === 'unit')
  const hung = circuitsOf(one.ask).map(({ members }) => members.map(member => units.find(at => at.id === member)!.found!.serial))
  const cause: Record<GatewayFault, string[]> = {
    'none': [], 'no-power': ['no-power'], 'no-network': ['no-network'], 'updating': [], 'one': ['connector'], 'weak': ['weak'], 'tail': ['branch-tail'], 'branch': hung.length > 1 ? ['branch-missing'] : ['all-missing'], 'all': ['all-missing'], 'pending': ['profile'], 'little': ['little'], 'stranger': ['stranger'], 'dark': ['too-dark'],
  }
  it.each(Object.keys(gatewayFaults) as GatewayFault[])('planted: %s', async (fault) => {
    const { units: seen, gWm2, ...status } = await simulatedGateway(() => hung, () => fault).ask()
    const { gateway, report } = gatewayNow(one.ask)
    expect(causesOf(one.ask, { ...gateway!, ...status }, { ...report!, units: seen, gWm2 }).map(it => it.kind)).toEqual(cause[fault])
  })
})
