import { median } from 'es-toolkit'
import type { Plate } from '../catalogue'
import type { FoundOf, Light } from '../job'
import { plural } from '../trade'
import { count, current, factor, irradiance, temperature, voltage, words } from '../units'
import type { Working } from '../working'
import { cellsInSeries, expectedIscA, expectedVocV, lightTermV, STC, USUAL_DIODE_FACTOR, vocPerKelvin } from './expected'
import { BAND_SD, besideErrors, FOUND_SHARE, foundShare, iscSpread, LIKE, LOW_LIGHT, thirdLostFrom, toldAlone, toldBeside, TOO_DARK, usualErrors, vocSpread } from './telling'
import { passed, unsure, type Verdict, wrong } from './verdict'

/** A reading of another string, to be set beside. */
export interface Beside { name: string, modules: number, value: number, light: Light, at: string }
/** What is judged: of how many modules by plan, with which plate, at which time, beside which others. */
export interface StringAsk { modules: number, plate: Plate | null, at: string, beside: Beside[] }

const percent = (value: number): string => `${(100 * value).toFixed(1)} %`
const minutesApart = (a: string, b: string): number => Math.abs(Date.parse(a) - Date.parse(b)) / 60_000

/** Strings that were read in like light: irradiance, warmth and clock near enough to set one beside the other. */
export const alike = (light: Light, at: string, others: Beside[]): Beside[] => others.filter(one =>
  Math.abs(one.light.gWm2 - light.gWm2) <= LIKE.light * light.gWm2 && Math.abs(one.light.cellC - light.cellC) <= LIKE.cellC && minutesApart(one.at, at) <= LIKE.minutes)

const noPlate = unsure('Nobody has given the plate of these modules, or they are not all alike: what the string should read is not known. Put the figures on the shelf.')
const tooDark = ({ gWm2 }: Light): Verdict => unsure(`At ${Math.round(gWm2)} W/m² nothing is judged: read it again at ${TOO_DARK} W/m² or more.`)

/** How a string's open-circuit voltage comes about. */
function vocWorking(plate: Plate, light: Light, modules: number): Working {
  return {
    what: 'Open-circuit voltage of the string in this light',
    formula: 'n (Voc (1 + β (T − 25 °C)) + m Ns k T / q ln(G / 1000 W/m²))',
    values: [
      { symbol: 'n', what: 'modules by the plan', value: count(modules, modules === 1 ? 'module' : 'modules') },
      { symbol: 'Voc', what: 'by the data plate', value: voltage(plate.vocV) },
      { symbol: 'β', what: plate.vocPerK === null ? 'that of power, since its maker gives none' : 'maker’s coefficient, each kelvin', value: words(`${(100 * vocPerKelvin(plate)).toFixed(2).replace('-', '−')} %/K`) },
      { symbol: 'T', what: 'cells, as read', value: temperature(light.cellC) },
      { symbol: 'm', what: plate.diodeFactor === null ? 'usual of crystalline cells, from memory' : 'diode factor by its maker', value: factor(plate.diodeFactor ?? USUAL_DIODE_FACTOR) },
      { symbol: 'Ns', what: 'cells one after the other', value: count(cellsInSeries(plate), 'cells') },
      { symbol: 'G', what: 'irradiance, as read', value: irradiance(light.gWm2) },
      { symbol: 'light', what: 'what the light’s term takes, all modules', value: voltage(modules * lightTermV(plate, light)) },
    ],
    result: voltage(modules * expectedVocV(plate, light)),
    source: 'IEC 60891:2021, procedure 2, with a = m Ns k T / (q Voc) (from memory)',
    basis: 'code',
  }
}

function bandWorking(spread: number, what: string): Working {
  return {
    what: `Band of a good string’s ${what}`, formula: `± ${BAND_SD} √(module² + warmth² + light² + meter²)`,
    values: [
      { symbol: 'module', what: 'from its plate, all of a delivery alike', value: words(percent(usualErrors.module)) },
      { symbol: 'warmth', what: 'cells against what was read on one back', value: words(`${usualErrors.cellC} K`) },
      { symbol: 'light', what: `irradiance; more under ${LOW_LIGHT} W/m²`, value: words(percent(usualErrors.light)) },
      { symbol: 'meter', what: 'of the reading', value: words(percent(usualErrors.meter)) },
    ],
    result: words(`± ${percent(BAND_SD * spread)}`), source: 'Standard deviations, assumed; a good string lies outside in 0.5 % of readings', basis: 'common practice',
  }
}

/** Counts of modules for which a reading lies in the band. */
const countsFor = (ratio: number, modules: number, spread: number): number[] => Array.from({ length: modules + 3 }, (_, i) => i + 1).filter(n => Math.abs(ratio * modules / n - 1) <= BAND_SD * spread)

const lackWords = (lacking: number): string => lacking > 0 ? `${plural(lacking, 'module')} short` : `${plural(-lacking, 'module')} too many`

/** What can't be told from one string's voltage in this light, and what would tell it. */
function untoldWords(plate: Plate, light: Light, modules: number, others: number): string {
  const third = thirdLostFrom(plate, light, others || 1)
  const diode = others ? `From ${third.beside} modules on a shorted diode, a third of a module, is not told even beside ${others === 1 ? 'that string' : 'those strings'}` : `A shorted diode, a third of a module, is not told from ${plural(third.alone, 'module')} on by voltage alone`
  return (others ? modules >= third.beside : modules >= third.alone) ? ` ${diode}.` : ''
}

/** Judges the open-circuit voltage of a string without units, or whose shutdown units were told to begin. */
export function judgeVoc({ volts, light }: Pick<FoundOf<'voc'>, 'volts' | 'light'>, { modules, plate, at, beside }: StringAsk): Verdict {
  if (!plate) return noPlate
  if (light.gWm2 < TOO_DARK) return tooDark(light)
  const should = modules * expectedVocV(plate, light)
  const { spread, found } = toldAlone(plate, light, modules)
  const off = volts / should - 1
  const others = alike(light, at, beside)
  const more = {
    expected: { value: should, from: should * (1 - BAND_SD * spread), to: should * (1 + BAND_SD * spread), read: volts, unit: 'V' },
    workings: [vocWorking(plate, light, modules), bandWorking(spread, 'voltage')],
  }
  const read = `${volts.toFixed(1)} V against ${should.toFixed(1)} V expected`
  const apart = others.length ? apartFrom(others, { light, volts, modules, plate }) : null
  if (Math.abs(off) > BAND_SD * spread) {
    const counts = countsFor(1 + off, modules, spread).filter(n => n !== modules)
    const whole = Math.round((1 + off) * modules)
    if (counts.length === 1) return wrong(`${read}: it reads as ${counts[0]} modules, ${lackWords(modules - counts[0]!)}.`, more)
    if (counts.length) return wrong(`${read}, outside the band: ${counts[0]} to ${counts.at(-1)} modules; nearest is ${whole}.`, more)
    return wrong(`${read}, ${percent(Math.abs(off))} ${off < 0 ? 'low' : 'high'}, and no whole count of modules reads so: ${off < 0 ? 'a bypass diode, a shaded module, or a plug' : 'another module, or the wrong light'}.`, more)
  }
  if (apart && Math.abs(apart.off) > BAND_SD * apart.spread) {
    const lacking = Math.round(-apart.off * modules)
    return wrong(`${read}, inside its own band; but beside ${apart.names} it reads ${percent(Math.abs(apart.off))} ${apart.off < 0 ? 'less' : 'more'} a module${lacking ? `: ${lackWords(lacking)}, or ${apart.names} ${lacking > 0 ? 'has more than the plan' : 'lacks one'}` : ''}.`, more)
  }
  const fits = countsFor(1 + off, modules, spread)
  if (apart) {
    const by = toldBeside(plate, light, modules, others.length)
    const tells = by.found >= FOUND_SHARE ? `Beside ${apart.names} it reads alike: a module missing in one of them would show, the same in all of them would not` : `Beside ${apart.names} it reads alike, yet in only ${percent(by.found)} of such strings a missing module would show`
    return (by.found >= FOUND_SHARE ? passed : unsure)(`${read}. ${tells}.${untoldWords(plate, light, modules, others.length)}`, more)
  }
  if (found < FOUND_SHARE) return unsure(`${read}, but this count can’t be told from this reading: ${fits.length > 1 ? `${fits[0]} to ${fits.at(-1)} modules would read so, and of` : 'of'} such strings one module short only ${Math.round(100 * found)} in 100 show. Read another like string within ${LIKE.minutes} minutes in like light and compare.`, more)
  return passed(`${read}.${untoldWords(plate, light, modules, 0)}`, more)
}

/** What most of several strings read: of two the other, of more the middle one, which a wrong one does not move. */
const usual = (own: number, others: number[]): number => others.length === 1 ? others[0]! : median([own, ...others])

/** How far a string's volts a module are from those of like strings, each brought to this light. */
function apartFrom(others: Beside[], { light, volts, modules, plate }: { light: Light, volts: number, modules: number, plate: Plate }): { off: number, spread: number, names: string } {
  const at = (one: Light) => expectedVocV(plate, one)
  const own = volts / modules / at(light)
  return { off: own / usual(own, others.map(one => one.value / one.modules / at(one.light))) - 1, spread: vocSpread(plate, light, besideErrors, modules) * Math.sqrt(1 + 1 / others.length), names: others.map(one => one.name).join(' and ') }
}

/** Strings in like light differ by no more than this in current (IEC 62446-1: 5 % is a string-to-string figure). */
export const STRING_TO_STRING = 0.05

/** Judges a string's short-circuit current: against what the light gives, and beside like strings. */
export function judgeIsc({ amps, light }: Pick<FoundOf<'isc'>, 'amps' | 'light'>, { plate, at, beside }: StringAsk): Verdict {
  if (!plate) return noPlate
  if (light.gWm2 < TOO_DARK) return tooDark(light)
  const should = expectedIscA(plate, light)
  const spread = iscSpread(plate, light, usualErrors)
  const off = amps / should - 1
  const more: Partial<Verdict> = {
    expected: { value: should, from: should * (1 - BAND_SD * spread), to: should * (1 + BAND_SD * spread), read: amps, unit: 'A' },
    workings: [{
      what: 'Short-circuit current of the string in this light', formula: 'Isc G / 1000 W/m² (1 + α (T − 25 °C))',
      values: [{ symbol: 'Isc', what: 'by the data plate', value: current(plate.iscA) }, { symbol: 'G', what: 'irradiance, as read', value: irradiance(light.gWm2) }, { symbol: 'α', what: 'maker’s coefficient', value: words(`${(100 * plate.iscPerK).toFixed(3)} %/K`) }, { symbol: 'T', what: 'cells, as read', value: temperature(light.cellC) }],
      result: current(should), source: 'IEC 60891:2021 (from memory)', basis: 'code',
    }, bandWorking(spread, 'current')],
  }
  const read = `${amps.toFixed(2)} A against ${should.toFixed(2)} A expected, ${(amps * STC.gWm2 / light.gWm2).toFixed(2)} A at full light`
  const others = alike(light, at, beside)
  if (others.length) {
    const apart = amps / light.gWm2 / usual(amps / light.gWm2, others.map(one => one.value / one.light.gWm2)) - 1
    if (Math.abs(apart) > STRING_TO_STRING) return wrong(`${read}. Beside ${others.map(one => one.name).join(' and ')} it is ${percent(Math.abs(apart))} ${apart < 0 ? 'less' : 'more'} in like light, over the ${percent(STRING_TO_STRING)} from string to string: shade, dirt, a cracked module or a bad joint.`, more)
  }
  if (Math.abs(off) > BAND_SD * spread) {
    const far = `${read}: ${percent(Math.abs(off))} ${off < 0 ? 'low' : 'high'}.`
    return light.gWm2 < LOW_LIGHT ? unsure(`${far} Under ${LOW_LIGHT} W/m² amperes alone are no verdict: read it again in more light, or beside a like string.`, more) : wrong(`${far} Shade, dirt, a cracked module, a bad joint, or the light was read elsewhere.`, more)
  }
  if (light.gWm2 < LOW_LIGHT) return unsure(`${read}. Under ${LOW_LIGHT} W/m² amperes alone are no verdict.`, more)
  return passed(`${read}.`, more)
}

/** What is wrong between units that stand by alike, as a share (assumed): all of a delivery, and each by itself; the meter beside it. */
const STANDBY = { unit: 0.02, meter: 0.005 } as const

/** Judges a string whose units stand by: the meter reads what each leaves on its output, and the count follows from that. */
export function judgeStandby({ volts }: Pick<FoundOf<'voc'>, 'volts'>, { modules, standbyV }: { modules: number, standbyV: number | null }): Verdict {
  if (!standbyV) return unsure('The shelf does not say what a unit leaves on its output when it stands by: the count can’t be told.')
  const should = modules * standbyV
  const spread = Math.hypot(STANDBY.unit, STANDBY.meter)
  const ratio = volts / should
  const more: Partial<Verdict> = {
    expected: { value: should, from: should * (1 - BAND_SD * spread), to: should * (1 + BAND_SD * spread), read: volts, unit: 'V' },
    workings: [{
      what: 'Voltage of a string whose units stand by', formula: 'n × standby voltage',
      values: [{ symbol: 'n', what: 'units by the plan', value: count(modules, 'units') }, { symbol: 'standby', what: 'of one unit, by the shelf', value: voltage(standbyV) }], result: voltage(should), source: 'Shelf', basis: 'maker',
    }],
  }
  const read = `${volts.toFixed(2)} V with units standing by, ${should.toFixed(2)} V expected`
  const counts = countsFor(ratio, modules, spread)
  if (Math.abs(ratio - 1) > BAND_SD * spread) return wrong(counts.length === 1 ? `${read}: it reads as ${plural(counts[0]!, 'unit')}, ${lackWords(modules - counts[0]!).replace(/module/, 'unit')}.` : `${read}: nearest is ${plural(Math.max(0, Math.round(ratio * modules)), 'unit')}. ${volts < standbyV / 2 ? 'Nothing is joined through.' : 'A unit does not stand by, or one is missing.'}`, more)
  const found = foundShare(modules, 1, spread)
  return found < FOUND_SHARE ? unsure(`${read}, but this count can’t be told from this reading: ${percent(found)} of strings one unit short would show. Count the units that report.`, more) : passed(`${read}.`, more)
}
