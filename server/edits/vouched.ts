import type { PoolClient } from 'pg'
import { wordsFor } from '#core/job'
import { vouchedIn } from '#core/people'
import { vouchedEntries } from '../db/jobs'

/** Who vouches for which of a job's figures, as lines of a sheet: for each figure whoever typed it last. */
export async function vouchedLines(client: PoolClient, jobId: string): Promise<string[]> {
  const last = new Map<string, string>()
  for (const { edit, name, licence, madeAt } of await vouchedEntries(client, jobId)) {
    const line = `${name} vouches for ${wordsFor(edit)}: licence ${licence}, ${new Date(madeAt).toISOString().slice(0, 10)}.`
    for (const fact of vouchedIn(edit)) last.set(fact, line)
  }
  return [...new Set(last.values())]
}
