import { areaMm2, common, rectangle, type Region, stripAlong, together, without } from '../geometry'
import { type EdgeKind, type Face, type KeepClearRules, ruleSetTable, type Side } from '../job'
import { type Edge, type FaceShape, isLevel, shapeOf } from '../roof'
import { around, belowEscape, depthOf, obstructionNames } from './strips'

/** What the rules for the whole roof ask of one face, once pathways and ridge strip have been chosen. */
export interface FaceClear {
  /** False for faces too flat for the rules. */
  applies: boolean
  /** Strip below level ridges, mm. */
  ridgeMm: number
  /** Sides along which a pathway runs from eave to ridge. */
  pathways: Side[]
  /** Edges over which a pathway straddles to the next face, half on each. */
  straddles: number[]
  /** Hips and valleys whose other side is bare, so that none need be kept here. */
  openEdges: number[]
  /** The most modules that the covered share of the roof leaves this face; null for no limit. */
  most: number | null
}

/** What a face is asked where no rule set for the whole roof is in force. */
export const noClaims: FaceClear = { applies: false, ridgeMm: 0, pathways: [], straddles: [], openEdges: [], most: null }

/** A part of the face kept clear of modules, and the rule that took it. */
export interface KeepClearStrip {
  /** The edge's or obstruction's name. */
  of: string
  depthMm: number
  region: Region
  rule: string
  /** Which edge of the face it lies along; null for obstructions and reserved parts. */
  edge: number | null
  /** Whether it is a way for people, in which nothing may stand. */
  pathway: boolean
  /** What it takes that nothing before it in the list has taken, square mm. */
  takesMm2: number
}

interface Claim { of: string, depthMm: number, region: Region, rule: string, edge: number | null, pathway?: boolean }
type Clearing = Pick<Face, 'outline' | 'setbacks' | 'obstructions' | 'windStripMm' | 'reserved'>

/** What is kept clear on a face, cut to the face, and the usable region that is left. */
export function keepClear(face: Clearing, rules: KeepClearRules, clear: FaceClear): { strips: KeepClearStrip[], region: Region } {
  const shape = shapeOf(face.outline)
  let left = shape.region
  const strips = [...edgeClaims(face, shape, rules, clear), ...pathwayClaims(shape, rules, clear), ...otherClaims(face, shape, rules, clear)].map((claim): KeepClearStrip => {
    const region = common(claim.region, shape.region)
    const before = areaMm2(left)
    left = without(left, region)
    return { ...claim, region, pathway: claim.pathway ?? false, takesMm2: Math.max(0, before - areaMm2(left)) }
  })
  return { strips, region: left }
}

/** A rule set's name with the clause behind one of its figures. */
function clause(rules: KeepClearRules, key: keyof KeepClearRules['values']): string {
  const set = ruleSetTable[rules.ruleSet]
  const typed = set.values[key] !== rules.values[key]
  return `${set.name}${set.clauses[key] ? `, ${set.clauses[key]}` : ''}${typed ? ', figure typed on this job' : ''}`
}

/** Strips along edges, deepest first where several rules claim the same edge. */
function edgeClaims(face: Clearing, { edges, region }: FaceShape, rules: KeepClearRules, clear: FaceClear): Claim[] {
  const { values } = rules
  const typed = rules.ruleSet === 'plain' || rules.ruleSet === 'own'
  return edges.flatMap((edge, i) => {
    const claims: { depthMm: number, rule: string }[] = [
      { depthMm: typed ? depthOf(face.setbacks, edge) : 0, rule: `Setback from the ${edge.name}, as typed for this face` },
      {
        depthMm: clear.applies && edge.kind === 'ridge' && isLevel(edge) ? clear.ridgeMm : 0,
        rule: `Strip below the ridge: ${clause(rules, clear.ridgeMm > values.ridgeNearMm ? 'ridgeFarMm' : 'ridgeNearMm')}`,
      },
      {
        depthMm: clear.applies && (edge.kind === 'hip' || edge.kind === 'valley') && !clear.openEdges.includes(i) ? values.hipValleyMm : 0,
        rule: `Strip at the ${edge.kind}: ${clause(rules, 'hipValleyMm')}`,
      },
      { depthMm: edge.kind === 'wall' ? values.wallMm : 0, rule: `Distance from the wall: ${clause(rules, 'wallMm')}` },
      { depthMm: values.edgeMm, rule: `Strip along every edge: ${clause(rules, 'edgeMm')}` },
      { depthMm: face.windStripMm, rule: 'Wind strip along the edges, as typed for this face' },
    ]
    return claims.filter(claim => claim.depthMm > 0).sort((a, b) => b.depthMm - a.depthMm)
      .map(claim => ({ ...claim, of: edge.name, edge: i, region: stripAlong(edge, region[0]!, claim.depthMm) }))
  })
}

/** The edges along which a pathway on one side runs: the rakes there; where a face has none, as a hip slope, its hips. */
export function pathwayEdges(edges: Edge[], side: Side): number[] {
  const of = (kind: EdgeKind) => edges.flatMap((edge, i) => edge.side === side && edge.kind === kind ? [i] : [])
  return of('rake').length ? of('rake') : of('hip')
}

/** Pathways from eave to ridge: along a whole side of the face, or half over an edge that it shares. */
function pathwayClaims({ edges, region }: FaceShape, rules: KeepClearRules, clear: FaceClear): Claim[] {
  const { pathwayMm } = rules.values
  const own = clear.pathways.flatMap((side): Claim[] => {
    const sides = pathwayEdges(edges, side)
    return sides.length
      ? [{
          pathway: true,
          of: `pathway on the ${side}`,
          depthMm: pathwayMm,
          edge: sides.length === 1 ? sides[0]! : null,
          region: together(sides.map(i => stripAlong(edges[i]!, region[0]!, pathwayMm))),
          rule: `Pathway from eave to ridge: ${clause(rules, 'pathwayMm')}`,
        }]
      : []
  })
  return [...own, ...clear.straddles.map((i): Claim => ({
    pathway: true, of: `pathway over the ${edges[i]!.name}`, depthMm: pathwayMm / 2, edge: i, region: stripAlong(edges[i]!, region[0]!, pathwayMm / 2), rule: `Half of a pathway that straddles the ${edges[i]!.name}: ${clause(rules, 'pathwayMm')}`,
  }))]
}

/** Obstructions, the ways to escape openings, and reserved parts. */
function otherClaims(face: Clearing, { up }: FaceShape, rules: KeepClearRules, clear: FaceClear): Claim[] {
  return [
    ...face.obstructions.map((one): Claim => ({
      of: obstructionNames[one.kind],
      depthMm: one.clearanceMm,
      edge: null,
      region: around(one),
      rule: `Clearance round the ${obstructionNames[one.kind]}, as typed for this face`,
    })),
    ...(clear.applies && rules.values.escapeMm > 0 ? face.obstructions.filter(one => one.kind === 'escape-window') : []).map((one): Claim => ({
      of: 'way to the escape window', depthMm: rules.values.escapeMm, edge: null, region: belowEscape(one, rules.values.escapeMm, up.fromMm), rule: `No modules below an escape opening: ${clause(rules, 'escapeMm')}`,
    })),
    ...face.reserved.map((one): Claim => ({
      of: one.name, depthMm: 0, edge: null, region: rectangle({
        fromMm: one.fromXMm,
        toMm: one.toXMm,
      }, { fromMm: one.fromYMm, toMm: one.toYMm }), rule: `Reserved for ${one.name}, as typed for this face`,
    })),
  ]
}
