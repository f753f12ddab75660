import type { CoveringKind } from '../catalogue'

/** What one unit of a covering is called. */
export const unitWords: Record<CoveringKind, { one: string, many: string }> = {
  'coursed-shingle': { one: 'tab', many: 'tabs' }, 'interlocking-tile': { one: 'tile', many: 'tiles' }, 'plain-tile': { one: 'tile', many: 'tiles' }, 'slate': { one: 'slate', many: 'slates' },
  'pressed-metal-tile': { one: 'panel', many: 'panels' }, 'screwed-sheet': { one: 'sheet', many: 'sheets' }, 'standing-seam': { one: 'pan', many: 'pans' }, 'felt-and-battens': { one: 'batten', many: 'battens' },
}
