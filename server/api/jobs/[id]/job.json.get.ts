/** The job file, as the command line reads it. */
export default defineEventHandler(async (event) => {
  const { job } = await openedJob(event)
  return sendFile(event, job.title, 'job.json', 'application/json; charset=utf-8', `${JSON.stringify(job, null, 2)}\n`)
})
