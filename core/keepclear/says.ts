import type { FaceSays, JobSays } from '../trade'
import { coverStep, noneOnTheStreet, notAllTried, obstructionOutside, pathwayBlocked, pathwayNarrow, reservedOutside, type RoofAsk, tooFewPlanes, whereIsTheStreet } from './findings'
import type { KeepClearLayout } from './layout'
import { keepClearSteps } from './marks'
import { keepClearShown } from './shown'

/** What is kept clear on a face, and what stands on it. */
export const keepClearOnFace = {
  ...keepClearShown,
  findings: { 'obstruction-outside': obstructionOutside, 'reserved-outside': reservedOutside, 'pathway-narrow': pathwayNarrow, 'pathway-blocked': pathwayBlocked },
  marks: { 'keep-clear': keepClearSteps },
} satisfies FaceSays<KeepClearLayout>

/** The rules for the whole roof: pathways that are missing, and how near the covered share is to its step. */
export const keepClearOfJob = {
  findings: {
    'pathways-short': tooFewPlanes,
    'pathways-street': noneOnTheStreet,
    'pathways-where-street': whereIsTheStreet,
    'cover-step': coverStep,
    'pathways-unproved': notAllTried,
  },
} satisfies JobSays<KeepClearLayout, RoofAsk>
