import type { Finding } from '../trade'
import type { Plan } from './layout'

/** Stops by the face they are on and what they are: where a line has moved the same stop reads differently. */
function stopsBy(findings: Pick<Finding, 'severity' | 'faceId' | 'kind' | 'sentence'>[]): Map<string, string[]> {
  const by = new Map<string, string[]>()
  for (const { severity, faceId, kind, sentence } of findings) {
    if (severity !== 'stop') continue
    const key = `${faceId} ${kind}`
    by.set(key, [...by.get(key) ?? [], sentence])
  }
  return by
}

/**
 * Why a plan does not keep every limit that one before it kept: another number of modules, or a stop that was not there. Null where
 * it does: such a change may be made on the roof.
 */
export function keepsLimits(before: Pick<Plan, 'totals' | 'findings'>, after: Pick<Plan, 'totals' | 'findings'>): string | null {
  const [was, is] = [before.totals.modules, after.totals.modules]
  if (was !== is) return `It changes the number of modules from ${was} to ${is}; a planner does that.`
  const known = stopsBy(before.findings)
  for (const [key, sentences] of stopsBy(after.findings)) {
    const old = known.get(key) ?? []
    if (sentences.length > old.length) return `It does not keep every limit: ${sentences.find(one => !old.includes(one)) ?? sentences[0]} A planner decides that.`
  }
  return null
}
