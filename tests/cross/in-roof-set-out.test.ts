import { describe, expect, it } from 'vitest'
import { laidOf, setOut } from '../../core/inroof'
import type { Covering } from '../../core/job'
import { planJob } from '../../core/plan'
import { demoJobs } from '../../db/demo/jobs'
import { bestOrigin } from '../fixtures/in-roof'
import { randomFace } from '../fixtures/in-roof-faces'
import { after, catalogue } from '../fixtures/jobs'
import { seeded } from '../fixtures/random'

const demo = (title: string) => demoJobs.find(({ job }) => job.title === title)!.job

describe('the set-out', () => {
  it.each([
    [1, 4, 77],
    [7, 60, 4711],
  ])('every %i mm, on %i random faces: no origin holds more, and with as many none cuts less', { timeout: 180_000 }, (stepMm, faces, seed) => {
    const random = seeded(seed)
    let [tried, same, uncut, proved] = [0, 0, 0, 0]
    for (let i = 0; i < faces; i++) {
      const { face, region, open, ask, laid } = randomFace(random)
      const found = setOut({
        ground: {
          region,
          open,
          widthMm: ask.widthMm,
          heightMm: ask.heightMm,
          outMm: ask.system.side.outMm,
          downMm: ask.system.bottom.downMm,
          upMm: ask.system.top.upMm,
        },
        system: ask.system,
        laid,
        mostRows: ask.system.mostRows,
        leftMm: null,
        bottomMm: null,
        fromMm: 0,
        toMm: Infinity,
      })
      const best = bestOrigin(face, ask, stepMm)
      tried += best.tried
      expect(found?.count ?? 0).toBeGreaterThanOrEqual(best.count)
      if (!found || found.count > best.count) continue
      same++
      // A face of plain tile and leaning sides can have more than are tried; it does not say then that none is better.
      if (!found.proved) continue
      proved++
      const worse = found.slivers > best.slivers || (found.slivers === best.slivers && found.cuts > best.cuts)
      expect([worse, found.slivers, found.cuts, best]).toEqual([false, found.slivers, found.cuts, best])
      if (found.slivers === 0) uncut++
    }
    console.log(
      `set-out every ${stepMm} mm: ${tried} origins on ${faces} faces, ${same} with the very count of the search, ${proved} of them proved, ${uncut} of them without a sliver`,
    )
    expect([same > faces / 2, proved >= same * 0.9]).toEqual([true, true])
  })

  it('keeps whole courses between two ways up, and says that both together were not proved', () => {
    const tall = after(demo('Fennel Field, plot 7'), {
      type: 'set-face',
      faceId: 'main',
      values: { outline: { kind: 'rectangle', eaveLengthMm: 9860, slopeLengthMm: 7900 } },
    })
    const job = after(tall, { type: 'set-in-roof', faceId: 'main', values: { changeAtRow: 3 } })
    const { inRoof } = planJob(job, catalogue).faces[0]!
    const [low, high] = inRoof!.parts
    const courses = laidOf(job.faces[0]!)!.courses
    const between = courses.filter(
      one => one.fromMm > Math.max(...low!.cells.map(cell => cell.topMm)) && one.fromMm + 420 <= Math.min(...high!.cells.map(cell => cell.bottomMm)),
    )
    expect([low!.orientation, high!.orientation, inRoof!.proof.proved]).toEqual(['on-side', 'upright', false])
    expect(between.length).toBeGreaterThanOrEqual(inRoof!.system.changeCourses)
  })

  it('of a module over eight courses and five to six tiles a row saves about 500 tiles with twelve (common practice)', () => {
    const base = demo('2 Eelgrass Cottages')
    const covering = {
      ...base.faces[0]!.covering,
      gaugeMm: 206,
      coverWidthMm: 182,
      lengthMm: 280,
      firstCourseMm: 190,
      firstColumnMm: 0,
      coursesRead: [],
      coursesCounted: null,
      pan: { fromMm: 40, toMm: 140 },
    } as Covering
    const job = after(
      base,
      { type: 'set-face', faceId: 'main', values: { covering } },
      { type: 'set-in-roof', faceId: 'main', values: { battensRead: [] } },
      { type: 'set-array', faceId: 'main', values: { rowCount: 2 } },
    )
    const { modules, inRoof } = planJob({ ...job, wanted: 12 }, catalogue).faces[0]!
    expect(modules).toBe(12)
    expect(inRoof!.tiles!.saved).toBeGreaterThan(0.8 * 500)
    expect(inRoof!.tiles!.saved).toBeLessThan(1.2 * 500)
  })
})
