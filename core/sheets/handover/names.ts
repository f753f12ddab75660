/** For whom a pack is made: the householder's whole one, or the inspector's shorter one. */
export const packsFor = ['householder', 'inspector'] as const
export type PackFor = typeof packsFor[number]
export const packNames: Record<PackFor, string> = { householder: 'Hand-over pack', inspector: 'Inspector’s pack' }
