import { thirdLostFrom, toldAlone, toldBeside } from '../../core/proof'
import { day, plate, shareWrong } from '../fixtures/strange-strings'

/** How well a string's voltage tells that a module is missing: what the screen says beside a stranger's simulation. */
const TRIALS = 40_000
const percent = (share: number): string => `${(100 * share).toFixed(2)} %`.padStart(9)
console.log(`Module 1.5 %, cells 5 K, irradiance 5 %, meter 0.5 %; ${day.gWm2} W/m², cells ${day.cellC} °C; ${TRIALS} strings each.`)
console.log('modules | good called wrong: alone, beside one | one short found alone: said, simulated | beside one: said, simulated')
const alike = { alike: true, light: day }
const single = { alike: false, light: day }
for (let n = 4; n <= 16; n++) {
  console.log(`${String(n).padStart(7)} | ${percent(shareWrong(n, 0, alike, 0, n, TRIALS))} ${percent(shareWrong(n, 0, single, 1, 100 + n, TRIALS))} | ${percent(toldAlone(plate, day, n).found)} ${percent(shareWrong(n, 1, alike, 0, 200 + n, TRIALS))} | ${percent(toldBeside(plate, day, n, 1).found)} ${percent(shareWrong(n, 1, single, 1, 300 + n, TRIALS))}`)
}
const from = thirdLostFrom(plate, day, 1)
console.log(`A third of a module (a shorted diode) is not told alone from ${from.alone} modules on, beside one like string from ${from.beside}.`)
