import type { Catalogue } from '../catalogue'
import { applyEdit, type Edit, type Face, faceOf, type Job } from '../job'
import { type GroundPlan, planGround } from '../ground'
import type { RoofClear } from '../keepclear'
import { thereOn } from '../fixings'
import { memoryOf, namesFor, onceFor } from '../memory'
import { bySeverity, type Cure, type Finding, mergedParts } from '../trade'
import { modulesUnder, roofClearOf } from './clear'
import { finishFace, type LaidOut, layOut, placesOf } from './face'
import { faceFindings, jobFindings, type KnownDraft } from './findings'
import type { FacePlan, Plan } from './layout'
import { wireRoof, type WiringPlan } from '../wiring'
import { partsOfJob } from './parts'

/** Whether fixings round holes are to be searched through, or a first answer is wanted. */
export type Pace = 'first' | 'whole'

/** One face laid out and judged, with what it was laid out under. */
interface FaceDraft { face: Face, clearKey: string, logKey: string, layout: LaidOut, findings: KnownDraft[] }
interface Draft { job: Job, roof: RoofClear, wiring: WiringPlan, grid: GroundPlan | null, faces: FaceDraft[], findings: KnownDraft[] }

/** More cures than this for one finding are not shown. */
const MOST_CURES = 3

/**
 * Plans a job: every face through the same steps, then the findings with cures that have been tried.
 * The same job and catalogue give the same plan; what was worked out before of the same facts is remembered.
 * @param pace `first` where holes are there: answers that keep the limits, at once, and not yet with the fewest changes
 * @throws when the job names parts the catalogue does not have; `readJob` tells that beforehand
 */
export function planJob(job: Job, catalogue: Catalogue, pace: Pace = 'whole'): Plan {
  const draft = draftPlan(job, catalogue, null, pace)
  // Cures take planning of their own: a first answer is there before them.
  const findings = draft.findings.map(({ propose, orStep, ...finding }): Finding => pace === 'first' ? { ...finding, cures: [] } : withCures(job, catalogue, draft, { propose, orStep, ...finding })).sort(bySeverity)
  const faces = draft.faces.map(({ face, layout }) => finished(face, job, catalogue, layout, draft.wiring))
  const ofJob = partsOfJob({ job, catalogue, wiring: draft.wiring, grid: draft.grid, faces: faces.map((plan, i) => ({ face: job.faces[i]!, plan })) })
  return {
    faces, roof: draft.roof, wiring: draft.wiring, grid: draft.grid, list: mergedParts([...faces.flatMap(face => face.list), ...ofJob]), findings,
    totals: {
      modules: sum(faces, face => face.modules),
      powerW: sum(faces, face => face.powerW),
      fixings: sum(faces, face => face.fixings.total),
      sticks: sum(faces, face => face.sticks.sticks.length),
      splices: sum(faces, face => face.sticks.splices.length),
      stops: stopsOf(findings),
    },
  }
}

/** A face that is laid out and wired as before is finished as before, and is the very same: nobody has to be told of it again. */
const known = new WeakMap<LaidOut, { wiring: string, plan: FacePlan }>()
function finished(face: Face, job: Job, catalogue: Catalogue, layout: LaidOut, wiring: WiringPlan): FacePlan {
  const own = wiring.faces[face.id] ?? null
  // Electrical settings and groups count beside what lies on the face: its earth wire and its units are ordered by them.
  const key = JSON.stringify([own, job.wiring.groups, job.wiring.earth, job.wiring.boxes])
  const ready = known.get(layout)
  if (ready?.wiring === key) return ready.plan
  const plan = finishFace(face, job, catalogue, { ...layout, wiring: own })
  known.set(layout, { wiring: key, plan })
  return plan
}

const sum = <T>(items: T[], of: (item: T) => number): number => items.reduce((total, item) => total + of(item), 0)
const stopsOf = (findings: Pick<Finding, 'severity'>[]): number => findings.filter(finding => finding.severity === 'stop').length

/** Faces remembered at a time: those of the largest job with the cures that were tried on them. */
const MOST_FACES = 120
const drafts = memoryOf<FaceDraft>(MOST_FACES)
const layouts = memoryOf<LaidOut>(MOST_FACES)

/** So many different logs keep their name: those of a few phones, and of the faces they stand on. */
const MOST_LOGS = 40
const logNames = namesFor(MOST_LOGS)
const namesByFace = onceFor((_log: Job['log']) => new Map<string, string>())
/** What the log says of one face, by a short name: a day's log is long, and each cure that is tried asks for it again. */
function logKeyOf({ log }: Job, faceId: string): string {
  const names = namesByFace(log)
  const name = names.get(faceId) ?? logNames(JSON.stringify(log.filter(entry => entry.faceId === faceId)))
  names.set(faceId, name)
  return name
}

/** What of a job bears on every face. The keep-clear rules' choices for the whole roof reach a face by what they ask of it. */
const rulesOf = ({ keepClear, loads, van, units, site, assumed, wanted }: Job): unknown[] => [keepClear.ruleSet, keepClear.values, loads, van, units, site, assumed, wanted]

/**
 * Lays out and judges every face. A face that an edit did not touch, under rules it did not touch either, is taken from the
 * draft before it: most cures change one face.
 */
function draftPlan(job: Job, catalogue: Catalogue, before: Draft | null, pace: Pace = 'whole'): Draft {
  const roof = roofClearOf(job, catalogue)
  const rules = rulesOf(job)
  const rulesStay = before && rulesOf(before.job).every((rule, i) => rule === rules[i])
  const faces = job.faces.map((face, i): FaceDraft => {
    const clearKey = JSON.stringify(roof.faces[i])
    // Of the log only holes, rails and what is followed bear on the layout: a torque logged lays nothing out anew, though all of it is judged.
    const thereKey = JSON.stringify(thereOn(job, face))
    const logKey = logKeyOf(job, face.id)
    const same = rulesStay ? before.faces.find(one => one.face === face && one.clearKey === clearKey && one.logKey === logKey) : null
    if (same) return same
    const trial = before !== null
    // What is remembered may be of an equal face that came in another copy.
    const draft = drafts(catalogue, [trial, pace, face, clearKey, logKey, ...rules], (): FaceDraft => {
      const clear = roof.faces[i]!
      const hurried = pace === 'first'
      const plan = layouts(catalogue, [trial, pace, face, clearKey, thereKey, ...rules], () => layOut(face, catalogue, job, clear, trial, hurried))
      const tried = (edit: Edit) => {
        const after = applyEdit(job, edit)
        return layOut(faceOf(after, face.id), catalogue, after, clear, true, hurried)
      }
      return { face, clearKey, logKey, layout: plan, findings: faceFindings({ job, catalogue, face, plan, places: placesOf(face, catalogue, job), tried }) }
    })
    return { ...draft, face }
  })
  const trial = before !== null
  const wiring = wireRoof(job, faces.map(({ face, layout }) => ({ face, plan: layout })), catalogue, trial)
  const grid = planGround(job, wiring, catalogue, trial || pace === 'first')
  const whole = jobFindings({
    job, catalogue, roof, wiring, grid, faces: faces.map(({ face, layout }) => ({ face, plan: { ...layout, wiring: wiring.faces[face.id] ?? null } })), trial,
    modulesWith: (edits, relaxed = clear => clear) => modulesUnder(edits.reduce<Job>(applyEdit, job), catalogue, roof.faces.map(relaxed)),
  })
  return { job, roof, wiring, grid, faces, findings: [...whole, ...faces.flatMap(one => one.findings)] }
}

/**
 * Keeps the cures that, planned with, make the finding go away and bring no stop that was not there before. Where none does, a finding may
 * take those that are a step: they say how many stops they bring.
 */
function withCures(job: Job, catalogue: Catalogue, draft: Draft, { propose, orStep, ...finding }: KnownDraft): Finding {
  const cures: Cure[] = []
  const steps: Cure[] = []
  for (const cure of propose()) {
    if (cures.length >= MOST_CURES) break
    const brings = stopsBrought(job, catalogue, draft, finding.id, cure)
    if (brings === 0) cures.push(cure)
    else if (brings) steps.push({ ...cure, label: `${cure.label} (brings ${brings === 1 ? 'another stop' : `${brings} other stops`})` })
  }
  return { ...finding, cures: cures.length || !orStep ? cures : steps.slice(0, MOST_CURES) }
}

/** Stops that a cure brings which were not there before; null where the finding itself stays. */
function stopsBrought(job: Job, catalogue: Catalogue, draft: Draft, findingId: string, cure: Cure): number | null {
  const after = draftPlan(applyEdit(job, cure.edit), catalogue, draft).findings
  const before = new Set(draft.findings.map(finding => finding.id))
  return after.some(finding => finding.id === findingId) ? null : after.filter(finding => finding.severity === 'stop' && !before.has(finding.id)).length
}

/**
 * One face of a job as the whole plan has it.
 * @throws when the job has no such face
 */
export function planFaceOf(job: Job, catalogue: Catalogue, faceId: string): FacePlan {
  const face = faceOf(job, faceId)
  const draft = draftPlan(job, catalogue, null)
  return finished(face, job, catalogue, draft.faces[job.faces.indexOf(face)]!.layout, draft.wiring)
}
