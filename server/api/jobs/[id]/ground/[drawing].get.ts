const types = { svg: 'image/svg+xml', dxf: 'image/vnd.dxf' }

/** The one-line diagram or a wall as a drawing: `one-line.svg`, `WALL.dxf`. */
export default defineEventHandler(async (event) => {
  const opened = await openedJob(event)
  const [, what, as] = /^([A-Za-z0-9-]{1,40})\.(svg|dxf)$/.exec(getRouterParam(event, 'drawing') ?? '') ?? refuse(404, [{ path: 'drawing', sentence: 'A drawing is one-line.svg, one-line.dxf, or a wall’s id with .svg or .dxf.' }])
  const drawn = await workOn(opened, 'groundDrawing', { what: what!, as: as as 'svg' | 'dxf' }) ?? refuse(404, [{ path: 'drawing', sentence: 'This job has no such wall, or nothing stands between roof and grid yet.' }])
  return sendFile(event, `${opened.job.title} ${drawn.name}`, `drawing.${as}`, types[as as 'svg' | 'dxf'], drawn.text)
})
