import { describe, expect, it } from 'vitest'
import { formatUse, isUnheld, UNHELD, usedShare } from './index'

describe('how much of a limit is used', () => {
  it('is nothing without a load, whatever the limit', () => {
    for (const limit of [0, null, undefined, 500]) expect(usedShare(0, limit)).toBe(0)
  })
  it('is the load over the limit; without a limit nothing holds', () => {
    expect(usedShare(250, 500)).toBe(0.5)
    for (const limit of [0, null, undefined, -1]) expect(isUnheld(usedShare(1, limit))).toBe(true)
  })
  it('says that nothing holds only where that is so: ten times too much is still held by something', () => {
    expect(formatUse(9.6)).toBe('960 %')
    expect(formatUse(0.424)).toBe('42 %')
    expect(formatUse(UNHELD)).toBe('nothing holds')
    expect(formatUse(usedShare(3, null), 'none')).toBe('none')
  })
})
