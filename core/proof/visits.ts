import type { Edit, ProofOf, TestStep } from '../job'
import type { ProofAsk } from './ask'
import { circuitsOf, sameSubject } from './circuits'
import { atFullLightA, vocAtStcV } from './expected'
import { resistanceWords, worst } from './insulation'

/** Whether a job is being built, has been handed over, or was opened again since. */
export function handOverState({ job }: Pick<ProofAsk, 'job'>): { state: 'building' | 'handed-over' | 'reopened', handedOver: ProofOf<'handed-over'> | null, visit: ProofOf<'visit'> | null } {
  const last = job.proof.findLastIndex(entry => entry.kind === 'handed-over')
  const visit = job.proof.slice(last + 1).findLast((entry): entry is ProofOf<'visit'> => entry.kind === 'visit') ?? null
  const handedOver = job.proof[last]?.kind === 'handed-over' ? job.proof[last] : null
  return { state: !handedOver ? 'building' : visit ? 'reopened' : 'handed-over', handedOver, visit: handedOver ? visit : null }
}

/** A reading then and now, brought to the same light where it depends on it. */
export interface ThenNow { name: string, step: TestStep, then: { words: string, at: string }, now: { words: string, at: string }, change: number | null, sentence: string }

/** Voltage a module may be off, and current, before it is named: what two readings by one instrument may differ by (assumed). */
const SAME_V = 0.03
const SAME_A = 0.08
/** Insulation that fell under this share of what it was is named. */
const FELL = 0.3

/** What was read at the hand-over beside what has been read since, circuit by circuit. */
export function thenAndNow(ask: ProofAsk): ThenNow[] {
  const at = ask.job.proof.findLastIndex(entry => entry.kind === 'handed-over')
  if (at < 0) return []
  const isTest = (entry: ProofAsk['job']['proof'][number]): entry is ProofOf<'test'> => entry.kind === 'test'
  const [before, since] = [ask.job.proof.slice(0, at).filter(isTest), ask.job.proof.slice(at).filter(isTest)]
  return circuitsOf(ask).flatMap(({ tag, name, plate }) => (['voc', 'isc', 'insulation'] as const).flatMap((step): ThenNow[] => {
    const last = (entries: ProofOf<'test'>[]) => entries.findLast(entry => entry.found.step === step && sameSubject(entry.subject, { of: 'circuit', tag }))
    const [then, now] = [last(before), last(since)]
    if (!then || !now) return []
    const pair = [then, now].map(({ found }) => {
      if (found.step === 'voc' && plate && found.units !== 'standby') {
        const volts = vocAtStcV(plate, found.light, found.volts, tag.count)
        return { words: `${volts.toFixed(2)} V a module at 1000 W/m² and 25 °C`, value: volts }
      }
      if (found.step === 'voc') return { words: `${found.volts} V`, value: found.volts }
      if (found.step === 'isc') return { words: `${atFullLightA(found.amps, found.light.gWm2).toFixed(2)} A at 1000 W/m²`, value: atFullLightA(found.amps, found.light.gWm2) }
      if (found.step === 'insulation') return { words: resistanceWords(worst(found)), value: worst(found).mohm }
      return null
    })
    const [a, b] = pair
    if (!a || !b) return []
    const change = b.value / a.value - 1
    const bound = step === 'insulation' && [then, now].some(({ found }) => found.step === 'insulation' && worst(found).atLeast)
    const changed = step === 'insulation' ? b.value < FELL * a.value : Math.abs(change) > (step === 'voc' ? SAME_V : SAME_A)
    const percent = `${(100 * Math.abs(change)).toFixed(1)} % ${change < 0 ? 'less' : 'more'}`
    return [{
      name, step, then: { words: a.words, at: then.at }, now: { words: b.words, at: now.at }, change: bound ? null : change,
      sentence: changed ? `${percent} than at the hand-over${bound ? ', at the least' : ''}${step === 'voc' ? `: ${(Math.abs(change) * tag.count).toFixed(1)} modules` : step === 'insulation' ? ': moisture, or a chafed lead' : ''}.` : bound ? 'No worse, as far as the instrument’s range tells.' : `As at the hand-over, ${percent}.`,
    }]
  }))
}

/** Edits that hold every module where it stands, so that an extension is laid out round what is there. */
export const holdingEdits = ({ faces }: Pick<ProofAsk, 'faces'>): Edit[] => faces.flatMap(({ face, plan }) => plan.rows.rows.filter(one => one.moduleLeftsMm.length && !face.array.rows[one.index]?.locked).map((one): Edit => ({ type: 'set-row', faceId: face.id, row: one.index, values: { held: one.moduleLeftsMm, locked: true } })))
