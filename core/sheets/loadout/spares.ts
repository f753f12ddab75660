import type { PartKind } from '../../catalogue'
import type { LoadoutRules, Spare } from '../../job'

/** Spares that a crew usually takes along (common practice): small things get lost between shingles, large ones do not. */
const usual: Partial<Record<PartKind, Omit<Spare, 'kind'>>> = {
  'mount': { percent: 0, pieces: 2 }, 'screw': {
    percent: 10,
    pieces: 0,
  }, 'flashing': { percent: 0, pieces: 2 }, 'sealant': { percent: 0, pieces: 1 }, 'mid-clamp': { percent: 5, pieces: 0 }, 'end-clamp': { percent: 5, pieces: 0 },
  'splice': { percent: 0, pieces: 1 }, 'coupler': { percent: 5, pieces: 0 }, 'end-cap': { percent: 0, pieces: 2 }, 'lug': { percent: 0, pieces: 1 }, 'cable-tie': {
    percent: 10,
    pieces: 0,
  }, 'outlet-cap': { percent: 0, pieces: 2 }, 'terminator': { percent: 0, pieces: 1 },
}

/** The rule for the spares of a kind: the job's own, else the usual one. */
export const spareRule = (kind: PartKind, { spares }: Pick<LoadoutRules, 'spares'>): Spare =>
  spares.find(one => one.kind === kind) ?? { kind, ...(usual[kind] ?? { percent: 0, pieces: 0 }) }

/** Spare pieces for so many that are needed: the share rounded up, and the pieces on top; none of what is not needed at all. */
export const sparesFor = (needed: number, { percent, pieces }: Spare): number => needed === 0 ? 0 : Math.ceil(needed * percent / 100 - 1e-9) + pieces
