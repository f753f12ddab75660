import { describe, expect, it } from 'vitest'
import { demoJobs } from '../../db/demo/jobs'
import { usualCovering } from '../../core/coverings'
import type { Covering, Face } from '../../core/job'
import { rafterRow } from '../../core/job'
import { openingGroups, sectionOf } from '../../core/openings'
import { planJob } from '../../core/plan'
import { catalogue, changed, planOf } from '../fixtures/jobs'
import { seeded, type Random } from '../fixtures/random'
import { edges, objections } from '../fixtures/roofer'

const hooked = { railId: 'hawser-mid', clampsId: 'hawser-grip' }
/** Coverings at sizes that no table has, with courses that shorten, and a mount that goes through each. */
const roofs: ((random: Random) => { covering: Covering, array: Partial<Face['array']> })[] = [
  random => ({ covering: { ...usualCovering('coursed-shingle', true), exposureMm: random.between(118, 152), firstCourseMm: random.between(90, 160) } as Covering, array: { closureId: random.pick(['inverted-u', 'half-circle', 'rings']) } }),
  random => ({ covering: { ...usualCovering('interlocking-tile', false), gaugeMm: random.between(310, 350), lengthMm: random.between(405, 440), coverWidthMm: random.between(280, 320), firstCourseMm: random.between(250, 360), firstColumnMm: random.between(0, 300) } as Covering, array: { ...hooked, mountId: random.pick(['windlass-tile-hook', 'windlass-tile-hook', 'windlass-tile-post']) } }),
  random => ({ covering: { ...usualCovering('plain-tile', false), gaugeMm: random.between(92, 112), firstCourseMm: random.between(100, 200), firstColumnMm: random.between(0, 165) } as Covering, array: { ...hooked, mountId: 'windlass-tile-hook' } }),
  random => ({ covering: { ...usualCovering('slate', false), lapMm: random.between(75, 115), firstCourseMm: random.between(150, 260), firstColumnMm: random.between(0, 250), coursesRead: random.pick([[], [{ course: 9, mm: random.between(1560, 1650) }]]) } as Covering, array: { ...hooked, mountId: 'windlass-slate-hook' } }),
]

const randomFace = (random: Random): Face => {
  const { covering, array } = random.pick(roofs)(random)
  const [wide, high] = [random.between(5200, 11_500), random.between(3400, 6400)]
  // Out of true by a few millimetres, as every taped face is.
  const off = () => random.between(-3, 3)
  // One in three widens upwards on the left, beside a valley: it begins left of its eave.
  const widensMm = random.pick([0, 0, random.between(400, 1900)])
  const corners = ([[off(), off(), 'eave'], [wide + off(), off(), 'rake'], [wide + off(), high + off(), 'ridge'], [off() - widensMm, high + off(), widensMm ? 'valley' : 'rake']] as const).map(([xMm, yMm, edge]) => ({ xMm, yMm, edge }))
  return changed({
    covering, outline: { kind: 'corners', corners }, pitchDeg: random.between(22, 47),
    supports: rafterRow(random.between(150, 500), random.pick([400, 450, 600, 610]), random.pick([45, 50, 63])),
    setbacks: { eaveMm: 300, ridgeMm: 300, leftRakeMm: 400, rightRakeMm: 400, hipMm: 300, valleyMm: 300, wallMm: 300 },
  }, { ...array, moduleId: random.pick(['skerry-425', 'skerry-390', 'lantern-460']), orientation: random.pick(['upright', 'on-side']), rowGapMm: 15, stackFrom: random.pick(['eave', 'eave', 'ridge']) }).faces[0]!
}

describe('every opening', () => {
  it('of 500 random faces is what a roofer’s own sums let him sign, or carries a fault that he finds too', { timeout: 240_000 }, () => {
    const random = seeded(1405)
    let [signed, faulted, faces, openRows] = [0, 0, 0, 0]
    for (let i = 0; i < 500; i++) {
      const face = randomFace(random)
      const plan = planOf(face)
      if (!plan.openings.length) continue
      faces++
      openRows += plan.rows.rows.slice(1).filter((row, r) => row.bottomMm - plan.rows.rows[r]!.topMm > 15.5).length
      const slopeMm = plan.shape.up.toMm
      const lines = edges(face, slopeMm)
      plan.courses.forEach((mm, c) => expect(mm, `face ${i}, course ${c + 2}`).toBeCloseTo(lines.get(c + 2)!, 6))
      for (const one of plan.openings) {
        const rail = plan.rails.find(own => own.id === one.railId)!
        const row = plan.rows.rows[rail.row]!
        const zones = plan.parts.module.clampZones[row.orientation === 'upright' ? 'longEdge' : 'shortEdge']
        const zone: [number, number] = rail.side === 'lower' ? [row.bottomMm + zones.fromMm, row.bottomMm + zones.toMm] : [row.topMm - zones.toMm, row.topMm - zones.fromMm]
        const against = objections(face, plan.parts.mount, one, { slopeMm, rafters: plan.supports.rafters, zone, railMm: one.railAt.yMm })
        expect(against.length > 0, `face ${i}, ${face.covering.kind}, ${one.fixingId}: he says ${against.join(', ') || 'nothing'}; the plan says ${one.faults.join(', ') || 'nothing'}`).toBe(one.faults.length > 0)
        if (against.length) faulted++
        else signed++
      }
    }
    console.log(`${faces} faces: ${signed} openings signed, ${faulted} with a fault that both find; ${openRows} row gaps opened by the covering`)
    expect(signed).toBeGreaterThan(5000)
    expect(faulted).toBeLessThan(signed / 20)
    expect(openRows).toBeGreaterThan(20)
  })
  it('of the demo jobs is counted on the list as on its card, part by part, and its sealant as its beads run', () => {
    for (const { job } of demoJobs) {
      const plan = planJob(job, catalogue)
      plan.faces.forEach((face, f) => {
        const groups = openingGroups(job, job.faces[f]!, face)
        // Second count: each card by the number of fixings that it stands for.
        const counted = new Map<string, number>()
        for (const { card, fixings } of groups) for (const part of card.parts) {
          const [, n, name] = /^(\d+) (?:ml )?(.*)$/.exec(part)!
          counted.set(name!, (counted.get(name!) ?? 0) + Number(n) * fixings)
        }
        expect(groups.reduce((sum, one) => sum + one.fixings, 0)).toBe(face.openings.length)
        const pieces = (kind: string) => face.list.filter(part => part.kind === kind).reduce((sum, part) => sum + part.pieces, 0)
        for (const kind of ['flashing', 'retaining-clip', 'foam', 'cap', 'gasket', 'extension'] as const) expect(counted.get(kind.replace('-', ' ')) ?? 0, `${job.title}: ${kind}`).toBe(pieces(kind))
        // Two mounts may take screws of one name.
        const named = (name: string) => face.list.filter(part => part.name === name).reduce((sum, part) => sum + part.pieces, 0)
        for (const part of face.list.filter(own => own.kind === 'mount' || own.kind === 'screw')) expect(counted.get(part.name), `${job.title}: ${part.name}`).toBe(named(part.name))
        // Beads as they are drawn: length by length, times a round section; what is spread, injected or dabbed besides is the shelf's.
        let ml = 0
        for (const one of face.openings) {
          const mount = catalogue.mounts.find(own => own.id === one.mountId)!
          const way = mount.closures.find(own => own.id === one.closureId)!
          const run = one.seal.lines.reduce((sum, line) => sum + line.slice(1).reduce((length, to, k) => length + Math.hypot(to.x - line[k]!.x, to.y - line[k]!.y), 0), 0)
          ml += run * Math.PI * way.beadMm ** 2 / 4000 + (way.seal === 'underside' ? way.sealAcrossMm * way.sealUpMm * way.filmMm / 1000 : way.seal === 'injected' ? way.fillMl : 0) + way.dabs * way.dabMl
        }
        // Circles are drawn with 24 sides, which are 0.3 % shorter.
        expect(pieces('sealant') * 300 / (ml || 1)).toBeCloseTo(ml ? 1 : 0, 2)
      })
    }
  })
})

describe('sections', () => {
  it('of every kind of opening in the demo jobs are drawn whole: finite, inside their box, and no two leaders of one side cross', () => {
    const cross = ([a, b]: { x: number, y: number }[], [c, d]: { x: number, y: number }[]) => {
      const side = (p: { x: number, y: number }, q: { x: number, y: number }, r: { x: number, y: number }) => Math.sign((q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x))
      return side(a!, b!, c!) * side(a!, b!, d!) < 0 && side(c!, d!, a!) * side(c!, d!, b!) < 0
    }
    let drawn = 0
    for (const { job } of demoJobs) planJob(job, catalogue).faces.forEach((face, f) => {
      for (const { section, above } of openingGroups(job, job.faces[f]!, face)) {
        drawn++
        expect(JSON.stringify([section, above]).replaceAll('"leader":null', '')).not.toMatch(/:null|NaN|Infinity/)
        const { box } = section
        for (const { x, y } of [...section.areas, ...section.lines].flatMap(one => one.points)) {
          expect(x >= box.fromX - 1e-6 && x <= box.toX + 1e-6 && y >= box.fromY - 1e-6 && y <= box.toY + 1e-6, `${job.title}: ${x}, ${y}`).toBe(true)
        }
        const leaders = section.labels.flatMap(one => one.leader ? [one.leader] : [])
        leaders.forEach((one, i) => leaders.slice(i + 1).forEach(other => expect(cross(one, other), `${job.title}: ${section.labels.map(label => label.text).join(' | ')}`).toBe(false)))
        expect(section.areas.some(one => one.tone === 'rail')).toBe(true)
        expect(section.areas.some(one => one.tone === 'module')).toBe(true)
      }
    })
    expect(drawn).toBeGreaterThan(12)
  })
  it('show to scale what they say: a plate’s height, a rail above its course, a flashing’s head past the second course’s edge', () => {
    const { job } = demoJobs[0]!
    const face = planJob(job, catalogue).faces[0]!
    const one = face.openings[3]!
    const { areas, lines } = sectionOf(job, job.faces[0]!, face, one)
    const pitch = job.faces[0]!.pitchDeg * Math.PI / 180
    const up = ({ x, y }: { x: number, y: number }) => x * Math.cos(pitch) + y * Math.sin(pitch)
    const span = (points: { x: number, y: number }[]) => Math.max(...points.map(up)) - Math.min(...points.map(up))
    expect(span(areas.find(area => area.tone === 'steel')!.points)).toBeCloseTo(63.5, 6)
    const rail = areas.find(area => area.tone === 'rail')!.points
    expect((Math.max(...rail.map(up)) + Math.min(...rail.map(up))) / 2).toBeCloseTo(one.railAt.yMm, 6)
    const head = Math.max(...lines.find(line => line.tone === 'flashing')!.points.map(up))
    const second = 2 * one.course!.toMm - one.course!.fromMm
    expect(head).toBeGreaterThan(second)
    expect(Math.min(...lines.find(line => line.tone === 'flashing')!.points.map(up))).toBeGreaterThan(one.course!.fromMm - 0.5)
  })
})
