import { readFile } from 'node:fs/promises'
import { demoCatalogue } from '../core/catalogue'
import { readJob } from '../core/job'
import type { Problem } from '../core/outcome'
import { planJob } from '../core/plan'

/** What a command says: its exit code, and what goes to standard output and to standard error. */
export interface Said { status: number, out: string, err: string }

/**
 * `plan JOB.json`: the plan of a job file as JSON. Exit code 0 planned, 1 planned with stops, 2 unusable input, with the path of each
 * problem on standard error.
 */
export async function planFile(file: string | undefined): Promise<Said> {
  if (!file) return refuse([{ path: '(command)', sentence: 'Name a job file: npm run -s plan -- JOB.json' }])
  let text: string
  try {
    text = await readFile(file, 'utf8')
  }
  catch {
    return refuse([{ path: file, sentence: 'This file can’t be read.' }])
  }
  let data: unknown
  try {
    data = JSON.parse(text)
  }
  catch (error) {
    return refuse([{ path: file, sentence: `This file is not JSON: ${(error as Error).message}` }])
  }
  const read = readJob(data, demoCatalogue)
  if (!read.ok) return refuse(read.problems)
  const plan = planJob(read.value, demoCatalogue)
  return { status: plan.totals.stops ? 1 : 0, out: `${JSON.stringify(plan, null, 2)}\n`, err: '' }
}

const refuse = (problems: Problem[]): Said => ({ status: 2, out: '', err: problems.map(({ path, sentence }) => `${path}: ${sentence}\n`).join('') })
