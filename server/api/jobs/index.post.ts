import { z } from 'zod'
import { jobSchema, starterJob } from '#core/job'
import { offered, setsFor, wholeSets } from '#core/catalogue'
import { loadCatalogue } from '../../db/catalogue'
import { insertJob } from '../../db/jobs'

const newJobSchema = z.object({ id: z.uuid('A new job has an id of its own.'), title: jobSchema.shape.title, place: jobSchema.shape.place, units: jobSchema.shape.units })

/** Opens a new job with one face at usual sizes and the first set of the shelf that suits it, or the first parts that go together. */
export default defineEventHandler(async (event) => {
  await requireCookie(event)
  const { id, title, place, units } = await readChecked(event, newJobSchema)
  return await inFirm(event, async ({ client, firmId }) => {
    const catalogue = await loadCatalogue(client)
    const [module] = offered(catalogue.modules)
    const [rail, mount, clamps] = [offered(catalogue.rails)[0], offered(catalogue.mounts)[0], offered(catalogue.clamps)[0]]
    const ground = { covering: 'coursed-shingle', support: 'rafters' } as const
    const first = module && rail && mount && clamps && { module, rail, mount, clamps }
    const set = first && (setsFor(catalogue, first, ground)[0] ?? wholeSets(catalogue, first, ground).find(one => Object.values(one.parts).every(part => !part.retired)))
    if (!set) refuse(409, [{ path: 'catalogue', sentence: 'The shelf has no module, rail, mount and clamps that go together on shingle and rafters. Put them on the shelf first, and say what goes with what.' }])
    const { parts, named } = set
    const job = starterJob(title, place, units, { moduleId: parts.module.id, railId: parts.rail.id, mountId: parts.mount.id, clampsId: parts.clamps.id, supplyIds: named?.supplyIds ?? [] })
    setResponseStatus(event, 201)
    return { jobId: await insertJob(client, firmId, id, job) }
  })
})
