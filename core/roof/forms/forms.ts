import { done, type Outcome, refused } from '../../outcome'
import type { Point } from '../../geometry'
import type { EdgeKind } from '../../job'
import { degrees, radians, STEEPEST_PITCH_DEG, wrapDeg } from '../../units'
import { layFace, type LaidFace, type PlanFace } from '../from-plan'

/** Plan sizes of the common roofs, eave to eave, mm. The front is the side that `azimuthDeg` looks out of. */
export type RoofForm
  = | { kind: 'gable', lengthMm: number, depthMm: number, pitchDeg: number, azimuthDeg: number }
    | { kind: 'hip', lengthMm: number, depthMm: number, pitchDeg: number, endPitchDeg: number, azimuthDeg: number }
    | {
      kind: 'cross-gable'
      lengthMm: number
      depthMm: number
      pitchDeg: number
      wingWidthMm: number
      wingOutMm: number
      wingAtMm: number
      wingPitchDeg: number
      azimuthDeg: number
    }
    | { kind: 'lean-to', lengthMm: number, depthMm: number, pitchDeg: number, azimuthDeg: number }

export type RoofFormKind = RoofForm['kind']

type Corner = Point & { edge: EdgeKind }
/** A face in the form's own plan: x along the front eave, y away from the front; `turnDeg` is its azimuth less the front's. */
interface FormFace { name: string, turnDeg: number, pitchDeg: number, corners: Corner[] }

const at = (x: number, y: number, edge: EdgeKind): Corner => ({ x, y, edge })

/** All faces of a common roof at once, at true lengths, or a sentence that says which sizes can't be. */
export function roofFaces(form: RoofForm): Outcome<LaidFace[]> {
  const problem = badSizes(form)
  if (problem) return refused(problem)
  const faces = formFaces(form)
  return 'problem' in faces ? refused(faces.problem) : done(faces.map(face => layFace(turned(face, form.azimuthDeg))))
}

function badSizes(form: RoofForm): string | null {
  const pitches = [form.pitchDeg, ...(form.kind === 'hip' ? [form.endPitchDeg] : []), ...(form.kind === 'cross-gable' ? [form.wingPitchDeg] : [])]
  if (pitches.some(pitch => !(pitch > 0 && pitch <= STEEPEST_PITCH_DEG))) return `Pitches run from above 0° to ${STEEPEST_PITCH_DEG}°.`
  if (!(form.lengthMm >= 1000 && form.depthMm >= 1000)) return 'Length and depth must be at least 1000 mm (3′ 3″).'
  if (form.lengthMm > 60_000 || form.depthMm > 60_000) return 'Length and depth must be at most 60 m (197 ft).'
  return null
}

function formFaces(form: RoofForm): FormFace[] | { problem: string } {
  const { lengthMm: L, depthMm: D, pitchDeg } = form
  switch (form.kind) {
    case 'lean-to': return [{ name: 'Lean-to', turnDeg: 0, pitchDeg, corners: [at(0, 0, 'eave'), at(L, 0, 'rake'), at(L, D, 'wall'), at(0, D, 'rake')] }]
    case 'gable': return [
      { name: 'Front', turnDeg: 0, pitchDeg, corners: [at(0, 0, 'eave'), at(L, 0, 'rake'), at(L, D / 2, 'ridge'), at(0, D / 2, 'rake')] },
      { name: 'Back', turnDeg: 180, pitchDeg, corners: [at(L, D, 'eave'), at(0, D, 'rake'), at(0, D / 2, 'ridge'), at(L, D / 2, 'rake')] },
    ]
    case 'hip': return hipFaces(L, D, pitchDeg, form.endPitchDeg)
    case 'cross-gable': return crossGableFaces(form)
  }
}

/** Hips rise from the corners to where side and end slopes stand equally high. */
function hipFaces(L: number, D: number, pitchDeg: number, endPitchDeg: number): FormFace[] | { problem: string } {
  const run = D / 2 * Math.tan(radians(pitchDeg)) / Math.tan(radians(endPitchDeg))
  if (2 * run > L + 1) return { problem: 'The ends meet before the sides do: make the house longer, its ends steeper, or swap length and depth.' }
  const ridge = L - 2 * run > 1
  const [left, right] = ridge ? [at(run, D / 2, 'hip'), at(L - run, D / 2, 'ridge')] : [at(L / 2, D / 2, 'hip'), at(L / 2, D / 2, 'hip')]
  const side = (name: string, turnDeg: number, corners: Corner[]): FormFace => ({ name, turnDeg, pitchDeg, corners })
  const end = (name: string, turnDeg: number, corners: Corner[]): FormFace => ({ name, turnDeg, pitchDeg: endPitchDeg, corners })
  return [
    side('Front', 0, [at(0, 0, 'eave'), at(L, 0, 'hip'), ...(ridge ? [right, left] : [left])]),
    end('Right end', -90, [at(L, 0, 'eave'), at(L, D, 'hip'), at(right.x, D / 2, 'hip')]),
    side('Back', 180, [at(L, D, 'eave'), at(0, D, 'hip'), ...(ridge ? [at(left.x, D / 2, 'ridge'), at(right.x, D / 2, 'hip')] : [at(L / 2, D / 2, 'hip')])]),
    end('Left end', 90, [at(0, D, 'eave'), at(0, 0, 'hip'), at(left.x, D / 2, 'hip')]),
  ]
}

/** A wing's ridge runs into the front slope where that is as high; valleys run from there down to the front eave. */
function crossGableFaces(form: Extract<RoofForm, { kind: 'cross-gable' }>): FormFace[] | { problem: string } {
  const { lengthMm: L, depthMm: D, pitchDeg, wingWidthMm: w, wingOutMm: out, wingAtMm: c, wingPitchDeg } = form
  if (!(w >= 1000 && out >= 300)) return { problem: 'The wing must be at least 1000 mm (3′ 3″) wide and stand out at least 300 mm (1′).' }
  if (c - w / 2 < 1 || c + w / 2 > L - 1) return { problem: 'The wing must lie inside the front: its middle at least half its width from both ends.' }
  const reach = w / 2 * Math.tan(radians(wingPitchDeg)) / Math.tan(radians(pitchDeg))
  if (reach > D / 2 - 100) return { problem: `The wing’s ridge would stand as high as the main one or higher. Make it narrower or flatter: at this width ${degrees(Math.atan((D / 2 - 100) * Math.tan(radians(pitchDeg)) / (w / 2))).toFixed(1)}° at most.` }
  return [
    {
      name: 'Front',
      turnDeg: 0,
      pitchDeg,
      corners: [at(0, 0, 'eave'), at(c - w / 2, 0, 'valley'), at(c, reach, 'valley'), at(c + w / 2, 0, 'eave'), at(L, 0, 'rake'), at(L, D / 2, 'ridge'), at(0, D / 2, 'rake')],
    },
    { name: 'Back', turnDeg: 180, pitchDeg, corners: [at(L, D, 'eave'), at(0, D, 'rake'), at(0, D / 2, 'ridge'), at(L, D / 2, 'rake')] },
    { name: 'Wing left', turnDeg: 90, pitchDeg: wingPitchDeg, corners: [at(c - w / 2, -out, 'rake'), at(c, -out, 'ridge'), at(c, reach, 'valley'), at(c - w / 2, 0, 'eave')] },
    { name: 'Wing right', turnDeg: -90, pitchDeg: wingPitchDeg, corners: [at(c, -out, 'rake'), at(c + w / 2, -out, 'eave'), at(c + w / 2, 0, 'valley'), at(c, reach, 'ridge')] },
  ]
}

/** From the form's own plan, whose front looks south, into plan with the front looking its way. */
function turned({ name, turnDeg, pitchDeg, corners }: FormFace, frontDeg: number): PlanFace {
  const angle = radians(180 - frontDeg)
  return {
    name, pitchDeg, azimuthDeg: wrapDeg(frontDeg + turnDeg),
    corners: corners.map(({ x, y, edge }) => ({ x: x * Math.cos(angle) - y * Math.sin(angle), y: x * Math.sin(angle) + y * Math.cos(angle), edge })),
  }
}
