import type { DraftFinding } from '../trade'
import { askedOf, type FaceAsk, trades, tradesOn, type WholeAsk } from '../trades'

/** A finding with the trades' word for what it is. */
export type KnownDraft = DraftFinding & { kind: string }

const said = <A>(findings: Record<string, (ask: A) => DraftFinding[]> | undefined, ask: A): KnownDraft[] =>
  Object.entries(findings ?? {}).flatMap(([kind, find]) => find(ask).map(finding => ({ ...finding, kind })))

/** Every judgement on one face, not yet in order of weight. */
export const faceFindings = (ask: FaceAsk): KnownDraft[] => tradesOn(ask.plan).flatMap(({ face }) => said(face?.findings, ask))

/** Every judgement on the whole job. */
export const jobFindings = (ask: WholeAsk): KnownDraft[] => trades.flatMap(trade => said(trade.job?.findings, askedOf(trade, ask)))
