import { bounds, common, freeIntervals, type Interval, rectangle, type Region, stripAlong, subtract, together, without } from '../geometry'
import type { EdgeKind, Outline, RailWay } from '../job'
import { bounded } from '../memory'
import { shapeOf } from '../roof'
import { radians } from '../units'

/** A roof zone on a face, in the face's own plane. */
export interface Zone { name: string, region: Region }
/** Zones that divide the face for one direction of the wind; of several sets the worst counts at every place. */
export interface ZoneSet { wind: string, zones: Zone[] }

/** A zone's name as a person reads it: letters of the wind along the ridge and on the high eave say so. */
export function zoneWords(name: string): string {
  const letter = name.slice(1).replace('u', ' high').replace('l', ' low')
  return name.startsWith('a') ? `${letter} along` : name.startsWith('b') ? `${letter} from the high side` : name
}

/** How a rule set divides a face. Depths and lengths are in plan, mm. */
export type ZoneScheme
  = | { kind: 'us-2010' | 'typed', edgeMm: number }
    | { kind: 'us-2016', edgeMm: number }
    | { kind: 'en', form: 'gable' | 'hip' | 'monopitch', acrossEMm: number, alongEMm: number }

/** Zones remembered: of every face of the largest job, under a few rule sets that somebody compares. */
const MOST_ZONES = 100
const known = /* @__PURE__ */ bounded<ZoneSet[]>(MOST_ZONES)

/** The zones of a face, remembered. They are laid out in plan, as the codes draw them, and turned back into the slope. */
export const zonesOf = (outline: Outline, pitchDeg: number, scheme: ZoneScheme): ZoneSet[] => known([outline, pitchDeg, scheme], () => {
  const flat = Math.cos(radians(pitchDeg))
  return setsFor(planOf(outline, flat), scheme).map(({ wind, zones }) => ({
    wind,
    zones: zones.filter(zone => zone.region.length).map(({ name, region }) => ({ name, region: region.map(ring => ring.map(({ x, y }) => ({ x, y: y / flat }))) })),
  }))
})

/** A face seen from above, with what lies within a depth of its edges. */
interface FacePlanView {
  region: Region
  box: { along: Interval, up: Interval }
  within: (kinds: EdgeKind[], depthMm: number, side?: 'left' | 'right') => Region
}

function planOf(outline: Outline, flat: number): FacePlanView {
  const shape = shapeOf(outline)
  const region = shape.region.map(ring => ring.map(({ x, y }) => ({ x, y: y * flat })))
  const ring = region[0]!
  const edges = shape.edges.map((edge, i) => ({ kind: edge.kind, side: edge.side, from: ring[i]!, to: ring[(i + 1) % ring.length]! }))
  return {
    region, box: bounds(region)!,
    within: (kinds, depthMm, side) => {
      const strips = edges.filter(edge => kinds.includes(edge.kind) && (!side || edge.side === side)).map(edge => stripAlong(edge, ring, depthMm))
      return strips.length && depthMm > 0 ? common(together(strips), region) : []
    },
  }
}

/** Named parts in order, each without the ones before it, and the rest of the face under a last name. */
function divide(region: Region, parts: { name: string, region: Region }[], rest: string): Zone[] {
  const zones: Zone[] = []
  let left = region
  for (const part of parts) {
    if (!part.region.length) continue
    const own = common(left, part.region)
    if (!own.length) continue
    zones.push({ name: part.name, region: own })
    left = without(left, part.region)
  }
  if (left.length) zones.push({ name: rest, region: left })
  // One name may come from several edges.
  const names = [...new Set(zones.map(zone => zone.name))]
  return names.map(name => ({ name, region: zones.filter(zone => zone.name === name).flatMap(zone => zone.region) }))
}

function setsFor(plan: FacePlanView, scheme: ZoneScheme): ZoneSet[] {
  switch (scheme.kind) {
    case 'us-2010': case 'typed': return [{ wind: 'any', zones: usZones(plan, scheme.edgeMm) }]
    case 'us-2016': return [{ wind: 'any', zones: us2016Zones(plan, scheme.edgeMm) }]
    case 'en': return enSets(plan, scheme)
  }
}

const both = (a: Region, b: Region): Region => a.length && b.length ? common(a, b) : []

/** 3 where two edge strips cross, 2 along every outer edge, 1 inside. Walls and valleys are not the roof's edge. */
function usZones({ region, within }: FacePlanView, a: number): Zone[] {
  const level = together([within(['eave'], a), within(['ridge'], a)])
  const steep = together([within(['rake', 'hip'], a, 'left'), within(['rake', 'hip'], a, 'right')])
  return divide(region, [{ name: '3', region: both(level, steep) }, { name: '2', region: together([level, steep]) }], '1')
}

/** Gable zones of the 2016 edition: e at the eave, n at the rake, r at the ridge and along hips. */
function us2016Zones({ region, within }: FacePlanView, a: number): Zone[] {
  const eave = within(['eave'], a)
  const rake = within(['rake'], a)
  const ridge = together([within(['ridge'], a), within(['hip'], a)])
  return divide(region, [
    { name: '3e', region: both(eave, together([rake, within(['hip'], a)])) }, { name: '3r', region: both(ridge, rake) },
    { name: '2e', region: eave }, { name: '2n', region: rake }, { name: '2r', region: ridge },
  ], '1')
}

type EnScheme = Extract<ZoneScheme, { kind: 'en' }>

function enSets(plan: FacePlanView, scheme: EnScheme): ZoneSet[] {
  switch (scheme.form) {
    case 'gable': return [
      { wind: 'across, windward', zones: windward(plan, scheme.acrossEMm, ['eave'], 'F', 'G', 'H') },
      { wind: 'across, leeward', zones: divide(plan.region, [{ name: 'J', region: plan.within(['ridge'], scheme.acrossEMm / 10) }], 'I') },
      { wind: 'along', zones: gableEnds(plan, scheme.alongEMm, 'aF', null) },
    ]
    case 'monopitch': return [
      { wind: 'on the low eave', zones: windward(plan, scheme.acrossEMm, ['eave'], 'F', 'G', 'H') },
      { wind: 'on the high eave', zones: windward(plan, scheme.acrossEMm, ['ridge'], 'bF', 'bG', 'bH') },
      { wind: 'along', zones: gableEnds(plan, scheme.alongEMm, 'aFl', 'aFu') },
    ]
    case 'hip': return [
      { wind: 'windward', zones: windward(plan, scheme.acrossEMm, ['eave'], 'F', 'G', 'H') },
      {
        wind: 'leeward',
        zones: divide(plan.region, [{ name: 'J', region: plan.within(['ridge'], scheme.acrossEMm / 10) }, { name: 'K', region: plan.within(['hip'], scheme.acrossEMm / 10) }], 'I'),
      },
      {
        wind: 'at the side',
        zones: divide(plan.region, [
          { name: 'L', region: plan.within(['hip', 'rake'], scheme.alongEMm / 10) },
          { name: 'M', region: plan.within(['hip', 'rake'], scheme.alongEMm / 2) },
        ], 'N'),
      },
    ]
  }
}

/** Corners and middle of a strip e/10 deep along the windward edge, corners e/4 long, and the rest. */
function windward({ region, within, box }: FacePlanView, e: number, kinds: EdgeKind[], corner: string, middle: string, rest: string): Zone[] {
  const strip = within(kinds, e / 10)
  const { along, up } = bounds(strip) ?? box
  const ends = together([rectangle({ fromMm: along.fromMm, toMm: along.fromMm + e / 4 }, up), rectangle({ fromMm: along.toMm - e / 4, toMm: along.toMm }, up)])
  return divide(region, [{ name: corner, region: both(strip, ends) }, { name: middle, region: strip }], rest)
}

/** Wind along the ridge from either end: strips e/10 and e/2 deep at the gables, e/4 of the first at the eave (and at the high edge) its corner. */
function gableEnds({ region, within, box }: FacePlanView, e: number, low: string, high: string | null): Zone[] {
  const strip = within(['rake', 'hip'], e / 10)
  const corner = (fromMm: number, toMm: number) => both(strip, rectangle(box.along, { fromMm, toMm }))
  return divide(region, [
    { name: low, region: corner(box.up.fromMm, box.up.fromMm + e / 4) },
    ...(high ? [{ name: high, region: corner(box.up.toMm - e / 4, box.up.toMm) }] : []),
    { name: 'aG', region: strip }, { name: 'aH', region: within(['rake', 'hip'], e / 2) },
  ], 'aI')
}

/** Far outside any face, mm. */
const FAR_MM = 1e6
const everywhere: Region = rectangle({ fromMm: -FAR_MM, toMm: FAR_MM }, { fromMm: -FAR_MM, toMm: FAR_MM })

/** A region with its axes changed over, for lines up the slope. */
const turned = (region: Region): Region => region.map(ring => ring.map(({ x, y }) => ({ x: y, y: x })).reverse())

/**
 * The stretches along a line at which a zone reaches into the band that loads it: a band that two zones share gets the worse of
 * them.
 */
export const touchedBy = (zone: Zone, along: Interval, band: Interval, way: RailWay): Interval[] =>
  subtract(along, freeIntervals([...everywhere, ...(way === 'across' ? zone.region : turned(zone.region))], band))
