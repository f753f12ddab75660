import { type FaceFigure, faceFigure } from '../drawing'
import type { Job } from '../job'
import type { FaceMarks } from '../markout'
import { datumName, shapeOf } from '../roof'
import type { UnitSystem } from '../units'
import type { Plan } from './job'

/** One face of a mark-out as it is printed. */
export interface SheetFace extends FaceMarks {
  datumWords: string
  figure: FaceFigure
  /** How far apart the eave's ends are and how high the face goes, mm. */
  eaveMm: number
  upMm: number
}

/** A mark-out as it is handed out: plain data that is kept as it was, whatever becomes of the job. */
export interface MarkoutSheet { title: string, place: string, units: UnitSystem, cautions: string[], faces: SheetFace[] }

/** Cautions that stand on every sheet that is taken up a roof. */
const ALWAYS = [
  'Fall protection on, ladder tied off, covering dry. Rails are no foothold.',
  'Drill a pilot before every fixing: pale dust is timber. A miss is sealed and moved, and said.',
  'The makers’ instructions, the local code and a licensed engineer come before this sheet.',
]

/** The mark-out of a planned job: every face that carries modules, with what stops the work and who answers for the structure. */
export function markoutSheet(job: Job, plan: Plan): MarkoutSheet {
  const { engineer } = job.loads
  const stops = plan.findings.filter(finding => finding.severity === 'stop').map(finding => `Stop: ${finding.sentence}`)
  return {
    title: job.title, place: job.place, units: job.units,
    cautions: [
      ...(engineer.asked && engineer.name ? [`The structure rests on the work of ${engineer.name}.`] : []), ...stops, ...ALWAYS,
    ],
    faces: job.faces.flatMap((face, f): SheetFace[] => {
      const own = plan.faces[f]!
      if (!own.modules) return []
      const { eave, up } = shapeOf(face.outline)
      return [{ faceId: face.id, name: face.name, datum: face.datum, datumWords: datumName(face), marks: own.marks, figure: faceFigure(face, own), eaveMm: eave.toMm - eave.fromMm, upMm: up.toMm }]
    }),
  }
}
