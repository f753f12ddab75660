import { readFile } from 'node:fs/promises'
import { demoCatalogue } from '../core/catalogue'
import { type Problem, readJob } from '../core/job'
import { planJob } from '../core/plan'

/**
 * `plan JOB.json`: prints the plan of a job file as JSON. Exit code 0 planned, 1 planned with stops,
 * 2 unusable input, with the path of each problem on standard error.
 */
async function main(file: string | undefined): Promise<number> {
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
  process.stdout.write(`${JSON.stringify(plan, null, 2)}\n`)
  return plan.totals.stops ? 1 : 0
}

function refuse(problems: Problem[]): number {
  for (const { path, sentence } of problems) process.stderr.write(`${path}: ${sentence}\n`)
  return 2
}

process.exitCode = await main(process.argv[2])
