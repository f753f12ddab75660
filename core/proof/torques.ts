import type { ProofOf, Thing } from '../job'
import { done, type Outcome, refused } from '../outcome'
import { N_PER_LBF, type UnitSystem } from '../units'
import type { ProofAsk } from './ask'

/** A thing whose lugs and terminals are tightened with a calibrated tool, with what was said of them. */
export interface Tightened { thing: Thing, wantedNm: number | null, said: ProofOf<'torque'>[], /** What is wrong, in sentences; none where it is right or nobody has said anything. */ problems: string[] }

/** From what its plate asks for a terminal may be off by so much, as a share: twice a setting tool's 6 % (ISO 6789, from memory). */
const MOST_OFF = 0.12
const WITH_LUGS: Thing['kind'][] = ['combiner', 'inverter', 'sub-panel', 'ac-disconnect', 'production-meter', 'gateway', 'main-panel', 'storage', 'dc-isolator']

const onDay = (entry: ProofOf<'torque'>): string => entry.at.slice(0, 10)

/** Things with terminals of this job, new ones and boards that it is joined to: NEC 110.14(D) asks for a calibrated tool wherever a torque is marked; elsewhere it is the makers' word. */
export function tightenedOf({ job }: Pick<ProofAsk, 'job'>): Tightened[] {
  return (job.ground?.things ?? []).filter(one => WITH_LUGS.includes(one.kind) && (!one.existing || one.kind === 'main-panel')).map((thing) => {
    const said = job.proof.filter((entry): entry is ProofOf<'torque'> => entry.kind === 'torque' && entry.thingId === thing.id)
    const twice = said.filter((entry, i) => !entry.againBy && said.slice(0, i).some(one => one.terminal === entry.terminal))
    return {
      thing, wantedNm: thing.torqueNm, said,
      problems: said.flatMap((entry) => {
        const off = thing.torqueNm === null ? 0 : Math.abs(entry.torqueNm / thing.torqueNm - 1)
        return [
          ...off > MOST_OFF ? [`${entry.terminal}: ${torqueWords(entry.torqueNm, job.units)}, and its plate asks for ${torqueWords(thing.torqueNm!, job.units)}.`] : [],
          ...entry.calibratedTo < onDay(entry) ? [`${entry.terminal}: ${entry.tool} was calibrated until ${entry.calibratedTo}, before this day.`] : [],
          ...entry.marked ? [] : [`${entry.terminal}: no witness mark, so that nobody sees it turn.`],
          ...twice.includes(entry) ? [`${entry.terminal} was tightened twice, and nobody said that its maker allows it: a second pull overloads it.`] : [],
        ]
      }),
    }
  })
}

/** Exact by the international inch and pound, and standard gravity. */
const NM_PER_LBF_IN = N_PER_LBF * 0.0254
const SUFFIXES: [RegExp, number][] = [[/^n\s*[·.]?\s*m$/i, 1], [/^(lbf?|in)[\s·.-]*(in|lbf?)$/i, NM_PER_LBF_IN], [/^(lbf?|ft)[\s·.-]*(ft|lbf?)$/i, 12 * NM_PER_LBF_IN]]

/** A terminal's torque as its screwdriver is set: in the States pounds-force inches, with newton metres beside. */
export const torqueWords = (nm: number, units: UnitSystem): string => units === 'imperial' ? `${Number((nm / NM_PER_LBF_IN).toFixed(1))} lb in (${Number(nm.toFixed(2))} N m)` : `${Number(nm.toFixed(2))} N m`

/** Reads a terminal's torque, as `2.5`, `2.5 N m`, `22 lb in`; a bare number takes the job's unit. @returns N m */
export function readTorque(text: string, units: UnitSystem): Outcome<number> {
  const match = /^(\d+(?:[.,]\d+)?)\s*(.*)$/.exec(text.trim())
  if (!match) return refused(units === 'imperial' ? 'Type the torque, as 22 lb in.' : 'Type the torque, as 2.5 N m.')
  const suffix = match[2]!.trim()
  const factor = suffix ? SUFFIXES.find(([unit]) => unit.test(suffix))?.[1] : units === 'imperial' ? NM_PER_LBF_IN : 1
  return factor === undefined ? refused(`“${suffix}” is no unit of torque: N m, lb in or lb ft.`) : done(Number(match[1]!.replace(',', '.')) * factor)
}
