import { type Catalogue, partKinds } from '../catalogue'
import type { Face } from '../job'
import { type Part, type PartAsk, type PartDraft, partLine } from '../trade'
import { askedOf, type FaceLayout, trades, tradesOn, type WholePartsAsk } from '../trades'

/** Where several small parts would do, those that a face's set names; for the whole job, those of its first face that names one. */
const lines = (catalogue: Catalogue, faces: Pick<Face, 'array'>[], drafts: PartDraft[]): Part[] => {
  const named = faces.flatMap(face => face.array.supplyIds)
  return drafts.filter(draft => draft.amount > 0).map(draft => partLine(catalogue, named, draft))
}

/** Everything one face takes, in the order in which parts are listed. */
export const partsOf = (ask: PartAsk<FaceLayout>): Part[] => partKinds.flatMap(kind => tradesOn(ask.plan).flatMap(trade => lines(ask.catalogue, [ask.face], trade.face?.parts?.[kind]?.(ask) ?? [])))

/** What a job takes beside what its faces do. */
export const partsOfJob = (ask: WholePartsAsk): Part[] => partKinds.flatMap(kind => trades.flatMap(trade => lines(ask.catalogue, ask.faces.map(({ face }) => face), trade.job?.parts?.[kind]?.(askedOf(trade, ask)) ?? [])))
