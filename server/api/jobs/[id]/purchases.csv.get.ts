/** What is bought of whom, as a table. */
export default defineEventHandler(async (event) => {
  const opened = await openedJob(event)
  return sendFile(event, opened.job.title, 'purchases.csv', 'text/csv; charset=utf-8', await workOn(opened, 'purchasesCsv', {}))
})
