import type { Face, KeepClearRules, Side } from '../job'
import { freeIntervals, spanOf } from '../geometry'
import { shapeOf } from '../roof'
import { SAME_PITCH_DEG } from '../units'
import type { FaceClear } from './face'
import { type SharedEdge, sharedEdges, straddleEdges } from './neighbours'

/** A face at the very pitch of a rule is not over it. */
const steeperThan = ({ pitchDeg }: Pick<Face, 'pitchDeg'>, limitDeg: number): boolean => pitchDeg > limitDeg + SAME_PITCH_DEG

/** How one face gets its pathway. */
type Way
  = | { kind: 'own', side: Side }
    | { kind: 'straddle', shared: SharedEdge }
  /** On the next face, which is bare or has a pathway of its own. */
    | { kind: 'next', other: number, side: Side | null }

/** A choice of pathways over the whole roof. */
export interface PathwayChoice {
  faces: FaceClear[]
  modules: number
  /** Modules weighted by what they yield where energy is the aim: what choices are compared by. */
  worth: number
  /** Planes that have a pathway, by their place in the job. */
  planes: number[]
  /** What the rule asks for that no choice gives. */
  short: ('planes' | 'street')[]
  /** True when every combination was tried. */
  proved: boolean
  tried: number
}

/** What the search needs to know of the roof. */
export interface PathwayQuestion {
  faces: Face[]
  rules: KeepClearRules
  ridgeMm: number
  /** Modules that a face holds under given claims. */
  countOf: (face: number, clear: FaceClear) => number
  /** What a module on a face is worth in the comparison. */
  weightOf: (face: number) => number
  /** Whether a plane is on the street's or the driveway's side; null where nobody said where those are. */
  onStreet: ((face: number) => boolean) | null
}

/** More combinations than this are not all tried. */
const MOST_COMBINATIONS = 20_000

/** The choice of pathways that leaves the most modules, by the rule of the set in force. */
export function choosePathways(question: PathwayQuestion): PathwayChoice {
  const { faces, rules, ridgeMm, countOf } = question
  const { values } = rules
  const shared = sharedEdges(faces)
  const applies = faces.map(face => steeperThan(face, values.fromPitchDeg) && rules.ruleSet !== 'plain')
  const bareClear = (i: number): FaceClear => ({ applies: applies[i]!, ridgeMm, pathways: [], straddles: [], openEdges: [], most: null })
  // A plane with an array that stays is taken, whether or not more modules fit beside it.
  const mayHold = faces.map((face, i) => face.obstructions.some(one => one.kind === 'old-array') || countOf(i, bareClear(i)) > 0)
  /** Hips and valleys whose other side has no modules. */
  const openEdges = (i: number) => shared.filter(one => one.face === i && !mayHold[one.other]).map(one => one.edge)
  const start = (i: number): FaceClear => ({ ...bareClear(i), openEdges: openEdges(i) })
  const asking = faces.flatMap((_, i) => applies[i] && mayHold[i] ? [i] : [])

  if (values.pathways !== 'per-plane') {
    const chosen = faces.map((face, i) => applies[i] && mayHold[i] && values.pathways === 'per-slope' ? slopePathways(question, i, start(i)) : start(i))
    return { faces: chosen, ...totals(question, chosen), planes: asking, short: [], proved: true, tried: 1 }
  }

  const ways = asking.map(i => waysFor(faces, shared, mayHold, i, values.pathwayMm))
  const combinations = ways.reduce((product, one) => product * one.length, 1)
  const evaluate = (picks: number[]) => outcome(question, asking.map((_, k) => ways[k]![picks[k]!]!), asking, mayHold, start)
  let best: PathwayChoice | null = null
  let tried = 0
  const consider = (picks: number[]) => {
    tried++
    const next = evaluate(picks)
    if (!best || next.short.length < best.short.length || (next.short.length === best.short.length && next.worth > best.worth)) {
      best = next
      return true
    }
    return false
  }
  const picks = ways.map(() => 0)
  if (combinations <= MOST_COMBINATIONS) {
    do consider(picks)
    while (turnOn(picks, ways.map(one => one.length)))
  }
  else {
    consider(picks)
    // Too many to try all: one face after another takes its best way until none improves.
    for (let improved = true; improved;) {
      improved = false
      for (let k = 0; k < ways.length; k++) {
        for (let way = 0; way < ways[k]!.length; way++) {
          const next = picks.map((pick, i) => i === k ? way : pick)
          if (consider(next)) {
            picks[k] = way
            improved = true
          }
        }
      }
    }
  }
  return { ...best!, proved: combinations <= MOST_COMBINATIONS, tried }
}

/** What claims leave over all faces: modules, and their worth. */
function totals({ countOf, weightOf }: PathwayQuestion, clears: FaceClear[]): { modules: number, worth: number } {
  const counts = clears.map((clear, i) => countOf(i, clear))
  return { modules: counts.reduce((sum, n) => sum + n, 0), worth: counts.reduce((sum, n, i) => sum + n * weightOf(i), 0) }
}

/** Counts a row of picks on like an odometer; false when it comes round. */
function turnOn(picks: number[], sizes: number[]): boolean {
  for (let k = 0; k < picks.length; k++) {
    picks[k]!++
    if (picks[k]! < sizes[k]!) return true
    picks[k] = 0
  }
  return false
}

/** Heights at which a plane must be as wide as a pathway, as shares of its height: a hip end comes to a point at its top. */
const WIDE_AT = [0.05, 0.2, 0.4, 0.6, 0.8]

/** The widest pathway that a plane takes from its eave towards its ridge, mm. */
export function pathwayRoomMm(face: Pick<Face, 'outline'>): number {
  const { region, up } = shapeOf(face.outline)
  const at = (share: number) => up.fromMm + share * (up.toMm - up.fromMm)
  return Math.min(...WIDE_AT.map(share => Math.max(0, ...freeIntervals(region, { fromMm: at(share) - 1, toMm: at(share) + 1 }).map(spanOf))))
}

/** Every way in which one face may get its pathway. */
function waysFor(faces: Face[], shared: SharedEdge[], mayHold: boolean[], i: number, pathwayMm: number): Way[] {
  const others = [...new Set(shared.filter(one => one.face === i).map(one => one.other))]
  const wide = (face: number) => pathwayRoomMm(faces[face]!) >= pathwayMm
  const ways = [
    ...others.filter(wide).flatMap((other): Way[] => mayHold[other]
      ? [
          { kind: 'next', other, side: 'left' },
          { kind: 'next', other, side: 'right' },
        ]
      : [{ kind: 'next', other, side: null }]),
    ...straddleEdges(faces, shared, i).map((one): Way => ({ kind: 'straddle', shared: one })),
  ]
  // On a plane narrower than a pathway there is none; where nothing else is left either, it is planned there and a finding says so.
  return wide(i) || !ways.length ? [...ways, { kind: 'own', side: 'left' }, { kind: 'own', side: 'right' }] : ways
}

/** What a combination of ways comes to: claims on every face, modules left, and what the building still lacks. */
function outcome(question: PathwayQuestion, ways: Way[], asking: number[], mayHold: boolean[], start: (i: number) => FaceClear): PathwayChoice {
  const { faces, rules, onStreet } = question
  const clears = faces.map((_, i) => start(i))
  const add = (i: number, change: Partial<Pick<FaceClear, 'pathways' | 'straddles'>>) => {
    clears[i] = {
      ...clears[i]!,
      pathways: [...new Set([...clears[i]!.pathways, ...(change.pathways ?? [])])].sort(),
      straddles: [...new Set([...clears[i]!.straddles, ...(change.straddles ?? [])])].sort((a, b) => a - b),
    }
  }
  ways.forEach((way, k) => {
    const i = asking[k]!
    if (way.kind === 'own') add(i, { pathways: [way.side] })
    else if (way.kind === 'next') add(way.other, way.side ? { pathways: [way.side] } : {})
    else {
      add(i, { straddles: [way.shared.edge] })
      add(way.shared.other, { straddles: [way.shared.otherEdge] })
    }
  })
  // A bare plane is a pathway by itself; a straddled one counts for the face it was asked for.
  const planes = faces.flatMap((face, i) => steeperThan(face, rules.values.fromPitchDeg) && (!mayHold[i] || clears[i]!.pathways.length || ways.some((way, k) => way.kind === 'straddle' && asking[k] === i)) ? [i] : [])
  const short: PathwayChoice['short'] = []
  if (asking.length && planes.length < rules.values.pathwaysPerBuilding) short.push('planes')
  if (asking.length && onStreet && rules.values.pathwaysPerBuilding > 0 && !planes.some(onStreet)) short.push('street')
  return { faces: clears, ...totals(question, clears), planes, short, proved: true, tried: 1 }
}

/** The older rule: two pathways on a slope with a ridge, one on a hip slope, wherever they cost least. */
function slopePathways({ faces, countOf }: PathwayQuestion, i: number, start: FaceClear): FaceClear {
  const { edges } = shapeOf(faces[i]!.outline)
  if (!edges.some(edge => edge.kind === 'hip')) return { ...start, pathways: ['left', 'right'] }
  const [left, right] = (['left', 'right'] as const).map(side => ({ ...start, pathways: [side] }))
  return countOf(i, right!) > countOf(i, left!) ? right! : left!
}
