import { writeFile } from 'node:fs/promises'
import { z } from 'zod'
import { jobSchema } from '../core/job'

// Writes the JSON Schema of the job file from its one definition. A test holds the committed file against it.
const schema = z.toJSONSchema(jobSchema, { io: 'input' })
await writeFile(new URL('../docs/job.schema.json', import.meta.url), `${JSON.stringify({ title: 'Upper Deck job', ...schema }, null, 2)}\n`)
