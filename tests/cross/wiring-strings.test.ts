import highsLoader from 'highs'
import { expect, it } from 'vitest'
import { type Pool, stringSizes } from '../../core/wiring'
import { type Random, seeded } from '../fixtures/random'

const highs = await highsLoader()

interface Case { pools: Pool[], trackers: { inputs: number, workingA: number, shortA: number }[], mostDcW: number | null }

function randomCase(random: Random): Case {
  const pools = Array.from({ length: random.whole(1, 3) }, (_, i): Pool => {
    const modules = random.whole(3, 18)
    const least = random.whole(2, 8)
    return { key: `p${i}`, modules, least, most: Math.min(modules, random.whole(6, 16)), iscA: random.between(9, 15), impA: 9, powerW: random.whole(350, 460) }
  })
  return { pools, trackers: Array.from({ length: random.whole(1, 3) }, () => ({ inputs: random.whole(1, 2), workingA: 26, shortA: random.pick([16, 22, 32, 40]) })), mostDcW: random.pick([null, 5000, 9000, 14_000]) }
}

/**
 * Most modules in strings on one inverter, by an integer program: for each tracker one length; each pool has so many strings there, of that length.
 * Length times strings is taken apart by a binary for each length, so that all is linear.
 */
function byProgram({ pools, trackers, mostDcW }: Case): number {
  const terms: { name: string, tracker: number, pool: number, length: number }[] = []
  const lengths: { name: string, tracker: number, length: number }[] = []
  trackers.forEach((_, t) => {
    const all = [...new Set(pools.flatMap(pool => Array.from({ length: Math.max(0, pool.most - pool.least + 1) }, (_, i) => pool.least + i)))]
    for (const length of all) {
      lengths.push({ name: `z${t}_${length}`, tracker: t, length })
      pools.forEach((pool, p) => {
        if (length >= pool.least && length <= pool.most) terms.push({ name: `n${t}_${p}_${length}`, tracker: t, pool: p, length })
      })
    }
  })
  if (!terms.length) return 0
  const rows: string[] = []
  trackers.forEach((tracker, t) => {
    const own = lengths.filter(one => one.tracker === t)
    rows.push(` one${t}: ${own.map(one => one.name).join(' + ')} <= 1`)
    for (const one of own) {
      const strings = terms.filter(term => term.tracker === t && term.length === one.length)
      if (!strings.length) continue
      rows.push(` in${t}_${one.length}: ${strings.map(term => term.name).join(' + ')} - ${tracker.inputs} ${one.name} <= 0`)
      rows.push(` sc${t}_${one.length}: ${strings.map(term => `${pools[term.pool]!.iscA.toFixed(6)} ${term.name}`).join(' + ')} <= ${tracker.shortA}`)
    }
  })
  pools.forEach((pool, p) => {
    const own = terms.filter(term => term.pool === p)
    if (own.length) rows.push(` pool${p}: ${own.map(term => `${term.length} ${term.name}`).join(' + ')} <= ${pool.modules}`)
  })
  if (mostDcW !== null) rows.push(` w: ${terms.map(term => `${term.length * pools[term.pool]!.powerW} ${term.name}`).join(' + ')} <= ${mostDcW}`)
  const model = `Maximize\n obj: ${terms.map(term => `${term.length} ${term.name}`).join(' + ')}\nSubject To\n${rows.join('\n')}\nBinary\n ${lengths.map(one => one.name).join(' ')}\nGeneral\n ${terms.map(term => term.name).join(' ')}\nEnd`
  return Math.round(highs.solve(model, { mip_rel_gap: 0 }).ObjectiveValue)
}

it('500 random roofs and inverters: as many modules are in strings as an integer program finds, and every rule is kept', () => {
  for (let seed = 1; seed <= 500; seed++) {
    const one = randomCase(seeded(seed))
    const sizes = stringSizes(one.pools, one)
    const all = one.pools.reduce((sum, pool) => sum + pool.modules, 0)
    const used = all - sizes.left
    // More inverters are tried only where one leaves modules over.
    if (sizes.inverters === 1) expect(used).toBe(byProgram(one))
    else expect(used).toBeGreaterThan(byProgram(one))
    let counted = 0
    for (const use of sizes.uses) {
      const own = use.pools.map(key => one.pools.find(pool => pool.key === key)!)
      expect(use.pools.length).toBeLessThanOrEqual(one.trackers[use.tracker]!.inputs)
      expect(own.reduce((sum, pool) => sum + pool.iscA, 0)).toBeLessThanOrEqual(one.trackers[use.tracker]!.shortA + 1e-9)
      for (const pool of own) {
        expect(use.length).toBeGreaterThanOrEqual(pool.least)
        expect(use.length).toBeLessThanOrEqual(pool.most)
      }
      counted += use.length * use.pools.length
    }
    expect(counted).toBe(used)
    for (const pool of one.pools) expect(sizes.uses.reduce((sum, use) => sum + use.length * use.pools.filter(key => key === pool.key).length, 0)).toBeLessThanOrEqual(pool.modules)
    for (let inverter = 0; inverter < sizes.inverters; inverter++) {
      const own = sizes.uses.filter(use => use.inverter === inverter)
      expect(new Set(own.map(use => use.tracker)).size).toBe(own.length)
      if (one.mostDcW !== null) expect(own.reduce((sum, use) => sum + use.length * use.pools.reduce((w, key) => w + one.pools.find(pool => pool.key === key)!.powerW, 0), 0)).toBeLessThanOrEqual(one.mostDcW + 1e-6)
    }
  }
}, 180_000)
