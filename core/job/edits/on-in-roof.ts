import { z } from 'zod'
import { type Face, faceSchema, type InRoofFacts, inRoofFactsSchema, inRoofWords, type Job, MOST_TASKS, otherTrades, plainInRoof, shortId, type TradeTask, tradeTaskSchema } from '../schema'
import { faceOf, noSuchFace, withFace } from './face-of'
import { editKind, keysOf, oldValues, wordsOfValues } from './kind'

const faceId = faceSchema.shape.id
const noInRoof = (job: Job, edit: { faceId: string }): string | null => noSuchFace(job, edit) ?? (faceOf(job, edit.faceId).inRoof ? null : 'This face has no in-roof array: choose its system first.')
const withFacts = (job: Job, id: string, change: (own: InRoofFacts) => InRoofFacts): Job => withFace(job, id, face => ({ ...face, inRoof: face.inRoof && change(face.inRoof) }))
const own = (job: Job, id: string): InRoofFacts => faceOf(job, id).inRoof!

/** Takes an array into the roof, or out of it again. */
export const takeIn = editKind({
  schema: z.object({ type: z.literal('take-in-roof'), faceId, inRoof: inRoofFactsSchema.nullable() }),
  obstacle: noSuchFace,
  apply: (job, edit) => withFace(job, edit.faceId, (face): Face => ({ ...face, inRoof: edit.inRoof })),
  invert: (job, edit) => ({ ...edit, inRoof: faceOf(job, edit.faceId).inRoof }),
  touches: edit => [`face ${edit.faceId}/in-roof/whole`],
  words: () => ['whether the array lies in the roof'],
  example: (job, { pick }) => ({ type: 'take-in-roof' as const, faceId: pick(job.faces).id, inRoof: pick([null, { ...plainInRoof, systemId: 'saltings-tray' }]) }),
})

/** Facts of an in-roof array, each replaced whole; its tasks have edits of their own. */
export const setInRoof = editKind({
  schema: z.object({ type: z.literal('set-in-roof'), faceId, values: inRoofFactsSchema.omit({ tasks: true }).partial() }),
  obstacle: noInRoof,
  apply: (job, edit) => withFacts(job, edit.faceId, facts => ({ ...facts, ...edit.values })),
  invert: (job, edit) => ({ ...edit, values: oldValues<Omit<InRoofFacts, 'tasks'>>(own(job, edit.faceId), edit.values) }),
  touches: edit => keysOf(`face ${edit.faceId}/in-roof`, edit.values),
  words: edit => wordsOfValues(inRoofWords, edit.values),
  example: (job, { pick, whole }) => ({ type: 'set-in-roof' as const, faceId: pick(job.faces).id, values: pick<Partial<InRoofFacts>>([{ school: 'row' }, { bottomMm: whole(400, 900) }, { work: 'retrofit', coursesLaid: 2 }]) }),
})

const putSchema = z.object({ type: z.literal('put-task'), faceId, task: tradeTaskSchema })
const dropSchema = z.object({ type: z.literal('drop-task'), faceId, taskId: shortId })
const key = (face: string, id: string) => `face ${face}/in-roof/task ${id}`
const withTask = (tasks: TradeTask[], task: TradeTask): TradeTask[] => tasks.some(one => one.id === task.id) ? tasks.map(one => one.id === task.id ? task : one) : [...tasks, task]

/** A task of another trade, new or as it stands now. */
export const putTask = editKind({
  schema: putSchema,
  obstacle: (job, edit) => noInRoof(job, edit) ?? (withTask(own(job, edit.faceId).tasks, edit.task).length > MOST_TASKS ? `A face has at most ${MOST_TASKS} tasks of other trades.` : null),
  apply: (job, edit) => withFacts(job, edit.faceId, facts => ({ ...facts, tasks: withTask(facts.tasks, edit.task) })),
  invert: (job, edit): z.infer<typeof putSchema> | z.infer<typeof dropSchema> => {
    const before = own(job, edit.faceId).tasks.find(one => one.id === edit.task.id)
    return before ? { ...edit, task: before } : { type: 'drop-task', faceId: edit.faceId, taskId: edit.task.id }
  },
  touches: edit => [key(edit.faceId, edit.task.id)],
  words: edit => [`the task “${edit.task.what}”`],
  example: (job, { pick, whole }) => ({ type: 'put-task' as const, faceId: pick(job.faces).id, task: { id: `t${whole(1, 1e6)}`, trade: pick(otherTrades), what: 'Lay two courses below', due: pick([null, '2026-05-04']), done: false } }),
})

export const dropTask = editKind({
  schema: dropSchema,
  obstacle: noInRoof,
  apply: (job, edit) => withFacts(job, edit.faceId, facts => ({ ...facts, tasks: facts.tasks.filter(one => one.id !== edit.taskId) })),
  invert: (job, edit): z.infer<typeof putSchema> | z.infer<typeof dropSchema> => {
    const task = own(job, edit.faceId).tasks.find(one => one.id === edit.taskId)
    return task ? { type: 'put-task', faceId: edit.faceId, task } : edit
  },
  touches: edit => [key(edit.faceId, edit.taskId)],
  words: () => ['a task of another trade'],
  example: (job, { pick }) => {
    const face = pick(job.faces)
    return { type: 'drop-task' as const, faceId: face.id, taskId: pick([...face.inRoof?.tasks.map(one => one.id) ?? [], 'gone']) }
  },
})
