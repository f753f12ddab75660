import type { Inverter } from '../catalogue'

/** Modules that may stand in one string: of one face, lying one way, of one make. */
export interface Pool { key: string, modules: number, /** Modules a string may and must have; none where `least` is over `most`. */ least: number, most: number, iscA: number, impA: number, powerW: number }

/** Strings of one tracker: side by side, as long as each other. */
export interface TrackerUse { tracker: number, inverter: number, length: number, pools: string[] }

export interface StringSizes {
  uses: TrackerUse[]
  /** Modules that no string takes. */
  left: number
  mixed: number
  strings: number
  inverters: number
  /** States looked at; every allotment within the rules was compared, none left out. */
  tried: number
}

interface Option { length: number, pools: number[] }
interface Found { used: number, mixed: number, strings: number, spread: number, uses: { length: number, pools: number[] }[] }

/** A better allotment takes more modules, then mixes fewer trackers, then has fewer strings, then strings more alike. */
function better(a: Found, b: Found): boolean {
  if (a.used !== b.used) return a.used > b.used
  if (a.mixed !== b.mixed) return a.mixed < b.mixed
  if (a.strings !== b.strings) return a.strings < b.strings
  return a.spread < b.spread
}

/** So many inverters are tried where one does not take the roof. */
const MOST_INVERTERS = 3

/** Every way to use one tracker: strings side by side of one length, from one pool or from several. */
function optionsOf(pools: Pool[], { inputs, shortA }: Inverter['trackers'][number]): Option[] {
  const options: Option[] = []
  const take = (pool: number, chosen: number[]) => {
    if (chosen.length) {
      const own = chosen.map(i => pools[i]!)
      const least = Math.max(...own.map(one => one.least))
      const most = Math.min(...own.map(one => one.most))
      if (own.reduce((sum, one) => sum + one.iscA, 0) <= shortA + 1e-9) for (let length = least; length <= most; length++) options.push({ length, pools: chosen })
    }
    if (chosen.length < inputs) for (let next = pool; next < pools.length; next++) take(next, [...chosen, next])
  }
  take(0, [])
  return options
}

/**
 * How many strings, how long and on which tracker: every allotment of modules to trackers is compared, by dynamic programming over the modules
 * that are left. Strings on one tracker are as long as each other; of different faces only where more modules are used by it.
 * @param mostW power that one inverter allows; null where it says nothing
 */
export function stringSizes(pools: Pool[], { trackers, mostDcW }: Pick<Inverter, 'trackers' | 'mostDcW'>): StringSizes {
  const all = pools.reduce((sum, pool) => sum + pool.modules, 0)
  let best: StringSizes | null = null
  let tried = 0
  for (let inverters = 1; inverters <= MOST_INVERTERS; inverters++) {
    const known = new Map<string, Found>()
    const options = trackers.map(tracker => optionsOf(pools, tracker))
    const slots = Array.from({ length: inverters * trackers.length }, (_, i) => i)
    const solve = (slot: number, left: number[], watts: number): Found => {
      if (slot === slots.length) return { used: 0, mixed: 0, strings: 0, spread: 0, uses: [] }
      const at = slot % trackers.length
      const freshW = at === 0 ? 0 : watts
      const key = `${slot} ${left.join(',')} ${mostDcW === null ? '' : freshW.toFixed(3)}`
      const ready = known.get(key)
      if (ready) return ready
      tried++
      const without = solve(slot + 1, left, freshW)
      let own: Found | null = null
      for (const option of options[at]!) {
        const after = [...left]
        for (const pool of option.pools) after[pool]! -= option.length
        if (after.some(n => n < 0)) continue
        const W = option.pools.reduce((sum, pool) => sum + pools[pool]!.powerW * option.length, 0)
        if (mostDcW !== null && freshW + W > mostDcW + 1e-6) continue
        const rest = solve(slot + 1, after, freshW + W)
        const now: Found = {
          used: rest.used + option.length * option.pools.length, mixed: rest.mixed + (new Set(option.pools).size > 1 ? 1 : 0), strings: rest.strings + option.pools.length,
          spread: rest.spread + option.pools.length * option.length ** 2, uses: [option, ...rest.uses],
        }
        if (!own || better(now, own)) own = now
      }
      // Of ways that are as good the first trackers are used.
      if (!own || better(without, own)) own = { ...without, uses: [{ length: 0, pools: [] }, ...without.uses] }
      known.set(key, own)
      return own
    }
    const found = solve(0, pools.map(pool => pool.modules), 0)
    const sizes: StringSizes = {
      uses: found.uses.flatMap((use, slot) => use.pools.length ? [{ tracker: slot % trackers.length, inverter: Math.floor(slot / trackers.length), length: use.length, pools: use.pools.map(i => pools[i]!.key) }] : []),
      left: all - found.used, mixed: found.mixed, strings: found.strings, inverters, tried,
    }
    if (!best || sizes.left < best.left) best = { ...sizes, tried }
    if (best.left === 0) break
  }
  return { ...best!, tried }
}
