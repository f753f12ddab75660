import { roofGeoJson } from '#core/sheets/formats'

/** The roof in plan as GeoJSON. */
export default defineEventHandler(async (event) => {
  const { job } = await openedJob(event)
  return sendFile(event, job.title, 'roof.geojson', 'application/geo+json', roofGeoJson(job))
})
