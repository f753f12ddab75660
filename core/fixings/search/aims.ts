/**
 * What a placement should cost least of, added up fixing by fixing along the rail in whole numbers of at least 1: one for the first fixing,
 * one for each that follows another, one for what lies past the last.
 */
export interface Aim {
  begin: (first: number) => number
  step: (from: number, to: number) => number
  end: (last: number) => number
}

export const fewestFixings: Aim = { begin: () => 1, step: () => 1, end: () => 0 }

/**
 * The fewest changes from an earlier placement, and of such the fewest fixings. A change is a fixing where none was or none where one was.
 * @param earlier candidates that had a fixing, by their places among so many
 */
export function fewestChanges(earlier: ReadonlySet<number>, places: number): Aim {
  const change = places + 1
  const dropped = (from: number, to: number) => {
    let n = 0
    for (let i = from; i < to; i++) if (earlier.has(i)) n++
    return n
  }
  const taken = (i: number) => earlier.has(i) ? 0 : 1
  return {
    begin: first => change * (dropped(0, first) + taken(first)) + 1,
    step: (from, to) => change * (dropped(from + 1, to) + taken(to)) + 1,
    end: last => change * dropped(last + 1, places),
  }
}

/** Changes that a placement of such a cost makes. */
export const changesIn = (cost: number, places: number): number => Math.floor(cost / (places + 1))
