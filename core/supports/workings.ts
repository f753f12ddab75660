import { count, length, words } from '../units'
import type { Working } from '../working'
import type { SupportsPlan } from './system'

/** What a fit makes of the hit log, and how many there are of what carries by itself. */
export function supportWorkings({ fit, seams, screws }: SupportsPlan): Working[] {
  const source = 'Rows of every usual spacing weighed by how likely they make the hits; the likeliest fitted by least squares'
  const used = fit?.checks.filter(check => !check.outlier) ?? []
  return [
    ...(fit
      ? [{
          what: 'Hits that fit', formula: 'hits within what timber, tape and hand allow of a rafter of the row', values: fit.checks.map((check, i) => ({ symbol: String(i + 1), what: check.outlier ? 'fits nowhere' : 'off the row by', value: length(check.offMm) })),
          result: count(used.length, used.length === 1 ? 'hit' : 'hits'), source, basis: 'best of those tried' as const,
        }]
      : []),
    ...(fit?.spacing
      ? [{
          what: 'Fitted spacing', formula: 'least squares over hits that fit', values: [
            { symbol: '2σ', what: 'give or take', value: length(2 * fit.spacing.seMm) }, ...(fit.spacing.nominalMm === null ? [] : [{ symbol: 'n', what: 'nominal', value: length(fit.spacing.nominalMm) }]),
            ...(fit.rival ? [{ symbol: 'r', what: `next likeliest, ${fit.rival.timesLess.toFixed(0)} times less`, value: length(fit.rival.spacingMm) }] : []),
          ], result: length(fit.spacing.mm), source, basis: 'best of those tried' as const,
        }]
      : []),
    ...(fit?.lean
      ? [{
          what: 'Lean of the rafters', formula: 'least squares of hits at several heights, in each metre up', values: [{ symbol: '2σ', what: 'give or take', value: length(2000 * fit.lean.se) }, { symbol: '', what: 'more than chance would show', value: words(fit.lean.skewed ? 'yes' : 'no: taken as none') }],
          result: length(1000 * fit.lean.perMm), source, basis: 'best of those tried' as const,
        }]
      : []),
    ...(fit?.kind === 'irregular' ? [{ what: 'Rafters hit', formula: 'hits that lie together are one rafter', values: [], result: count(fit.rafters.length, 'rafters'), source: 'Each known from its own hits, nothing assumed between', basis: 'arithmetic' as const }] : []),
    ...(seams.length ? [{ what: 'Seams on the face', formula: 'from the first, a spacing apart', values: [{ symbol: 'x₁', what: 'first', value: length(seams[0]!.xMm) }], result: count(seams.length, 'seams'), source: 'As measured', basis: 'arithmetic' as const }] : []),
    ...(screws.rowsMm.length
      ? [{ what: 'Rows of screws', formula: 'from the first, a spacing apart', values: [{ symbol: 'y₁', what: 'first row', value: length(screws.rowsMm[0]!) }], result: count(screws.rowsMm.length, 'rows'), source: 'As measured', basis: 'arithmetic' as const },
          { what: 'Screws in a row', formula: 'from the first, a rib apart', values: [{ symbol: 'x₁', what: 'first', value: length(screws.xMm[0]!) }], result: count(screws.xMm.length, 'screws'), source: 'As measured', basis: 'arithmetic' as const }]
      : []),
  ]
}
