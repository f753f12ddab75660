import { type Job, plainWiring, type WireGroup, type WiringFacts } from '../../core/job'

/** How jobs of the demo are wired: every system is there once. */

const group = (system: WireGroup['system'], unitId: string | null, trunkId: string | null, inverterId: string | null = null, faceIds: string[] = [], id = 'roof', name = 'Whole roof'): WireGroup =>
  ({ id, name, system, unitId, trunkId, inverterId, faceIds })

export const groups = {
  single: group('unit-each', 'lantern-small', null),
  pair: group('unit-for-two', 'petrel-pair', null),
  four: group('unit-for-four', 'petrel-four', null),
  strings: (inverterId: string) => group('strings', null, null, inverterId),
  optimised: group('optimisers', 'garnet-optimiser', null, 'garnet-held'),
  shutdown: group('shutdown-units', 'tern-shutdown', null, 'quillon-two'),
}

const wired = (job: Job, wiring: Partial<WiringFacts>, one: WireGroup): Job => ({ ...job, wiring: { ...plainWiring, ...wiring, groups: [one] } })

/** A house at Saltmarsh Haven: by the NEC, with shutdown begun beside the meter. */
export const wiredHaven = (job: Job, one: WireGroup, wiring: Partial<WiringFacts> = {}): Job =>
  wired(job, { coldC: -11, hotC: 33, initiation: 'Switch beside the meter, south wall', ...wiring }, one)

/** A house at Brackwater: by the IEC. */
export const wiredBrackwater = (job: Job, one: WireGroup, wiring: Partial<WiringFacts> = {}): Job =>
  wired(job, { coldC: -8, hotC: 31, ...wiring }, one)
