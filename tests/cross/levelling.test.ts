import highs from 'highs'
import { describe, expect, it } from 'vitest'
import { type FeetLimits, type Foot, level, levelByLeastSteps, levelToPlane, MOST_TILT_PER_M, planeAt, reachOf, stacks, turnOf } from '../../core/fieldwork'
import { plainFeet } from '../../core/job'
import { inch } from '../fixtures/jobs'
import { type Random, seeded } from '../fixtures/random'

const solver = await highs()
const num = (value: number) => value.toFixed(9)
const sum = (terms: [number, string][]) => terms.map(([by, name]) => `${by < 0 ? '-' : '+'} ${num(Math.abs(by))} ${name}`).join(' ')

/** A roof that waves: feet on a few lines over an old covering, in mm. */
function wavyRoof(random: Random): { feet: Foot[], limits: FeetLimits } {
  const [lines, each] = [random.whole(1, 4), random.whole(3, 9)]
  const wave = random.between(2, 26)
  const [a, b, c] = [random.between(0.4, 1.2), random.between(0.3, 1.5), random.between(0, 6)]
  const feet = Array.from({ length: lines * each }, (_, i): Foot => {
    const [line, at] = [Math.floor(i / each), i % each]
    return { id: `${i}`, line: `rail ${line}`, xMm: 400 + at * 1220 + random.between(-60, 60), yMm: 900 + line * 870, roofMm: wave * Math.sin(a * at + b * line + c) + random.between(-3, 3) }
  })
  const imperial = random.next() < 0.5
  return { feet, limits: { lowestMm: 70, highestMm: 70 + random.between(14, 34), shimsMm: imperial ? [1.6, 3.2, 4.8, 6.4] : [2, 3, 5], mostShims: random.whole(1, 2), greatestMm: random.next() < 0.2 ? 108 : null } }
}

/** The stranger's program: the plane, and under each foot one stack of shims or none, as one integer program; and again for the thinnest. */
function byProgram({ feet, limits }: { feet: Foot[], limits: FeetLimits }, what: 'reserve' | 'pieces' | 'thickness', most: number): number | null {
  const kinds = Array.from({ length: what === 'reserve' ? 1 : limits.mostShims + 1 }, (_, k) => stacks(limits, k)).flat()
  const rows: string[] = [`tilt: + au + ad + uu + ud <= ${num(MOST_TILT_PER_M)}`]
  const aim: [number, string][] = []
  const binaries: string[] = []
  feet.forEach((foot, i) => {
    const plane: [number, string][] = [[1, 'at'], [foot.xMm / 1000, 'au'], [-foot.xMm / 1000, 'ad'], [foot.yMm / 1000, 'uu'], [-foot.yMm / 1000, 'ud']]
    const own = kinds.map((kind, k) => ({ kind, reach: reachOf(limits, kind.mm), name: `s${i}_${k}` })).filter(one => one.reach.toMm >= one.reach.fromMm)
    rows.push(`one${i}: ${sum(own.map(({ name }) => [1, name]))} = 1`)
    const reserve: [number, string][] = what === 'reserve' ? [[1, 'r']] : []
    rows.push(`low${i}: ${sum([...plane, ...own.map(({ reach, name }): [number, string] => [-reach.fromMm, name]), ...reserve.map(([, name]): [number, string] => [-1, name])])} >= ${num(foot.roofMm)}`)
    rows.push(`high${i}: ${sum([...plane, ...own.map(({ reach, name }): [number, string] => [-Math.min(reach.toMm, 1e4), name]), ...reserve])} <= ${num(foot.roofMm)}`)
    for (const { kind, name } of own) {
      binaries.push(name)
      aim.push([what === 'thickness' ? kind.mm : kind.sizes.length, name])
    }
  })
  const pieces = feet.flatMap((_, i) => kinds.flatMap((kind, k): [number, string][] => kind.sizes.length && binaries.includes(`s${i}_${k}`) ? [[kind.sizes.length, `s${i}_${k}`]] : []))
  if (what === 'thickness' && pieces.length) rows.push(`most: ${sum(pieces)} <= ${most}`)
  const objective = what === 'reserve' ? 'Maximize\n obj: + 1 r' : `Minimize\n obj: ${sum(aim.filter(([by]) => by !== 0)) || '+ 0 at'}`
  const answer = solver.solve(`${objective}\nSubject To\n ${rows.join('\n ')}\nBounds\n at free\n r free\n${what === 'reserve' ? ' r <= 1000\n' : ''}Binaries\n ${binaries.join(' ')}\nEnd`, { mip_rel_gap: 0, mip_abs_gap: 1e-6 })
  return answer.Status === 'Optimal' ? answer.ObjectiveValue : null
}

/** Each foot with the next on its line, and with the nearest of the line below it: looked up by the feet's own places. */
function neighboursOf(feet: Foot[]) {
  const after = feet.map((foot, i) => feet.map((other, j) => ({ j, by: other.xMm - foot.xMm, line: other.line })).filter(one => one.j !== i && one.line === foot.line && one.by > 0).sort((a, b) => a.by - b.by)[0]?.j)
  const below = feet.map((foot) => {
    const lower = Math.max(...feet.filter(other => other.yMm < foot.yMm - 1).map(other => other.yMm))
    return feet.map((other, j) => ({ j, off: Math.abs(other.xMm - foot.xMm), yMm: other.yMm })).filter(one => Math.abs(one.yMm - lower) < 1).sort((a, b) => a.off - b.off)[0]?.j
  })
  const pairs = [after, below].flatMap(list => list.flatMap((j, i): [number, number][] => j === undefined ? [] : [[i, j]]))
  const triples = after.flatMap((j, i): [number, number, number][] => j === undefined || after[j] === undefined ? [] : [[i, j, after[j]]])
  return { pairs, triples }
}

/** The least largest step, and with it the least bend, by two linear programs of a general solver. */
function stepsByProgram({ feet, limits }: { feet: Foot[], limits: FeetLimits }, stepMost: number | null): number {
  const most = Math.max(...Array.from({ length: limits.mostShims + 1 }, (_, k) => stacks(limits, k)).flat().map(one => reachOf(limits, one.mm).toMm))
  const { pairs, triples } = neighboursOf(feet)
  const rows = pairs.flatMap(([i, j], k) => [`p${k}: z${i} - z${j} - t <= 0`, `q${k}: z${j} - z${i} - t <= 0`])
  if (stepMost !== null) rows.push(`t0: t <= ${num(stepMost)}`, ...triples.flatMap(([i, j, k], n) => [`b${n}: z${i} - 2 z${j} + z${k} - w <= 0`, `c${n}: 2 z${j} - z${i} - z${k} - w <= 0`]))
  const bounds = feet.map((foot, i) => `${num(limits.lowestMm + foot.roofMm)} <= z${i} <= ${num(most + foot.roofMm)}`)
  return solver.solve(`Minimize\n obj: ${stepMost === null ? 't' : 'w'}\nSubject To\n ${rows.join('\n ')}\nBounds\n ${bounds.join('\n ')}\nEnd`).ObjectiveValue
}

describe('feet brought to a plane', () => {
  it('300 wavy roofs: the reserve, the fewest shims, the thinnest of those, and where there is no plane the least steps, as integer programs have them', { timeout: 400_000 }, () => {
    const random = seeded(4711)
    const seen = { plane: 0, shims: 0, steps: 0, open: 0 }
    for (let i = 0; i < 300; i++) {
      const roof = wavyRoof(random)
      const { found, none } = levelToPlane(roof.feet, roof.limits)
      const reserve = byProgram(roof, 'reserve', 0)!
      if (found && found.pieces === 0) {
        seen.plane++
        expect(found.reserveMm).toBeCloseTo(reserve, 4)
        continue
      }
      expect(reserve).toBeLessThan(1e-4)
      if (!found) {
        seen.steps++
        expect(none).toBe(true)
        expect(byProgram(roof, 'pieces', 0)).toBeNull()
        const { stepMm, bendMm, seatsMm } = levelByLeastSteps(roof.feet, roof.limits)
        const least = stepsByProgram(roof, null)
        expect(stepMm).toBeCloseTo(least, 2)
        expect(bendMm).toBeLessThanOrEqual(stepsByProgram(roof, stepMm + 1e-6) + 0.02)
        roof.feet.forEach((foot, k) => expect(seatsMm[k]! - foot.roofMm).toBeGreaterThanOrEqual(roof.limits.lowestMm - 1e-3))
        continue
      }
      // Whatever is claimed, every foot is inside its travel on its own stack.
      roof.feet.forEach((foot, k) => {
        const seat = planeAt(found.plane, foot) - foot.roofMm
        const { fromMm, toMm } = reachOf(roof.limits, found.stacks[k]!.mm)
        expect(seat).toBeGreaterThanOrEqual(fromMm - 1e-4)
        expect(seat).toBeLessThanOrEqual(toMm + 1e-4)
      })
      const pieces = byProgram(roof, 'pieces', 0)!
      if (!found.proved) {
        seen.open++
        expect(found.pieces).toBeGreaterThanOrEqual(Math.round(pieces))
        continue
      }
      seen.shims++
      expect(found.pieces).toBe(Math.round(pieces))
      expect(found.thicknessMm).toBeCloseTo(byProgram(roof, 'thickness', found.pieces)!, 3)
    }
    expect(seen.plane).toBeGreaterThan(60)
    expect(seen.shims).toBeGreaterThan(20)
    expect(seen.steps).toBeGreaterThan(20)
    expect(seen.open).toBeLessThan(30)
  })

  it('sets every foot to its seat: the foot, its shims and the covering together are the plane', () => {
    const { feet } = wavyRoof(seeded(5))
    const { feet: set, order } = level(feet, { ...plainFeet, highestMm: 130 })
    for (const one of set) expect(one.setMm + one.shims.mm).toBeCloseTo(one.seatMm, 9)
    // The ends of a line come first, and each foot is told once.
    expect(new Set(order).size).toBe(feet.length)
    expect(order.slice(0, 2)).toEqual([feet[0]!.id, feet.filter(foot => foot.line === feet[0]!.line).at(-1)!.id])
    // All up and lowered by eye: whatever has farthest to go first.
    const lowered = level(feet, { ...plainFeet, highestMm: 130, school: 'top' })
    const onFirst = lowered.order.filter(id => feet.find(foot => foot.id === id)!.line === feet[0]!.line).map(id => lowered.feet.find(foot => foot.id === id)!.setMm)
    expect(onFirst).toEqual([...onFirst].sort((a, b) => a - b))
  })
})

describe('what is claimed', () => {
  it('neither fewest shims nor that there is no plane, where steps between sizes are longer than the travel', () => {
    const feet = (lowMm: number) => Array.from({ length: 6 }, (_, i): Foot => ({ id: `${i}`, line: 'rail', xMm: 1000 * i, yMm: 0, roofMm: i === 3 ? -lowMm : 0 }))
    const limits = { ...plainFeet, lowestMm: 70, highestMm: 73, shimsMm: [4, 40], mostShims: 1 }
    expect(levelToPlane(feet(5), limits).found).toMatchObject({ pieces: 1, thicknessMm: 4, proved: false })
    expect(levelToPlane(feet(20), limits)).toEqual({ found: null, none: false })
    expect(level(feet(20), limits)).toMatchObject({ how: 'steps', proved: false })
    expect(levelToPlane(feet(5), { ...limits, highestMm: 120 }).found).toMatchObject({ pieces: 0, proved: true })
  })
})

describe('a row that turns', () => {
  it('1/8 in over the first 40 in is 2 1/4 in at 60 ft (common practice)', () => {
    const turn = turnOf({ fromMm: 0, toMm: inch(40), readMm: [inch(30), inch(30.125)], wantedMm: [inch(30), inch(30)] })!
    expect(Math.abs(turn.offAt(inch(720)))).toBeCloseTo(inch(2.25), 6)
    expect(turnOf({ fromMm: 5, toMm: 5, readMm: [1, 1], wantedMm: [1, 1] })).toBeNull()
  })
})
