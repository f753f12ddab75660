import { z } from 'zod'
import { type Job, type ProofEntry, type ProofKind, proofEntrySchema, shortId } from '../schema'
import { editKind } from './kind'

/** So much is said at once: the readings of an instrument's file. */
const MOST_AT_ONCE = 200
/** An entry with its place in the record, so that taking an edit back puts it where it was; null at its end. */
const placed = z.object({ at: z.number().int().min(0).nullable(), entry: proofEntrySchema })
const sayProofSchema = z.object({ type: z.literal('say-proof'), entries: z.array(placed).min(1).max(MOST_AT_ONCE) })
const dropProofSchema = z.object({ type: z.literal('drop-proof'), entryIds: z.array(shortId).min(1).max(MOST_AT_ONCE) })
const key = (id: string) => `proof ${id}`

/** Kinds of entries, in words. */
export const proofWords: Record<ProofKind, string> = {
  'goods': 'goods looked at', 'bench': 'a module measured', 'serial': 'a serial number', 'serial-off': 'something taken off', 'ready': 'what a test needs', 'end': 'a circuit’s end', 'test': 'a test', 'torque': 'a terminal’s torque', 'gateway': 'the gateway', 'report': 'the gateway’s report',
  'password': 'a password changed', 'photograph': 'a photograph', 'paper': 'a paper', 'item': 'something open', 'item-done': 'something done', 'stage': 'the stage', 'handed-over': 'the hand-over', 'visit': 'a visit',
}
const inWords = (entries: ProofEntry[]): string[] => [...new Set(entries.map(({ kind }) => `the proof: ${proofWords[kind]}`))]

/** Says something in proof; entries already there by their id are passed over, so that a repeat is harmless. */
export const sayProof = editKind({
  schema: sayProofSchema,
  obstacle: (job, { entries }) => {
    const gone = entries.map(({ entry }) => entry).find(entry => 'faceId' in entry && !job.faces.some(face => face.id === entry.faceId))
    return gone ? 'This is said of a face that the job does not have.' : null
  },
  apply: (job, edit) => {
    const known = new Set(job.proof.map(one => one.id))
    const proof = [...job.proof]
    for (const { at, entry } of edit.entries) if (!known.has(entry.id)) proof.splice(at ?? proof.length, 0, entry)
    return { ...job, proof }
  },
  invert: (job, edit): z.infer<typeof dropProofSchema> | z.infer<typeof sayProofSchema> => {
    const known = new Set(job.proof.map(one => one.id))
    const fresh = edit.entries.filter(({ entry }) => !known.has(entry.id))
    return fresh.length ? { type: 'drop-proof', entryIds: fresh.map(({ entry }) => entry.id) } : edit
  },
  touches: edit => edit.entries.map(({ entry }) => key(entry.id)),
  words: edit => inWords(edit.entries.map(({ entry }) => entry)),
  example: (job, { pick, whole, between }) => ({
    type: 'say-proof' as const,
    entries: [{ at: null, entry: { id: `p${whole(1, 1e6)}`, by: 'A roofer', at: '2026-05-04T09:30:00Z', kind: 'serial' as const, faceId: pick(job.faces).id, xMm: between(0, 8000), yMm: between(200, 3000), what: pick(['module', 'unit'] as const), serial: `SK-${whole(1000, 9999)}`, partId: 'some', via: pick(['scanned', 'typed', 'map'] as const) } }],
  }),
})

/** Takes out what was said wrongly. */
export const dropProof = editKind({
  schema: dropProofSchema,
  obstacle: () => null,
  apply: (job, edit) => ({ ...job, proof: job.proof.filter(one => !edit.entryIds.includes(one.id)) }),
  invert: (job, edit): z.infer<typeof sayProofSchema> | z.infer<typeof dropProofSchema> => {
    const entries = job.proof.flatMap((entry, at) => edit.entryIds.includes(entry.id) ? [{ at, entry }] : [])
    return entries.length ? { type: 'say-proof', entries } : edit
  },
  touches: edit => edit.entryIds.map(key),
  words: () => ['the proof'],
  example: (job: Job, { pick }) => ({ type: 'drop-proof' as const, entryIds: [pick([...job.proof.map(one => one.id), 'gone']), 'gone-too'] }),
})
