import type { SurveyLayout } from '../survey'
import type { SupportsPlan } from './system'

/** The face with what fixings can go into. */
export interface SupportsLayout extends SurveyLayout { supports: SupportsPlan }
