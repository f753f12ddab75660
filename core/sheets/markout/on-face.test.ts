import { describe, expect, it } from 'vitest'
import { catalogue, changed } from '../../../tests/fixtures/jobs'
import { seeded } from '../../../tests/fixtures/random'
import { demoJobs } from '../../../db/demo/jobs'
import { type Outline, rulesOf } from '../../job'
import { planJob } from '../../plan'
import { runTape } from '../../rails'
import { datumName, placeAlong, placeOn, placeUp, readingOn, shapeOf } from '../../roof'
import { tapeReadings } from '../../hand'
import type { MarkStep } from '../../trade'

/** Whether a point lies on a polygon or within so much of it, by the winding number and the distance to its sides: no code of the planner's. */
function onFace(ring: { x: number, y: number }[], x: number, y: number, withinMm: number): boolean {
  let inside = false
  let nearest = Infinity
  ring.forEach((a, i) => {
    const b = ring[(i + 1) % ring.length]!
    if ((a.y > y) !== (b.y > y) && x < (b.x - a.x) * (y - a.y) / (b.y - a.y) + a.x) inside = !inside
    const t = Math.min(1, Math.max(0, ((x - a.x) * (b.x - a.x) + (y - a.y) * (b.y - a.y)) / ((b.x - a.x) ** 2 + (b.y - a.y) ** 2)))
    nearest = Math.min(nearest, Math.hypot(x - a.x - t * (b.x - a.x), y - a.y - t * (b.y - a.y)))
  })
  return inside || nearest <= withinMm
}

/** Every mark that is a point of its own, or lies on a line across the face, as a place on it. */
const pointsOf = (steps: MarkStep[], face: Parameters<typeof placeAlong>[0]) => steps.flatMap(step => step.marks.flatMap((mark) => {
  const label = `${step.title}: ${mark.label}`
  if (mark.upMm !== null) return [{ label, x: placeAlong(face, mark.readingMm), y: placeUp(face, mark.upMm) }]
  return step.tape === 'along' && step.lineMm !== null ? [{ label, x: placeAlong(face, mark.readingMm), y: placeUp(face, step.lineMm) }] : []
}))

describe('every mark lies on its face', () => {
  it('on the demo jobs and on 60 faces a few millimetres out of true, under rules that ask for strips on every edge', { timeout: 120_000 }, () => {
    const random = seeded(12)
    const off = () => random.between(-4, 4)
    const jobs = demoJobs.map(one => one.job)
    for (let i = 0; i < 60; i++) {
      const [w, h] = [random.between(6000, 12_000), random.between(3500, 5500)]
      const hip = random.pick([0, 0, random.between(800, 2500)])
      const sides = random.pick(['rake', 'hip'] as const)
      const outline: Outline = {
        kind: 'corners',
        corners: ([
          [0, Math.max(0, off()), 'eave'],
          [w + off(), Math.max(0, off()), hip ? 'hip' : sides],
          [w - hip + off(), h + off(), 'ridge'],
          [hip + off(), h + off(), hip ? 'hip' : sides],
        ] as const).map(([xMm, yMm, edge]) => ({ xMm, yMm, edge })),
      }
      jobs.push({ ...changed({
        outline,
        datum: random.pick(['left', 'right']),
        setbacks: { eaveMm: 150, ridgeMm: 450, leftRakeMm: 300, rightRakeMm: 300, hipMm: 450, valleyMm: 450, wallMm: 300 },
      }, { shiftMm: null }) })
    }
    let marks = 0
    for (const job of jobs) {
      planJob(job, catalogue).faces.forEach((plan, f) => {
        const face = job.faces[f]!
        const ring = shapeOf(face.outline).region[0]!
        for (const { label, x, y } of pointsOf(plan.marks, face)) {
          marks++
          // Rail ends may stand a trim's width over a rake; a tape's end is what may be beside the roof.
          if (!label.startsWith('Trim')) expect(onFace(ring, x, y, 60), `${job.title}, ${face.name}: ${label} at ${x.toFixed(0)}, ${y.toFixed(0)}`).toBe(true)
        }
      })
    }
    expect(marks).toBeGreaterThan(2000)
  })
  it('a ridge 2 mm out of level keeps its fire strip, marked by two points at its own two heights', () => {
    for (const riseMm of [0, 2, 40, 160]) {
      const outline: Outline = {
        kind: 'corners',
        corners: ([[0, 0, 'eave'], [9000, 0, 'rake'], [9000, 5000 + riseMm, 'ridge'], [0, 5000, 'rake']] as const).map(([xMm, yMm, edge]) => ({ xMm, yMm, edge })),
      }
      const job = changed({ outline }, { rowCount: 1 })
      const plan = planJob({ ...job, keepClear: { ...job.keepClear, ...rulesOf('us-2018') } }, catalogue)
      expect(plan.faces[0]!.strips.some(strip => strip.rule.startsWith('Strip below the ridge') && strip.depthMm > 0)).toBe(true)
      if (riseMm === 2) {
        const [left, right] = plan.faces[0]!.marks.find(step => step.title.includes('along the ridge'))!.marks
        expect(right!.upMm! - left!.upMm!).toBeCloseTo(2, 0)
      }
    }
    // Over two percent it is no level ridge: 200 mm in 9 m.
    const steep: Outline = {
      kind: 'corners',
      corners: ([[0, 0, 'eave'], [9000, 0, 'rake'], [9000, 5200, 'ridge'], [0, 5000, 'rake']] as const).map(([xMm, yMm, edge]) => ({ xMm, yMm, edge })),
    }
    const job = changed({ outline: steep }, { rowCount: 1 })
    expect(planJob({
      ...job,
      keepClear: { ...job.keepClear, ...rulesOf('us-2018') },
    }, catalogue).faces[0]!.strips.some(strip => strip.rule.startsWith('Strip below the ridge'))).toBe(false)
  })
})

describe('the datum', () => {
  it('is named for the edge that rises from it, not for a valley higher up on that side', () => {
    const outline: Outline = {
      kind: 'corners',
      corners: ([
        [0, 0, 'eave'],
        [9000, 0, 'rake'],
        [9000, 5000, 'ridge'],
        [3000, 5000, 'valley'],
        [2000, 3000, 'ridge'],
        [0, 3000, 'rake'],
      ] as const).map(([xMm, yMm, edge]) => ({ xMm, yMm, edge })),
    }
    expect(datumName({ datum: 'left', outline })).toBe('left rake at the eave')
  })
  it('lies on the roof where the eave is stepped: at the end of its lowest part', () => {
    const outline: Outline = {
      kind: 'corners',
      corners: ([
        [3000, 0, 'eave'],
        [9000, 0, 'rake'],
        [9000, 5000, 'ridge'],
        [0, 5000, 'rake'],
        [0, 1500, 'eave'],
        [3000, 1500, 'rake'],
      ] as const).map(([xMm, yMm, edge]) => ({ xMm, yMm, edge })),
    }
    expect(shapeOf(outline).eave).toEqual({ fromMm: 3000, toMm: 9000 })
    expect(placeAlong({ datum: 'left', outline }, 0)).toBe(3000)
    const plan = planJob(changed({ outline, datum: 'left' }, { shiftMm: null }), catalogue)
    const beyond = plan.faces[0]!.marks.flatMap(step => step.marks).filter(mark => mark.readingMm < -1)
    for (const mark of beyond) expect(mark.note).toContain('of the datum')
  })
  it('is where a tape up the slope begins, also on an eave whose other end lies lower', () => {
    const outline: Outline = {
      kind: 'corners',
      corners: ([[0, 4, 'eave'], [9000, 0, 'rake'], [9000, 5000, 'ridge'], [0, 5000, 'rake']] as const).map(([xMm, yMm, edge]) => ({ xMm, yMm, edge })),
    }
    const railsOf = (datum: 'left' | 'right') => planJob(changed({ outline, datum }, { shiftMm: 500 }), catalogue).faces[0]!.marks.find(step => step.id === 'rail-lines')!.marks
    const [left, right] = [railsOf('left'), railsOf('right')]
    left.forEach((mark, i) => {
      expect(mark.readingMm).toBeCloseTo(right[i]!.readingMm - 4, 6)
      // Both ends are told: hooked on the lower corner a tape reads 4 mm more.
      expect(mark.endsMm).toEqual([expect.closeTo(mark.readingMm, 6), expect.closeTo(mark.readingMm + 4, 6)])
      expect(right[i]!.endsMm).toEqual([expect.closeTo(mark.readingMm + 4, 6), expect.closeTo(mark.readingMm, 6)])
    })
    const datum = planJob(changed({ outline, datum: 'left' }, {}), catalogue).faces[0]!.marks[0]!
    expect([datum.lineMm, datum.marks[0]!.readingMm]).toEqual([0, 0])
  })
})

describe('the tapes on the screen', () => {
  it.each([0, 14, -14, 1500])('read what the sheet reads, from either datum, with the eave’s left end %d mm up', (leftUpMm) => {
    const low = Math.min(0, leftUpMm)
    const outline: Outline = { kind: 'corners', corners: (leftUpMm === 1500
      ? [[3000, 0, 'eave'], [10_000, 0, 'rake'], [10_000, 5400, 'ridge'], [0, 5400, 'rake'], [0, 1500, 'eave'], [3000, 1500, 'rake']] as const
      : [[0, leftUpMm - low, 'eave'], [9000, -low, 'rake'], [9000, 5200, 'ridge'], [0, 5200, 'rake']] as const).map(([xMm, yMm, edge]) => ({ xMm, yMm, edge })) }
    for (const datum of ['left', 'right'] as const) {
      for (const railWay of ['across', 'up'] as const) {
        const job = changed({ outline, datum }, { shiftMm: null, railWay })
        const [face] = job.faces
        const plan = planJob(job, catalogue).faces[0]!
        const [near, far] = railWay === 'across' ? ['along', 'up'] as const : ['up', 'along'] as const
        // A rail that finds nothing to be fixed to has no step.
        const sheet = (id: string) => plan.marks.find(step => step.id === id)?.marks.map(mark => mark.readingMm) ?? []
        expect(tapeReadings({ job, face: face!, plan }, { kind: 'rails' })[far].map(one => one.readingMm)).toEqual(sheet('rail-lines'))
        for (const rail of plan.rails) {
          expect(tapeReadings({ job, face: face!, plan }, { kind: 'rail', id: rail.id })[near].map(one => one.readingMm)).toEqual(sheet(`fixings-${rail.id}`))
          expect(placeOn(face!, runTape(rail), readingOn(face!, runTape(rail), 1234))).toBeCloseTo(1234, 9)
        }
        const rows = tapeReadings({ job, face: face!, plan }, { kind: 'rows' }).up.map(one => one.readingMm)
        expect(rows).toEqual(sheet('rows'))
      }
    }
  })
})

/** Where a tape ends that is laid along a face's outline from one of its corners, as long as it goes on rising. */
function walked(ring: { x: number, y: number }[], start: number, step: 1 | -1, mm: number): { x: number, y: number } {
  let [k, left] = [start, mm]
  for (;;) {
    const [a, b] = [ring[k]!, ring[(k + step + ring.length) % ring.length]!]
    const length = Math.hypot(b.x - a.x, b.y - a.y)
    if (left <= length + 1e-6) return { x: a.x + (b.x - a.x) * left / length, y: a.y + (b.y - a.y) * left / length }
    left -= length
    k = (k + step + ring.length) % ring.length
  }
}

describe('lines across a face that is out of true', () => {
  it('are told at both ends: walked up the outline from the eave’s corners, both readings end at one height', { timeout: 120_000 }, () => {
    const random = seeded(77)
    let lines = 0
    for (let i = 0; i < 80; i++) {
      const off = () => random.between(-20, 20)
      const [w, h] = [random.between(6000, 12_000), random.between(3500, 5500)]
      const [inLeft, inRight] = [random.pick([0, random.between(500, 2500)]), random.pick([0, random.between(500, 2500)])]
      const ring = [{ x: off(), y: off() }, { x: w + off(), y: off() }, { x: w - inRight + off(), y: h + off() }, { x: inLeft + off(), y: h + off() }]
      const kinds = ['eave', inRight ? 'hip' : 'rake', 'ridge', inLeft ? 'hip' : 'rake'] as const
      const datum = random.pick(['left', 'right'] as const)
      const outline: Outline = { kind: 'corners', corners: ring.map(({ x, y }, k) => ({ xMm: x, yMm: y, edge: kinds[k]! })) }
      const plan = planJob(changed({ outline, datum }, { shiftMm: null }), catalogue).faces[0]!
      const lowest = Math.min(ring[2]!.y, ring[3]!.y)
      for (const step of plan.marks.filter(one => one.tape === 'up' && one.lineMm === null)) {
        for (const mark of step.marks) {
          const y = mark.readingMm + ring[datum === 'left' ? 0 : 1]!.y
          if (y > lowest) continue
          lines++
          const [near, far] = mark.endsMm ?? [mark.readingMm, mark.readingMm]
          const [left, right] = datum === 'left' ? [near, far] : [far, near]
          expect(left, `${step.title}: ${mark.label} has no reading on the left`).not.toBeNull()
          expect(right, `${step.title}: ${mark.label} has no reading on the right`).not.toBeNull()
          expect(Math.abs(walked(ring, 0, -1, left!).y - y)).toBeLessThan(0.6)
          expect(Math.abs(walked(ring, 1, 1, right!).y - y)).toBeLessThan(0.6)
        }
      }
    }
    expect(lines).toBeGreaterThan(400)
  })
})
