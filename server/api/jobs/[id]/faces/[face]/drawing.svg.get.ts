import { faceFigure } from '#core/sheets/figure'
import { faceSvg } from '#core/sheets/formats'

/** One face as an SVG drawing. */
export default defineEventHandler(async (event) => {
  const { job, face, plan } = await plannedFace(event)
  return sendFile(event, `${job.title} ${face.name}`, 'drawing.svg', 'image/svg+xml', faceSvg(faceFigure({ job, face, plan })))
})
