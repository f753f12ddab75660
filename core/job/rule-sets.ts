import { pitchFromRise } from '../units'
import type { KeepClearRules, KeepClearValues, RuleSetId } from './schema'

/** A rule set as it is offered: its figures, where each comes from, and in which clause. */
export interface RuleSet {
  id: RuleSetId
  name: string
  /** Where the figures come from and how far they were checked. */
  provenance: string
  /** The clause behind each figure that the set uses. */
  clauses: Partial<Record<keyof KeepClearValues, string>>
  values: KeepClearValues
}

const inch = (n: number) => n * 25.4
const none: KeepClearValues = {
  fromPitchDeg: 0, pathways: 'none', pathwayMm: 0, pathwaysPerBuilding: 0, ridgeNearMm: 0, ridgeFarMm: 0, coverShare: 1, coverShareSprinklers: 1,
  hipValleyMm: 0, escapeMm: 0, edgeMm: 0, wallMm: 0,
}
const FROM_MEMORY = 'From memory, not checked against the document: read the edition in force and ask the local authority'

/** The rule sets, each one edition with all its parts. A factor of one is never used with another's. */
export const ruleSetTable: Record<RuleSetId, RuleSet> = {
  'plain': {
    id: 'plain',
    name: 'Plain setbacks by edge',
    provenance: 'Typed for each face; three feet from ridge and rakes is common practice, not a rule',
    clauses: {},
    values: none,
  },
  'us-2018': {
    id: 'us-2018', name: 'US 2018 and later, dwellings', provenance: `IRC R324.6; IFC 1204.2 in 2018, 1205.2 in 2021 and 2024. ${FROM_MEMORY}`,
    clauses: {
      fromPitchDeg: 'R324.6',
      pathways: 'R324.6.1',
      pathwayMm: 'R324.6.1',
      pathwaysPerBuilding: 'R324.6.1',
      ridgeNearMm: 'R324.6.2',
      ridgeFarMm: 'R324.6.2',
      coverShare: 'R324.6.2',
      coverShareSprinklers: 'R324.6.2.1',
      escapeMm: 'R324.6.3',
    },
    values: {
      ...none,
      fromPitchDeg: pitchFromRise(2),
      pathways: 'per-plane',
      pathwayMm: inch(36),
      pathwaysPerBuilding: 2,
      ridgeNearMm: inch(18),
      ridgeFarMm: inch(36),
      coverShare: 0.33,
      coverShareSprinklers: 0.66,
      escapeMm: inch(36),
    },
  },
  'us-2012': {
    id: 'us-2012', name: 'US 2012 and 2015, dwellings', provenance: `IFC 605.11.3.2. ${FROM_MEMORY}`,
    clauses: {
      fromPitchDeg: '605.11.3.2',
      pathways: '605.11.3.2.1, .2',
      pathwayMm: '605.11.3.2.2',
      ridgeNearMm: '605.11.3.2.4',
      ridgeFarMm: '605.11.3.2.4',
      hipValleyMm: '605.11.3.2.3',
    },
    values: { ...none, fromPitchDeg: pitchFromRise(2), pathways: 'per-slope', pathwayMm: inch(36), ridgeNearMm: inch(36), ridgeFarMm: inch(36), hipValleyMm: inch(18) },
  },
  'european': {
    id: 'european', name: 'European practice', provenance: 'No fire rule assumed. Strips for wind and work and a distance from party walls are common practice; national and local rules come first',
    clauses: { edgeMm: 'common practice', wallMm: 'common practice' }, values: { ...none, edgeMm: 300, wallMm: 500 },
  },
  'own': { id: 'own', name: 'Own rules', provenance: 'Typed on this job; whoever typed them answers for them', clauses: {}, values: none },
}

/** The rules of a set as it stands, for a job that takes it over. */
export const rulesOf = (ruleSet: RuleSetId): Pick<KeepClearRules, 'ruleSet' | 'values' | 'ridgeChoice'> => ({ ruleSet, values: ruleSetTable[ruleSet].values, ridgeChoice: 'best' })

/** What a new job keeps clear: each face's own setbacks. */
export const plainKeepClear: KeepClearRules = { ...rulesOf('plain'), sprinklers: false, coverageAs: 'glass', aim: 'modules' }
