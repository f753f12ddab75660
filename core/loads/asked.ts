import { askedBy, loadEditionNames, missingOf, placeFactWords, rulesUnder } from '../job'
import { type DraftFinding, type JobAsk, listed, onJob } from '../trade'
import { count } from '../units'

/** Rules are wanted and the place has not said what they need: there is no usual wind and no usual snow. */
export function loadsAsked(ask: JobAsk<unknown>): DraftFinding[] {
  const { codes, loads } = ask.job
  // Adopted codes ask for loads, also where somebody has put the rules aside.
  const place = askedBy(loads.place, loads.place.edition ?? rulesUnder(codes)?.loads ?? null)
  const missing = missingOf(place)
  if (loads.rules.edition !== 'none' || !place.edition || !missing.length) return []
  return [{
    ...onJob(ask, 'rails', 'loads-asked'), severity: 'stop', assumed: true, measured: count(missing.length, 'not typed'), about: { kind: 'rails' },
    sentence: `${loadEditionNames[place.edition]} waits for ${listed(missing.map(fact => placeFactWords[fact]))}: look at the edition’s maps for this address. Until then no load is worked out, spans are the usual ones, and nothing is issued as clear.`,
  }]
}
