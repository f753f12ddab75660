import type { BeliefRow } from '../belief'
import type { Rafter } from '../rafter'

/** What the fit says of one hit. */
export interface HitCheck {
  hitId: string
  /** Rafter it is taken to be on; null for one that fits none. */
  rafter: number | null
  /** Reading less fitted centre, mm; for a pilot that hit, from the nearest place inside the timber. */
  offMm: number
  outlier: boolean
  /** True where it would fit a second timber beside its rafter. */
  doubled: boolean
}

/** Rafters as the hit log has them. */
export interface RafterFit {
  kind: 'row' | 'irregular'
  rafters: Rafter[]
  /** For a row, every way to read the log that is worth a word, the likeliest first; empty for an irregular set. */
  belief: BeliefRow[]
  checks: HitCheck[]
  /** For a row: the fitted spacing and lean with their standard errors; null for an irregular set. */
  spacing: { mm: number, seMm: number, nominalMm: number | null } | null
  lean: { perMm: number, se: number, skewed: boolean } | null
  /** The next likeliest spacing, and how many times less likely; null when nothing else comes near. */
  rival: { spacingMm: number, timesLess: number } | null
}
