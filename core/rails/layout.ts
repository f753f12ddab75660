import type { LoadsLayout } from '../loads'
import type { RailLimits } from './limits'
import type { RailPlan } from './rail'

/** The face with its rails, and the limits that their fixings keep. */
export interface RailsLayout extends LoadsLayout { limits: RailLimits, rails: RailPlan[] }
