/** The job with its plan as the server works it out, for sheets. */
export default defineEventHandler(async (event) => {
  const { job, plan, version, updatedAt } = await plannedJob(event)
  return { job, plan, version, updatedAt }
})
