import { nailsHoldN, timberFactor, usedShare, withdrawalEn, withdrawalPerMm } from '../capacity'
import type { ChosenParts, InRoof } from '../catalogue'
import type { Face, InRoofFacts, Job } from '../job'
import { type Combination, type FaceLoads, touchedBy } from '../loads'
import { trainOver } from '../strength'
import type { SupportsPlan } from '../supports'
import { rafterAt } from '../supports'
import { radians } from '../units'
import type { BattenPlan } from './battens'
import type { ArrayPart, Cell } from './cells'
import { type CoverWind, coverWind } from './wind'

export const coverChecks = ['module-up', 'module-down', 'module-slope', 'screw', 'batten-bending', 'batten-shear', 'batten-nails'] as const
export type CoverCheck = (typeof coverChecks)[number]

/** How far one thing is used at its worst, and by what. */
export interface CoverShare {
  check: CoverCheck
  share: number
  value: number
  limit: number
  combination: string
  /** A module, or a batten by its place in the plan. */
  moduleId: string | null
  batten: number | null
}

/** Modules, screws, battens and their nails under what loads the roof. */
export interface CoverUse {
  shares: CoverShare[]
  wind: CoverWind['working']
  refused: CoverWind['refused']
  insideLeft: boolean
  /** Greatest pull of one module down the slope, of its weight and snow, N, and under what, where no test says what holds it there; null where one does. */
  slopeLeft: { n: number, combination: string } | null
  /** Span of the battens between rafters, mm. */
  spanMm: number
  screwRule: string
  nailRule: string
}

/** Least thread for a screw's withdrawal in diameters where it has no approval (EN 1995-1-1, 8.7.2). */
const LEAST_THREAD_D = 6

/** What one screw holds in a batten, N: characteristic for EN, reference for ASD; 0 where too little thread is in it. */
export function screwHoldsN(
  { screw }: Pick<InRoof, 'screw'>,
  battenDeepMm: number,
  timber: Face['timber'],
  format: FaceLoads['format'],
): { n: number, threadMm: number, leastMm: number } {
  const threadMm = Math.min(screw.threadMm, battenDeepMm)
  const leastMm = screw.leastMm ?? LEAST_THREAD_D * screw.diameterMm
  if (threadMm < leastMm - 1e-6) return { n: 0, threadMm, leastMm }
  return {
    n:
      format === 'en' ? withdrawalEn(screw.diameterMm, threadMm, timber.densityKgM3, 1) : threadMm * withdrawalPerMm('wood-screw', timber.gravity, screw.diameterMm),
    threadMm,
    leastMm,
  }
}

/**
 * Shares of a module's load that its lines bear, the lowest first: two by their levers about each other; more by half the distance to the
 * next, which a stiff frame is near to (common practice).
 */
export function lineShares(heightsMm: number[], moduleMm: number): number[] {
  const [low, high] = [heightsMm[0]!, heightsMm.at(-1)!]
  if (heightsMm.length === 2) {
    const upper = (moduleMm / 2 - low) / (high - low)
    return [1 - upper, upper]
  }
  return heightsMm.map((mm, i) => ((i === heightsMm.length - 1 ? moduleMm : (mm + heightsMm[i + 1]!) / 2) - (i === 0 ? 0 : (heightsMm[i - 1]! + mm) / 2)) / moduleMm)
}

/** The most that any stretch of a length bears, whichever way it acts, N. */
function mostWithin(points: { xMm: number, n: number }[], lengthMm: number): number {
  const sorted = [...points].sort((a, b) => a.xMm - b.xMm)
  let [most, sum, first] = [0, 0, 0]
  for (const { xMm, n } of sorted) {
    sum += Math.abs(n)
    while (xMm - sorted[first]!.xMm > lengthMm + 1e-6) sum -= Math.abs(sorted[first++]!.n)
    most = Math.max(most, sum)
  }
  return most
}

/** Greatest distance of two rafters under an array, mm; the typed one where no rafter is known. */
function spanOf({ rafters }: SupportsPlan, cells: Cell[], batten: InRoofFacts['batten']): number {
  const midMm = (Math.min(...cells.map(one => one.bottomMm)) + Math.max(...cells.map(one => one.topMm))) / 2
  const places = rafters.map(one => rafterAt(one, midMm)).sort((a, b) => a - b)
  const [fromMm, toMm] = [Math.min(...cells.map(one => one.leftMm)), Math.max(...cells.map(one => one.rightMm))]
  const spans = places.slice(1).flatMap((mm, i) => (mm > fromMm && places[i]! < toMm ? [mm - places[i]!] : []))
  return spans.length ? Math.max(...spans) : batten.rafterSpacingMm
}

/** Checks an array that is the covering, each module with the worst zone it touches; null where nobody has said what loads the roof or the covering has no battens. */
export function coverUse(
  job: Pick<Job, 'loads'>,
  face: Face,
  facts: InRoofFacts,
  system: InRoof,
  parts: ArrayPart[],
  battens: BattenPlan | null,
  { loads, supports, chosen }: { loads: FaceLoads | null, supports: SupportsPlan, chosen: ChosenParts },
): CoverUse | null {
  const cells = parts.flatMap(part => part.cells)
  if (!loads || !battens || !cells.length || !('battenMm' in face.covering)) return null
  const { battenMm, battenDeepMm } = face.covering
  const { format } = loads
  const worst = new Map<CoverCheck, CoverShare>()
  const note = (check: CoverCheck, value: number, limit: number | undefined, combination: string, what: Partial<Pick<CoverShare, 'moduleId' | 'batten'>>) => {
    const share = usedShare(value, limit)
    if (value > 0 && share > (worst.get(check)?.share ?? 0))
      worst.set(check, { check, share, value, limit: limit ?? 0, combination, moduleId: null, batten: null, ...what })
  }
  const areaMm2 = chosen.module.longMm * chosen.module.shortMm
  const wind = coverWind(job.loads.rules, loads, facts, system, areaMm2)
  const angle = radians(loads.pitchDeg)
  const snowPa = Math.max(loads.snow.uniformPa, loads.snow.drift ? loads.snow.balancedPa + loads.snow.drift.pa : 0)
  /** Pa normal to the roof, up below 0. */
  const net = (up: number, down: number, { dead, snow, wind: w, windActs }: Combination): number =>
    dead * loads.deadPa * Math.cos(angle) + snow * snowPa * Math.cos(angle) ** 2 + (windActs === 'up' ? -w * up : windActs === 'down' ? w * down : 0)
  /** Pa down the slope: of weight and snow, since wind acts square to the roof. */
  const downSlope = ({ dead, snow }: Combination): number => (dead * loads.deadPa + snow * snowPa * Math.cos(angle)) * Math.sin(angle)
  const pressures = new Map(
    cells.map((cell) => {
      const along = { fromMm: cell.leftMm, toMm: cell.rightMm }
      const own = loads.wind.sets
        .flatMap(set => set.zones.filter(zone => touchedBy(zone, along, { fromMm: cell.bottomMm, toMm: cell.topMm }, 'across').length > 0))
        .map(zone => wind.at(zone.name, areaMm2))
      return [cell.id, { up: Math.max(0, ...own.map(one => one.upPa)), down: Math.max(0, ...own.map(one => one.downPa)) }]
    }),
  )
  const held = system.holds.find(one => one.format === format)
  const hold = screwHoldsN(system, battenDeepMm, face.timber, format)
  const through = system.screw.pullThrough.find(one => one.format === format)?.n ?? 0
  const nails = nailsHoldN(facts.batten.nails, battenDeepMm, face.timber, format)
  const spanMm = spanOf(supports, cells, facts.batten)
  // Which screws stand on which batten, and what share of its module each bears.
  const byBatten = new Map<number, { xMm: number, cell: Cell, share: number }[]>()
  for (const part of parts)
    for (const cell of part.cells) {
      const own = battens.screws.filter(one => one.moduleId === cell.id)
      const lines = [...new Set(own.map(one => one.line))]
      const heights = lines.map(line => own.find(one => one.line === line)!.yMm - cell.bottomMm)
      const shares = lineShares(heights, cell.topMm - cell.bottomMm)
      lines.forEach((line, l) => {
        const onLine = own.filter(one => one.line === line)
        for (const screw of onLine) {
          const batten = battens.steps.findIndex(
            ({ act, upperMm, fromMm, toMm }) =>
              act !== 'cut' && screw.yMm <= upperMm && screw.yMm >= upperMm - battens.widthMm && screw.xMm >= fromMm - 1e-6 && screw.xMm <= toMm + 1e-6,
          )
          byBatten.set(batten, [...(byBatten.get(batten) ?? []), { xMm: screw.xMm, cell, share: shares[l]! / onLine.length }])
        }
      })
    }
  // Suction first: it is mostly the worst, and what can't come near it is passed over.
  for (const combination of [...loads.combinations.strength].sort((a, b) => Number(b.windActs === 'up') - Number(a.windActs === 'up'))) {
    const { name, shortest } = combination
    if (held?.slopePa) note('module-slope', downSlope(combination), held.slopePa, name, {})
    const factor = timberFactor(format, shortest, face.timber.wet)
    const onCell = new Map(cells.map(cell => [cell.id, net(pressures.get(cell.id)!.up, pressures.get(cell.id)!.down, combination)]))
    for (const cell of cells) {
      const pa = onCell.get(cell.id)!
      note(pa < 0 ? 'module-up' : 'module-down', Math.abs(pa), pa < 0 ? held?.upPa : held?.downPa, name, { moduleId: cell.id })
    }
    for (const [batten, screws] of byBatten) {
      const points = screws.map(({ xMm, cell, share }) => ({ xMm, cell, n: onCell.get(cell.id)! * areaMm2 * 1e-6 * share }))
      for (const { cell, n } of points) note('screw', -n, Math.min(hold.n * factor, through), name, { moduleId: cell.id })
      if (batten < 0) continue
      const limits = {
        'batten-bending': (facts.batten.bendingMpa * factor * battenMm * battenDeepMm ** 2) / 6,
        'batten-shear': (facts.batten.shearMpa * factor * battenMm * battenDeepMm) / 1.5,
        'batten-nails': nails * factor,
      }
      // What can't come near the worst so far is not gone through step by step: no moment passes all of a span's load in its middle.
      const [inSpan, inTwo] = [mostWithin(points, spanMm), mostWithin(points, 2 * spanMm)]
      const bounds = { 'batten-bending': (inSpan * spanMm) / 4, 'batten-shear': inSpan, 'batten-nails': inTwo }
      if ((Object.keys(bounds) as (keyof typeof bounds)[]).every(check => usedShare(bounds[check], limits[check]) <= (worst.get(check)?.share ?? 0))) continue
      const { moment, shear, pull } = trainOver(points, spanMm)
      note('batten-bending', moment, limits['batten-bending'], name, { batten })
      note('batten-shear', shear, limits['batten-shear'], name, { batten })
      note('batten-nails', pull, limits['batten-nails'], name, { batten })
    }
  }
  return {
    shares: coverChecks.flatMap(check => worst.get(check) ?? []),
    wind: wind.working,
    refused: wind.refused,
    insideLeft: wind.insideLeft,
    slopeLeft: held?.slopePa
      ? null
      : loads.combinations.strength
          .map(one => ({ combination: one.name, n: downSlope(one) * areaMm2 * 1e-6 }))
          .reduce<CoverUse['slopeLeft']>((a, b) => (b.n > (a?.n ?? 0) ? b : a), null),
    spanMm,
    screwRule: `${hold.threadMm.toFixed(0)} mm of thread in the batten, ${hold.leastMm.toFixed(0)} mm at least${system.screw.leastMm === null ? ' (EN 1995-1-1, 8.7.2: 6 d)' : ' by its approval'}; withdrawal by ${format === 'en' ? 'EN 1995-1-1, 8.38' : 'NDS 12.2.2'}, and the head by the maker`,
    nailRule: format === 'en' ? 'EN 1995-1-1, 8.3.2 (from memory)' : 'NDS 12.2 (from memory)',
  }
}
