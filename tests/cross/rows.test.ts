import { type PathsD, EndType, FillRule, differenceD, inflatePathsD, JoinType } from 'clipper2-ts'
import highsLoader from 'highs'
import { expect, it } from 'vitest'
import { bounds, freeIntervals, type Interval, rectangle, type Region, subtract } from '../../core/geometry'
import { type PlacedRow, type RowGaps, type RowKind, mostModules, stripAt } from '../../core/rows'
import { seeded } from '../fixtures/random'
import { areaOutsideMm2, randomRegion } from '../fixtures/regions'

const highs = await highsLoader()

const modules = [{ shortMm: 1038, longMm: 1755 }, { shortMm: 1116, longMm: 1812 }, { shortMm: 40.5 * 25.4, longMm: 67 * 25.4 }]
const inflated = (region: Region, mm: number): Region => inflatePathsD(region as PathsD, mm, JoinType.Miter, EndType.Polygon, 10, 5) as Region

/** Free stretches by a polygon library's own difference, sharing nothing with the planner's scan. */
function freeByClipper(region: Region, band: Interval): Interval[] {
  const box = bounds(region)!
  if (band.fromMm < box.up.fromMm - 1e-4 || band.toMm > box.up.toMm + 1e-4) return []
  const outside = differenceD(rectangle(box.along, band) as PathsD, region as PathsD, FillRule.NonZero, 4) as Region
  const shadows = outside.map(ring => bounds([ring])!).filter(shadow => shadow.up.toMm - shadow.up.fromMm > 2e-4).map(shadow => shadow.along)
  return subtract(box.along, shadows)
}

/** The optimum as an integer program over heights made without the planner: a grid, the corners, and steps found by halving, with what stacks on each. */
function optimumByHighs(region: Region, kinds: RowKind[], gaps: RowGaps): number {
  const box = bounds(region)
  if (!box) return 0
  const count = (kind: RowKind, y: number) => freeByClipper(region, { fromMm: y, toMm: y + kind.heightMm })
    .reduce((sum, one) => sum + Math.max(0, Math.floor((one.toMm - one.fromMm + gaps.columnMm + 1e-6) / (kind.widthMm + gaps.columnMm))), 0)
  const columns: { kind: RowKind, y: number, n: number }[] = []
  let base: number[] = []
  for (const kind of kinds) {
    const [low, high] = [box.up.fromMm, box.up.toMm - kind.heightMm]
    if (high < low) continue
    const corners = region.flat().flatMap(point => [point.y, point.y - kind.heightMm]).filter(y => y >= low && y <= high)
    const grid = [...Array.from({ length: Math.floor((high - low) / 60) + 1 }, (_, i) => low + 60 * i), high, ...corners].sort((a, b) => a - b)
    const steps: number[] = []
    const halve = (a: number, na: number, b: number, nb: number) => {
      if (na === nb || b - a < 1e-4) return void (na !== nb && steps.push(a, b))
      const middle = (a + b) / 2
      const n = count(kind, middle)
      halve(a, na, middle, n)
      halve(middle, n, b, nb)
    }
    const counts = grid.map(y => count(kind, y))
    grid.slice(1).forEach((b, i) => halve(grid[i]!, counts[i]!, b, counts[i + 1]!))
    base = [...base, low, high, ...corners, ...steps]
  }
  const lowest = Math.min(...kinds.map(kind => kind.heightMm))
  const all = new Set(base.map(y => Math.round(y * 1e4) / 1e4))
  for (let newest = [...all]; newest.length;) {
    newest = [...new Set(newest.flatMap(y => kinds.map(kind => Math.round((y + kind.heightMm + gaps.rowMm) * 1e4) / 1e4)))].filter(y => y + lowest <= box.up.toMm && !all.has(y))
    for (const y of newest) all.add(y)
  }
  for (const kind of kinds) for (const y of all) {
    if (y < box.up.fromMm || y + kind.heightMm > box.up.toMm + 1e-4) continue
    const n = count(kind, y)
    if (n) columns.push({ kind, y, n })
  }
  if (!columns.length) return 0
  // No two rows may overlap: at most one of those that cover any row's lower edge, the gap counted with it.
  columns.sort((a, b) => a.y - b.y)
  const tallest = Math.max(...kinds.map(kind => kind.heightMm)) + gaps.rowMm
  const clash = columns.map(({ y }, i) => {
    const names: string[] = []
    for (let j = columns.findIndex(other => other.y > y - tallest); j < columns.length && columns[j]!.y <= y + 2e-4; j++) {
      const other = columns[j]!
      if (i === j || y < other.y + other.kind.heightMm + gaps.rowMm - 2e-4) names.push(`x${j}`)
    }
    return names
  })
  const unique = [...new Set(clash.map(names => names.join(' + ')))]
  // Rows are stretches of one line: a matrix of intervals, whose linear program has whole numbers at its best corner anyhow.
  const model = `Maximize\n obj: ${columns.map(({ n }, j) => `${n} x${j}`).join(' + ')}\nSubject To\n${unique.map((row, i) => ` c${i}: ${row} <= 1`).join('\n')}\nEnd`
  const best = highs.solve(model).ObjectiveValue
  expect(best).toBeCloseTo(Math.round(best), 6)
  return Math.round(best)
}

/** Module rectangles of a placed row, pushed to the left of each stretch. */
function rectanglesOf(region: Region, row: PlacedRow, gaps: RowGaps): [number, number][][] {
  return stripAt(region, row.kind, row.bottomMm).flatMap((one) => {
    const n = Math.floor((one.toMm - one.fromMm + gaps.columnMm + 0.001) / (row.kind.widthMm + gaps.columnMm))
    return Array.from({ length: Math.max(0, n) }, (_, i): [number, number][] => {
      const x = one.fromMm + i * (row.kind.widthMm + gaps.columnMm)
      const [x2, y, y2] = [x + row.kind.widthMm, row.bottomMm, row.bottomMm + row.kind.heightMm]
      return [[x, y], [x2, y], [x2, y2], [x, y2]]
    })
  })
}

it('finds the most modules: never under the optimum of a slightly smaller region nor over that of a slightly larger one, 320 random faces', { timeout: 600_000 }, () => {
  const random = seeded(404)
  let ours = 0
  let theirs = 0
  let outside = 0
  let rectangles = 0
  for (let i = 0; i < 320; i++) {
    const region = randomRegion(random)
    const module = random.pick(modules)
    const upright = { orientation: 'upright', widthMm: module.shortMm, heightMm: module.longMm } as const
    const onSide = { orientation: 'on-side', widthMm: module.longMm, heightMm: module.shortMm } as const
    const kinds: RowKind[] = random.pick([[upright], [onSide], [upright, onSide]])
    const gaps = { columnMm: random.pick([10, 12.7, 20]), rowMm: random.pick([10, 12.7, 30]) }
    let start = performance.now()
    const found = mostModules({ region, kinds, gaps })
    ours += performance.now() - start
    expect(found.proved).toBe(true)
    start = performance.now()
    const lower = optimumByHighs(inflated(region, -0.01), kinds, gaps)
    const upper = optimumByHighs(inflated(region, 0.01), kinds, gaps)
    theirs += performance.now() - start
    if (found.modules < lower || found.modules > upper) {
      outside++
      console.log(`case ${i}: ${lower} <= ${found.modules} <= ${upper} does not hold`)
    }
    // A second polygon library, which shares nothing with the first, holds every module inside the region.
    for (const row of found.rows) {
      for (const rect of rectanglesOf(region, row, gaps)) {
        rectangles++
        expect(areaOutsideMm2(rect, region)).toBeLessThan(8)
      }
    }
  }
  console.log(`320 faces: ${outside} outside the sandwich, ${rectangles} module rectangles inside; rows solved in ${ours.toFixed(0)} ms, two integer programs each in ${theirs.toFixed(0)} ms`)
  expect(outside).toBe(0)
})

it('has the free stretches that a polygon library’s difference has, 2000 random strips', () => {
  const random = seeded(12)
  for (let i = 0; i < 2000; i++) {
    const region = randomRegion(random)
    const box = bounds(region)!
    const fromMm = random.between(box.up.fromMm, box.up.toMm - 300)
    const band = { fromMm, toMm: fromMm + random.between(200, 1800) }
    const long = (all: Interval[]) => all.filter(one => one.toMm - one.fromMm > 0.1)
    const [ours, theirs] = [long(freeIntervals(region, band)), long(freeByClipper(region, band))]
    expect(ours.length).toBe(theirs.length)
    // Both keep heights to a tenth of a thousandth of a millimetre, which on a nearly level edge is more along it.
    const flattest = Math.max(1, ...region.flatMap(ring => ring.map((from, k) => ({
      from,
      to: ring[(k + 1) % ring.length]!,
    }))).map(({ from, to }) => Math.abs(to.y - from.y) < 0.01 ? 0 : Math.abs((to.x - from.x) / (to.y - from.y))))
    const within = Math.max(0.02, 3e-4 * flattest)
    ours.forEach((one, k) => {
      expect(Math.abs(one.fromMm - theirs[k]!.fromMm)).toBeLessThan(within)
      expect(Math.abs(one.toMm - theirs[k]!.toMm)).toBeLessThan(within)
    })
  }
})
