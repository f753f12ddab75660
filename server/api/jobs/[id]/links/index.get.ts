import { listLinks } from '../../../../db/links'

/** Links by which this job or a sheet of it can be read from outside. */
export default defineEventHandler(event => inJob(event, 'share', ({ client, jobId }) => listLinks(client, jobId)))
