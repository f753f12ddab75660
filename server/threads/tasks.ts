import { betterModules } from '#core/asks'
import type { Catalogue, Shelf } from '#core/catalogue'
import { shelves } from '#core/catalogue'
import type { Edit, Job } from '#core/job'
import { readEdit, readJob } from '#core/job'
import { keepsLimits, planJob, summaryOf } from '#core/plan'
import { writeTables } from '#core/shelf'
import { calculationSheet } from '#core/sheets/calculation'
import { faceFigure } from '#core/sheets/figure'
import { faceDxf, faceSvg } from '#core/sheets/formats'
import { loadoutCsv, loadoutOf, purchasesCsv } from '#core/sheets/loadout'
import { type MarkoutSheet, markoutSheet, marksCsv, sheetChanges, stopsOf } from '#core/sheets/markout'
import { oneLineFigure, wallFigure } from '#core/sheets/ground'
import { handOverPack, mapPages, type PackFor, portalCsv, portalJson } from '#core/sheets/handover'
import { permitPack } from '#core/sheets/permit'
import { portalRows, type ProofAsk, serialPlaces } from '#core/proof'
import { packPdf } from '../documents/pages'
import { calculationPdf } from '../documents/calculation'
import { documentFonts } from '../documents/fonts'
import { loadoutXlsx } from '../documents/loadout'
import { markoutPdf, type SheetStanding } from '../documents/markout'
import { partsCsv, partsXlsx, readPartsFile } from '../documents/parts-file'
import type { Paper } from '../documents/paper'

/** A job with the parts it is planned with. */
export interface Planned { job: Job, catalogue: Catalogue }
/** Who vouches for figures of it, as lines of a sheet. */
export interface Vouched { vouched: string[] }
const withVouched = <S extends { cautions: string[] }>(sheet: S, { vouched }: Vouched): S => ({ ...sheet, cautions: [...vouched, ...sheet.cautions] })

const changesSince = (issued: MarkoutSheet, now: MarkoutSheet) => sheetChanges(issued.faces, now.faces)

/** A face's drawing in one format; null where the job has no such face. */
function ofFace({ job, catalogue }: Planned, faceId: string, write: typeof faceDxf): { name: string, text: string } | null {
  const f = job.faces.findIndex(face => face.id === faceId)
  const face = job.faces[f]
  return face ? { name: face.name, text: write(faceFigure({ job, face, plan: planJob(job, catalogue).faces[f]! })) } : null
}

/** What the proof of a job is judged by: the job and its plan. */
function proofOf({ job, catalogue }: Planned): ProofAsk {
  const plan = planJob(job, catalogue)
  return { job, catalogue, faces: plan.faces.map((own, f) => ({ face: job.faces[f]!, plan: own })), wiring: plan.wiring, grid: plan.grid }
}

/**
 * What a server works out in threads of its own, so that a request never waits for another's plan. Each takes and gives plain data,
 * knows no database and no request, and gives the same for the same.
 */
export const tasks = {
  summary: ({ job, catalogue }: Planned) => summaryOf(planJob(job, catalogue), job),
  /** What the pages of sheets show: the plan, what goes on the van, and what changed since a sheet was issued. */
  sheetPage({ job, catalogue, issued }: Planned & { issued: MarkoutSheet | null }) {
    const plan = planJob(job, catalogue)
    return { plan, loadout: loadoutOf(job, plan, catalogue), changes: issued ? changesSince(issued, markoutSheet(job, plan)) : [] }
  },
  /** A mark-out to be issued, and what stops the work. */
  markout({ job, catalogue, reason, vouched }: Planned & Vouched & { reason: string }) {
    const plan = planJob(job, catalogue)
    return { stops: stopsOf(plan), sheet: withVouched(markoutSheet(job, plan, reason), { vouched }) }
  },
  /** Why a change on the roof does not keep every limit, change by change; null for one that does. */
  fieldChanges({ job, catalogue, edits }: Planned & { edits: Edit[] }): (string | null)[] {
    let now = job
    return edits.map((edit) => {
      const read = readEdit(edit, now, catalogue)
      // What can't be made at all is refused where it is made, with its reason.
      if (!read.ok) return null
      const why = keepsLimits(planJob(now, catalogue), planJob(read.value.job, catalogue))
      if (why === null) now = read.value.job
      return why
    })
  },
  markoutPdf: async ({ job, catalogue, issued, standing, paper, vouched }: Planned & Vouched & { issued: MarkoutSheet | null, standing: Omit<SheetStanding, 'changedSince'>, paper: Paper }) => {
    const now = markoutSheet(job, planJob(job, catalogue))
    const changedSince = issued ? changesSince(issued, now).reduce((sum, face) => sum + face.changes.length, 0) : 0
    return await markoutPdf(issued ?? withVouched(now, { vouched }), { ...standing, changedSince }, paper, await documentFonts())
  },
  calculationPdf: async ({ job, catalogue, printed, vouched }: Planned & Vouched & { printed: string }) => await calculationPdf(withVouched(calculationSheet(job, planJob(job, catalogue)), { vouched }), job.units, await documentFonts(), printed),
  /** The permit pack; null where nothing stands between roof and grid. */
  permitPdf: async ({ job, catalogue, printed, paper, vouched }: Planned & Vouched & { printed: string, paper: Paper }) => {
    const pack = permitPack(job, planJob(job, catalogue))
    return pack && await packPdf({ ...pack, cautions: [...pack.cautions, ...vouched] }, job.units, paper, await documentFonts(), printed)
  },
  /** The hand-over pack, or the inspector's. */
  handOverPdf: async ({ kind, firm, printed, paper, pictures, vouched, ...planned }: Planned & Vouched & { kind: PackFor, firm: string, printed: string, paper: Paper, pictures: Record<string, Uint8Array> }) => {
    const pack = handOverPack(proofOf(planned), kind, firm)
    return await packPdf({ ...pack, cautions: [...pack.cautions, ...vouched] }, planned.job.units, paper, await documentFonts(), printed, pictures)
  },
  /** The map of serial numbers, as read or with room for labels. */
  serialMapPdf: async ({ blank, printed, paper, ...planned }: Planned & { blank: boolean, printed: string, paper: Paper }) => {
    const ask = proofOf(planned)
    const { title, place, units } = planned.job
    return await packPdf({ name: 'Serial map', title, place, cautions: [], pages: mapPages(ask, serialPlaces(ask), blank) }, units, paper, await documentFonts(), printed)
  },
  /** The array's layout for a monitoring portal. */
  portalLayout: ({ as, ...planned }: Planned & { as: 'csv' | 'json' }): string => as === 'csv' ? portalCsv(portalRows(proofOf(planned))) : portalJson(planned.job.title, portalRows(proofOf(planned))),
  /** The one-line diagram, or a wall by its id, as a file; null where there is none. */
  groundDrawing({ job, catalogue, what, as }: Planned & { what: string, as: 'svg' | 'dxf' }): { name: string, text: string } | null {
    const plan = planJob(job, catalogue)
    const wall = job.ground?.walls.find(one => one.id === what)
    if (!plan.grid || (what !== 'one-line' && !wall)) return null
    const { figure } = wall ? wallFigure(plan.grid, wall) : oneLineFigure(plan.grid, plan.wiring, job.units === 'metric')
    return { name: figure.name, text: as === 'svg' ? faceSvg(figure) : faceDxf(figure) }
  },
  markoutCsv({ job, catalogue }: Planned) {
    const plan = planJob(job, catalogue)
    return marksCsv(job.faces.map(({ name }, i) => ({ name, marks: plan.faces[i]!.marks })), job.units)
  },
  loadoutCsv: ({ job, catalogue }: Planned) => loadoutCsv(loadoutOf(job, planJob(job, catalogue), catalogue), job.units),
  purchasesCsv: ({ job, catalogue }: Planned) => purchasesCsv(loadoutOf(job, planJob(job, catalogue), catalogue), job.units),
  loadoutXlsx: ({ job, catalogue }: Planned) => loadoutXlsx(job, loadoutOf(job, planJob(job, catalogue), catalogue)),
  faceDxf: ({ faceId, ...planned }: Planned & { faceId: string }) => ofFace(planned, faceId, faceDxf),
  faceSvg: ({ faceId, ...planned }: Planned & { faceId: string }) => ofFace(planned, faceId, faceSvg),
  /** A job file, checked as the command line checks it. */
  readJob: ({ data, catalogue }: { data: unknown, catalogue: Catalogue }) => readJob(data, catalogue),
  /** What a module that was approved with an in-roof system would change on a job. */
  betterModules: ({ job, catalogue, only }: Planned & { only: { moduleId: string, systemId: string } }) => betterModules(job, catalogue, only),
  partsXlsx: (catalogue: Catalogue) => partsXlsx(catalogue),
  partsCsv: ({ catalogue, shelf }: { catalogue: Catalogue, shelf: Shelf }) => partsCsv(writeTables(catalogue)[shelves.indexOf(shelf)]!),
  readPartsFile: ({ bytes, name, catalogue, given }: { bytes: Uint8Array, name: string, catalogue: Catalogue, given: Parameters<typeof readPartsFile>[3] }) => readPartsFile(Buffer.from(bytes), name, catalogue, given),
}
export type Tasks = typeof tasks
export type TaskName = keyof Tasks
