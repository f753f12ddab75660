import type { CoveringKind } from '../catalogue'
import type { Face } from '../job'

/** What one unit of a covering is called. */
export const unitWords: Record<CoveringKind, { one: string, many: string }> = {
  'coursed-shingle': { one: 'tab', many: 'tabs' }, 'interlocking-tile': { one: 'tile', many: 'tiles' }, 'plain-tile': { one: 'tile', many: 'tiles' }, 'slate': { one: 'slate', many: 'slates' },
  'pressed-metal-tile': { one: 'panel', many: 'panels' }, 'screwed-sheet': { one: 'sheet', many: 'sheets' }, 'standing-seam': { one: 'pan', many: 'pans' }, 'felt-and-battens': { one: 'batten', many: 'battens' },
}

/** Units of clay, concrete or stone: they break under a knee, and cutting them makes dust. */
export const isHard = ({ covering }: Pick<Face, 'covering'>): boolean => covering.kind === 'interlocking-tile' || covering.kind === 'plain-tile' || covering.kind === 'slate'
