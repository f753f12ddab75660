import { Matrix, solve } from 'ml-matrix'
import { describe, expect, it } from 'vitest'
import { allPieces, type Beam, type BeamLoad, peakMoment, peakSag, pieceAt, prepareBeam, solveBeam } from '../../core/beam'
import { type Random, seeded } from '../fixtures/random'

interface Case { beam: Beam, load: BeamLoad }

/** A rail as they come: any supports, overhangs, stretches of load, point loads, and now and then a hinge or a soft splice. */
function randomRail(random: Random): Case {
  const n = random.whole(2, 9)
  const supportsMm: number[] = []
  let x = 10 * random.whole(-50, 50)
  for (let i = 0; i < n; i++) {
    supportsMm.push(x)
    x += 10 * random.whole(6, 220)
  }
  const fromMm = supportsMm[0]! - random.pick([0, 10 * random.whole(2, 70)])
  const toMm = supportsMm.at(-1)! + random.pick([0, 10 * random.whole(2, 70)])
  const joints = random.next() < 0.4
    ? [random.whole(0, n - 2)].map(s => ({
        xMm: supportsMm[s]! + (supportsMm[s + 1]! - supportsMm[s]!) * random.pick([0.2, 0.3, 0.5, 0.6, 0.8]),
        stiffness: random.pick([0, random.between(1e6, 1e9)]),
      }))
    : []
  // Whole centimetres: elements far shorter than a rail would cost the reference its own precision.
  const place = () => Math.min(toMm, Math.max(fromMm, 10 * Math.round(random.between(fromMm, toMm) / 10)))
  const uniform = Array.from({ length: random.whole(0, 4) }, () => [place(), place()].sort((a, b) => a - b)).map(([a, b]) => ({
    fromMm: a!,
    toMm: b!,
    nPerMm: random.between(-2, 2),
  }))
  const points = Array.from({ length: random.whole(uniform.length ? 0 : 1, 4) }, () => ({
    xMm: random.pick([place(), place(), random.pick(supportsMm), fromMm, toMm]),
    n: random.between(-1500, 1500),
  }))
  // Two supports with a hinge between them are a mechanism: nothing to compare.
  return {
    beam: { fromMm, toMm, supportsMm, joints: n === 2 ? joints.map(one => ({ ...one, stiffness: Math.max(one.stiffness, 1e7) })) : joints, stiffness: random.between(2e9, 3e10) },
    load: { uniform, points },
  }
}

/**
 * Independent reference: direct stiffness with two-node Euler-Bernoulli elements between all places where anything happens, and
 * a spring or nothing between two rotations at a joint. Solved by ml-matrix. Shares no code with the planner's three-moment solution.
 */
function directStiffness({ beam, load }: Case) {
  const { fromMm, toMm, supportsMm, joints, stiffness: EI } = beam
  const nodes = [...new Set([
    fromMm,
    toMm,
    ...supportsMm,
    ...joints.map(one => one.xMm),
    ...load.uniform.flatMap(one => [one.fromMm, one.toMm]),
    ...load.points.map(one => one.xMm),
  ])].sort((a, b) => a - b)
    .filter((x, i, all) => i === 0 || x - all[i - 1]! > 1e-7)
  const at = (x: number) => nodes.findIndex(node => Math.abs(node - x) < 1e-6)
  // Freedoms: deflection and left-hand rotation of each node, and one more rotation to the right of a joint.
  let dofs = 2 * nodes.length
  const rightRotation = nodes.map((_, i) => joints.some(one => at(one.xMm) === i) ? dofs++ : 2 * i + 1)
  const K = Matrix.zeros(dofs, dofs)
  const F = Matrix.zeros(dofs, 1)
  const add = (i: number, j: number, value: number) => K.set(i, j, K.get(i, j) + value)
  const elements = nodes.slice(1).map((b, e) => {
    const a = nodes[e]!
    const L = b - a
    const dof = [2 * e, rightRotation[e]!, 2 * (e + 1), 2 * (e + 1) + 1]
    const w = load.uniform.filter(one => (a + b) / 2 > one.fromMm && (a + b) / 2 < one.toMm).reduce((sum, one) => sum + one.nPerMm, 0)
    const k = [
      [12, 6 * L, -12, 6 * L],
      [6 * L, 4 * L * L, -6 * L, 2 * L * L],
      [-12, -6 * L, 12, -6 * L],
      [6 * L, 2 * L * L, -6 * L, 4 * L * L],
    ].map(row => row.map(value => value * EI / L ** 3))
    const f = [w * L / 2, w * L * L / 12, w * L / 2, -w * L * L / 12]
    dof.forEach((p, i) => {
      F.set(p, 0, F.get(p, 0) + f[i]!)
      dof.forEach((q, j) => add(p, q, k[i]![j]!))
    })
    return { dof, k, f }
  })
  for (const { xMm, n } of load.points) F.set(2 * at(xMm), 0, F.get(2 * at(xMm), 0) + n)
  for (const { xMm, stiffness } of joints) {
    const i = at(xMm)
    const [p, q] = [2 * i + 1, rightRotation[i]!]
    add(p, p, stiffness)
    add(q, q, stiffness)
    add(p, q, -stiffness)
    add(q, p, -stiffness)
  }
  const held = supportsMm.map(x => 2 * at(x))
  const free = Array.from({ length: dofs }, (_, i) => i).filter(i => !held.includes(i))
  const u = Matrix.zeros(dofs, 1)
  const solved = solve(K.selection(free, free), F.selection(free, [0]))
  free.forEach((i, r) => u.set(i, 0, solved.get(r, 0)))
  const forces = K.mmul(u).sub(F)
  const ends = elements.map(({ dof, k, f }) => dof.map((_, i) => dof.reduce((sum, q, j) => sum + k[i]![j]! * u.get(q, 0), 0) - f[i]!))
  return {
    nodes,
    reactions: held.map(i => -forces.get(i, 0)),
    moments: nodes.map((_, i) => i < elements.length ? ends[i]![1]! : -ends[i - 1]![3]!),
    sags: nodes.map((_, i) => u.get(2 * i, 0)),
  }
}

describe('a rail as a continuous beam', () => {
  it('agrees with an independent direct-stiffness solution on 1000 random rails', () => {
    const random = seeded(1000)
    let compared = 0
    let worst = 0
    while (compared < 1000) {
      const one = randomRail(random)
      // Spans over 50 mm, as the checks are specified for.
      if (one.beam.supportsMm.slice(1).some((x, i) => x - one.beam.supportsMm[i]! < 50)) continue
      const reference = directStiffness(one)
      const prepared = prepareBeam(one.beam, [...one.load.uniform.flatMap(load => [load.fromMm, load.toMm]), ...one.load.points.map(load => load.xMm)])
      expect(prepared).not.toBeNull()
      const ours = solveBeam(prepared!, one.load)
      const scaleR = Math.max(...reference.reactions.map(Math.abs), 1)
      const scaleM = Math.max(...reference.moments.map(Math.abs), 1)
      const scaleV = Math.max(...reference.sags.map(Math.abs), 1e-6)
      const off = [
        ...ours.reactions.map((n, i) => Math.abs(n - reference.reactions[i]!) / scaleR),
        ...reference.nodes.map((x, i) => {
          const piece = ours.pieces.find(p => x >= p.fromMm - 1e-7 && x < p.toMm - 1e-7) ?? ours.pieces.at(-1)!
          return Math.abs(pieceAt(piece, x - piece.fromMm, one.beam.stiffness).moment - reference.moments[i]!) / scaleM
        }),
      ]
      const sagOff = reference.nodes.map((x, i) => {
        const piece = ours.pieces.find(p => x >= p.fromMm - 1e-7 && x < p.toMm - 1e-7) ?? ours.pieces.at(-1)!
        return Math.abs(pieceAt(piece, x - piece.fromMm, one.beam.stiffness).sag - reference.sags[i]!) / scaleV
      })
      worst = Math.max(worst, ...off)
      expect(Math.max(...off)).toBeLessThan(1e-6)
      expect(Math.max(...sagOff)).toBeLessThan(1e-5)
      compared++
    }
    console.log(`Beams: 1000 random rails, greatest difference ${worst.toExponential(1)} of the largest moment or reaction`)
  })

  it('has its greatest moment and sag where walking it in small steps finds them, on 300 random rails', () => {
    const random = seeded(303)
    for (let i = 0; i < 300; i++) {
      const { beam, load } = randomRail(random)
      const prepared = prepareBeam(beam, [...load.uniform.flatMap(one => [one.fromMm, one.toMm]), ...load.points.map(one => one.xMm)])!
      const solution = solveBeam(prepared, load)
      // Half of it and a third turned over: a sum is looked at as one beam.
      const sum = { of: [solution, solution], times: [1 / 2, -1 / 3] }
      const walked = (pieces: typeof solution.pieces, value: 'moment' | 'sag') =>
        Math.max(...pieces.flatMap(piece => Array.from({ length: 201 }, (_, k) => Math.abs(pieceAt(piece, (piece.toMm - piece.fromMm) * k / 200, beam.stiffness)[value]) / 6)))
      const places = [beam.fromMm, ...beam.supportsMm, beam.toMm]
      for (const [found, value] of [
        [peakMoment(sum, allPieces(solution)).value, walked(solution.pieces, 'moment')],
        ...solution.pieces.map((piece, p) => [peakMoment(sum, { from: p, to: p + 1 }).value, walked([piece], 'moment')]),
        ...solution.pieces.map(piece => [peakSag(sum, allPieces(solution), beam.stiffness, piece.fromMm, piece.toMm).value, walked([piece], 'sag')]),
        ...places.slice(1).map((toMm, s) => [
          peakSag(sum, allPieces(solution), beam.stiffness, places[s]!, toMm).value,
          Math.max(0, walked(solution.pieces.filter(piece => piece.fromMm >= places[s]! - 1e-6 && piece.toMm <= toMm + 1e-6), 'sag')),
        ]),
      ] as [number, number][]) {
        expect(Math.abs(found)).toBeGreaterThanOrEqual(value * (1 - 1e-9) - 1e-9)
        expect(Math.abs(found)).toBeLessThanOrEqual(value * 1.001 + 1e-9)
      }
    }
  })

  const w = 1.7
  const L = 1300
  const EI = 5e9
  const spans = (n: number) => {
    const prepared = prepareBeam({ fromMm: 0, toMm: n * L, supportsMm: Array.from({ length: n + 1 }, (_, i) => i * L), joints: [], stiffness: EI }, [])!
    return solveBeam(prepared, { uniform: [{ fromMm: 0, toMm: n * L, nPerMm: w }], points: [] })
  }
  /** Source: the beam tables of any structural handbook (AISC Manual, table 3-22 and 3-23; from memory). */
  it.each([
    [1, [1 / 2, 1 / 2], 1 / 8], [2, [3 / 8, 10 / 8, 3 / 8], -1 / 8], [3, [0.4, 1.1, 1.1, 0.4], -0.1], [4, [11 / 28, 8 / 7, 13 / 14, 8 / 7, 11 / 28], -3 / 28],
  ])('has the handbook’s reactions and moments over %i equal spans', (n, reactions, moment) => {
    const found = spans(n)
    found.reactions.forEach((r, i) => expect(r / (w * L)).toBeCloseTo(reactions[i]!, 9))
    expect(peakMoment({ of: [found], times: [1] }, allPieces(found)).value / (w * L ** 2)).toBeCloseTo(moment, 9)
  })
  it('sags as the handbook says: 5wL⁴/384EI over one span, 0.006884 wL⁴/EI in the end span of three', () => {
    expect(peakSag({ of: [spans(1)], times: [1] }, allPieces(spans(1)), EI, 0, L).value / (w * L ** 4 / EI)).toBeCloseTo(5 / 384, 9)
    const three = spans(3)
    expect(peakSag({ of: [three], times: [1] }, allPieces(three), EI, 0, L).value / (w * L ** 4 / EI)).toBeCloseTo(0.006884, 6)
    // The positive moments of three spans: 0.08 in the end span, 0.025 in the middle.
    const positive = (from: number, to: number) => Math.max(...three.pieces.filter(p => p.fromMm >= from - 1 && p.toMm <= to + 1).flatMap(p => Array.from({ length: 200 }, (_, i) => pieceAt(p, (p.toMm - p.fromMm) * i / 199, EI).moment)))
    expect(positive(0, L) / (w * L ** 2)).toBeCloseTo(0.08, 4)
    expect(positive(L, 2 * L) / (w * L ** 2)).toBeCloseTo(0.025, 4)
  })
  it('has wa²/2 and the handbook’s sag on an overhang', () => {
    const a = 420
    const prepared = prepareBeam({ fromMm: 0, toMm: L + a, supportsMm: [0, L], joints: [], stiffness: EI }, [])!
    const found = solveBeam(prepared, { uniform: [{ fromMm: L, toMm: L + a, nPerMm: w }], points: [] })
    expect(found.reactions[0]! / (-w * a ** 2 / (2 * L))).toBeCloseTo(1, 9)
    // Free end: w a³ (4L + 3a) / 24EI.
    const end = found.pieces.at(-1)!
    expect(pieceAt(end, end.toMm - end.fromMm, EI).sag / (w * a ** 3 * (4 * L + 3 * a) / (24 * EI))).toBeCloseTo(1, 9)
  })
  it('can’t stand on one support, with a hinge in an overhang or as a chain', () => {
    const stands = (supportsMm: number[], joints: number[]) => prepareBeam({
      fromMm: 0,
      toMm: 4000,
      supportsMm,
      joints: joints.map(xMm => ({ xMm, stiffness: 0 })),
      stiffness: EI,
    }, [])
    expect(stands([1000], [])).toBeNull()
    expect(stands([], [])).toBeNull()
    expect(stands([500, 3000], [3500])).toBeNull()
    expect(stands([500, 3000], [1500])).toBeNull()
    expect(stands([500, 1500, 3000], [1000])).not.toBeNull()
  })
  it('drops no load in silence: one that begins, ends or stands at none of its cuts is an error', () => {
    const beam = { fromMm: 0, toMm: 3000, supportsMm: [500, 2500], joints: [], stiffness: EI }
    const at = (xMm: number, cuts: number[]) => solveBeam(prepareBeam(beam, cuts)!, { uniform: [], points: [{ xMm, n: 100 }] }).reactions.reduce((a, b) => a + b, 0)
    expect(at(1200, [1200])).toBeCloseTo(100, 6)
    expect(at(1200 + 5e-7, [1200])).toBeCloseTo(100, 4)
    expect(() => at(4000, [])).toThrow('4000 mm')
    expect(() => at(1200, [])).toThrow('1200 mm')
    expect(() => solveBeam(prepareBeam(beam, [])!, { uniform: [{ fromMm: 700, toMm: 2500, nPerMm: 1 }], points: [] })).toThrow('700 mm')
  })
})
