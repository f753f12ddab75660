/** Past so many modules the table of subsets is not drawn up. */
export const MOST_EXACT = 16

/**
 * The cheapest tour by dynamic programming over subsets (Held and Karp, 1962): best[set][last] is the cheapest way from the box through a set.
 * Time and room grow as n² 2ⁿ.
 */
export function exactTour(cost: Float64Array[]): { tour: number[], cost: number } {
  const n = cost.length - 1
  const sets = 1 << n
  const best = new Float64Array(sets * n).fill(Infinity)
  const before = new Int8Array(sets * n)
  for (let i = 0; i < n; i++) best[(1 << i) * n + i] = cost[0]![i + 1]!
  for (let set = 1; set < sets; set++) {
    for (let last = 0; last < n; last++) {
      if (!(set & (1 << last))) continue
      const own = best[set * n + last]!
      if (own === Infinity) continue
      const row = cost[last + 1]!
      for (let next = 0; next < n; next++) {
        if (set & (1 << next)) continue
        const at = (set | (1 << next)) * n + next
        const value = own + row[next + 1]!
        if (value < best[at]!) {
          best[at] = value
          before[at] = last
        }
      }
    }
  }
  let [last, least] = [0, Infinity]
  for (let i = 0; i < n; i++) {
    const value = best[(sets - 1) * n + i]! + cost[i + 1]![0]!
    if (value < least) [last, least] = [i, value]
  }
  const tour: number[] = []
  for (let set = sets - 1; set;) {
    tour.unshift(last + 1)
    const previous = before[set * n + last]!
    set &= ~(1 << last)
    last = previous
  }
  return { tour: [0, ...tour], cost: least }
}
