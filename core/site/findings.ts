import { type Decision, decisionWords, type SiteStop } from '../job'
import { type DraftFinding, type JobAsk, onJob } from '../trade'
import { count } from '../units'

/** What a stop is called, and who can clear it. */
export const siteStopWords: Record<SiteStop, { name: string, clearedBy: string }> = {
  'asbestos': { name: 'Asbestos cement in the covering', clearedBy: 'A licensed asbestos surveyor says what may be done' },
  'protected-building': { name: 'A protected building', clearedBy: 'The planning authority consents in writing' },
  'nesting-birds': { name: 'Birds nesting', clearedBy: 'The nest is left until it is empty' },
  'bats': { name: 'Bats roosting', clearedBy: 'A licensed ecologist says what may be done' },
}

/** The array is meant to lie about this long; a covering that goes before it has to come off under the modules (common practice). */
const MODULE_LIFE_YEARS = 25

const DECIDED: Decision[] = ['repair-first', 're-roof-first']

type SiteAsk = JobAsk<unknown>
/** They belong to the whole job, so they name its first face. */
/** What stops a job before anyone climbs. */
export const stops = (ask: SiteAsk): DraftFinding[] => ask.job.site.stops.filter(stop => !stop.cleared).map(stop => ({
  ...onJob(ask, 'site', `site-stop:${stop.kind}`), severity: 'stop', measured: null,
  sentence: `${siteStopWords[stop.kind].name}: stop here. ${siteStopWords[stop.kind].clearedBy}; write down who cleared it and on what paper.`,
}))

export function undecided(ask: SiteAsk): DraftFinding[] {
  const { site } = ask.job
  const old = site.coveringState === 'failing' || site.coveringState === 'brittle'
  const short = site.coveringYearsLeft !== null && site.coveringYearsLeft < MODULE_LIFE_YEARS
  if (site.decision !== 'open' || (!old && !short)) return []
  return [{
    ...onJob(ask, 'site', 'site-decision'), severity: 'caution', measured: site.coveringYearsLeft === null ? null : count(site.coveringYearsLeft, 'years left'), limit: count(MODULE_LIFE_YEARS, 'years'),
    sentence: `${old ? `The covering is ${site.coveringState}` : `The covering has about ${site.coveringYearsLeft} years left`} and modules lie about ${MODULE_LIFE_YEARS} years: decide whether to go ahead, repair or re-roof first, and say why.`,
    propose: () => (['re-roof-first', 'repair-first', 'go-ahead'] as const).map(decision => ({ label: decisionWords[decision], edit: { type: 'set-site', values: { decision } } })),
  }]
}

export const waits = (ask: SiteAsk): DraftFinding[] => !DECIDED.includes(ask.job.site.decision)
  ? []
  : [{
      ...onJob(ask, 'site', 'site-wait'), severity: 'caution', measured: null,
      sentence: `${ask.job.site.decision === 're-roof-first' ? 'The roof is to be re-covered first' : 'The covering is to be repaired first'}: measure again before fixing anything, courses and edges may move.`,
    }]
