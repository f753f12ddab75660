import type { ProofOf, Thing } from '../job'
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
          ...off > MOST_OFF ? [`${entry.terminal}: ${entry.torqueNm} N·m, and its plate asks for ${thing.torqueNm} N·m.`] : [],
          ...entry.calibratedTo < onDay(entry) ? [`${entry.terminal}: ${entry.tool} was calibrated until ${entry.calibratedTo}, before this day.`] : [],
          ...entry.marked ? [] : [`${entry.terminal}: no witness mark, so that nobody sees it turn.`],
          ...twice.includes(entry) ? [`${entry.terminal} was tightened twice, and nobody said that its maker allows it: a second pull overloads it.`] : [],
        ]
      }),
    }
  })
}
