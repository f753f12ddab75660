import { listSheets } from '../../../db/sheets'

/** The job's issued mark-outs without their pages, the newest first. */
export default defineEventHandler(event => inJob(event, 'read', ({ client, jobId }) => listSheets(client, jobId)))
