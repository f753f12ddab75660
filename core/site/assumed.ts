import { CODES_KEY, codesEdit, codesName, COVERING_STATE_KEY, loadEditionNames, rulesUnder, ruleSetTable } from '../job'
import { type DraftFinding, type JobAsk, onJob } from '../trade'
import { words } from '../units'

/** Nobody has looked at what the modules will lie on. */
export const coveringUnseen = (ask: JobAsk<unknown>): DraftFinding[] => !ask.job.assumed.includes(COVERING_STATE_KEY) || ask.job.site.coveringState !== 'unseen'
  ? []
  : [{
      ...onJob(ask, 'site', 'covering-unseen'), severity: 'caution', assumed: true,
      sentence: 'Nobody has said in what state the covering is: assumed sound. Look at it before anything is ordered.',
    }]

/** Which editions a place has adopted is a fact of the place, never of the year. */
export const codesUnsaid = (ask: JobAsk<unknown>): DraftFinding[] => ask.job.codes.kind !== 'unsaid' || !ask.job.assumed.includes(CODES_KEY)
  ? []
  : [{
      ...onJob(ask, 'keep-clear', 'codes-unsaid'), severity: 'stop', assumed: true,
      sentence: 'Nobody has said which editions this place has adopted, so no fire rule and no load is in force. Ask the authority, and choose them on the site sheet.',
      orStep: true, propose: () => ask.job.units === 'metric' ? [{ label: 'European practice', edit: codesEdit(ask.job, { kind: 'european' }) }] : [],
    }]

/** Rules of one edition with another's: each is a set. */
export function codesApart(ask: JobAsk<unknown>): DraftFinding[] {
  const { codes, keepClear, loads } = ask.job
  const under = rulesUnder(codes)
  if (!under) return []
  const other = [
    ...(keepClear.ruleSet === under.keepClear || keepClear.ruleSet === 'own' ? [] : [`keep-clear goes by ${ruleSetTable[keepClear.ruleSet].name}`]),
    ...(loads.rules.edition === under.loads || loads.rules.edition === 'none' ? [] : [`loads by ${loadEditionNames[loads.rules.edition]}`]),
  ]
  return other.length
    ? [{
        ...onJob(ask, 'keep-clear', 'codes-apart'), severity: 'caution', measured: words(other.join(', ')), limit: words(codesName(codes)),
        sentence: `The place goes by ${codesName(codes)}, but ${other.join(' and ')}. An edition is one set: its parts are not mixed.`,
        orStep: true, propose: () => [{ label: `All by ${codesName(codes)}`, edit: codesEdit(ask.job, codes) }],
      }]
    : []
}
