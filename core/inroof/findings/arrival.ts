import { type ArrivalThing, arrivalThings, type Edit } from '../../job'
import { type DraftFinding, listed, plural, writer } from '../../trade'
import { count, length } from '../../units'
import { COURSES_BELOW } from '../edges'
import { gaugesRead } from '../laid'
import { askedOf, thingNames } from '../words'
import { factsOf, type InRoofAsk, planOf, say } from './ask'

type PutTask = Extract<Edit, { type: 'put-task' }>
const askFor = (ask: InRoofAsk, about: string, trade: PutTask['task']['trade'], what: string): PutTask => ({
  type: 'put-task',
  faceId: ask.face.id,
  task: { id: `task-${about}`, trade, what, due: null, done: false },
})

/** What was found on arrival, and who is to do what is missing by when. */
export function arrival(ask: InRoofAsk): DraftFinding[] {
  const { found, tasks, coursesLaid, battensRead } = factsOf(ask)
  const has = (thing: ArrivalThing) => tasks.some(one => one.id === `task-${thing}`)
  const needs = arrivalThings.filter(thing => (thing !== 'windows' && thing !== 'vents') || found[thing] !== 'unseen')
  const missing = needs.filter(thing => found[thing] === 'missing' && !has(thing))
  const undated = tasks.filter(one => !one.done && one.due === null)
  const few = coursesLaid !== null && coursesLaid < COURSES_BELOW && !tasks.some(one => one.id === 'task-courses')
  const asks = [
    ...missing.map(thing => ({ thing: thingNames[thing].toLowerCase(), edit: askFor(ask, thing, askedOf[thing].trade, askedOf[thing].what) })),
    ...(few ? [{ thing: `${COURSES_BELOW} courses below`, edit: askFor(ask, 'courses', 'roofer', `Lay ${COURSES_BELOW} courses below the array`) }] : []),
  ]
  const told: DraftFinding[] = []
  if (asks.length) {
    const things = listed(asks.map(one => one.thing))
    told.push(
      say(ask, 'inroof-arrival', 'stop', `Not there on arrival: ${things}. Somebody has to be asked for ${asks.length === 1 ? 'it' : 'them'}, by a day.`, {
        measured: count(asks.length, 'things'),
        limit: count(0, 'things'),
        propose: () => [{ label: `Ask for ${things}`, edit: { type: 'batch', edits: asks.map(one => one.edit) } }],
      }),
    )
  }
  if (undated.length) {
    told.push(
      say(
        ask,
        'inroof-undated',
        'caution',
        `${plural(undated.length, 'task')} of other trades ${undated.length === 1 ? 'has' : 'have'} no day: `
        + `${listed(undated.map(one => one.what.toLowerCase()))}. Type the day beside ${undated.length === 1 ? 'it' : 'each'}.`,
      ),
    )
  }
  if (planOf(ask).parts.length && battensRead.length < 4) {
    told.push(
      say(ask, 'inroof-unread', 'note', 'The courses are believed, not read: read the first batten’s upper edge and three more on arrival.', { assumed: true }),
    )
  }
  return told
}

/** Readings of battens that don't come to one gauge, or to more than the units' lap allows (common practice: 3 mm a course). */
const GAUGE_APART_MM = 3

export function gaugeApart(ask: InRoofAsk): DraftFinding[] {
  const { covering } = ask.face
  const read = gaugesRead(factsOf(ask).battensRead)
  if (read.length < 2 || !('gaugeMm' in covering)) return []
  const tell = writer(ask)
  const worst = read.reduce((a, b) => (Math.abs(b.gaugeMm - covering.gaugeMm) > Math.abs(a.gaugeMm - covering.gaugeMm) ? b : a))
  return Math.abs(worst.gaugeMm - covering.gaugeMm) > GAUGE_APART_MM
    ? [
        say(
          ask,
          'inroof-gauge-read',
          'caution',
          `Between battens ${worst.from} and ${worst.to} the gauge reads ${tell(worst.gaugeMm)}, and ${tell(covering.gaugeMm)} is what was said. `
          + 'The array is set out by what was read; check the lap of the units with the roofer.',
          {
            measured: length(worst.gaugeMm),
            limit: length(covering.gaugeMm),
            propose: () => [
              {
                label: `Take ${tell(worst.gaugeMm)} for the gauge`,
                edit: { type: 'set-face', faceId: ask.face.id, values: { covering: { ...covering, gaugeMm: worst.gaugeMm } } },
              },
            ],
          },
        ),
      ]
    : []
}
