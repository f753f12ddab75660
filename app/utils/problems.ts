import type { Problem } from '#core/outcome'

interface Refused { data?: { data?: { problems?: Problem[] } } }

/** So many things wrong are said one by one; of more it is said how many. */
const MOST_SAID = 3

/** What the server said is wrong with a request, each sentence once; what to say where it could not be reached at all. */
export function sentencesFrom(failure: unknown, unreached: string, withPaths = false): string {
  const problems = (failure as Refused | null)?.data?.data?.problems ?? []
  const sentences = [...new Set(problems.map(one => withPaths ? `${one.path}: ${one.sentence}` : one.sentence))]
  if (!sentences.length) return unreached
  const more = sentences.length - MOST_SAID
  return [...sentences.slice(0, MOST_SAID), ...(more > 0 ? [`And ${more} more.`] : [])].join(' ')
}
