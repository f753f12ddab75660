import { contains, type Interval, subtract, unite } from '../geometry'
import type { Supports } from '../job'
import type { PlacesForRail } from './places'

type Sheathing = Extract<Supports, { kind: 'sheathing' }>

/** A sound stretch of sheathing. */
export interface SheathingArea { along: Interval, up: Interval }

/** The typed areas, or the whole face where none was typed. */
export const sheathingAreas = ({ areas }: Sheathing, along: Interval, up: Interval): SheathingArea[] => areas.length
  ? areas.map(area => ({ along: { fromMm: area.fromXMm, toMm: area.toXMm }, up: { fromMm: area.fromYMm, toMm: area.toYMm } }))
  : [{ along, up }]

/** A rail may be fixed anywhere over sound sheathing. */
export const placesOnSheathing = (areas: SheathingArea[]): PlacesForRail => ({ way, lineMm, reach }) => {
  const [run, beside] = way === 'across' ? ['along', 'up'] as const : ['up', 'along'] as const
  const sound = unite(areas.filter(area => contains(area[beside], lineMm)).map(area => area[run]))
  const outside = subtract(reach, sound)
  return { points: [], intervals: subtract(reach, outside).map((interval, i) => ({ ...interval, member: `sheathing ${i + 1}`, state: 'inferred', chance: 1, timber: 1 })) }
}
