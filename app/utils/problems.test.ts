import { describe, expect, it } from 'vitest'
import { sentencesFrom } from './problems'

const failure = (...sentences: string[]) => ({ data: { data: { problems: sentences.map((sentence, i) => ({ path: `faces.${i}.pitchDeg`, sentence })) } } })

describe('what the server said is wrong', () => {
  it('is said as it came, a sentence for several places once', () => {
    expect(sentencesFrom(failure('Too steep.', 'Too steep.', 'Too long.'), 'away')).toBe('Too steep. Too long.')
    expect(sentencesFrom(failure('Too steep.', 'Too steep.'), 'away', true)).toBe('faces.0.pitchDeg: Too steep. faces.1.pitchDeg: Too steep.')
  })
  it('never loses the rest of a long list in silence', () => {
    expect(sentencesFrom(failure('A.', 'B.', 'C.', 'D.', 'E.'), 'away')).toBe('A. B. C. And 2 more.')
  })
  it('is that it was not reached where it said nothing', () => {
    for (const other of [null, new Error('no signal'), { data: null }, failure()]) expect(sentencesFrom(other, 'The server can’t be reached.')).toBe('The server can’t be reached.')
  })
})
