import type { Finding } from '#core/trade'
import { type StageId, stages } from '#core/job/stages'

/** Findings that concern a stage come first; those of other stages follow, stops before the rest. */
export function findingsFor(stage: StageId, findings: Finding[]): { here: Finding[], elsewhere: Finding[] } {
  return { here: findings.filter(finding => finding.stage === stage), elsewhere: findings.filter(finding => finding.stage !== stage && finding.severity === 'stop') }
}

const orderOf = (id: StageId) => stages.findIndex(one => one.id === id)
/** Whether something on a rung or below it is only assumed: rows on a size that nobody has read are not clear. */
export const restsOnAssumed = (stage: StageId, findings: Finding[]): boolean => findings.some(finding => finding.assumed && orderOf(finding.stage) <= orderOf(stage))
