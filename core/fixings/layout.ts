import type { RailsLayout } from '../rails'
import type { FixingsPlan } from './place'

/** The face with its fixings. */
export interface FixingsLayout extends RailsLayout { fixings: FixingsPlan }
