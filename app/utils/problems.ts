interface Refused { data?: { data?: { problems?: { path: string, sentence: string }[] } } }

/** What the server said is wrong with a request, as sentences; what to say where it could not be reached at all. */
export function sentencesOf(failure: unknown, unreached: string, withPaths = false): string {
  const problems = (failure as Refused).data?.data?.problems
  return problems?.slice(0, 3).map(one => withPaths ? `${one.path}: ${one.sentence}` : one.sentence).join(' ') ?? unreached
}
