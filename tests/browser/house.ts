import { randomUUID } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { demoCatalogue } from '../../core/catalogue'
import { startedGround } from '../../core/ground'
import { type Job, readJob } from '../../core/job'
import { planJob } from '../../core/plan'
import { DEMO_FIRM_ID } from '../../db/demo/ids'
import { asFirm } from './support'

/** A house with one row of six, on a string or each on a unit of its own, joined to its main panel. */
export function house(on: 'string' | 'units'): Job {
  const read = readJob(JSON.parse(readFileSync('tests/fixtures/three-rows-of-six.json', 'utf8')), demoCatalogue)
  if (!read.ok) throw new Error(JSON.stringify(read.problems))
  const { value: job } = read
  const group = { id: 'roof', name: 'Whole roof', trunkId: null, faceIds: [], ...on === 'string' ? { system: 'strings' as const, unitId: null, inverterId: 'quillon-two' } : { system: 'unit-each' as const, unitId: 'lantern-small', inverterId: null } }
  const wired: Job = { ...job, faces: job.faces.map(face => ({ ...face, array: { ...face.array, rowCount: 1, rows: [] } })), wiring: { ...job.wiring, groups: [group] } }
  const ground = startedGround('main-panel', wired, planJob(wired, demoCatalogue).wiring)
  return { ...wired, ground: { ...ground, electrician: { name: 'Wren Tallis', licence: 'E 4711' }, things: ground.things.map(one => ({ ...one, torqueNm: 4 })) } }
}

/** Keeps a job in the demo firm and gives its name. */
export async function keep(job: Job): Promise<string> {
  const jobId = randomUUID()
  await asFirm(DEMO_FIRM_ID, 'insert into jobs (firm_id, job_id, document) values ($1, $2, $3)', [DEMO_FIRM_ID, jobId, job])
  return jobId
}
