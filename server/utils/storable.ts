/** Half of a sign that takes two, or the sign of no sign: neither JSON nor the database has a place for them. */
const UNSTORABLE = /\0|[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/
/** Deeper than anything that is asked for; a value that is nested for its own sake stops here. */
const DEEPEST = 60

export const isStorable = (text: string): boolean => !UNSTORABLE.test(text)

/** The path of the first text, or name of a fact, that can't be kept, or of a number that is none; null where all can. */
export function unstorableIn(value: unknown, path = '', depth = 0): string | null {
  if (typeof value === 'string') return isStorable(value) ? null : path || '(body)'
  if (typeof value === 'number') return Number.isFinite(value) ? null : path || '(body)'
  if (typeof value !== 'object' || value === null) return null
  if (depth > DEEPEST) return path
  for (const [key, one] of Object.entries(value)) {
    const at = path ? `${path}.${key}` : key
    if (!isStorable(key)) return path || '(body)'
    const found = unstorableIn(one, at, depth + 1)
    if (found) return found
  }
  return null
}
