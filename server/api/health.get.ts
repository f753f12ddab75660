/** Says that the server is up; asks nothing of the database. */
export default defineEventHandler(() => ({ up: true }))
