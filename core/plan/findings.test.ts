import { describe, expect, it } from 'vitest'
import { after, catalogue, changed, inch, threeRowsOfSix } from '../../tests/fixtures/jobs'
import { applyEdit, type Edit, type Job, rafterRow } from '../job'
import { planJob } from './index'

const rafters = (...centres: number[]) => rafterRow(inch(centres[0]!), inch(24), 38, centres.map((centre, i) => ({ rafter: i + 1, centreMm: inch(centre) })))
const row = (values: Extract<Edit, { type: 'set-row' }>['values'], index = 0): Edit => ({ type: 'set-row', faceId: 'main', row: index, values })

/** Trouble, the finding's id it must raise, and how many cures at least. */
const troubles: [string, Job, string, number][] = [
  ['two rafters too far apart', changed({ supports: rafters(12, 36, 60, 84, 108, 162, 186, 210, 234, 258, 282, 306) }), 'span:rafter 5-rafter 6:main', 1],
  [
    'an overhang too long on the right',
    changed({
      outline: { kind: 'rectangle', eaveLengthMm: inch(336), slopeLengthMm: inch(240) },
      supports: rafterRow(inch(12), inch(24), 38, [{ rafter: 12, centreMm: inch(262) }, { rafter: 13, centreMm: inch(309) }, { rafter: 14, centreMm: inch(333) }]),
    }, { shiftMm: 75 }),
    'overhang:end:main',
    1,
  ],
  ['a lower rail under its clamp zone', after(threeRowsOfSix(), row({ lowerRailMm: 100 })), 'clamp-zone:main:row1-lower', 2],
  ['an upper rail over its clamp zone', after(threeRowsOfSix(), row({ upperRailMm: 1700 }, 2)), 'clamp-zone:main:row3-upper', 2],
  ['a row held too long', after(threeRowsOfSix(), row({ count: 9 })), 'row-wide:main:1', 2],
  ['a row pushed over the rake setback', after(threeRowsOfSix(), row({ shiftMm: 900 })), 'row-wide:main:1', 1],
  ['more rows than the face holds', changed({}, { rowCount: 4 }), 'row-high:main:4', 1],
  ['no room for an upright module', changed({ outline: { kind: 'rectangle', eaveLengthMm: 8000, slopeLengthMm: 2200 } }), 'no-room:main', 1],
  ['a mount that does not take the rail', changed({}, { mountId: 'windlass-flashed' }), 'parts:main:rail-mount', 1],
  ['clamps too small for the frame', changed({}, { moduleId: 'lantern-460', clampsId: 'pinch-hidden' }), 'parts:main:clamps', 1],
  [
    'rafters read in the wrong order',
    after(threeRowsOfSix(), { type: 'move-rafter', faceId: 'main', rafter: 4, centreMm: inch(84) }, { type: 'move-rafter', faceId: 'main', rafter: 5, centreMm: inch(80) }),
    'rafter-clash:main:4',
    1,
  ],
  ['a rafter off the face', after(threeRowsOfSix(), { type: 'move-rafter', faceId: 'main', rafter: 40, centreMm: inch(80) }), 'rafter-outside:main:40', 1],
  ['a hard stagger that can’t be had', changed({}, { fixingPattern: 'hard-stagger' }), 'hard-stagger:main', 1],
  ['a rail across a course edge', after(threeRowsOfSix(), row({ lowerRailMm: inch(5 + 5.625 * 2) - inch(6) })), 'off-course:main', 1],
]

describe('findings', () => {
  it.each(troubles)('%s: raised, and every cure really cures', (_, job, id, cures) => {
    const plan = planJob(job, catalogue)
    const finding = plan.findings.find(one => one.id === id)
    expect(plan.findings.map(one => one.id)).toContain(id)
    expect(finding!.cures.length).toBeGreaterThanOrEqual(cures)
    for (const cure of finding!.cures) {
      const cured = planJob(applyEdit(job, cure.edit), catalogue)
      expect(cured.findings.map(one => one.id)).not.toContain(id)
      expect(cured.totals.stops).toBeLessThanOrEqual(plan.totals.stops)
    }
  })

  it('state the measured value and the limit in the job’s units', () => {
    const [, job, id] = troubles[0]!
    const finding = planJob(job, catalogue).findings.find(one => one.id === id)!
    expect(finding.sentence).toContain(`4' 6"`)
    expect(finding.sentence).toContain(`4' 0"`)
    expect(finding.measured).toEqual({ kind: 'length', mm: expect.closeTo(inch(54), 6) as number })
    const metric = planJob({ ...job, units: 'metric' }, catalogue).findings.find(one => one.id === id)!
    expect(metric.sentence).toContain('1372 mm')
  })

  it('put stops before cautions before notes', () => {
    const order = planJob(troubles[0]![1], catalogue).findings.map(one => one.severity)
    expect(order).toEqual([...order].sort((a, b) => ['stop', 'caution', 'note'].indexOf(a) - ['stop', 'caution', 'note'].indexOf(b)))
  })

  it('say what rests on guesses and on practice until somebody types better', () => {
    const ids = planJob(threeRowsOfSix(), catalogue).findings.map(one => one.id)
    expect(ids).toEqual(expect.arrayContaining(['rafters-guessed:main', 'span-basis:main']))
    const job = changed({ supports: rafters(...Array.from({ length: 14 }, (_, i) => 12 + 24 * i)) }, { allowedSpanMm: inch(48) })
    const better = planJob(job, catalogue).findings.map(one => one.id)
    expect(better).not.toContain('rafters-guessed:main')
    expect(better).not.toContain('span-basis:main')
  })
})
