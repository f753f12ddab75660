import { areaMm2, common } from '../geometry'
import { type Edit, type Obstruction, ruleSetTable } from '../job'
import { type DraftFinding, type FindingAsk, type JobAsk, noCures, onJob, plural, writer } from '../trade'
import { count, length, words } from '../units'
import type { KeepClearLayout } from './layout'
import { pathwayRoomMm } from './pathways'
import { around, obstructionNames } from './strips'
import type { RoofClear } from './whole-roof'

const percent = (share: number): string => `${(100 * share).toFixed(1)} %`

/** The whole roof, with what its rules come to. */
export type RoofAsk = JobAsk<KeepClearLayout> & { roof: RoofClear }

export const tooFewPlanes = (ask: RoofAsk): DraftFinding[] => {
  const { job: { keepClear: { values, ruleSet } }, roof } = ask
  return !roof.short.includes('planes')
    ? []
    : [{
        ...onJob(ask, 'keep-clear', 'pathways-short'), severity: 'stop', measured: count(roof.planes.length, 'pathways'), limit: count(values.pathwaysPerBuilding, 'pathways'),
        sentence: `${ruleSetTable[ruleSet].name} asks for ${values.pathwaysPerBuilding} pathways on separate planes; this roof as surveyed has ${plural(roof.planes.length, 'plane')} with one. Survey the other planes, bare ones too, or leave one clear.`,
      }]
}

export const noneOnTheStreet = (ask: RoofAsk): DraftFinding[] => !ask.roof.short.includes('street')
  ? []
  : [{
      ...onJob(ask, 'keep-clear', 'pathways-street'), severity: 'stop', measured: null,
      sentence: 'No pathway lies on the street’s or the driveway’s side, and one has to. Leave a plane on that side clear, or check where the street lies on the site sheet.',
    }]

export function whereIsTheStreet(ask: RoofAsk): DraftFinding[] {
  const { job: { site, keepClear: { values } }, roof } = ask
  if (values.pathways !== 'per-plane' || values.pathwaysPerBuilding === 0 || site.streetDeg !== null || site.drivewayDeg !== null || !roof.planes.length) return []
  return [{
    ...onJob(ask, 'keep-clear', 'pathways-where-street'),
    severity: 'caution',
    stage: 'site',
    measured: null,
    sentence: 'One pathway has to lie on the street’s or the driveway’s side, and the site sheet does not say where those are.',
  }]
}

/** How near the covered share is to the step at which the ridge strip widens. */
export function coverStep(ask: RoofAsk): DraftFinding[] {
  const { job, roof: { cover, choices, ridge } } = ask
  if (!choices || !ridge || job.keepClear.ridgeChoice !== 'best' || choices.nearUncapped <= 0) return []
  const nearStep = cover.share <= cover.limit ? cover.share + cover.oneMore > cover.limit : true
  if (!nearStep && choices.nearUncapped === choices.near) return []
  const choose = (ridgeChoice: 'near' | 'far'): Edit => ({ type: 'set-keep-clear', values: { ridgeChoice } })
  return [{
    ...onJob(ask, 'keep-clear', 'cover-step'), severity: 'note', measured: words(percent(cover.share)), limit: words(percent(cover.limit)),
    sentence: `${percent(cover.share)} of the roof is covered; the narrower ridge strip holds up to ${percent(cover.limit)}. With it the roof takes ${plural(choices.near, 'module')}, with the wider strip ${choices.far}. One more module is ${percent(cover.oneMore)}.`,
    propose: () => [
      { label: `Narrow strip, ${plural(choices.near, 'module')}`, edit: choose('near') },
      { label: `Wide strip, ${plural(choices.far, 'module')}`, edit: choose('far') },
    ],
  }]
}

export const notAllTried = (ask: RoofAsk): DraftFinding[] => ask.roof.proved
  ? []
  : [{
      ...onJob(ask, 'keep-clear', 'pathways-unproved'),
      severity: 'note',
      measured: count(ask.roof.tried, 'ways tried'),
      sentence: `The pathways shown are the best of ${ask.roof.tried} ways tried; with so many faces not all were.`,
    }]

type ClearAsk = FindingAsk<KeepClearLayout>

/** Reserved parts that lie off the face. */
export function reservedOutside({ face, plan }: ClearAsk): DraftFinding[] {
  return face.reserved.flatMap((one, i): DraftFinding[] => areaMm2(common([[
    { x: one.fromXMm, y: one.fromYMm },
    { x: one.toXMm, y: one.fromYMm },
    { x: one.toXMm, y: one.toYMm },
    { x: one.fromXMm, y: one.toYMm },
  ]], plan.shape.region)) > 1
    ? []
    : [{
        id: `reserved-outside:${face.id}:${i}`, severity: 'caution', stage: 'keep-clear', faceId: face.id, about: null, measured: null, limit: null,
        sentence: `The part reserved for ${one.name} lies off the face. Check its readings.`,
        propose: () => [{ label: 'Take it away', edit: { type: 'set-face', faceId: face.id, values: { reserved: face.reserved.filter((_, k) => k !== i) } } }],
      }])
}

const waysOn = ({ plan }: ClearAsk) => plan.strips.filter(strip => strip.pathway)

export function pathwayNarrow(ask: ClearAsk): DraftFinding[] {
  const { face, plan, job } = ask
  const wantedMm = job.keepClear.values.pathwayMm
  const roomMm = pathwayRoomMm(face)
  if (!waysOn(ask).length || !plan.clear.pathways.length || roomMm >= wantedMm - 0.5) return []
  const say = writer(ask)
  return [{
    stage: 'keep-clear', faceId: face.id, severity: 'stop', propose: noCures, id: `pathway-narrow:${face.id}`, about: null, measured: length(roomMm), limit: length(wantedMm),
    sentence: `A pathway needs ${say(wantedMm)} and ${face.name} is only ${say(roomMm)} wide on its way up: none fits here. Find one on another plane, or leave this roof’s modules off the plane that needs it.`,
  }]
}

/** What stands in a pathway. */
export function pathwayBlocked(ask: ClearAsk): DraftFinding[] {
  const { face, job } = ask
  const inTheWay = (one: Obstruction) => waysOn(ask).find(way => areaMm2(common(around({ ...one, clearanceMm: 0 }), way.region)) > 1)
  return face.obstructions.flatMap((one): DraftFinding[] => {
    const way = inTheWay(one)
    return !way
      ? []
      : [{
          stage: 'keep-clear', faceId: face.id, severity: 'stop', propose: noCures, id: `pathway-blocked:${face.id}:${one.id}`, about: {
            kind: 'obstruction',
            id: one.id,
          }, measured: null, limit: length(job.keepClear.values.pathwayMm),
          sentence: `A ${obstructionNames[one.kind]} stands in the ${way.of}. A pathway is clear over its whole width: choose another side or plane, or ask the authority.`,
        }]
  })
}

/** Obstructions that lie off the face. */
export function obstructionOutside(ask: ClearAsk): DraftFinding[] {
  const { face, plan } = ask
  const say = writer(ask)
  const isOff = (one: Obstruction) => areaMm2(common(around({ ...one, clearanceMm: 0 }), plan.shape.region)) < 1
  return face.obstructions.filter(isOff).map((one): DraftFinding => ({
    id: `obstruction-outside:${face.id}:${one.id}`, severity: 'caution', stage: 'survey', faceId: face.id, about: { kind: 'obstruction', id: one.id },
    sentence: `The ${obstructionNames[one.kind]} at ${say(one.xMm)} along and ${say(one.yMm)} up lies outside the face. Check its readings.`,
    measured: length(one.xMm), limit: length(plan.shape.along.toMm),
    propose: () => [{ label: 'Take it off', edit: { type: 'set-face', faceId: face.id, values: { obstructions: face.obstructions.filter(other => other.id !== one.id) } } }],
  }))
}
