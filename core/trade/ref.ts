/**
 * What is selected, found fault with, marked or ticked. It names a thing, not a place in a list, so that it still means the
 * same thing when the plan is made again: a rail by the row and side it holds, a module by its row and its place in it, a fixing
 * by its rail and what it is driven into.
 */
export type Ref
  = | { kind: 'face' | 'rafters' | 'keep-clear' | 'rows' | 'rails' }
    | { kind: 'rafter', number: number }
    | { kind: 'row', index: number }
    | { kind: 'rail' | 'module' | 'fixing' | 'obstruction' | 'unit' | 'circuit' | 'thing' | 'run', id: string }

export type RefKind = Ref['kind']

/** The same for the same thing and for no other; only ever compared. */
export const refKey = (ref: Ref): string => 'id' in ref ? `${ref.kind} ${ref.id}` : 'number' in ref ? `${ref.kind} ${ref.number}` : 'index' in ref ? `${ref.kind} ${ref.index}` : ref.kind

export const sameRef = (a: Ref | null, b: Ref | null): boolean => a !== null && b !== null && refKey(a) === refKey(b)

export const faceRef: Ref = { kind: 'face' }
