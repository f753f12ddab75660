import { describe, expect, it } from 'vitest'
import { type Hit, MOST_HITS } from '../job'
import { hitProblem, parseReadings } from './index'

const inches = (n: number) => expect.closeTo(n * 25.4, 6) as number
const usual = { state: 'knock', yMm: 900 } as const
const problemOf = (result: { ok: boolean, problem?: string }) => result.ok ? '' : result.problem!

describe('a pasted column', () => {
  it('takes bare readings, and states and heights beside them', () => {
    const read = parseReadings('reading\tstate\theight\n1\' 2"\n3\' 2 1/2"\tpilot hit\t4\' 0"\n5\'\tleft', 'imperial', usual)
    expect(read.ok && read.value).toEqual([
      { readingMm: inches(14), state: 'knock', yMm: 900 }, {
        readingMm: inches(38.5),
        state: 'pilot-hit',
        yMm: inches(48),
      }, { readingMm: inches(60), state: 'edge-left', yMm: 900 },
    ])
  })
  it('takes them in any order, as they were called out', () => {
    const read = parseReadings('5100\n300\n2700', 'metric', usual)
    expect(read.ok && read.value.map(one => one.readingMm)).toEqual([5100, 300, 2700])
  })
  it.each([
    ['nothing', '  \n ', 'Paste the readings'], ['a word', '300\nabout nine hundred', 'Line 2'], ['a state of no kind', '300, thud', '“thud” is no state'],
    ['a bad height', '300, knock, high', 'Line 1, height'], ['ten thousand rows', Array.from({ length: 10_000 }, (_, i) => i).join('\n'), '10,000 lines'],
  ])('%s: says what is wrong', (_, text, words) => expect(problemOf(parseReadings(text, 'metric', usual))).toContain(words))
})

describe('a hit', () => {
  const hit = (xMm: number, yMm = 900): Hit => ({ id: `h${xMm}`, xMm, yMm, state: 'knock', use: 'rafter' })
  const face = { along: { fromMm: 0, toMm: 9000 }, up: { fromMm: 0, toMm: 5000 } }
  it.each([
    [
      'said twice',
      [hit(300)],
      hit(300.2),
      'in the log already, as hit 1',
    ], ['off the face', [], hit(9100), 'off the face'], ['above the face', [], hit(300, 6000), 'above the face'],
    ['too many', Array.from({ length: MOST_HITS }, (_, i) => hit(i)), hit(8999), 'full'],
  ])('%s is refused with a sentence', (_, log, one, words) => expect(hitProblem(log, one, face.along, face.up, 'metric')).toContain(words))
  it('beside another, or at another height, is a new one', () => {
    expect(hitProblem([hit(300)], hit(303), face.along, face.up, 'metric')).toBeNull()
    expect(hitProblem([hit(300)], hit(300, 2000), face.along, face.up, 'metric')).toBeNull()
  })
})
