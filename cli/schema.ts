import { writeFile } from 'node:fs/promises'
import { z } from 'zod'
import { jobSchema } from '../core/job'
import { shelfFileSchema } from '../core/shelf'

/** The JSON Schemas of the files that are read from outside, each from its one definition. A test holds the committed files against them. */
export const fileSchemas = {
  'job.schema.json': { title: 'Upper Deck job', ...z.toJSONSchema(jobSchema, { io: 'input' }) },
  'shelf.schema.json': { title: 'Upper Deck shelf', ...z.toJSONSchema(shelfFileSchema, { io: 'input' }) },
}

if (process.argv[1] === import.meta.filename) {
  for (const [name, schema] of Object.entries(fileSchemas)) await writeFile(new URL(`../docs/${name}`, import.meta.url), `${JSON.stringify(schema, null, 2)}\n`)
}
