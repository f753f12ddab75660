import type { Catalogue } from '../catalogue'
import { bySeverity, type Cure, draftFindings, roofFindings, siteFindings, type DraftFinding, type Finding } from '../findings'
import { applyEdit, type Job } from '../job'
import type { Part } from '../parts'
import type { RoofClear } from '../keepclear'
import { roofClearOf } from './clear'
import { planFace, placesOf, type FacePlan } from './face'

/** All that follows from a job, as plain data that survives JSON. Never stored as truth. */
export interface Plan {
  faces: FacePlan[]
  /** What the keep-clear rules come to over the whole roof. */
  roof: RoofClear
  list: Part[]
  totals: PlanTotals
  findings: Finding[]
}

/** The figures by which two plans of a job are compared. */
export interface PlanTotals { modules: number, powerW: number, fixings: number, sticks: number, splices: number, stops: number }

interface Draft { faces: FacePlan[], roof: RoofClear, findings: DraftFinding[] }

/** More cures than this for one finding are not shown. */
const MOST_CURES = 3

/**
 * Plans a job: every face through the same steps, then the findings with cures that have been tried.
 * Pure: the same job and catalogue give the same plan.
 * @throws when the job names parts the catalogue does not have; `readJob` tells that beforehand
 */
export function planJob(job: Job, catalogue: Catalogue): Plan {
  const draft = draftPlan(job, catalogue)
  const findings = draft.findings.map(finding => withCures(job, catalogue, draft, finding)).sort(bySeverity)
  const list = mergeParts(draft.faces.flatMap(face => face.list))
  return {
    faces: draft.faces, roof: draft.roof, list, findings,
    totals: {
      modules: sum(draft.faces, face => face.modules),
      powerW: sum(draft.faces, face => face.powerW),
      fixings: sum(draft.faces, face => face.fixings.total),
      sticks: sum(draft.faces, face => face.sticks.sticks.length),
      splices: sum(draft.faces, face => face.sticks.splices.length),
      stops: stopsOf(findings),
    },
  }
}

const sum = <T>(items: T[], of: (item: T) => number): number => items.reduce((total, item) => total + of(item), 0)
const stopsOf = (findings: Pick<Finding, 'severity'>[]): number => findings.filter(finding => finding.severity === 'stop').length

function draftPlan(job: Job, catalogue: Catalogue): Draft {
  const roof = roofClearOf(job, catalogue)
  const faces = job.faces.map((face, i) => planFace(face, catalogue, job.keepClear, roof.faces[i]!))
  const findings = [...siteFindings(job), ...roofFindings(job, roof)].concat(job.faces.flatMap((face, i) => draftFindings({ job, catalogue, face, plan: faces[i]!, places: placesOf(face, catalogue) })))
  return { faces, roof, findings }
}

/** Keeps the cures that, planned with, make the finding go away and bring no stop that was not there before. */
function withCures(job: Job, catalogue: Catalogue, draft: Draft, { propose, ...finding }: DraftFinding): Finding {
  const cures: Cure[] = []
  for (const cure of propose()) {
    if (cures.length >= MOST_CURES) break
    if (reallyCures(job, catalogue, draft, finding.id, cure)) cures.push(cure)
  }
  return { ...finding, cures }
}

function reallyCures(job: Job, catalogue: Catalogue, draft: Draft, findingId: string, cure: Cure): boolean {
  const after = draftPlan(applyEdit(job, cure.edit), catalogue).findings
  const before = new Set(draft.findings.map(finding => finding.id))
  return !after.some(finding => finding.id === findingId || (finding.severity === 'stop' && !before.has(finding.id)))
}

/** Adds up equal parts of several faces. */
function mergeParts(parts: Part[]): Part[] {
  const merged = new Map<string, Part>()
  for (const part of parts) {
    const key = JSON.stringify([part.kind, part.name, part.maker, part.lengthMm])
    const same = merged.get(key)
    merged.set(key, same
      ? { ...same, pieces: same.pieces + part.pieces, massKg: same.massKg === null ? null : same.massKg + (part.massKg ?? 0) }
      : part)
  }
  return [...merged.values()]
}

/** One face of a job as the whole plan has it. */
export function planFaceOf(job: Job, catalogue: Catalogue, faceId: string): FacePlan {
  const index = job.faces.findIndex(face => face.id === faceId)
  return planFace(job.faces[index]!, catalogue, job.keepClear, roofClearOf(job, catalogue).faces[index]!)
}
