import type { SeenUnit } from '#core/job'

/** What gathers what units say: asked, it tells of itself and of each unit that it hears. */
export interface Gateway {
  name: string
  /** @throws when it can't be reached */
  ask: () => Promise<{ powered: boolean, online: boolean, updating: boolean, gWm2: number | null, units: SeenUnit[] }>
}

/** Faults that can be planted in what a stand-in hears. */
export const gatewayFaults = {
  'none': 'None', 'no-power': 'No power', 'no-network': 'Not on the network', 'updating': 'Still updating', 'one': 'One unit’s plug', 'weak': 'One unit far away', 'tail': 'A trunk open half way', 'branch': 'A branch switched off', 'all': 'The array switched off',
  'pending': 'A profile pending', 'little': 'One module half in', 'stranger': 'A neighbour’s unit', 'dark': 'Dusk',
} as const
export type GatewayFault = keyof typeof gatewayFaults

/** Units as they hang: their serial numbers, circuit by circuit, each in the order of its trunk. */
export type HungUnits = string[][]

/** A stand-in: every unit of the map reports, but for what the planted fault takes away. What it says is made up. */
export const simulatedGateway = (units: () => HungUnits, fault: () => GatewayFault): Gateway => ({
  name: 'Stand-in for a gateway: what it says is made up',
  async ask() {
    const planted = fault()
    const circuits = units()
    const [first = []] = circuits
    const middle = Math.floor(first.length / 2)
    const gone = new Set(planted === 'one' || planted === 'weak' ? [first[middle]] : planted === 'tail' ? first.slice(Math.max(1, first.length - 3)) : planted === 'branch' ? first : planted === 'all' ? circuits.flat() : [])
    const faint = new Set(planted === 'weak' ? [first[middle - 1], first[middle + 1]] : [])
    const heard = circuits.flat().filter(serial => !gone.has(serial)).map((serial, i): SeenUnit => ({
      serial, signal: faint.has(serial) ? 1 : 4, profile: planted === 'pending' && i === 0 ? 'pending' : 'set', watts: planted === 'dark' ? 3 : planted === 'little' && serial === first[middle] ? 74 : 231 + i % 7,
    }))
    return {
      powered: planted !== 'no-power', online: planted !== 'no-power' && planted !== 'no-network', updating: planted === 'updating', gWm2: planted === 'dark' ? 25 : 690,
      units: planted === 'no-power' || planted === 'no-network' ? [] : [...heard, ...planted === 'stranger' ? [{ serial: 'NEIGHBOUR-77', signal: 2, profile: 'set' as const, watts: 240 }] : []],
    }
  },
})
