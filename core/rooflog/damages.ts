import type { LogEntry, LogOf } from '../job'

/** Something broken as it is now: open, mended with a unit lent from under the array, or made good with a new one. */
export interface Damage { said: LogOf<'damage'>, state: 'open' | 'lent' | 'new' }

/** All that got broken on a face, by what was said of it last. */
export const damagesOn = (log: LogEntry[], faceId: string): Damage[] => log.flatMap((said) => {
  if (said.kind !== 'damage' || said.faceId !== faceId) return []
  const mended = log.findLast(entry => entry.kind === 'mended' && entry.damageId === said.id)
  return [{ said, state: mended?.kind === 'mended' ? mended.with : 'open' }]
})
