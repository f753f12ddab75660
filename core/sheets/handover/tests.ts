import type { Found, ProofOf } from '../../job'
import { type Chain, judgedThen, resistanceWords, type Verdict } from '../../proof'
import type { PackTable } from '../pages'

/** What was read, with its unit. */
export function foundWords(found: Found): string {
  switch (found.step) {
    case 'continuity': case 'loop': return `${found.ohm} Ω`
    case 'polarity': case 'mains-polarity': case 'phase-order': case 'combiner': return found.right ? 'right' : 'reversed'
    case 'voc': return `${found.volts} V${found.units === 'standby' ? ', units standing by' : found.units === 'enabled' ? ', units working' : ''}`
    case 'isc': return `${found.amps} A`
    case 'switch': return found.opens ? 'opens' : 'does not part'
    case 'insulation': return `${found.method === 'joined' ? '± joined' : '−'} ${resistanceWords(found.minus)}${found.plus ? `, + ${resistanceWords(found.plus)}` : ''}, at ${found.testV} V`
    case 'mains-volts': return `${found.volts} V`
    case 'rcd': return `${found.ms} ms at ${found.ratedMa} mA, ${found.fiveMs} ms at ${5 * found.ratedMa} mA`
    case 'ground-fault': case 'arc-fault': return found.armed ? 'armed' : 'not armed'
    case 'mains-loss': return `${found.stops ? 'stops' : 'goes on'}, ${found.seconds} s`
    case 'shutdown': return `${found.volts} V left after ${found.seconds} s`
  }
}

/** In which light it was read. */
export const lightWords = (found: Found): string => 'light' in found ? `${Math.round(found.light.gWm2)} W/m², cells ${Math.round(found.light.cellC)} °C` : ''

/** Four figures that count: no instrument on a roof has more. */
const shown = (value: number): string => String(Number(value.toPrecision(4)))
/** What it should read, with its band. */
export const expectedWords = ({ expected }: Verdict): string => !expected ? '' : expected.to === Infinity ? `over ${shown(expected.from)} ${expected.unit}` : expected.from === 0 ? `up to ${shown(expected.to)} ${expected.unit}` : `${shown(expected.value)} ${expected.unit} (${shown(expected.from)} to ${shown(expected.to)})`

export const verdictWords: Record<Verdict['state'], string> = { pass: 'right', caution: 'looked at', fail: 'wrong' }

export const dayAndTime = (at: string): string => `${at.slice(0, 10)} ${at.slice(11, 16)}`
const saidBy = ({ by, at }: ProofOf<'test'>): string => `${by || 'somebody'}, ${dayAndTime(at)}`

/** Tests of a job as a table: every reading that holds, with what it should be. */
export const testTable = (chains: Chain[]): PackTable => ({
  title: 'Tests', head: ['Of', 'Test', 'Should read', 'Read', 'Light', 'Is', 'By'], widths: [0.11, 0.15, 0.18, 0.17, 0.13, 0.07, 0.19],
  rows: chains.flatMap(({ name, steps }) => steps.map(({ title, entry, verdict }) => entry && verdict
    ? [name, title, [expectedWords(verdict), judgedThen(entry.judged, verdict)].filter(Boolean).join('; '), foundWords(entry.found), lightWords(entry.found), verdictWords[verdict.state], saidBy(entry)]
    : [name, title, '', 'not tested', '', 'open', ''])),
})

/** Readings that do not hold any more, kept all the same. */
export const earlierTable = (chains: Chain[]): PackTable => ({
  title: 'Read before, and not holding any more', head: ['Of', 'Test', 'Read', 'By'], widths: [0.2, 0.25, 0.3, 0.25],
  rows: chains.flatMap(({ name, steps }) => steps.flatMap(({ title, earlier }) => earlier.map(entry => [name, title, foundWords(entry.found), saidBy(entry)]))),
})

/** Instruments by which the readings that hold were taken. */
export const instrumentsOf = (chains: Chain[]): string[] => [...new Set(chains.flatMap(({ steps }) => steps.map(({ entry }) => entry?.instrument ?? '')).filter(Boolean))]
