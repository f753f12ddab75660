/** The load-out as a workbook. */
export default defineEventHandler(async (event) => {
  const opened = await openedJob(event)
  return sendFile(event, opened.job.title, 'load-out.xlsx', 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet', await workOn(opened, 'loadoutXlsx', {}))
})
