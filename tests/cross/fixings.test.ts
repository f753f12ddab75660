import highsLoader from 'highs'
import { expect, it } from 'vitest'
import { fewest, shortfalls, stepsFor } from '../../core/fixings'
import { seeded } from '../fixtures/random'
import { smallRail } from '../fixtures/rails'

/**
 * Outside reference: HiGHS, with the local rules as a covering problem. A stretch longer than the allowed span between
 * places, or than the overhang at an end, must hold a fixing: one row for every such stretch.
 */
it('needs as few fixings as a general solver finds on 150 random rails', async () => {
  const highs = await highsLoader({})
  const random = seeded(4242)
  let solved = 0
  while (solved < 150) {
    const { candidates, reach, rules } = smallRail(random)
    if (!candidates.length || shortfalls(candidates, reach, rules).length) continue
    solved++
    const x = candidates.map(one => one.atMm)
    const within = (from: number, to: number) => x.flatMap((mm, i) => mm > from - 1e-6 && mm <= to + 1e-6 ? [`z${i}`] : [])
    const rows = [within(reach.fromMm, reach.fromMm + rules.maxOverhangMm), within(reach.toMm - rules.maxOverhangMm, reach.toMm)]
    // After every place, one fixing within the span, unless the row's end is within the overhang.
    x.forEach((mm, i) => {
      if (reach.toMm - mm > rules.maxOverhangMm + 1e-6) rows.push([...x.flatMap((other, j) => j > i && other - mm <= rules.maxSpanMm + 1e-6 ? [`z${j}`] : []), `- z${i}`])
    })
    const lines = rows.map((row, r) => row.at(-1)!.startsWith('-') ? ` c${r}: ${row.slice(0, -1).join(' + ')} ${row.at(-1)} >= 0` : ` c${r}: ${row.join(' + ')} >= 1`)
    const model = `Minimize\n obj: ${x.map((_, i) => `z${i}`).join(' + ')}\nSubject To\n${lines.join('\n')}\nBinary\n ${x.map((_, i) => `z${i}`).join(' ')}\nEnd`
    const best = Math.round(highs.solve(model).ObjectiveValue)
    expect(fewest(stepsFor(x.length, [{ atMm: x, reach }], rules))).toBe(best)
  }
})
