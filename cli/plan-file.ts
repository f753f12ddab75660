import { readFile } from 'node:fs/promises'
import { type Catalogue, demoCatalogue, emptyCatalogue } from '../core/catalogue'
import { readJob } from '../core/job'
import { type Problem, problemsOf, type Reading } from '../core/outcome'
import { planJob } from '../core/plan'
import { shelfFileSchema } from '../core/shelf'

/** What a command says: its exit code, and what goes to standard output and to standard error. */
export interface Said { status: number, out: string, err: string }

/**
 * `plan JOB.json [SHELF.json]`: the plan of a job file as JSON, with the parts of a shelf file, else with the invented ones of the
 * demonstration. Exit code 0 planned, 1 planned with stops, 2 unusable input, with the path of each problem on standard error.
 */
export async function planFile(file: string | undefined, shelf?: string): Promise<Said> {
  if (!file) return refuse([{ path: '(command)', sentence: 'Name a job file, and a shelf file where its parts are your own: npm run -s plan -- JOB.json SHELF.json' }])
  const parts = shelf ? await readShelf(shelf) : { ok: true as const, value: demoCatalogue }
  if (!parts.ok) return refuse(parts.problems)
  const data = await readJson(file)
  if (!data.ok) return refuse(data.problems)
  const read = readJob(data.value, parts.value)
  if (!read.ok) return refuse(read.problems)
  const plan = planJob(read.value, parts.value)
  return { status: plan.totals.stops ? 1 : 0, out: `${JSON.stringify(plan, null, 2)}\n`, err: '' }
}

async function readJson(file: string): Promise<Reading<unknown>> {
  const wrong = (sentence: string) => ({ ok: false as const, problems: [{ path: file, sentence }] })
  let text: string
  try {
    text = await readFile(file, 'utf8')
  }
  catch {
    return wrong('This file can’t be read.')
  }
  try {
    return { ok: true, value: JSON.parse(text) as unknown }
  }
  catch (error) {
    return wrong(`This file is not JSON: ${(error as Error).message}`)
  }
}

async function readShelf(file: string): Promise<Reading<Catalogue>> {
  const data = await readJson(file)
  if (!data.ok) return data
  const parsed = shelfFileSchema.safeParse(data.value)
  if (!parsed.success) return { ok: false, problems: problemsOf(parsed.error).map(({ path, sentence }) => ({ path: `${file}: ${path}`, sentence })) }
  const { format: _, formatVersion: __, ...shelves } = parsed.data
  return { ok: true, value: { ...emptyCatalogue(parsed.data.currency), ...shelves } }
}

const refuse = (problems: Problem[]): Said => ({ status: 2, out: '', err: problems.map(({ path, sentence }) => `${path}: ${sentence}\n`).join('') })
