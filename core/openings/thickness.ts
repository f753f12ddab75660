import type { CoveringKind } from '../catalogue'

/** How thick units commonly are where they are not moulded up, mm (common practice): for sections, and for what an arm has to clear. */
export const UNIT_THICK_MM: Record<CoveringKind, number> = {
  'coursed-shingle': 4, 'interlocking-tile': 15, 'plain-tile': 12, 'slate': 6, 'pressed-metal-tile': 1, 'screwed-sheet': 1, 'standing-seam': 1, 'felt-and-battens': 2,
}
