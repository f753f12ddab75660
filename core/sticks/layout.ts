import type { FixingsLayout } from '../fixings'
import type { SticksPlan } from './cut'

/** The face with its rails cut from sticks. */
export interface SticksLayout extends FixingsLayout { sticks: SticksPlan }
