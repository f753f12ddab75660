import { describe, expect, it } from 'vitest'
import { coursesUp } from '../../core/coverings'
import { laidOf } from '../../core/inroof'
import { type Covering, type Face, type Job, plainInRoof } from '../../core/job'
import { type FacePlan, planJob } from '../../core/plan'
import { demoJobs } from '../../db/demo/jobs'
import { frame, tray } from '../fixtures/in-roof'
import { after, catalogue } from '../fixtures/jobs'
import { roughened } from '../fixtures/out-of-true'
import { type Random, seeded } from '../fixtures/random'

const base = demoJobs.find(({ job }) => job.title === '2 Eelgrass Cottages')!.job

/** A face as it is met: corners 3 mm out, courses that shorten, a window or two, a vent, a chimney. */
function randomJob(random: Random): Job {
  const [wide, high] = [random.whole(5200, 11_000), random.whole(4300, 6900)]
  const courses = (list: number[], firstMm: number, gaugeMm: number) =>
    list.map(course => ({ course, mm: Math.round(firstMm + (course - 2) * gaugeMm + random.between(-3, 3)) }))
  const coverings: Covering[] = [
    {
      kind: 'interlocking-tile',
      gaugeMm: 340,
      coverWidthMm: random.whole(280, 310),
      lengthMm: 420,
      firstCourseMm: 330,
      firstColumnMm: random.whole(0, 200),
      pan: { fromMm: 60, toMm: 230 },
      coursesRead: courses([6, 11], 330, 338),
      coursesCounted: null,
      battenMm: 50,
      battenDeepMm: 25,
    },
    {
      kind: 'slate',
      lengthMm: 500,
      coverWidthMm: 250,
      lapMm: 100,
      nailing: 'centre',
      mayCut: true,
      firstCourseMm: 190,
      firstColumnMm: random.whole(0, 200),
      coursesRead: courses([9, 18], 190, 198),
      coursesCounted: null,
      battenMm: 50,
      battenDeepMm: 25,
    },
    {
      kind: 'plain-tile',
      gaugeMm: 100,
      coverWidthMm: 165,
      lengthMm: 265,
      firstCourseMm: 90,
      firstColumnMm: random.whole(0, 150),
      coursesRead: courses([14, 30], 90, 100),
      coursesCounted: null,
      battenMm: 38,
      battenDeepMm: 25,
    },
  ]
  const box = (id: string, kind: Face['obstructions'][number]['kind'], widthMm: number, heightMm: number) => ({
    id,
    kind,
    round: false,
    xMm: random.whole(1200, wide - 1200),
    yMm: random.whole(1200, high - 1000),
    widthMm,
    heightMm,
    clearanceMm: random.whole(0, 150),
  })
  const obstructions = [
    ...(random.next() < 0.6 ? [box('window', 'roof-window', random.whole(500, 800), random.whole(620, 1150))] : []),
    ...(random.next() < 0.3 ? [box('vent', 'vent', 120, 120)] : []),
    ...(random.next() < 0.3 ? [box('chimney', 'chimney', 600, 500)] : []),
  ]
  const job = after(
    base,
    {
      type: 'set-face',
      faceId: 'main',
      values: {
        covering: random.pick(coverings),
        obstructions,
        datum: random.pick(['left', 'right']),
        outline: { kind: 'rectangle', eaveLengthMm: wide, slopeLengthMm: high },
      },
    },
    { type: 'take-in-roof', faceId: 'main', inRoof: { ...plainInRoof, systemId: random.pick([tray, frame]).id } },
    { type: 'set-array', faceId: 'main', values: { orientation: random.pick(['upright', 'on-side']) } },
  )
  return roughened(job, () => random.between(0, 3))
}

const faces = Array.from({ length: 70 }, (_, i) => {
  const job = randomJob(seeded(31_000 + i))
  const plan = planJob(job, catalogue)
  return { job, face: job.faces[0]!, plan: plan.faces[0]!, findings: plan.findings }
})
const standing = faces.filter(({ plan }) => plan.modules > 0)
const cellsOf = (plan: FacePlan) => plan.inRoof!.parts.flatMap(part => part.cells)
const near = (a: number, b: number) => Math.abs(a - b) < 0.01

describe('an array in the roof, gone over by a roofer with a tape', () => {
  it('stands on most of 70 faces 3 mm out of true, and where it does not somebody is told', () => {
    expect(standing.length).toBeGreaterThan(55)
    for (const { plan, findings } of faces) if (!plan.modules) expect(findings.some(one => one.severity === 'stop' && one.kind.startsWith('inroof'))).toBe(true)
  })

  it('has every lower edge over a course that is laid, and every upper edge under one', () => {
    let edges = 0
    for (const { face, plan } of standing) {
      const { system } = plan.inRoof!
      const { covering, lengthMm } = laidOf(face)!
      const courses = coursesUp(covering, face.outline)
      const cells = cellsOf(plan)
      for (const cell of cells) {
        const over = cells.some(one => near(one.leftMm, cell.leftMm) && one.bottomMm > cell.bottomMm && one.bottomMm - cell.topMm < 100)
        const under = cells.some(one => near(one.leftMm, cell.leftMm) && one.topMm < cell.topMm && cell.bottomMm - one.topMm < 100)
        // The apron ends at bottom - down: on some course, over its head by the lap at least, and that course's head is clear of the glass.
        if (!under) {
          const apron = cell.bottomMm - system.bottom.downMm
          expect(
            courses.some(
              one =>
                one.number >= 2
                && apron >= one.fromMm - 0.01
                && one.fromMm + lengthMm - apron >= system.bottom.lapMm - 0.01
                && cell.bottomMm - one.fromMm - lengthMm >= system.bottom.clearMm - 0.01,
            ),
          ).toBe(true)
          edges++
        }
        // The head flashing ends at top + up: some course begins over it, off the glass.
        if (!over) {
          const head = cell.topMm + system.top.upMm
          expect(courses.some(one => head - one.fromMm >= system.top.lapMm - 0.01 && one.fromMm - cell.topMm >= system.top.gapMm - 0.01)).toBe(true)
          edges++
        }
      }
    }
    expect(edges).toBeGreaterThan(500)
  })

  it('keeps its flashing on the face and off what stands there, and its glass off windows', () => {
    for (const { face, plan } of standing) {
      const { system } = plan.inRoof!
      const { along, up } = plan.shape
      for (const cell of cellsOf(plan)) {
        expect([
          cell.leftMm - system.side.outMm >= along.fromMm - 4,
          cell.rightMm + system.side.outMm <= along.toMm + 4,
          cell.bottomMm - system.bottom.downMm >= up.fromMm - 4,
          cell.topMm + system.top.upMm <= up.toMm + 4,
        ]).toEqual([true, true, true, true])
        for (const one of face.obstructions) {
          const window = one.kind === 'roof-window'
          const [dx, low, high] = window
            ? [system.window.nearMm, system.window.nearMm, system.window.nearMm]
            : [system.side.outMm, system.bottom.downMm, system.top.upMm]
          const apart
            = cell.leftMm - dx >= one.xMm + one.widthMm / 2 - 0.01
              || cell.rightMm + dx <= one.xMm - one.widthMm / 2 + 0.01
              || cell.bottomMm - low >= one.yMm + one.heightMm / 2 - 0.01
              || cell.topMm + high <= one.yMm - one.heightMm / 2 + 0.01
          expect(apart).toBe(true)
        }
      }
    }
  })

  it('lies on one grid with the system’s gaps, in no more rows than it was tested with', () => {
    for (const { plan } of standing) {
      const { system, parts } = plan.inRoof!
      expect(plan.rows.rows.filter(row => row.count).length).toBeLessThanOrEqual(system.mostRows)
      for (const { cells } of parts) {
        for (const cell of cells) {
          const right = cells.filter(one => one.row === cell.row && one.leftMm > cell.leftMm).sort((a, b) => a.leftMm - b.leftMm)[0]
          const pitch = cell.rightMm - cell.leftMm + system.columnGapMm
          if (right) expect(near((right.leftMm - cell.leftMm) / pitch, Math.round((right.leftMm - cell.leftMm) / pitch))).toBe(true)
        }
      }
      // Rows are those of every other array: the same modules in the same places.
      const rows = plan.rows.rows.flatMap(row => row.moduleLeftsMm.map(left => `${left.toFixed(3)} ${row.bottomMm.toFixed(3)}`))
      expect(rows.sort()).toEqual(
        cellsOf(plan)
          .map(cell => `${cell.leftMm.toFixed(3)} ${cell.bottomMm.toFixed(3)}`)
          .sort(),
      )
    }
  })

  it('saves and cuts the tiles that one counts by laying each of them', () => {
    for (const { face, plan } of standing) {
      const { system, tiles, kit } = plan.inRoof!
      const { covering, courses, lengthMm } = laidOf(face)!
      const { coverWidthMm: wide, firstColumnMm } = covering as { coverWidthMm: number, firstColumnMm: number }
      const broken = covering.kind !== 'interlocking-tile'
      const beyond = Math.max(system.side.gapMm, system.columnGapMm / 2)
      const cells = cellsOf(plan)
      // Stacks of modules, a hole that a cover set closes filled in.
      const holes = kit.windows.flatMap(one => one.covers ?? [])
      const lefts = [...new Set(cells.map(cell => cell.leftMm.toFixed(3)))]
      const stacks = lefts.flatMap((key) => {
        const own = cells.filter(cell => cell.leftMm.toFixed(3) === key).sort((a, b) => a.bottomMm - b.bottomMm)
        const joined: { left: number, right: number, bottom: number, top: number }[] = []
        for (const cell of own) {
          const last = joined.at(-1)
          const bridged
            = last
              && holes.some(({ along, up }) => cell.leftMm < along.toMm && cell.rightMm > along.fromMm && near(up.fromMm, last.top) && near(up.toMm, cell.bottomMm))
          if (last && (bridged || cell.bottomMm - last.top < 100)) last.top = cell.topMm
          else joined.push({ left: cell.leftMm, right: cell.rightMm, bottom: cell.bottomMm, top: cell.topMm })
        }
        return joined
      })
      const opens = (courseMm: number, { bottom, top }: { bottom: number, top: number }) => {
        const below = courses
          .filter(
            one =>
              one.number >= 2
              && bottom - system.bottom.downMm >= one.fromMm - 1e-6
              && one.fromMm + lengthMm - bottom + system.bottom.downMm >= system.bottom.lapMm - 1e-6
              && bottom - one.fromMm - lengthMm >= system.bottom.clearMm - 1e-6,
          )
          .at(-1)!
        const above = courses.find(one => top + system.top.upMm - one.fromMm >= system.top.lapMm - 1e-6 && one.fromMm - top >= system.top.gapMm - 1e-6)!
        return courseMm > below.fromMm + 1e-6 && courseMm < above.fromMm - 1e-6
      }
      let [saved, cut] = [0, 0]
      for (const { number, fromMm } of courses) {
        // Gaps of neighbouring stacks touch: they are one.
        const gaps: [number, number][] = []
        for (const one of stacks.filter(stack => opens(fromMm, stack)).sort((m, n) => m.left - n.left)) {
          const last = gaps.at(-1)
          if (last && one.left - beyond <= last[1] + 1e-6) last[1] = Math.max(last[1], one.right + beyond)
          else gaps.push([one.left - beyond, one.right + beyond])
        }
        if (!gaps.length) continue
        const start = firstColumnMm + (broken && number % 2 ? wide / 2 : 0)
        for (let k = -80; k < 120; k++) {
          const [left, right] = [start + k * wide, start + (k + 1) * wide]
          const taken = gaps.reduce((mm, [from, to]) => mm + Math.max(0, Math.min(right, to) - Math.max(left, from)), 0)
          if (taken <= 3.001) continue
          if (taken >= wide - 3.001) saved++
          else cut++
        }
      }
      // A tile that two sides cut is counted at each of them.
      expect(tiles!.saved).toBe(saved)
      expect(tiles!.cut).toBeGreaterThanOrEqual(cut)
      expect(tiles!.cut - cut).toBeLessThanOrEqual(cut * 0.25 + 2)
    }
  })

  it('is the same array from the other datum corner, read from there', () => {
    for (const { job, face, plan } of standing.slice(0, 20)) {
      const other = planJob(after(job, { type: 'set-face', faceId: 'main', values: { datum: face.datum === 'left' ? 'right' : 'left' } }), catalogue).faces[0]!
      expect(cellsOf(other).map(cell => [cell.leftMm, cell.bottomMm])).toEqual(cellsOf(plan).map(cell => [cell.leftMm, cell.bottomMm]))
      const marks = (own: FacePlan) => own.marks.filter(step => step.kind === 'battens').flatMap(step => step.marks.map(mark => Math.round(mark.readingMm)))
      // The other corner's eave lies a few millimetres higher or lower.
      marks(other).forEach((mm, i) => expect(Math.abs(mm - marks(plan)[i]!)).toBeLessThanOrEqual(4))
    }
  })
})
