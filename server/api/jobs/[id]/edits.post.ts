import { z } from 'zod'
import { editSchema, MOST_ENTRIES } from '#core/job'
import { isFieldChange } from '#core/people'
import { type Asked, type FieldAnswers, makeEdits } from '../../../edits/make'
import { renewSummary } from '../../../summaries/renew'

/** A day's edits on a large roof; a whole face of a hit log is some 60 kB. */
const MOST_BYTES = 6_000_000
/** So often a plan is asked anew where the job changes meanwhile. */
const MOST_ROUNDS = 4

const bodySchema = z.object({
  baseVersion: z.number().int().min(0).max(MOST_COUNT).nullable(),
  insist: z.boolean().default(false),
  entries: z.array(z.object({ id: z.uuid(), kind: z.enum(['edit', 'undo', 'redo']), edit: editSchema })).min(1).max(MOST_ENTRIES),
}).superRefine(({ entries }, context) => {
  const seen = new Set<string>()
  entries.forEach(({ id }, i) => {
    if (seen.has(id)) context.addIssue({ code: 'custom', path: ['entries', i, 'id'], message: 'Two entries have the same id.' })
    seen.add(id)
  })
})

/**
 * Makes edits on a job, in order, as far as whoever sends them may. Answers with the version, what was refused and why, and what else
 * was changed since the sender's version; 409 with who changed it where somebody else changed the same fact.
 */
export default defineEventHandler(async (event) => {
  await requireCookie(event)
  const asked: Asked = await readChecked(event, bodySchema, MOST_BYTES)
  let field: FieldAnswers | null = null
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const made = await inJob(event, 'log', at => makeEdits(at, asked, field))
    if (made.kind === 'ask-plan') {
      const opened = await openedJob(event, ({ role }) => ({ role }))
      const changes = asked.entries.filter(({ edit }) => isFieldChange(edit, opened.role))
      const why = await workOn(opened, 'fieldChanges', { edits: changes.map(({ edit }) => edit) })
      field = { version: opened.version, why: new Map(changes.map(({ id }, i) => [id, why[i]!])) }
      continue
    }
    const { kind, ...answer } = made
    if (kind === 'changed') {
      throw createError({ statusCode: 409, statusMessage: 'Changed meanwhile', message: 'Somebody else has changed the same since. Nothing is lost: look at both changes.', data: answer })
    }
    void renewSummary(event)
    return answer
  }
  refuse(503, [{ path: 'job', sentence: 'The job changes faster than it can be planned just now. What you did is kept and sent again.' }])
})
