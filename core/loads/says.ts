import type { FaceSays, JobSays } from '../trade'
import { loadsAsked } from './asked'
import { engineer, framing, fromMemory, methodEdge, methodGap, methodHeight, methodSkirt, overEave, snowNotKnown, windByNobody, windNotKnown } from './findings'
import type { LoadsLayout } from './layout'
import { loadsShown } from './shown'

/** What loads a face: what is known of it, and where its method ends. */
export const loads = {
  ...loadsShown,
  findings: {
    'wind-not-known': windNotKnown, 'wind-by-nobody': windByNobody, 'snow-not-known': snowNotKnown, 'over-eave': overEave,
    'method-height': methodHeight, 'method-skirt': methodSkirt, 'method-gap': methodGap, 'method-edge': methodEdge,
  },
} satisfies FaceSays<LoadsLayout>

export const loadsOfJob = { findings: { 'loads-asked': loadsAsked, engineer, framing, 'loads-from-memory': fromMemory } } satisfies JobSays<LoadsLayout>
