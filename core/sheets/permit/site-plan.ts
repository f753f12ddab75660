import { planOutline, toPlan } from '../../roof'
import type { Job } from '../../job'
import type { Plan } from '../../plan'
import type { FaceFigure } from '../figure'
import { layer } from '../ground'

/** The whole roof from above, mm east and north: faces, modules, the roof box; north is up. */
export function sitePlan(job: Job, plan: Plan): FaceFigure {
  const faces = job.faces.map((face, f) => ({ face, own: plan.faces[f]!, ring: planOutline(face) }))
  const all = faces.flatMap(one => one.ring)
  const [xs, ys] = [all.map(one => one.x), all.map(one => one.y)]
  const pad = 900
  const middle = (ring: { x: number, y: number }[]) => ({ x: ring.reduce((sum, one) => sum + one.x, 0) / ring.length, y: ring.reduce((sum, one) => sum + one.y, 0) / ring.length })
  const box = plan.wiring.roofBox
  const boxFace = box && job.faces.find(one => one.id === box.faceId)
  return {
    name: 'Site plan', along: { fromMm: Math.min(...xs) - pad, toMm: Math.max(...xs) + pad }, up: { fromMm: Math.min(...ys) - pad, toMm: Math.max(...ys) + pad },
    layers: [
      layer('site-roof', { rings: faces.map(one => one.ring) }),
      layer('site-modules', { rings: faces.flatMap(({ face, own }) => own.rows.rows.flatMap(row => row.moduleLeftsMm.map(left => [[left, row.bottomMm], [left + row.moduleWidthMm, row.bottomMm], [left + row.moduleWidthMm, row.topMm], [left, row.topMm]].map(([x, y]) => toPlan(face, { x: x!, y: y! }))))) }),
      layer('site-words', {
        crosses: box && boxFace ? [toPlan(boxFace, box.at)] : [],
        texts: [...faces.map(({ face, own, ring }) => ({ at: middle(ring), text: own.modules ? `${face.name}: ${own.modules} modules` : face.name })), { at: { x: Math.max(...xs) + pad * 0.5, y: Math.max(...ys) + pad * 0.5 }, text: 'N ↑' }],
      }),
    ],
  }
}
