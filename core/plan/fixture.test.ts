import { describe, expect, it } from 'vitest'
import { planJob } from './index'
import { applyEdit, type Edit, rafterRow } from '../job'
import { TOLERANCE_MM } from '../geometry'
import { catalogue, changed, inch, threeRowsOfSix } from '../../tests/fixtures/jobs'

/** Fewest fixings by trying every subset: nothing shared with the planner but the rules. */
function fewestByEnumeration(places: number[], left: number, right: number, span: number, overhang: number): number {
  let best = Infinity
  for (let mask = 1; mask < 1 << places.length; mask++) {
    const chosen = places.filter((_, i) => mask & (1 << i))
    const ok = chosen[0]! - left <= overhang + 1e-6 && right - chosen.at(-1)! <= overhang + 1e-6
      && chosen.every((x, i) => i === 0 || x - chosen[i - 1]! <= span + 1e-6)
    if (ok) best = Math.min(best, chosen.length)
  }
  return best
}

describe('three rows of six upright', () => {
  const plan = planJob(threeRowsOfSix(), catalogue)
  const face = plan.faces[0]!
  const pieces = (kind: string) => plan.list.filter(part => part.kind === kind).reduce((sum, part) => sum + part.pieces, 0)

  it('stands three rows of six in the region', () => {
    expect(face.rows.rows.map(row => row.count)).toEqual([6, 6, 6])
    expect(face.rows.rows.every(row => row.fits)).toBe(true)
  })

  it('fixes every rail with the fewest that enumeration finds', () => {
    const places = face.supports.rafters.map(rafter => rafter.centreMm)
    face.rails.forEach((rail, r) => {
      const inside = places.filter(x => x >= rail.reach.fromMm && x <= rail.reach.toMm)
      expect(face.fixings.rails[r]!.fixings.length).toBe(fewestByEnumeration(inside, rail.reach.fromMm, rail.reach.toMm, inch(48), inch(24)))
    })
    // 247.7 in of row less two overhangs of 24 in leaves 199.7 in, five spans of 48 in: six fixings a rail, six rails.
    expect(plan.totals.fixings).toBe(36)
  })

  it('keeps every span and overhang', () => {
    for (const rail of face.fixings.rails) {
      expect(rail.longestSpanMm).toBeLessThanOrEqual(inch(48) + TOLERANCE_MM)
      expect(Math.max(rail.overhangStartMm, rail.overhangEndMm)).toBeLessThanOrEqual(inch(24) + TOLERANCE_MM)
      expect(Math.min(rail.overhangStartMm, rail.overhangEndMm)).toBeGreaterThanOrEqual(0)
    }
  })

  it('counts the parts as common practice has it', () => {
    expect(pieces('module')).toBe(18)
    expect(pieces('end-clamp')).toBe(3 * 4)
    expect(pieces('mid-clamp')).toBe(3 * 2 * (6 - 1))
    expect(pieces('lug')).toBe(3)
    expect(pieces('electronics')).toBe(18)
    expect(pieces('mount')).toBe(36)
    expect(pieces('screw')).toBe(36)
    expect(pieces('end-cap')).toBe(12)
  })

  it('cuts the rails from ten sticks, which no cutting can better', () => {
    // Six rails of 247.7 + 2 + 6 = 255.7 in are 1534.2 in, and nine sticks of 164 in are only 1476 in.
    expect(pieces('stick')).toBe(10)
    expect(face.sticks.leastSticks).toBe(10)
    expect(pieces('splice')).toBe(face.sticks.splices.length)
  })

  it('keeps every splice clear of every fixing and between the outer ones', () => {
    for (const splice of face.sticks.splices) {
      const { fixings } = face.fixings.rails.find(rail => rail.railId === splice.railId)!
      expect(Math.min(...fixings.map(fixing => Math.abs(fixing.atMm - splice.atMm)))).toBeGreaterThanOrEqual(inch(4 + 1) - TOLERANCE_MM)
      expect(splice.atMm).toBeGreaterThan(fixings[0]!.atMm)
      expect(splice.atMm).toBeLessThan(fixings.at(-1)!.atMm)
    }
  })

  it('is plain data that survives JSON', () => {
    expect(JSON.parse(JSON.stringify(plan))).toEqual(plan)
  })

  it('has no figure that is not a number', () => {
    const text = JSON.stringify(plan, (_, value) => typeof value === 'number' && !Number.isFinite(value) ? 'NOT A NUMBER' : value)
    expect(text).not.toMatch(/NOT A NUMBER|NaN|undefined|Infinity/)
  })
})

describe('awkward jobs still give a plan without NaN and with a sentence', () => {
  const edits: [string, Edit][] = [
    [
      'setbacks larger than the face',
      { type: 'set-face', faceId: 'main', values: { setbacks: { eaveMm: 9000, ridgeMm: 9000, leftRakeMm: 9000, rightRakeMm: 9000, hipMm: 0, valleyMm: 0, wallMm: 0 } } },
    ],
    ['a single rafter', { type: 'set-face', faceId: 'main', values: { supports: rafterRow(4000, 3000, 40, [{ rafter: 2, centreMm: 8400 }]) } }],
    ['a row held far too long', { type: 'set-row', faceId: 'main', row: 0, values: { count: 60 } }],
    ['a row of one', { type: 'set-row', faceId: 'main', row: 2, values: { count: 1 } }],
    ['rows lifted over the ridge', { type: 'set-row', faceId: 'main', row: 0, values: { gapBelowMm: 5000 } }],
    ['forty rows', { type: 'set-array', faceId: 'main', values: { rowCount: 40 } }],
    ['no rows', { type: 'set-array', faceId: 'main', values: { rowCount: 0 } }],
    ['an allowed span shorter than the spacing', { type: 'set-array', faceId: 'main', values: { allowedSpanMm: 300 } }],
    ['no overhang allowed', { type: 'set-array', faceId: 'main', values: { allowedOverhangMm: 0 } }],
    ['rafters in the wrong order', { type: 'move-rafter', faceId: 'main', rafter: 5, centreMm: 900 }],
    ['a rafter off the face', { type: 'move-rafter', faceId: 'main', rafter: 5, centreMm: 20_000 }],
    ['an array pushed off the face', { type: 'set-array', faceId: 'main', values: { shiftMm: 9000 } }],
  ]
  it.each(edits)('%s', (_, edit) => {
    const plan = planJob(applyEdit(threeRowsOfSix(), edit), catalogue)
    expect(JSON.stringify(plan, (_key, value) => Number.isNaN(value) || value === Infinity || value === -Infinity ? 'BAD' : value)).not.toContain('"BAD"')
    for (const finding of plan.findings) expect(finding.sentence).not.toMatch(/NaN|undefined|Infinity|null/)
    if (!(edit.type === 'set-row' && edit.values.count === 1) && !(edit.type === 'set-array' && edit.values.rowCount === 0)) expect(plan.totals.stops).toBeGreaterThan(0)
  })
})

it('plans metric jobs and modules on their side', () => {
  const plan = planJob({ ...changed({}, { orientation: 'on-side' }), units: 'metric' }, catalogue)
  expect(plan.faces[0]!.rows.rows[0]!.count).toBe(3)
  expect(plan.findings.every(finding => !finding.sentence.includes('"'))).toBe(true)
})
