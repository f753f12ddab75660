/** The array's layout with its serial numbers, for a monitoring portal of whatever make. */
export default defineEventHandler(async (event) => {
  const opened = await openedJob(event)
  return sendFile(event, opened.job.title, 'array-layout.json', 'application/json', await workOn(opened, 'portalLayout', { as: 'json' }))
})
