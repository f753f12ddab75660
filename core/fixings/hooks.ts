import { goesOn, goesWith, offered } from '../catalogue'
import { besideWindowMm, footOf, fromDatum, unitAt } from '../coverings'
import { shapeOf } from '../roof'
import { type Cure, type FindingAsk, writer } from '../trade'
import type { FixingsLayout } from './layout'

type HooksAsk = FindingAsk<FixingsLayout>

/** Interlocking tiles lie in straight columns: every course is as the others along the eave. */
const ANY_COURSE = 2

/** Rafters on the face with how far each stands from where the hook's arm can leave a tile, mm; null where no hook goes through such tiles. */
function reaches({ face, plan }: HooksAsk): { number: number, column: number, missMm: number }[] | null {
  const { covering, outline } = face
  const { along } = shapeOf(outline)
  if (covering.kind !== 'interlocking-tile' || !plan.parts.mount.hook) return null
  return plan.supports.rafters.filter(one => one.centreMm > along.fromMm && one.centreMm < along.toMm).map(({ number, centreMm }) => ({
    number,
    column: fromDatum(face, ANY_COURSE, unitAt(face, ANY_COURSE, centreMm)!.number),
    missMm: besideWindowMm(covering, footOf(face, plan.parts.mount), ANY_COURSE, centreMm),
  }))
}

/** Why a hook finds no place over rafters that are there, and what would give it one; empty where that is not the reason. */
export function hookWords(ask: HooksAsk): string {
  const all = reaches(ask)
  const missed = all?.filter(one => one.missMm > 0) ?? []
  const { hook } = ask.plan.parts.mount
  if (!hook || !missed.length) return ''
  const say = writer(ask)
  const most = Math.max(...missed.map(one => one.missMm))
  const columns = [...new Set(missed.map(one => one.column))].sort((a, b) => a - b)
  return ` ${missed.length === all!.length ? 'All rafters lie' : `${missed.length} of ${all!.length} rafters lie`} under side laps of the tiles: the arm of ${ask.plan.parts.mount.name} may be set ${say(hook.travelMm)} aside and would need ${say(hook.travelMm + most)}. Take a hook that reaches, or swap the tiles at the side laps of columns ${columns.slice(0, 4).join(', ')}${columns.length > 4 ? ' and so on' : ''} (from the ${ask.face.datum}) for flat ones made for hooks; and read where the first column begins, it decides.`
}

/** Hooks on the shelf whose arm reaches from every rafter. */
export function longerHooks(ask: HooksAsk): Cure[] {
  const missed = reaches(ask)?.filter(one => one.missMm > 0) ?? []
  if (!missed.length) return []
  const { catalogue, face, plan } = ask
  const { covering } = face
  const ground = { covering: covering.kind, support: face.supports.kind }
  const xs = plan.supports.rafters.filter(one => missed.some(other => other.number === one.number)).map(one => one.centreMm)
  return offered(catalogue.mounts).filter(mount => mount.id !== plan.parts.mount.id && goesOn(mount, ground) && goesWith(catalogue, plan.parts.rail.id, mount.id))
    .filter(mount => covering.kind !== 'interlocking-tile' || xs.every(x => besideWindowMm(covering, footOf(face, mount, null), ANY_COURSE, x) === 0))
    .map(mount => ({ label: `Use ${mount.name}`, edit: { type: 'set-array', faceId: face.id, values: { mountId: mount.id } } }))
}
