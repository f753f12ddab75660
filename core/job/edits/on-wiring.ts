import { z } from 'zod'
import { type Job, MOST_ENDS, MOST_GROUPS, MOST_PUT, putInSchema, shortId, type SiteEnd, siteEndSchema, type WireGroup, wireGroupSchema, type WiringFacts, type WiringSettings, wiringSchema, wiringWords } from '../schema'
import { editKind, keysOf, oldValues, wordsOfValues } from './kind'

const withWiring = (job: Job, change: Partial<WiringFacts>): Job => ({ ...job, wiring: { ...job.wiring, ...change } })
const put = <T extends { id: string }>(list: T[], one: T): T[] => list.some(old => old.id === one.id) ? list.map(old => old.id === one.id ? one : old) : [...list, one]

/** How the roof is wired, each fact replaced whole; groups, modules put elsewhere and ends made on site have edits of their own. */
export const setWiring = editKind({
  schema: z.object({ type: z.literal('set-wiring'), values: wiringSchema.omit({ groups: true, putIn: true, ends: true }).partial() }),
  obstacle: () => null,
  apply: (job, edit) => withWiring(job, edit.values),
  invert: (job, edit) => ({ ...edit, values: oldValues<WiringSettings>(job.wiring, edit.values) }),
  touches: edit => keysOf('wiring', edit.values),
  words: edit => wordsOfValues(wiringWords, edit.values),
  example: (_, { pick, whole }) => ({ type: 'set-wiring' as const, values: pick<Partial<WiringSettings>>([{ school: 'fill' }, { coldC: -whole(1, 30), hotC: whole(30, 45) }, { bonding: 'washer', service: 'single-230' }]) }),
})

const group = (job: Job, id: string): WireGroup | null => job.wiring.groups.find(one => one.id === id) ?? null

/** A group of modules that are wired one way: new, changed, or taken away. */
export const setWireGroup = editKind({
  schema: z.object({ type: z.literal('set-wire-group'), groupId: shortId, group: wireGroupSchema.nullable() }),
  obstacle: (job, edit) => {
    if (!edit.group) return null
    const unknown = edit.group.faceIds.find(id => !job.faces.some(face => face.id === id))
    if (unknown !== undefined) return `The job has no face “${unknown}”.`
    return put(job.wiring.groups, edit.group).length > MOST_GROUPS ? `A job has at most ${MOST_GROUPS} groups.` : null
  },
  apply: (job, edit) => withWiring(job, { groups: edit.group ? put(job.wiring.groups, { ...edit.group, id: edit.groupId }) : job.wiring.groups.filter(one => one.id !== edit.groupId) }),
  invert: (job, edit) => ({ ...edit, group: group(job, edit.groupId) }),
  touches: edit => [`wire-group ${edit.groupId}`],
  words: edit => [edit.group ? `how “${edit.group.name}” is wired` : 'a group of the wiring'],
  example: (job, { pick, whole }) => {
    const groupId = pick([...job.wiring.groups.map(one => one.id), `g${whole(1, 9)}`])
    return { type: 'set-wire-group' as const, groupId, group: pick([null, { id: groupId, name: 'Roof', system: 'unit-each' as const, unitId: 'lantern-unit', trunkId: 'lantern-trunk-upright', inverterId: null, faceIds: pick([[], [job.faces[0]!.id]]) }]) }
  },
})

/** A module put into another branch or string; null lets the school have it again. */
export const putInCircuit = editKind({
  schema: z.object({ type: z.literal('put-in-circuit'), faceId: putInSchema.shape.faceId, moduleId: putInSchema.shape.moduleId, circuit: putInSchema.shape.circuit.nullable() }),
  obstacle: (job, edit) => !job.faces.some(face => face.id === edit.faceId) ? `The job has no face “${edit.faceId}”.` : edit.circuit !== null && job.wiring.putIn.length >= MOST_PUT ? `At most ${MOST_PUT} modules are put elsewhere by hand.` : null,
  apply: (job, { faceId, moduleId, circuit }) => {
    const others = job.wiring.putIn.filter(one => one.faceId !== faceId || one.moduleId !== moduleId)
    return withWiring(job, { putIn: circuit === null ? others : [...others, { faceId, moduleId, circuit }] })
  },
  invert: (job, edit) => ({ ...edit, circuit: job.wiring.putIn.find(one => one.faceId === edit.faceId && one.moduleId === edit.moduleId)?.circuit ?? null }),
  touches: edit => [`circuit of ${edit.faceId} ${edit.moduleId}`],
  words: edit => [`the branch of module ${edit.moduleId}`],
  example: (job, { pick, whole }) => ({ type: 'put-in-circuit' as const, faceId: pick(job.faces).id, moduleId: `row${whole(1, 3)}-${whole(1, 6)}`, circuit: pick([null, whole(1, 4)]) }),
})

const end = (job: Job, id: string): SiteEnd | null => job.wiring.ends.find(one => one.id === id) ?? null

/** A plug that was made on the roof, as it stands now, or taken off the list. */
export const setSiteEnd = editKind({
  schema: z.object({ type: z.literal('set-site-end'), endId: shortId, end: siteEndSchema.nullable() }),
  obstacle: (job, edit) => edit.end && put(job.wiring.ends, edit.end).length > MOST_ENDS ? `A job has at most ${MOST_ENDS} ends made on site.` : null,
  apply: (job, edit) => withWiring(job, { ends: edit.end ? put(job.wiring.ends, { ...edit.end, id: edit.endId }) : job.wiring.ends.filter(one => one.id !== edit.endId) }),
  invert: (job, edit) => ({ ...edit, end: end(job, edit.endId) }),
  touches: edit => [`site-end ${edit.endId}`],
  words: edit => [edit.end ? `the plug at ${edit.end.place}` : 'a plug made on site'],
  example: (job, { pick, whole }) => {
    const endId = pick([...job.wiring.ends.map(one => one.id), `e${whole(1, 99)}`])
    return { type: 'set-site-end' as const, endId, end: pick([null, { id: endId, place: 'String 1, + end', plugs: 'Gannet', mate: 'Gannet', pin: '6 mm²', tool: 'Gannet crimper', by: 'Crew lead', clicked: true }]) }
  },
})
