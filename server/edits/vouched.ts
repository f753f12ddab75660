import type { PoolClient } from 'pg'
import { type Figure, figuresIn, figuresOf, sameFigure } from '#core/people'
import { type StoredJob, vouchedEntries } from '../db/jobs'

/** Who vouches for each engineer's or electrician's figure of a job, as lines of a sheet: whoever typed it as it stands, or nobody, as in a copy. */
export async function vouchedLines(client: PoolClient, { jobId, job }: StoredJob): Promise<string[]> {
  const last = new Map<string, { value: Figure['value'], who: string, by: string }>()
  for (const { edit, name, licence, madeAt } of await vouchedEntries(client, jobId)) {
    for (const { fact, value } of figuresIn(edit)) last.set(fact, { value, who: name, by: `licence ${licence}, ${new Date(madeAt).toISOString().slice(0, 10)}` })
  }
  const lines = figuresOf(job).map((figure) => {
    const typed = last.get(figure.fact)
    return typed && sameFigure(figure, typed) ? `${typed.who} vouches for ${figure.words}: ${typed.by}.` : `Nobody vouches for ${figure.words} as it stands. Whoever may takes it off and types it anew.`
  })
  return [...new Set(lines)]
}
