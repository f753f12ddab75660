/** Size of a coefficient between two areas, linear in the area's logarithm and level beyond both. */
export function byLogArea(area: number, small: number, atSmall: number, large: number, atLarge: number): number {
  if (area <= small) return atSmall
  if (area >= large) return atLarge
  return atSmall + (atLarge - atSmall) * Math.log(area / small) / Math.log(large / small)
}

/** Linear between the two rows of a table that a pitch lies between; null outside the table. */
export function betweenPitches<T>(table: readonly (readonly [number, T])[], pitchDeg: number, mix: (a: T, b: T, share: number) => T): T | null {
  for (let i = 0; i < table.length; i++) {
    const [at, row] = table[i]!
    const next = table[i + 1]
    if (pitchDeg === at) return row
    if (next && pitchDeg > at && pitchDeg < next[0]) return mix(row, next[1], (pitchDeg - at) / (next[0] - at))
  }
  return null
}
