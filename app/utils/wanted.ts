import { MOST_WANTED } from '#core/job'
import { done, type Outcome, refused } from '#core/outcome'

/** A number of modules as somebody types it; empty for as many as fit. */
export function parseWanted(text: string): Outcome<number | null> {
  if (!text.trim()) return done(null)
  const wanted = Number(text.trim().replace(/ ?modules?$/i, ''))
  return Number.isInteger(wanted) && wanted > 0 && wanted <= MOST_WANTED ? done(wanted) : refused(`Type whole modules, 1 to ${MOST_WANTED}, or leave it empty for as many as fit.`)
}
