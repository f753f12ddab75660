import { faceFigure } from '#core/sheets/figure'
import { faceDxf } from '#core/sheets/formats'

/** One face as a DXF drawing with named layers. */
export default defineEventHandler(async (event) => {
  const { job, face, plan } = await plannedFace(event)
  return sendFile(event, `${job.title} ${face.name}`, 'drawing.dxf', 'image/vnd.dxf', faceDxf(faceFigure({ job, face, plan })))
})
