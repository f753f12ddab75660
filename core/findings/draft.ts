import type { DraftFinding } from './finding'
import type { FindingContext } from './context'
import { fixingFindings } from './fixings'
import { groundFindings } from './ground'
import { loadFindings } from './loads'
import { partFindings } from './parts'
import { railFindings } from './rails'
import { rafterFindings } from './rafters'
import { pathwayFindings, reservedFindings, wishFindings } from './roof'
import { rowFindings } from './rows'
import { strengthFindings } from './strength'
import { surveyFindings } from './survey'

/** Every judgement on one face, not yet in order of weight. */
export const draftFindings = (context: FindingContext): DraftFinding[] => [
  ...surveyFindings(context), ...rafterFindings(context), ...partFindings(context), ...wishFindings(context), ...reservedFindings(context), ...pathwayFindings(context), ...rowFindings(context), ...railFindings(context), ...fixingFindings(context), ...loadFindings(context), ...groundFindings(context), ...strengthFindings(context),
]
