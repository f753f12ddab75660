import { bounds, signedAreaMm2 } from '../geometry'
import { type Ask, type Layer, shape } from '../trade'
import { zoneWords } from './zones'
import type { LoadsLayout } from './layout'

/** Roof zones for wind, filled by their suction, with their names; of several directions of the wind one at a time. */
export const zonesLayer: Layer<Ask<LoadsLayout>> = {
  id: 'zones', toggle: { name: 'Wind', key: 'z', on: false }, depth: 50, screenOnly: true,
  style: { fill: '#1c5fae', stroke: '#1c5fae', width: 1, dash: [5, 3], text: 9, ink: '#14437f', dxfColour: 5 },
  shapes: ({ plan: { loading: { loads } } }) => {
    if (!loads) return []
    const worst = Math.max(1, ...Object.values(loads.onModule).map(one => one.upPa))
    return loads.wind.sets.flatMap(({ wind, zones }) => zones.flatMap(zone => [
      { ...shape({ kind: 'area', rings: zone.region }), variant: wind, weight: 0.06 + 0.3 * (loads.onModule[zone.name]?.upPa ?? 0) / worst },
      ...zone.region.filter(ring => signedAreaMm2(ring) > 0).map((ring) => {
        const { along, up } = bounds([ring])!
        return {
          ...shape({
            kind: 'text',
            at: { x: along.fromMm, y: up.fromMm },
            text: zoneWords(zone.name),
            roomMm: Math.min(along.toMm - along.fromMm, up.toMm - up.fromMm),
            begins: true,
          }),
          variant: wind,
        }
      }),
    ]))
  },
}
