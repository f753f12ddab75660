import { databaseAnswers } from '../db/pool'

/** The database is asked no more often than this, and answers within as much, ms. */
const WITHIN_MS = 1000
let asked: { at: number, answers: Promise<boolean> } | null = null

/** Says that the server is up, and whether its database is; 503 while it is not. */
export default defineEventHandler(async (event) => {
  if (!asked || Date.now() - asked.at > WITHIN_MS) asked = { at: Date.now(), answers: databaseAnswers(WITHIN_MS) }
  const database = await asked.answers
  if (!database) setResponseStatus(event, 503)
  return { up: true, database }
})
