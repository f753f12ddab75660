import highsLoader from 'highs'
import { isProved, shortfalls, waysFor } from '../../core/fixings'
import { judgeOf } from '../../core/strength'
import { longLoadedRail, type LoadedRail } from '../fixtures/loaded-rails'
import { strangersFewer } from '../fixtures/rail-strangers'
import { seeded } from '../fixtures/random'

const usable = ({ candidates, setting, rules }: LoadedRail) => candidates.length >= 2 && !shortfalls(candidates, setting.reach, rules).length
const SEED = 2030
/** Placements tried one by one, and seconds that an integer program may take, before a rail is left open. */
const LIMITS = { placements: 300_000, seconds: 5 }

console.log(`Long rails under load, seed ${SEED}: rafters 305, 406 or 488 mm apart within 9 mm, rails of one to three zones with wind up 0.3 to 5, 8 or 11 N/mm and down 0.2 to 3, dead 0.13, snow 0.3, 1.2 or 2.4, spans up to 1219, 1625 or 1829 mm, overhangs to 610.`)

async function railsOf(places: [number, number], many: number, strangers: boolean) {
  const highs = await highsLoader({})
  const random = seeded(SEED)
  const times: number[] = []
  const said = { proved: 0, byLoad: 0, stopped: 0, byTrying: 0, byProgram: 0, open: 0, fewer: 0 }
  while (times.length < many) {
    const rail = longLoadedRail(random, places)
    if (!usable(rail)) continue
    const { candidates, setting, rules } = rail
    const start = performance.now()
    const ways = waysFor({ candidates, reach: setting.reach, judge: judgeOf(setting, rules), even: null, finite: true }, rules, 0)
    times.push(performance.now() - start)
    const impossible = ways.over !== null && ways.excluded >= candidates.length
    if (isProved(ways) || impossible) said.proved++
    if (ways.over !== null) said.stopped++
    else if (ways.fewest > waysFor({ candidates, reach: setting.reach, judge: null, even: null, finite: true }, rules, 0).fewest) said.byLoad++
    if (!strangers) continue
    const { by, passes } = strangersFewer(highs, rail, ways.over === null ? ways.fewest - 1 : candidates.length, LIMITS)
    said[by]++
    if (passes) said.fewer++
  }
  times.sort((a, b) => a - b)
  console.log(`${many} rails of ${places.join(' to ')} places: ${said.proved} proved, ${said.byLoad} need more than spans and overhangs ask, ${said.stopped} can’t be had; median ${times[many >> 1]!.toFixed(0)} ms, nine in ten ${times[Math.floor(many * 0.9)]!.toFixed(0)} ms, most ${times.at(-1)!.toFixed(0)} ms`)
  if (strangers) console.log(`  fewer excluded again by trying every placement on ${said.byTrying}, by an integer program on ${said.byProgram}; left open by both on ${said.open}; placements found with fewer: ${said.fewer}`)
}

await railsOf([20, 30], 300, false)
await railsOf([40, 40], 100, false)
await railsOf([20, 30], 300, true)
