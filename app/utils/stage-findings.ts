import type { Finding } from '#core/trade'
import type { StageId } from '#core/job'

/** Findings that concern a stage come first; those of other stages follow, stops before the rest. */
export function findingsFor(stage: StageId, findings: Finding[]): { here: Finding[], elsewhere: Finding[] } {
  return { here: findings.filter(finding => finding.stage === stage), elsewhere: findings.filter(finding => finding.stage !== stage && finding.severity === 'stop') }
}
