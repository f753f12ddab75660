import { formatShare } from '../units'

/** Stands for "nothing holds this": far over 1, and a number that can be drawn. */
export const UNHELD = 99

/** Whether a share says that nothing is known to hold. */
export const isUnheld = (share: number): boolean => share >= UNHELD

/** How much of a limit is used, 1 being all of it; `UNHELD` where there is a load and no limit to set it against. */
export const usedShare = (value: number, limit: number | null | undefined): number => value <= 0 ? 0 : limit && limit > 0 ? Math.min(UNHELD, value / limit) : UNHELD

/** A share in percent, or that nothing holds. */
export const formatUse = (share: number, nothing = 'nothing holds'): string => isUnheld(share) ? nothing : formatShare(share)
