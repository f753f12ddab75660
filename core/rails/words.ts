import type { ChosenParts } from '../catalogue'

interface Built { parts: ChosenParts }

/** What the lines that carry modules are called: rails, or lines of coupled frames. */
export const lineWord = ({ parts }: Built): string => parts.rail.frame ? 'line' : 'rail'

/** `Rail 3`, `Rails 1 to 4`, `Lines 1, 2, 5`. */
export function railNumbers({ parts }: Built, numbers: number[]): string {
  const first = numbers[0]!
  const word = parts.rail.frame ? 'Line' : 'Rail'
  if (numbers.length === 1) return `${word} ${first}`
  const inARow = numbers.length > 2 && numbers.every((number, i) => number === first + i)
  return `${word}s ${inARow ? `${first} to ${numbers.at(-1)}` : numbers.join(', ')}`
}
