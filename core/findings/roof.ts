import { areaMm2, common } from '../geometry'
import { type Edit, type Job, type KeepClearRules, ruleSetTable } from '../job'
import { around, obstructionNames, pathwayRoomMm, type RoofClear } from '../keepclear'
import { count, length, words } from '../units'
import { type FindingContext, plural, writer } from './context'
import { type DraftFinding, noCures } from './finding'

const percent = (share: number): string => `${(100 * share).toFixed(1)} %`

/** What the rules for the whole roof come to: pathways that are missing, and how near the covered share is to its step. */
export function roofFindings(job: Job, roof: RoofClear): DraftFinding[] {
  const base = { stage: 'keep-clear' as const, faceId: job.faces[0]!.id, about: '', limit: null }
  const set = (values: Partial<KeepClearRules>): Edit => ({ type: 'set-keep-clear', values })
  const found: DraftFinding[] = []
  const { values, ruleSet } = job.keepClear
  if (roof.short.includes('planes')) {
    found.push({
      ...base, id: 'pathways-short', severity: 'stop', measured: count(roof.planes.length, 'pathways'), limit: count(values.pathwaysPerBuilding, 'pathways'), propose: noCures,
      sentence: `${ruleSetTable[ruleSet].name} asks for ${values.pathwaysPerBuilding} pathways on separate planes; this roof as surveyed has ${plural(roof.planes.length, 'plane')} with one. Survey the other planes, bare ones too, or leave one clear.`,
    })
  }
  if (roof.short.includes('street')) {
    found.push({
      ...base, id: 'pathways-street', severity: 'stop', measured: null, propose: noCures,
      sentence: 'No pathway lies on the street’s or the driveway’s side, and one has to. Leave a plane on that side clear, or check where the street lies on the site sheet.',
    })
  }
  if (values.pathways === 'per-plane' && values.pathwaysPerBuilding > 0 && job.site.streetDeg === null && job.site.drivewayDeg === null && roof.planes.length) {
    found.push({ ...base, id: 'pathways-where-street', severity: 'caution', stage: 'site', measured: null, propose: noCures, sentence: 'One pathway has to lie on the street’s or the driveway’s side, and the site sheet does not say where those are.' })
  }
  const { cover, choices, ridge } = roof
  if (choices && ridge && job.keepClear.ridgeChoice === 'best' && choices.nearUncapped > 0) {
    const nearStep = cover.share <= cover.limit ? cover.share + cover.oneMore > cover.limit : true
    if (nearStep || choices.nearUncapped !== choices.near) {
      found.push({
        ...base, id: 'cover-step', severity: 'note', measured: words(percent(cover.share)), limit: words(percent(cover.limit)),
        sentence: `${percent(cover.share)} of the roof is covered; the narrower ridge strip holds up to ${percent(cover.limit)}. With it the roof takes ${plural(choices.near, 'module')}, with the wider strip ${choices.far}. One more module is ${percent(cover.oneMore)}.`,
        propose: () => [
          { label: `Narrow strip, ${plural(choices.near, 'module')}`, edit: set({ ridgeChoice: 'near' }) },
          { label: `Wide strip, ${plural(choices.far, 'module')}`, edit: set({ ridgeChoice: 'far' }) },
        ],
      })
    }
  }
  if (!roof.proved) {
    found.push({ ...base, id: 'pathways-unproved', severity: 'note', measured: count(roof.tried, 'ways tried'), propose: noCures, sentence: `The pathways shown are the best of ${roof.tried} ways tried; with so many faces not all were.` })
  }
  return found
}

/** A wish for the array's lower edge that the rows do not keep. */
export function wishFindings(context: FindingContext): DraftFinding[] {
  const { face, plan } = context
  const first = plan.rows.rows[0]
  if (face.lowEdgeMm === null || !first || first.bottomMm <= face.lowEdgeMm + 0.5) return []
  const say = writer(context)
  const lowest = Math.min(...plan.region.flat().map(point => point.y))
  return [{
    id: `low-edge:${face.id}`, severity: 'caution', stage: 'keep-clear', faceId: face.id, about: 'row 1', measured: { kind: 'length', mm: first.bottomMm }, limit: { kind: 'length', mm: face.lowEdgeMm },
    sentence: `The array’s lower edge is ${say(first.bottomMm)} up; the wish was within ${say(face.lowEdgeMm)} of the eave.${lowest > face.lowEdgeMm ? ` What is kept clear above the eave reaches ${say(lowest)} and comes first.` : ''}`,
    propose: () => [
      ...(lowest <= face.lowEdgeMm! ? [{ label: 'Start the rows at the lower line', edit: { type: 'batch', edits: [{ type: 'set-array', faceId: face.id, values: { stackFrom: 'eave' } }, { type: 'set-row', faceId: face.id, row: 0, values: { gapBelowMm: null } }] } satisfies Edit }] : []),
      { label: 'Give up the wish', edit: { type: 'set-face', faceId: face.id, values: { lowEdgeMm: null } } },
    ],
  }]
}

/** Reserved parts that lie off the face. */
export function reservedFindings({ face, plan }: FindingContext): DraftFinding[] {
  return face.reserved.flatMap((one, i): DraftFinding[] => areaMm2(common([[{ x: one.fromXMm, y: one.fromYMm }, { x: one.toXMm, y: one.fromYMm }, { x: one.toXMm, y: one.toYMm }, { x: one.fromXMm, y: one.toYMm }]], plan.shape.region)) > 1
    ? []
    : [{
        id: `reserved-outside:${face.id}:${i}`, severity: 'caution', stage: 'keep-clear', faceId: face.id, about: '', measured: null, limit: null,
        sentence: `The part reserved for ${one.name} lies off the face. Check its readings.`,
        propose: () => [{ label: 'Take it away', edit: { type: 'set-face', faceId: face.id, values: { reserved: face.reserved.filter((_, k) => k !== i) } } }],
      }])
}

/** Pathways that are not as wide as the rule asks, and what stands in them. */
export function pathwayFindings(context: FindingContext): DraftFinding[] {
  const { face, plan, job } = context
  const say = writer(context)
  const ways = plan.strips.filter(strip => strip.pathway)
  if (!ways.length) return []
  const base = { stage: 'keep-clear' as const, faceId: face.id, severity: 'stop' as const, propose: noCures }
  const wantedMm = job.keepClear.values.pathwayMm
  const roomMm = pathwayRoomMm(face)
  const narrow: DraftFinding[] = plan.clear.pathways.length && roomMm < wantedMm - 0.5
    ? [{ ...base, id: `pathway-narrow:${face.id}`, about: '', measured: length(roomMm), limit: length(wantedMm), sentence: `A pathway needs ${say(wantedMm)} and ${face.name} is only ${say(roomMm)} wide on its way up: none fits here. Find one on another plane, or leave this roof’s modules off the plane that needs it.` }]
    : []
  return [...narrow, ...face.obstructions.filter(one => ways.some(way => areaMm2(common(around({ ...one, clearanceMm: 0 }), way.region)) > 1)).map((one): DraftFinding => ({
    ...base, id: `pathway-blocked:${face.id}:${one.id}`, about: one.id, measured: null, limit: length(wantedMm),
    sentence: `A ${obstructionNames[one.kind]} stands in the ${ways.find(way => areaMm2(common(around({ ...one, clearanceMm: 0 }), way.region)) > 1)!.of}. A pathway is clear over its whole width: choose another side or plane, or ask the authority.`,
  }))]
}
