import { askedBy, placeValues } from './load-rules'
import { rulesOf } from './rule-sets'
import type { BuildingEdition, Codes, ElectricalEdition, Job, LoadEdition, RuleSetId } from './schema'
import type { Edit } from './edits'

/** Each building edition with the load standard that it refers to (IRC 2018 and 2021: ASCE 7-16; 2024: ASCE 7-22). */
export const buildingCodes: Record<BuildingEdition, { name: string, loads: LoadEdition, loadsName: string }> = {
  2018: { name: 'IRC and IFC 2018', loads: 'us-2016', loadsName: 'ASCE 7-16' },
  2021: { name: 'IRC and IFC 2021', loads: 'us-2016', loadsName: 'ASCE 7-16' },
  2024: { name: 'IRC and IFC 2024', loads: 'us-2022', loadsName: 'ASCE 7-22' },
}
export const electricalName = (edition: ElectricalEdition): string => `NEC ${edition}`

/** Adopted codes in a line. */
export function codesName(codes: Codes): string {
  if (codes.kind === 'us') return `${buildingCodes[codes.building].name}, ${buildingCodes[codes.building].loadsName}, ${electricalName(codes.electrical)}`
  return codes.kind === 'european' ? 'European practice, EN 1990 to 1999' : 'not said'
}

/** The load standard and the fire rules that go with adopted codes; null where nobody has said which are. */
export function rulesUnder(codes: Codes): { loads: Exclude<LoadEdition, 'none'>, keepClear: RuleSetId } | null {
  if (codes.kind === 'us') return { loads: buildingCodes[codes.building].loads as Exclude<LoadEdition, 'none'>, keepClear: 'us-2018' }
  return codes.kind === 'european' ? { loads: 'en', keepClear: 'european' } : null
}

/** The codes of a place, with the fire rules and the load standard that belong to them. */
export function codesEdit(job: Job, codes: Codes): Edit {
  const under = rulesUnder(codes)
  const place = under && askedBy(job.loads.place, under.loads)
  return {
    type: 'batch', edits: [
      { type: 'set-job', values: { codes } },
      ...(under && job.keepClear.ruleSet !== under.keepClear ? [{ type: 'set-keep-clear' as const, values: rulesOf(under.keepClear) }] : []),
      ...(under && place && job.loads.rules.edition !== under.loads ? [{ type: 'set-loads' as const, values: placeValues(place) }] : []),
    ],
  }
}
