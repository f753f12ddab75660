import { describe, expect, it } from 'vitest'
import { memoryOf, namesFor, onceFor } from './index'

describe('what is remembered', () => {
  it('is made once for the same facts, in whatever copy they come', () => {
    const memory = memoryOf<{ n: number }>(10)
    let made = 0
    const ask = (catalogue: object, facts: unknown[]) => memory(catalogue, facts, () => ({ n: ++made }))
    const first = ask({ shelf: 'a' }, [{ pitch: 30 }, 1])
    expect(ask(structuredClone({ shelf: 'a' }), [structuredClone({ pitch: 30 }), 1])).toBe(first)
    expect(ask({ shelf: 'a' }, [{ pitch: 31 }, 1])).not.toBe(first)
    expect(ask({ shelf: 'b' }, [{ pitch: 30 }, 1])).not.toBe(first)
    expect(made).toBe(3)
  })
  it('of one catalogue is not forgotten for another’s: two firms that take turns work nothing out twice', () => {
    const memory = memoryOf<{ n: number }>(50)
    let made = 0
    for (let turn = 0; turn < 20; turn++) for (const firm of ['ours', 'theirs']) for (let face = 0; face < 8; face++) memory({ firm }, [{ face }], () => ({ n: ++made }))
    expect(made).toBe(16)
  })
  it('is bounded: the longest unused goes first, of one catalogue and of all', () => {
    const memory = memoryOf<{ n: number }>(3)
    let made = 0
    const ask = (firm: string, face: number) => memory({ firm }, [face], () => ({ n: ++made })).n
    expect([ask('a', 1), ask('a', 2), ask('a', 3), ask('a', 1), ask('a', 4), ask('a', 1), ask('a', 2)]).toEqual([1, 2, 3, 1, 4, 1, 5])
    for (let firm = 0; firm < 20; firm++) ask(`other ${firm}`, 1)
    const before = made
    ask('a', 1)
    expect(made).toBe(before + 1)
  })
  it('for one thing goes with it, and another that looks the same is another', () => {
    let made = 0
    const of = onceFor((thing: { a: number }) => ({ made: ++made, a: thing.a }))
    const thing = { a: 1 }
    expect(of(thing)).toBe(of(thing))
    expect(of({ a: 1 })).not.toBe(of(thing))
    expect(made).toBe(2)
  })
  it('names a text the same as long as it is among those used last, and no two alike', () => {
    const name = namesFor(2)
    const [a, b] = [name('a'), name('b')]
    expect([name('a'), name('b'), a === b]).toEqual([a, b, false])
    name('c')
    expect(name('b')).toBe(b)
    expect([a, b]).not.toContain(name('a'))
  })
})
