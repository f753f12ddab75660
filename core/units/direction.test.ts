import { describe, expect, it } from 'vitest'
import { formatDirection, parseDirection, windName } from './index'

describe('directions', () => {
  it.each([['180', 180], ['258°', 258], ['450', 90], ['-90 deg', 270], ['south-west', 225], ['SW', 225], ['North', 0], ['359.96', 359.96]])('%s is %f', (text, deg) => {
    const read = parseDirection(text)
    expect(read.ok && read.value).toBeCloseTo(deg, 9)
  })
  it.each([
    '',
    'up',
    '12 m',
    'NaN',
  ])('“%s” gets a sentence', text => expect(parseDirection(text).ok ? '' : (parseDirection(text) as { problem: string }).problem).toContain('degrees from north'))
  it('names the nearest of eight winds, north on both sides of the circle', () => {
    expect([0, 20, 23, 180, 337, 338, 359].map(windName)).toEqual(['north', 'north', 'north-east', 'south', 'north-west', 'north', 'north'])
    expect(formatDirection(258.04)).toBe('258°')
  })
})
