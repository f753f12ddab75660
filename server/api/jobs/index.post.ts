import { z } from 'zod'
import { jobSchema, starterJob } from '#core/job'
import { mismatches } from '#core/catalogue'
import { loadCatalogue } from '../../db/catalogue'
import { insertJob } from '../../db/jobs'

const newJobSchema = z.object({ title: jobSchema.shape.title, place: jobSchema.shape.place, units: jobSchema.shape.units })

/** Opens a new job with one face at usual sizes and the first parts of the catalogue that go together. */
export default defineEventHandler(async (event) => {
  await requireCookie(event)
  const { title, place, units } = await readChecked(event, newJobSchema)
  return await inFirm(event, async ({ client, firmId }) => {
    const catalogue = await loadCatalogue(client)
    const module = catalogue.modules[0]
    const set = catalogue.rails.flatMap(rail => catalogue.mounts.flatMap(mount => catalogue.clamps.map(clamps => ({ rail, mount, clamps }))))
      .find(parts => module && !mismatches(catalogue, { module, ...parts }, { covering: 'coursed-shingle', support: 'rafters' }).length)
    if (!module || !set) refuse(409, [{ path: 'catalogue', sentence: 'The catalogue has no module, rail, mount and clamps that go together. Add them first.' }])
    const job = starterJob(title, place, units, { moduleId: module.id, railId: set.rail.id, mountId: set.mount.id, clampsId: set.clamps.id })
    setResponseStatus(event, 201)
    return { jobId: await insertJob(client, firmId, job) }
  })
})
