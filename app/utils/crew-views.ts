import type { Spot } from '#core/rooflog'

/** What stands on the phone's screen in place of a line: one thing at a time. */
export type CrewViewId = 'hole' | 'moves' | 'laid' | 'level' | 'turn' | 'pause' | 'damage' | 'phone'

/** A fixing whose card is open. */
export interface HeldFixing { spot: Spot, railId: string, title: string }
