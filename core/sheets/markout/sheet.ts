import type { Job } from '../../job'
import { type OpeningGroup, openingGroups } from '../../openings'
import type { Plan } from '../../plan'
import { datumName, shapeOf } from '../../roof'
import type { UnitSystem } from '../../units'
import { type FaceFigure, faceFigure } from '../figure'
import type { FaceMarks } from './changes'

/** One face of a mark-out as it is printed. */
export interface SheetFace extends FaceMarks {
  datumWords: string
  figure: FaceFigure
  /** How its fixings are opened and closed, those alike together. Sheets issued before there were cards have none. */
  openings?: OpeningGroup[]
  /** How far apart the eave's ends are and how high the face goes, mm. */
  eaveMm: number
  upMm: number
}

/** A mark-out as it is handed out: plain data that is kept as it was, whatever becomes of the job. */
export interface MarkoutSheet {
  title: string
  place: string
  units: UnitSystem
  cautions: string[]
  /** Stops that were open when it was issued, with the reason that whoever issued it gave; null where there were none. */
  despite: { reason: string, stops: string[] } | null
  faces: SheetFace[]
}

/** Cautions that stand on every sheet that is taken up a roof. */
const ALWAYS = [
  'Harness on and anchored, ladder tied off, covering dry. Rails and modules are no foothold.',
  'Drill a pilot before every fixing: pale dust is timber. A miss is sealed and moved, and said.',
  'The makers’ instructions, the local code and a licensed engineer come before this sheet.',
]

/** What of a plan stops the work, in sentences. */
export const stopsOf = (plan: Pick<Plan, 'findings'>): string[] => plan.findings.filter(finding => finding.severity === 'stop').map(finding => finding.sentence)

/** What a sheet rests on: what nobody has proved, and an engineer's word against a maker's figure. */
export const restsOn = (plan: Pick<Plan, 'findings'>): string[] => plan.findings.filter(finding => finding.onSheets).map(finding => finding.sentence)

/**
 * The mark-out of a planned job: every face that carries modules, with what stops the work and who answers for the structure.
 * @param reason why it is issued although something stops the work; empty where nothing does or it is not issued
 */
export function markoutSheet(job: Job, plan: Plan, reason = ''): MarkoutSheet {
  const { engineer } = job.loads
  const stops = stopsOf(plan)
  return {
    title: job.title, place: job.place, units: job.units, despite: reason && stops.length ? { reason, stops } : null,
    cautions: [
      ...(engineer.asked && engineer.name ? [`The structure rests on the work of ${engineer.name}.`] : []), ...stops.map(stop => `Stop: ${stop}`), ...restsOn(plan), ...ALWAYS,
    ],
    faces: job.faces.flatMap((face, f): SheetFace[] => {
      const own = plan.faces[f]!
      if (!own.modules) return []
      const { eave, up } = shapeOf(face.outline)
      return [{
        faceId: face.id,
        name: face.name,
        datum: face.datum,
        datumWords: datumName(face),
        marks: own.marks,
        figure: faceFigure({ job, face, plan: own }),
        openings: openingGroups(job, face, own),
        eaveMm: eave.toMm - eave.fromMm,
        upMm: up.toMm,
      }]
    }),
  }
}
