import type { Service } from '../catalogue'
import type { ElectricalEdition, Job } from '../job'

/** The rules by which a roof is wired, and what stands in where nobody has said. */
export interface WireRules {
  us: boolean
  edition: ElectricalEdition
  service: Service
  mostV: number
  hotC: number
  /** Nobody has said which code: wired as the job's units suggest. */
  codeUnsaid: boolean
}

/** Air on a hot day where nobody has said, °C (common practice). */
const USUAL_HOT_C = 40

export function wireRules({ codes, units, wiring }: Pick<Job, 'codes' | 'units' | 'wiring'>): WireRules {
  const us = codes.kind === 'us' || (codes.kind === 'unsaid' && units === 'imperial')
  return {
    us, edition: codes.kind === 'us' ? codes.electrical : '2023', service: wiring.service ?? (us ? 'split-240' : 'single-230'),
    // NEC 690.7: one- and two-family dwellings; IEC 62548 for buildings.
    mostV: wiring.mostV ?? (us ? 600 : 1000), hotC: wiring.hotC ?? USUAL_HOT_C, codeUnsaid: codes.kind === 'unsaid',
  }
}
