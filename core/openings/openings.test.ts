import { describe, expect, it } from 'vitest'
import { demoJobs } from '../../db/demo/jobs'
import { after, catalogue, changed, planOf, threeRowsOfSix } from '../../tests/fixtures/jobs'
import { seeded } from '../../tests/fixtures/random'
import { usualLimits } from '../coverings/findings'
import { besideWindowMm, courseLines, coursesUp, footOf, fromDatum, seatedAt, seatsOf, slotHighMm, slotNeededMm, unitAlong, unitAt, unitsIn, usualCovering, windowInUnit } from '../coverings'
import type { Covering, Edit, Job, LogEntry } from '../job'
import { followingOf } from '../fieldwork'
import { planJob } from '../plan'
import { missesOnRafters } from '../../tests/fixtures/probing'
import { fitRafters, raftersOf } from '../supports'
import { onFace } from '../rails'
import { shapeOf } from '../roof'
import { cardOf, sealOf } from './index'
import { plainClosure } from '../catalogue'

const demo = (title: string): Job => demoJobs.find(({ job }) => job.title === title)!.job
const [tile, slates, metal] = ['Kelp Quay 22', '5 Net Loft Row', '6 Cinder Lane'].map(demo) as [Job, Job, Job]
const array = (values: object): Edit => ({ type: 'set-array', faceId: 'main', values })
const faceOf = (job: Job) => planJob(job, catalogue).faces[0]!

describe('courses', () => {
  const outline = { kind: 'rectangle' as const, eaveLengthMm: 8000, slopeLengthMm: 5000 }
  const slate = (coursesRead: { course: number, mm: number }[]) => ({ ...usualCovering('slate', false), coursesRead }) as Covering
  it('lie where they were read, by equal shares between, and past the last as the last two lie', () => {
    const lines = courseLines(slate([{ course: 12, mm: 2150 }]), outline)
    expect([lines[0], lines[10], lines[5]]).toEqual([200, 2150, 200 + 5 * 195])
    expect(lines[11]! - lines[10]!).toBeCloseTo(195, 9)
    expect(coursesUp(slate([]), outline)[0]).toMatchObject({ number: 2, fromMm: 200, toMm: 400 })
  })
  it('refuse a reading that runs down the slope', () => {
    expect(() => faceOf(tile)).not.toThrow()
    const read = usualCovering('slate', false)
    expect(courseLines({ ...read, coursesRead: [{ course: 2, mm: 230 }] } as Covering, outline)[0]).toBe(230)
  })
  // Common practice: a slot of about 190 x 80 mm on a usual slate, about 215 where the lap is old and uneven.
  it('a slot is 190 mm high on a 500 mm slate at 100 mm lap with 50 mm battens, and up to 215 where courses have shortened', () => {
    const way = catalogue.mounts.find(mount => mount.id === 'windlass-slate-hook')!.closures[0]!
    const usual = usualCovering('slate', false)
    expect(slotNeededMm(way, usual, { fromMm: 400, toMm: 600 })).toBe(190)
    expect(slotHighMm(way, usual, { fromMm: 400, toMm: 600 })).toBe(190)
    expect(slotHighMm(way, usual, { fromMm: 400, toMm: 580 })).toBe(210)
    expect(slotHighMm(way, usual, { fromMm: 400, toMm: 560 })).toBe(215)
  })
  // BS 5534, from memory: plain tiles 65 mm of head lap, 75 mm in severe exposure, 35° at least; slates by pitch.
  it('have usual laps by pitch and exposure', () => {
    expect(usualLimits(usualCovering('plain-tile', false), 40, false)).toEqual({ lapMm: 65, pitchDeg: 35 })
    expect(usualLimits(usualCovering('plain-tile', false), 40, true)!.lapMm).toBe(75)
    expect(usualLimits(usualCovering('slate', false), 30, false)!.lapMm).toBe(80)
    expect(usualLimits(usualCovering('slate', false), 46, false)!.lapMm).toBeLessThan(usualLimits(usualCovering('slate', false), 25, false)!.lapMm)
    expect(usualLimits(usualCovering('standing-seam', false), 10, true)).toBeNull()
  })
})

describe('sealant', () => {
  const seal = (values: object) => sealOf({ ...plainClosure, beadMm: 6.35, ...values })
  it('is bead by section: a quarter-inch bead is 31.7 mm², so 12 in of it 9.7 ml', () => {
    expect(seal({ seal: 'inverted-u', sealAcrossMm: 101.6, sealUpMm: 101.6 }).sectionMm2).toBeCloseTo(31.67, 2)
    expect(seal({ seal: 'inverted-u', sealAcrossMm: 101.6, sealUpMm: 101.6 }).ml).toBeCloseTo(304.8 * 31.67 / 1000, 2)
    expect(seal({ seal: 'half-circle', sealAcrossMm: 100 }).beadLengthMm).toBeCloseTo(157.08, 2)
    expect(seal({ seal: 'rings', sealAcrossMm: 40, sealUpMm: 60 }).beadLengthMm).toBeCloseTo(Math.PI * 100, 9)
    expect(seal({ seal: 'underside', sealAcrossMm: 100, sealUpMm: 100, filmMm: 1.5 }).ml).toBeCloseTo(15 + 400 * 31.67 / 1000, 2)
    expect(seal({ seal: 'injected', fillMl: 14, beadMm: 0 }).ml).toBe(14)
    expect(seal({ seal: 'none', dabs: 4, dabMl: 1.5 }).ml).toBe(6)
  })
})

describe('hooks', () => {
  it('leave a tile unnotched that then rides on arm and clearance, and notched lies flat', () => {
    const rides = (closureId: string) => faceOf(after(tile, array({ closureId }))).openings[0]!.arm!
    expect(rides('notched').ridesMm).toBe(0)
    expect(rides('unnotched').ridesMm).toBe(11)
    expect(cardOf(tile, tile.faces[0]!, faceOf(after(tile, array({ closureId: 'unnotched' }))), faceOf(after(tile, array({ closureId: 'unnotched' }))).openings[0]!).steps.map(step => step.words).join(' ')).toContain('rides up 11 mm')
  })
  it('bear on the tile where battens are too deep for their rise', () => {
    const deep = after(tile, { type: 'set-face', faceId: 'main', values: { covering: { ...tile.faces[0]!.covering, battenDeepMm: 50 } as Covering } })
    const stop = planJob(deep, catalogue).findings.find(one => one.id.startsWith('cannot-open:arm-bears'))!
    expect(stop.severity).toBe('stop')
    expect(stop.sentence).toContain('can’t be packed up')
  })
})

describe('two mounts on one face', () => {
  it('open first where seeing a rafter lowers expected misses most: no other fixing alone saves a tenth more', () => {
    const job = after(slates, array({ openFirst: { count: 1, mountId: 'windlass-slate-plate' } }))
    const face = job.faces[0]!
    const plan = faceOf(job)
    const { supports } = face
    if (supports.kind !== 'rafters') throw new Error('no rafters')
    const { along, up } = shapeOf(face.outline)
    const fixings = plan.fixings.rails.flatMap((rail, r) => rail.fixings.map(one => ({ id: one.id, member: one.member, ...onFace(plan.rails[r]!, one.atMm) })))
    /** Fixings that would still miss had this rafter been seen where it is thought to be. */
    const missesAfter = (member: string, yMm: number) => {
      const rafter = plan.supports.rafters.find(one => `rafter ${one.number}` === member)!
      const seen = { ...supports, hits: [...supports.hits, { id: 'x', xMm: rafter.centreMm + rafter.lean * yMm, yMm, state: 'seen' as const, use: 'rafter' as const }] }
      return missesOnRafters(raftersOf(seen, face.outline, fitRafters(seen, along, up.toMm)), fixings, plan.parts.mount.fasteners!)
    }
    const first = plan.openings.find(one => one.first)!
    const chosen = fixings.find(one => one.id === first.fixingId)!
    // Only where that mount can go through too.
    const plate = footOf(face, catalogue.mounts.find(one => one.id === 'windlass-slate-plate')!, null)
    const suits = fixings.filter((one) => {
      const seated = seatedAt(face.covering, face.outline, plate, one.yMm)
      return seated!.fits && besideWindowMm(face.covering, plate, seated!.course.number, one.xMm) === 0
    })
    expect(suits.length).toBeGreaterThan(10)
    // Judged another way: each rafter seen where it is drawn, the row fitted anew, and what every drawn rafter may miss summed up.
    const best = Math.min(...suits.map(one => missesAfter(one.member, one.yMm)))
    const now = missesOnRafters(plan.supports.rafters, fixings, plan.parts.mount.fasteners!)
    expect(now - missesAfter(chosen.member, chosen.yMm)).toBeGreaterThan(0.9 * (now - best))
    expect(plan.openings.filter(one => one.first)).toHaveLength(1)
  })
  it('stay those of the sheet in hand once a crew follows it: a hole drilled elsewhere asks for no other, and one that moves is still opened first', () => {
    const followed = planJob(slates, catalogue).faces[0]!
    const job = after(slates, { type: 'follow', faceId: 'main', following: followingOf(followed, null), anew: true })
    const firsts = (plan: typeof followed) => plan.openings.filter(one => one.first).map(one => one.fixingId)
    expect(firsts(followed).length).toBeGreaterThan(1)
    expect(firsts(faceOf(job))).toEqual(firsts(followed))
    // Their rafters are seen: by the belief others would tell more now.
    const seen = followed.openings.filter(opening => opening.first).map((opening, i) => ({ at: 0, hit: { id: `seen-${i}`, ...opening.railAt, state: 'seen' as const, use: 'rafter' as const } }))
    const known: Edit = { type: 'log-hits', faceId: 'main', hits: seen }
    expect(firsts(faceOf(after(slates, known)))).not.toEqual(firsts(followed))
    expect(firsts(faceOf(after(job, known)))).toEqual(firsts(followed))
    const one = followed.openings.find(opening => opening.first)!
    const hole: LogEntry = { id: 'h', faceId: 'main', by: '', at: '2026-05-04T09:30:00Z', kind: 'hole', xMm: one.railAt.xMm + 30, yMm: one.railAt.yMm, result: 'hit', timber: null, dust: 'pale' }
    const moved = faceOf(after(job, { type: 'log-work', entries: [{ at: null, entry: hole }] }))
    const now = moved.openings.filter(opening => opening.first)
    expect(now).toHaveLength(firsts(followed).length)
    expect(now.some(opening => Math.abs(opening.railAt.xMm - hole.xMm) < 1e-6 && opening.rail === one.rail)).toBe(true)
  })
  it('are each counted, and the list has both', () => {
    const plan = faceOf(slates)
    const pieces = (name: string) => plan.list.find(part => part.kind === 'mount' && part.name === name)?.pieces
    expect(pieces('Windlass slate plate')).toBe(plan.openings.filter(one => one.first).length)
    expect(pieces('Windlass slate hook')! + pieces('Windlass slate plate')!).toBe(plan.fixings.total)
  })
})

describe('units by the datum', () => {
  it('are counted from the datum corner: from the right the same tile has another number, and counting back gives the first again', () => {
    const [left, right] = [tile.faces[0]!, { ...tile.faces[0]!, datum: 'right' as const }]
    const plan = faceOf(tile)
    for (const one of plan.openings) {
      const { number, leftMm, widthMm } = one.unit!
      expect(fromDatum(left, one.course!.number, number)).toBe(number)
      // 10 460 mm of eave: tiles from here to the right end, the last of them cut.
      expect(fromDatum(right, one.course!.number, number)).toBe(Math.ceil((10_460 - leftMm) / widthMm - 1e-9))
      expect(fromDatum(right, one.course!.number, fromDatum(right, one.course!.number, number))).toBe(number)
    }
    const swapped = after(tile, { type: 'set-face', faceId: 'main', values: { datum: 'right' } })
    expect(cardOf(swapped, swapped.faces[0]!, faceOf(swapped), faceOf(swapped).openings[0]!).where).toContain(`tile ${fromDatum(right, 6, plan.openings[0]!.unit!.number)}`)
  })
})

describe('units of a face that begins left of its eave', () => {
  it('are counted from where the face begins, beside a valley too, and only units that are there are lifted', () => {
    const face = tile.faces[0]!
    const covering = { ...face.covering as Extract<Covering, { kind: 'interlocking-tile' }>, firstColumnMm: 40 }
    const wide = (leftMm: number): typeof face => ({ ...face, covering, outline: { kind: 'corners', corners: [{ xMm: 0, yMm: 0, edge: 'eave' }, { xMm: 9000, yMm: 0, edge: 'rake' }, { xMm: 9000, yMm: 5000, edge: 'ridge' }, { xMm: leftMm, yMm: 5000, edge: 'valley' }] } })
    // 40 mm of a cut tile, then whole ones of 302; 1500 mm more on the left are five tiles more, the last of them cut.
    expect([10, 41, 400].map(x => unitAt(wide(0), 5, x)!.number)).toEqual([1, 2, 3])
    expect([10, 41, 400].map(x => unitAt(wide(-1500), 5, x)!.number)).toEqual([6, 7, 8])
    expect(unitAt(wide(-1500), 5, -1490)!.number).toBe(1)
    // Out of true by 3 mm is no tile more.
    expect(unitAt(wide(-3), 5, 41)!.number).toBe(2)
    expect(unitAlong(wide(-1500), 5, 7)).toEqual({ fromMm: 40, toMm: 342 })
    expect([unitAlong(wide(0), 5, 0), unitAlong(wide(0), 5, unitsIn(wide(0), 5) + 1)]).toEqual([null, null])
    // A covering that is not laid to columns keeps what was typed.
    expect(fromDatum({ ...face, covering: usualCovering('coursed-shingle', true), datum: 'right' }, 4, 7)).toBe(7)
  })
})

describe('rail ends', () => {
  it('are held by two fixings each where that is asked for: on neighbours, where every rafter can be had', () => {
    const job = threeRowsOfSix()
    const [plain, doubled] = [faceOf(job), faceOf(after(job, array({ doubledEnds: true })))]
    doubled.fixings.rails.forEach((rail, r) => {
      const before = plain.fixings.rails[r]!.fixings.map(one => one.member)
      const now = rail.fixings.map(one => one.member)
      const numbers = now.map(member => Number(member.slice(7)))
      expect(now).toEqual(expect.arrayContaining(before))
      expect([numbers[1]! - numbers[0]!, numbers.at(-1)! - numbers.at(-2)!]).toEqual([1, 1])
      expect([numbers[0], numbers.at(-1)]).toEqual([before[0], before.at(-1)].map(member => Number(member!.slice(7))))
    })
    expect(doubled.fixings.total).toBeGreaterThan(plain.fixings.total)
    expect(doubled.list.find(part => part.kind === 'mount')!.pieces).toBe(doubled.fixings.total)
  })
})

describe('plates', () => {
  it('on a leaning rafter stand on it at their own height, not under the rail', () => {
    const plan = faceOf(demo('30 Capstan Walk'))
    for (const one of plan.openings) {
      const rafter = plan.supports.rafters.find(own => one.member === `rafter ${own.number}`)!
      expect(Math.abs(rafter.lean)).toBeGreaterThan(0.01)
      expect(one.plate.xMm).toBeCloseTo(rafter.centreMm + rafter.lean * one.plate.yMm, 9)
      expect(Math.abs(one.plate.xMm - one.railAt.xMm)).toBeGreaterThan(0.1)
    }
  })
  it('under a short flashing stand only so low that its head still reaches under the second course up', () => {
    const way = catalogue.mounts.find(mount => mount.id === 'limpet-flashed')!.closures[0]!
    const shingle = usualCovering('coursed-shingle', true)
    const foot = (headMm: number) => ({ mount: { halfFootprintMm: 31.75, hook: null }, closure: { ...way, headMm } })
    const [seat] = seatsOf(shingle, threeRowsOfSix().faces[0]!.outline, foot(210))!
    // Two exposures of 5 5/8 in are 285.75 mm: with 210 mm above the screws they must stand 75.75 mm above the course's edge.
    expect(seat!.screws.fromMm - seat!.course.fromMm).toBeCloseTo(75.75, 9)
    expect(seatsOf(shingle, threeRowsOfSix().faces[0]!.outline, foot(150))).toEqual([])
  })
})

describe('units', () => {
  it('that are broken outside the array take a sound one from under it, and each is bought once', () => {
    const broken = (course: number, unit: number): Edit => ({ type: 'log-broken', faceId: 'main', broken: [{ id: `b${course}-${unit}`, course, unit, by: 'A roofer', supplies: 'firm', on: '2026-05-04' }] })
    const before = faceOf(tile).units
    const shows = faceOf(after(tile, broken(2, 3))).units
    expect([shows.broken - before.broken, shows.lent - before.lent, shows.bought - before.bought]).toEqual([1, 1, 1])
    const hidden = faceOf(after(tile, broken(8, 12))).units
    expect([hidden.broken - before.broken, hidden.lent - before.lent, hidden.bought - before.bought]).toEqual([1, 0, 1])
    const brittle = faceOf({ ...after(tile, broken(2, 3)), site: { ...tile.site, coveringState: 'brittle' } }).units
    expect(brittle.lent).toBe(0)
  })
  it('off a stripped area are those that touch it, by going through every one; those wholly under the array are spare', () => {
    const job = after(tile, array({ mountId: 'windlass-strip-post' }))
    const plan = faceOf(job)
    const { stripped } = plan
    const random = seeded(5)
    // By throwing darts: the share of the face whose tile touches the widened array.
    const covering = job.faces[0]!.covering as Extract<Covering, { kind: 'interlocking-tile' }>
    const lines = courseLines(covering, job.faces[0]!.outline)
    const blocks = plan.rows.rows.flatMap(row => row.blocks.map(block => ({ ...block, bottomMm: row.bottomMm, topMm: row.topMm })))
    let hits = 0
    const darts = 60_000
    for (let i = 0; i < darts; i++) {
      const [x, y] = [random.between(0, 10_460), random.between(lines[0]!, lines.at(-1)!)]
      const k = Math.floor((x - covering.firstColumnMm) / 302)
      const [left, right] = [covering.firstColumnMm + k * 302, covering.firstColumnMm + (k + 1) * 302]
      const c = lines.findLastIndex(line => line <= y)
      if (blocks.some(one => left < one.rightMm + 150 && right > one.leftMm - 150 && lines[c]! < one.topMm + 150 && lines[c + 1]! > one.bottomMm - 150)) hits++
    }
    expect(stripped!.areaM2).toBeCloseTo(hits / darts * 10.46 * (lines.at(-1)! - lines[0]!) / 1000, 0)
    // The stripped area's edge by cells of 10 mm along a line that is walked: sides between a cell in it and one out of it.
    const isIn = (x: number, y: number) => blocks.some(one => x > one.leftMm - 150 && x < one.rightMm + 150 && y > one.bottomMm - 150 && y < one.topMm + 150)
    let sides = 0
    for (let x = -395; x < 10_860; x += 10) for (let y = -395; y < 8000; y += 10) sides += Number(isIn(x, y) !== isIn(x + 10, y)) + Number(isIn(x, y) !== isIn(x, y + 10))
    expect(Math.abs(stripped!.edgeMm - 10 * sides)).toBeLessThan(100)
    expect(plan.units.spare).toBe(stripped!.covered - plan.units.thumb)
    // A pile of tiles: sound ones off the roof, then one by one laid round the array and where others were found broken; clips for those that are laid.
    for (const foundBroken of [0, 3, 190]) {
      const { units, list } = faceOf(after(job, { type: 'log-broken', faceId: 'main', broken: Array.from({ length: foundBroken }, (_, i) => ({ id: `b${i}`, course: 1, unit: i + 1, by: '', supplies: 'firm' as const, on: '2026-05-04' })) }))
      let pile = units.lifted - units.thumb
      let [laid, bought] = [0, 0]
      for (let k = 0; k < units.lifted - stripped!.covered + units.broken; k++) {
        if (pile) pile--
        else bought++
        if (k < units.lifted - stripped!.covered) laid++
      }
      expect([foundBroken, units.bought, list.find(part => part.kind === 'unit-clip')?.pieces]).toEqual([foundBroken, bought, laid])
    }
    expect(stripped!.units).toBeGreaterThan(stripped!.covered)
  })
  it('of thin metal are walked on by boards: runs along each rail, cut from whole sheets', () => {
    const { walkway, rails } = faceOf(metal)
    expect(walkway!.runs.map(run => run.rail)).toEqual(rails.map(rail => rail.number))
    expect(walkway!.boardMm).toBeCloseTo(369 - 25.4, 9)
    for (const run of walkway!.runs) expect(run.toMm - run.fromMm).toBeGreaterThan(rails[0]!.toMm - rails[0]!.fromMm)
    // Two rails of a row, 7.5 m each with room to stand: 4 boards of 2.44 m a rail, three boards to a sheet.
    expect([walkway!.boards, walkway!.sheets]).toEqual([8, 3])
  })
})

describe('shingle', () => {
  // Common practice: half an inch of play along the eave. The foot is 3 1/2 in (88.9 mm) wide.
  it('in tabs takes a foot that is wider than its tab by the play and no more', () => {
    const fixings = (tabMm: number | null) => planOf(changed({ covering: { ...usualCovering('coursed-shingle', true), tabMm } as Covering }, { mountId: 'limpet-four' }).faces[0]!).fixings.total
    const free = fixings(null)
    expect(free).toBeGreaterThan(0)
    expect(fixings(304.8)).toBeGreaterThan(0)
    expect(fixings(304.8)).toBeLessThanOrEqual(free)
    expect(windowInUnit({ ...usualCovering('coursed-shingle', true), tabMm: 70 } as Covering, feet)!.toMm - windowInUnit({ ...usualCovering('coursed-shingle', true), tabMm: 70 } as Covering, feet)!.fromMm).toBeCloseTo(70 + 25.4 - 88.9, 9)
    expect(fixings(60)).toBe(0)
  })
})
const feet = { mount: catalogue.mounts.find(one => one.id === 'limpet-four')!, closure: catalogue.mounts.find(one => one.id === 'limpet-four')!.closures[0]! }
