/** What goes on the van as a table. */
export default defineEventHandler(async (event) => {
  const opened = await openedJob(event)
  return sendFile(event, opened.job.title, 'load-out.csv', 'text/csv; charset=utf-8', await workOn(opened, 'loadoutCsv', {}))
})
