import { partKinds } from '../catalogue'
import { type JobAsk, type Part, type PartAsk, type PartDraft, partLine } from '../trade'
import { type FaceLayout, trades } from '../trades'

const lines = ({ catalogue }: Pick<PartAsk<unknown>, 'catalogue'>, drafts: PartDraft[]): Part[] => drafts.filter(draft => draft.amount > 0).map(draft => partLine(catalogue, draft))

/** Everything one face takes, in the order in which parts are listed. */
export const partsOf = (ask: PartAsk<FaceLayout>): Part[] => partKinds.flatMap(kind => trades.flatMap(trade => lines(ask, trade.face?.parts?.[kind]?.(ask) ?? [])))

/** What a job takes beside what its faces do. */
export const partsOfJob = (ask: JobAsk<FaceLayout>): Part[] => partKinds.flatMap(kind => trades.flatMap(trade => lines(ask, trade.job?.parts?.[kind]?.(ask) ?? [])))
