import { type Catalogue, fireClassNames, offered } from '../catalogue'
import { applyEdit, type Edit, type Job } from '../job'
import { type FacePlan, planJob } from '../plan'

/** A module that a face's in-roof system was tested with, in the place of the one it has, and what would change. */
export interface BetterModule {
  faceId: string
  face: string
  module: string
  approval: string
  /** What differs, in words such as `modules −2`; empty where nothing that is counted does. */
  changes: string[]
  /** Stops that the job would have with it and does not have now. */
  newStops: string[]
  edit: Edit
}

const sign = (n: number): string => (n > 0 ? `+${n}` : `−${Math.abs(n)}`)
const vocOf = ({ rows, parts }: FacePlan): string => {
  const most = Math.max(0, ...rows.rows.map(row => row.count))
  return parts.module.plate ? `${(most * parts.module.plate.vocV).toFixed(0)} V open-circuit in the longest row` : 'no plate on the shelf'
}

/** Modules with a later approval or more power for the in-roof faces of a job, each planned with. */
export function betterModules(job: Job, catalogue: Catalogue, only: { moduleId: string, systemId: string } | null = null): BetterModule[] {
  const before = planJob(job, catalogue)
  const stops = new Set(before.findings.filter(one => one.severity === 'stop').map(one => one.id))
  return job.faces.flatMap((face, f) => {
    const own = before.faces[f]!
    if (!face.inRoof || !own.inRoof) return []
    const { system, approval: had } = own.inRoof
    const better = offered(catalogue.approvals).filter((one) => {
      const module = catalogue.modules.find(item => item.id === one.moduleId)
      if (one.systemId !== system.id || one.moduleId === face.array.moduleId || !module || module.retired) return false
      if (only) return only.moduleId === one.moduleId && only.systemId === one.systemId
      return module.powerW > own.parts.module.powerW || !had || one.on > had.on
    })
    return better.map((one): BetterModule => {
      const edit: Edit = { type: 'set-array', faceId: face.id, values: { moduleId: one.moduleId } }
      const after = planJob(applyEdit(job, edit), catalogue)
      const next = after.faces[f]!
      const pieces = (plan: FacePlan) => plan.inRoof?.kit.pieces.filter(piece => !piece.kind.startsWith('joint')).length ?? 0
      const joints = (plan: FacePlan) => plan.inRoof?.kit.pieces.filter(piece => piece.kind.startsWith('joint')).length ?? 0
      const battens = (plan: FacePlan) => plan.inRoof?.battens?.steps.filter(step => step.act !== 'keep').length ?? 0
      const counted: [string, number, number][] = [
        ['modules', own.modules, next.modules],
        ['power W', own.powerW, next.powerW],
        ['flashing pieces', pieces(own), pieces(next)],
        ['joints', joints(own), joints(next)],
        ['battens to change', battens(own), battens(next)],
        ['electronics units', own.wiring?.units.length ?? 0, next.wiring?.units.length ?? 0],
      ]
      return {
        faceId: face.id,
        face: face.name,
        module: next.parts.module.name,
        approval: `${one.test}, ${fireClassNames[one.fireClass]}, ${one.on}`,
        edit,
        changes: [
          ...counted.flatMap(([name, was, now]) => (was === now ? [] : [`${name} ${sign(now - was)}`])),
          ...(vocOf(own) === vocOf(next) ? [] : [`strings: ${vocOf(own)} before, ${vocOf(next)} after`]),
        ],
        newStops: after.findings.filter(finding => finding.severity === 'stop' && !stops.has(finding.id)).map(finding => finding.sentence),
      }
    })
  })
}
