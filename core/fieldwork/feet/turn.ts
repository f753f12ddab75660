/** Two distances from a row to a line that is known, such as the ridge or a string beside the array, read after the first few modules. */
export interface TurnRead {
  /** Where they were read along the row, mm. */
  fromMm: number
  toMm: number
  /** What was read there, and what it should be, mm; up the slope from the row. */
  readMm: [number, number]
  wantedMm: [number, number]
}

/** How a row lies against the line: what it is turned by, and where it would end. */
export interface Turn {
  /** Rise for each mm along the row; above nought it runs away from the line that was read from. */
  perMm: number
  /** How far off the row would be at a place along it, where nothing is done, mm; above nought towards the line. */
  offAt: (atMm: number) => number
}

/**
 * By how much a row is turned: the difference of two readings over the length between them, carried on to its end. Squareness: drift =
 * error × length / baseline; 1/8 in over the first 40 in is 2 1/4 in at 60 ft (common practice).
 * @returns null where both were read at one place
 */
export function turnOf({ fromMm, toMm, readMm, wantedMm }: TurnRead): Turn | null {
  if (Math.abs(toMm - fromMm) < 1) return null
  const [a, b] = [wantedMm[0] - readMm[0], wantedMm[1] - readMm[1]]
  const perMm = (b - a) / (toMm - fromMm)
  return { perMm, offAt: atMm => a + perMm * (atMm - fromMm) }
}

/** By how much each clamp is moved so that the row comes back to its line: nought at the first, the whole at the last that is laid, mm towards the line where below nought. */
export const corrections = (turn: Turn, clampsMm: number[]): { atMm: number, byMm: number }[] => clampsMm.map(atMm => ({ atMm, byMm: -turn.offAt(atMm) }))
