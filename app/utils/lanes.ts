/** A tag to be laid beside others: its wished middle and its width, px. */
export interface Tag { middle: number, width: number }

/** Puts tags that would collide into lanes, first lane first: each tag's lane, in the order given. Tags come sorted by middle. */
export function lanesFor(tags: Tag[], gap: number): number[] {
  const ends: number[] = []
  return tags.map(({ middle, width }) => {
    const from = middle - width / 2
    const free = ends.findIndex(end => end + gap <= from)
    const lane = free < 0 ? ends.length : free
    ends[lane] = middle + width / 2
    return lane
  })
}

/**
 * Moves tags of one height apart along a line so that none overlap, as near to their wished places as order allows, and
 * inside the limits. Wishes come sorted.
 */
export function spread(wishes: number[], height: number, from: number, to: number): number[] {
  const places: number[] = []
  wishes.forEach((wish, i) => places.push(Math.max(wish, i ? places[i - 1]! + height : from + height / 2)))
  for (let i = places.length - 1, limit = to - height / 2; i >= 0; i--) {
    places[i] = Math.min(places[i]!, limit)
    limit = places[i]! - height
  }
  return places
}
