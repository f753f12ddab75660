import { jobsOfCrew } from '../../db/jobs'

/** A crew is on a few jobs at a time. */
const MOST_JOBS = 20

/** The jobs at work that whoever asks is on, with their versions: what his phone takes along by itself. */
export default defineEventHandler(event => inFirm(event, 'read-shelf', async ({ client, personId }) => personId ? await jobsOfCrew(client, personId, MOST_JOBS) : []))
