import type { SticksLayout } from '../sticks'
import type { BattenUse } from './battens'
import type { RailUse } from './check'
import type { ModuleUse } from './modules'
import type { FaceStrength } from './rails'

/** The face with everything on it checked. */
export interface StrengthLayout extends SticksLayout {
  /** What rails and fixings bear beside the loads; null where nobody has said what loads the roof. */
  strength: FaceStrength | null
  /** Every rail checked with its fixings and its real splices, by its place in the list; null where it can't be. */
  uses: (RailUse | null)[]
  /** Modules and clamps along every rail; empty where no loads are known. */
  holds: ModuleUse[]
  /** What the fixings do to the battens they are driven into; null where there are none or nobody has said how they are held. */
  battens: BattenUse | null
}
