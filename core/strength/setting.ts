import type { Rail } from '../catalogue'
import type { BeamLoad, Joint, UniformLoad } from '../beam'
import type { FixingCapacity, RailStrength } from '../capacity'
import type { LoadPath } from '../job'
import { onceFor } from '../memory'
import { bearsOver, type Combination, type FaceLoads, type LineStretch, windAlong } from '../loads'

/** All that is fixed about one rail before its fixings are chosen. */
export interface RailSetting {
  /** The rail's trimmed ends and the modules' outer edges, mm along it. */
  fromMm: number
  toMm: number
  reach: { fromMm: number, toMm: number }
  line: LineStretch[]
  /** Edges of the modules, where clamps press, mm along the rail. */
  modules: { fromMm: number, toMm: number }[]
  /** Joints that are there whatever is fixed, as between coupled frames. */
  couplers: Joint[]
  /**
   * How what pulls down the slope reaches the fixings: across the rail, which it bends about its other axis; along a rail up the
   * slope, whose fixings share it alike since it ties them together (common practice); through the modules' own plane.
   */
  slope: 'across' | 'along' | 'by-modules'
  loads: FaceLoads
  section: Rail['section']
  strength: RailStrength
  capacity: FixingCapacity
  deflectionOver: number
  loadPath: LoadPath
}

/** A combination with one case of snow: uniform, or balanced with its drift. Factors are on the setting's own unit loads. */
export interface LoadCase { combination: Combination, name: string, gravity: number, drift: number }

/** Stretches of a rail on which the wind depends on an area in one way. */
export interface WindKind { load: BeamLoad, bearsMm: number, at: (areaMm2: number) => { up: number, down: number } }

/** The loads of a setting that don't depend on where its fixings are. */
export interface PreparedSetting {
  /** Where loads begin, end or stand. */
  cuts: number[]
  /** Dead load and uniform snow, as 1 N/mm on the first stretch. */
  gravity: BeamLoad
  drift: BeamLoad | null
  /** 1 N/mm on each kind of stretch. */
  kinds: WindKind[]
  kindOf: number[]
  strength: LoadCase[]
  service: LoadCase[]
}

/** A setting's own loads, remembered for it: they are asked for with every choice of fixings. */
export const preparedOf = onceFor((setting: RailSetting): PreparedSetting => {
  const { line, modules, loadPath, loads } = setting
  const keys = line.map(({ strips }) => JSON.stringify(strips))
  const names = [...new Set(keys)]
  const drift = line.some(one => one.drift > 0)
  const casesOf = (list: Combination[]) => list.flatMap(combination => casesFor(setting, combination, drift))
  return {
    cuts: loadPath === 'line' ? line.flatMap(one => [one.fromMm, one.toMm]) : modules.flatMap(one => [one.fromMm, one.toMm]),
    gravity: loadAlong(setting, line.map(({ fromMm, toMm, dead }) => ({ fromMm, toMm, nPerMm: line[0]!.dead > 0 ? dead / line[0]!.dead : 1 }))),
    drift: drift ? loadAlong(setting, line.map(({ fromMm, toMm, drift: nPerMm }) => ({ fromMm, toMm, nPerMm }))) : null,
    kinds: names.map((name) => {
      const own = line.filter((_, i) => keys[i] === name)
      const byArea = new Map<number, { up: number, down: number }>()
      return {
        bearsMm: bearsOver(own[0]!), load: loadAlong(setting, own.map(({ fromMm, toMm }) => ({ fromMm, toMm, nPerMm: 1 }))),
        at: areaMm2 => byArea.get(areaMm2) ?? byArea.set(areaMm2, windAlong(loads, own[0]!, areaMm2)).get(areaMm2)!,
      }
    }),
    kindOf: keys.map(key => names.indexOf(key)), strength: casesOf(loads.combinations.strength), service: casesOf(loads.combinations.service),
  }
})

function casesFor({ line, loads: { snow } }: RailSetting, combination: Combination, drift: boolean): LoadCase[] {
  const first = line[0]
  const of = (name: string, uniformShare: number, driftTimes: number): LoadCase =>
    ({ combination, name, gravity: first ? combination.dead * first.dead + combination.snow * uniformShare * first.snow : 0, drift: driftTimes * combination.snow })
  return combination.snow > 0 && drift
    ? [of(combination.name, 1, 0), of(`${combination.name}, snow unbalanced`, snow.uniformPa > 0 ? snow.balancedPa / snow.uniformPa : 0, 1)]
    : [of(combination.name, 1, 0)]
}

/** A load along a rail, as a line or through the clamps at the modules' edges. */
export function loadAlong({ modules, loadPath }: Pick<RailSetting, 'modules' | 'loadPath'>, stretches: UniformLoad[]): BeamLoad {
  const uniform = stretches.filter(({ nPerMm }) => nPerMm !== 0)
  if (loadPath === 'line') return { uniform, points: [] }
  const points = modules.flatMap((module) => {
    const n = uniform.reduce((sum, one) => sum + one.nPerMm * Math.max(0, Math.min(one.toMm, module.toMm) - Math.max(one.fromMm, module.fromMm)), 0)
    return n === 0 ? [] : [{ xMm: module.fromMm, n: n / 2 }, { xMm: module.toMm, n: n / 2 }]
  })
  return { uniform: [], points }
}
