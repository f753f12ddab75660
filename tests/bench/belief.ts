import { writeFileSync, mkdirSync } from 'node:fs'
import { calibrate, type Calibration } from '../fixtures/calibration'
import { type Mean, tallies, type Tally } from '../fixtures/probe-tally'
import { fitNow, probedRoof } from '../fixtures/probing'
import { probeTrial } from '../fixtures/probe-trial'
import { seeded } from '../fixtures/random'
import { calibrationPlot, probePlot } from './plots'

const ROOFS = 2000
const percent = (part: number, of: number) => of ? `${(100 * part / of).toFixed(1)} %` : 'none'

function print(hits: number, { tenths, sets, found, foundOff }: Calibration) {
  console.log(`${hits} hits, ${ROOFS} roofs`)
  for (const one of tenths) {
    if (!one.places) continue
    console.log(`  stated ${one.stated.toFixed(3)}, timber ${one.timber.toFixed(3)} ± ${(1.96 * one.sd).toFixed(3)} of ${one.places} places${one.places >= 500 && Math.abs(one.timber - one.stated) > 0.03 ? '  OVER 0.03' : ''}`)
  }
  for (const one of sets) console.log(`  95 % set of the ${one.n === 1 ? 'next' : 'third'} timber holds it in ${percent(one.held, one.asked)} of ${one.asked}, ${one.meanMm.toFixed(0)} mm long on average`)
  console.log(`  called proved ${found}, of which ${percent(foundOff, found)} is not timber`)
}

/** How long a hit more takes until the rafters are fitted again, on roofs with so many hits. */
function timed(hits: number): string {
  const random = seeded(300 + hits)
  const roofs = Array.from({ length: 60 }, () => probedRoof(random, hits))
  for (const roof of roofs.slice(0, 10)) fitNow(roof)
  const ms = roofs.map((roof) => {
    const start = performance.now()
    fitNow(roof)
    return performance.now() - start
  }).sort((a, b) => a - b)
  return `${hits} hits: median ${ms[30]!.toFixed(1)} ms, most ${ms.at(-1)!.toFixed(1)} ms`
}
console.log(`Belief and fit after a hit. ${[2, 5, 12, 28].map(timed).join('; ')}`)

const inside = [2, 3, 5].map(hits => ({ hits, result: calibrate(hits, ROOFS, 100 + hits) }))
console.log('Roofs drawn from the prior')
for (const { hits, result } of inside) print(hits, result)
console.log('Roofs outside the prior: twice the scatter, 3 % more wrong hits, any spacing from 300 to 620 mm')
for (const hits of [2, 3, 5]) print(hits, calibrate(hits, ROOFS, 200 + hits, { scatterTimes: 2, moreWrong: 0.03, anySpacing: true }))

mkdirSync('docs/plots', { recursive: true })
writeFileSync('docs/plots/belief-calibration.svg', calibrationPlot(inside.map(({ hits, result }) => ({ name: `${hits} hits`, tenths: result.tenths }))))

const signed = ({ mean, half }: Mean) => `${mean.toFixed(3)} ± ${half.toFixed(3)}`

function printTally({ name, roofs, before, exact, ours, least, overLeast, fewerAfterOne, fewerAfterThree, afterThree }: Tally) {
  console.log(`  ${name} (${roofs}): of ${before.toFixed(2)} expected misses the exact best reading saves ${exact.toFixed(3)}, ours ${ours.toFixed(3)} (${percent(ours, exact)} of it), the least-known rafter ${least.toFixed(3)}; ours saves ${signed(overLeast)} more than that`)
  console.log(`    the exact best saves ${percent(exact - least, least)} more than the least-known rafter${exact < 1.15 * least ? ': not 15 %' : ''}`)
  console.log(`    real misses fewer than by the least-known rafter: after one reading ${signed(fewerAfterOne)}, after three ${signed(fewerAfterThree)} (${afterThree.ours.toFixed(2)} against ${afterThree.least.toFixed(2)})`)
}

console.log(`Where to knock next, ${ROOFS} roofs in pairs of the same luck, seeds from 40000`)
const trials = Array.from({ length: ROOFS }, (_, i) => probeTrial(40_000 + i, true))
const counted = tallies(trials)
for (const one of counted) printTally(one)
const [all] = counted
console.log(`  misses that were said before any reading: ${(trials.reduce((sum, one) => sum + one.said, 0) / ROOFS).toFixed(2)}, by the exact belief ${all!.before.toFixed(2)}, real ${(trials.reduce((sum, one) => sum + one.real, 0) / ROOFS).toFixed(2)}`)
writeFileSync('docs/plots/probe-next.svg', probePlot(counted))
