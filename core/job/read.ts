import { type Catalogue, unknownParts } from '../catalogue'
import { type Edit, applyEdit, editSchema, obstacleIn } from './edits'
import { type Job, jobSchema } from './schema'
import { upgraded } from './upgrade'
import { problemsOf, type Reading } from '../outcome'

/** Checks that data are a job this catalogue can plan. */
export function readJob(data: unknown, catalogue: Catalogue): Reading<Job> {
  const parsed = jobSchema.safeParse(upgraded(data))
  if (!parsed.success) return { ok: false, problems: problemsOf(parsed.error) }
  const unknown = (path: string, id: string) => ({ path, sentence: `The catalogue has no part “${id}”.` })
  const problems = [...unknownInWiring(parsed.data, catalogue).map(({ path, id }) => unknown(path, id)), ...parsed.data.faces.flatMap((face, index) => [
    ...unknownParts(catalogue, face.array).map(({ field, id }) => unknown(`faces.${index}.array.${field}`, id)),
    ...face.inRoof && !catalogue.inRoofs.some(one => one.id === face.inRoof!.systemId) ? [unknown(`faces.${index}.inRoof.systemId`, face.inRoof.systemId)] : [],
  ])]
  return problems.length ? { ok: false, problems } : { ok: true, value: parsed.data }
}

const wireShelves = { unitId: 'electronics', trunkId: 'trunks', inverterId: 'inverters' } as const

/** Electronics, trunks and inverters of a job's groups that this catalogue does not know. */
const unknownInWiring = ({ wiring }: Job, catalogue: Catalogue): { path: string, id: string }[] => wiring.groups.flatMap((group, index) =>
  (Object.keys(wireShelves) as (keyof typeof wireShelves)[]).flatMap((field) => {
    const id = group[field]
    return id === null || catalogue[wireShelves[field]].some(one => one.id === id) ? [] : [{ path: `wiring.groups.${index}.${field}`, id }]
  }))

/** Checks that data are an edit that can be made to this job, and that the job stays readable after it. */
export function readEdit(data: unknown, job: Job, catalogue: Catalogue): Reading<{ edit: Edit, job: Job }> {
  const parsed = editSchema.safeParse(data)
  if (!parsed.success) return { ok: false, problems: problemsOf(parsed.error) }
  const obstacle = obstacleIn(job, parsed.data)
  if (obstacle) return { ok: false, problems: [{ path: 'faceId', sentence: obstacle }] }
  const after = readJob(applyEdit(job, parsed.data), catalogue)
  return after.ok ? { ok: true, value: { edit: parsed.data, job: after.value } } : after
}
