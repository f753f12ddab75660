import { v4 as newId } from 'uuid'
import { type AssumableFact, assumedOn, type Edit, type Face, factKey, type Job, type PlainEdit, starterFace, type Supports } from '#core/job'
import type { LaidFace } from '#core/roof'
import type { UnitSystem } from '#core/units'

/** The same supports with nothing found on them yet, for another face of the same house. */
export function bareSupports(supports: Supports): Supports {
  switch (supports.kind) {
    case 'rafters': return { ...supports, layout: 'nominal', found: [], hits: [] }
    case 'purlins': return { ...supports, found: [] }
    case 'sheathing': return { ...supports, areas: [] }
    default: return supports
  }
}

/** A face laid from plan, with the parts, covering, setbacks and supports of one that is there. */
export function faceLike(like: Face, laid: LaidFace, units: UnitSystem): Face {
  const { moduleId, railId, mountId, clampsId, supplyIds, orientation, rowGapMm, columnGapMm, trimTailMm, fixingPattern, allowedSpanMm, allowedOverhangMm } = like.array
  const made = starterFace(newId().slice(0, 8), laid.name, units, { moduleId, railId, mountId, clampsId, supplyIds })
  return {
    ...made, outline: laid.outline, pitchDeg: laid.pitchDeg, place: {
      ...like.place,
      ...laid.place,
    }, covering: like.covering, supports: bareSupports(like.supports), setbacks: like.setbacks,
    array: { ...made.array, orientation, rowGapMm, columnGapMm, trimTailMm, fixingPattern, allowedSpanMm, allowedOverhangMm },
  }
}

/** What new faces take over from another face of the house, and with it whether anybody has read it. */
const takenOver: AssumableFact[] = ['covering', 'covering/courses', 'supports', 'place/eaveHeightMm']

/** The doubts of new faces: those of what they take over, and facts of their own that nobody has read. */
export const doubtsOf = (job: Pick<Job, 'assumed'>, like: Face, faces: Face[], unread: AssumableFact[]): PlainEdit[] => {
  const facts = [...new Set([...assumedOn(job, like).filter(fact => takenOver.includes(fact)), ...unread])]
  return facts.length ? [{ type: 'set-assumed', keys: faces.flatMap(face => facts.map(fact => factKey(face.id, fact))), assumed: true }] : []
}

/**
 * One change that puts new faces after those that are there, or in their place.
 * @param like the face that they took their covering, supports and parts from
 * @param unread facts of their own that nobody has read
 */
export function facesEdit(job: Pick<Job, 'assumed' | 'faces'>, like: Face, faces: Face[], replace: boolean, unread: AssumableFact[] = []): Edit {
  const present = job.faces
  const adds = faces.map((face, i): PlainEdit => ({ type: 'add-face', at: present.length + i, face }))
  return { type: 'batch', edits: [...adds, ...doubtsOf(job, like, faces, unread), ...(replace ? present.map((face): PlainEdit => ({ type: 'remove-face', faceId: face.id })) : [])] }
}
