import { battensIn, belowFirst, betweenBattens, type Course, coursesUp, fromDatum, lengthOf } from '../coverings'
import type { Point } from '../geometry'
import type { Face, Job } from '../job'
import { writer } from '../trade'
import { radians } from '../units'
import { type Saying, type SectionDrawing, type SectionTone, stacked, textWidth } from './drawing'
import type { OpeningsLayout } from './layout'
import type { Opening } from './opening'
import type { Through } from './open'
import { UNIT_THICK_MM } from './thickness'
import { throughOf } from './through'
import { unitWords } from './words'

/** A place in the cut: s up the slope from the eave, z off the timber, mm. */
type At = [s: number, z: number]

/** Beyond what is drawn of the rafter, of rails and of frames where nobody has measured them, mm. */
const RAFTER_DEEP_MM = 120
const RAIL_MM = { high: 40, wide: 34 }
/** Shingles reach this far under the second course up (common practice: 2 in). */
const SHINGLE_HEAD_LAP_MM = 51
/** Height of a standing seam (common practice). */
const SEAM_MM = 30

/** Everything about one cut that its parts are drawn from. */
interface Cutting { job: Job, face: Face, plan: OpeningsLayout, opening: Opening, through: Through, baseMm: number, thickMm: number, courses: Course[], window: { fromMm: number, toMm: number } }

/** Length of a course's units up the slope, those of shingles and metal by what they commonly are. */
function unitLength({ face: { covering } }: Pick<Cutting, 'face'>, { fromMm, toMm }: Course): number {
  return lengthOf(covering) ?? (covering.kind === 'coursed-shingle' ? 2 * (toMm - fromMm) + SHINGLE_HEAD_LAP_MM : toMm - fromMm + 20)
}

/** Underside of a course's units at a height: their heads lie on the batten, their tails on the units below, which lifts each by its own thickness times how many lie under it. */
function undersideAt(cutting: Cutting, course: Course, s: number): number {
  const lengthMm = unitLength(cutting, course)
  const tailMm = cutting.thickMm * lengthMm / (course.toMm - course.fromMm)
  return cutting.baseMm + tailMm * (1 - (s - course.fromMm) / lengthMm)
}
const topAt = (cutting: Cutting, course: Course, s: number): number => undersideAt(cutting, course, s) + cutting.thickMm

const onTop = (cutting: Cutting, course: Course, s: number): At => [s, topAt(cutting, course, s)]

/** The course whose face shows at a height. */
const showing = (courses: Course[], s: number): Course | null => courses.find(one => s >= one.fromMm - 1e-6 && s < one.toMm - 1e-6) ?? null

/** What is said above the roof and below it, each with the places it may point at. */
interface Says { above: [string, ...At[]][], below: [string, ...At[]][] }

/** Collects what is drawn, turned to the roof's pitch. */
function turned(pitchDeg: number) {
  const [cos, sin] = [Math.cos(radians(pitchDeg)), Math.sin(radians(pitchDeg))]
  const at = ([s, z]: At): Point => ({ x: s * cos - z * sin, y: s * sin + z * cos })
  const areas: SectionDrawing['areas'] = []
  const lines: SectionDrawing['lines'] = []
  return {
    at, areas, lines,
    area: (tone: SectionTone, ...points: At[]) => areas.push({ tone, points: points.map(at) }),
    line: (tone: SectionTone, ...points: At[]) => lines.push({ tone, points: points.map(at) }),
    box: (tone: SectionTone, fromS: number, toS: number, fromZ: number, toZ: number) => areas.push({ tone, points: ([[fromS, fromZ], [toS, fromZ], [toS, toZ], [fromS, toZ]] as At[]).map(at) }),
  }
}
type Turned = ReturnType<typeof turned>

/** So many lines of words would stand over one another in a drawing's own height: fewer where it is shown small. */
const LINES = 33
export const LINES_WHERE_SMALL = 18

/**
 * The cut through the roof at one fixing, up its rafter: timber, battens, courses, flashing, hook and rail at their true sizes.
 * @param lines how many lines of words are as high as the drawing: the fewer, the larger they are
 */
export function sectionOf(job: Job, face: Face, plan: OpeningsLayout, opening: Opening, lines = LINES): SectionDrawing {
  const through = throughOf(plan, opening)
  const { covering } = face
  const { closure } = through
  const regular = coursesUp(covering, face.outline)
  const lowMm = Math.min(opening.railAt.yMm, opening.plate.yMm, opening.course?.fromMm ?? Infinity)
  const highMm = Math.max(opening.railAt.yMm, opening.plate.yMm + closure.plateHighMm / 2, opening.flashing?.headMm ?? 0, opening.course?.toMm ?? 0)
  const window = { fromMm: lowMm - 210, toMm: highMm + 150 }
  const cutting: Cutting = {
    job, face, plan, opening, through, window, courses: [...belowFirst(covering, regular), ...regular],
    baseMm: 'battenDeepMm' in covering && closure.way !== 'strip' ? covering.battenDeepMm : covering.kind === 'coursed-shingle' || closure.way === 'strip' ? face.timber.sheathingMm : covering.kind === 'pressed-metal-tile' ? 40 : 0,
    thickMm: closure.way === 'strip' ? UNIT_THICK_MM['coursed-shingle'] : Math.max(UNIT_THICK_MM[covering.kind], 2),
  }
  const drawn = turned(face.pitchDeg)
  const says: Says = { above: [], below: [] }
  drawTimber(cutting, drawn, says)
  drawCourses(cutting, drawn, says)
  const topMm = drawMount(cutting, drawn, says)
  drawArray(cutting, drawn, says, topMm)
  return composed(cutting, drawn, says, topMm, lines)
}

const deepOf = ({ face }: Cutting): number => Math.min(face.timber.depthMm ?? RAFTER_DEEP_MM, RAFTER_DEEP_MM)

function drawTimber(cutting: Cutting, drawn: Turned, says: Says) {
  const { face, plan, opening, window, courses } = cutting
  const deep = deepOf(cutting)
  if (face.supports.kind === 'rafters' || face.supports.kind === 'sheathing') drawn.box('timber', window.fromMm, window.toMm, -deep, 0)
  for (const line of plan.supports.across) if (line.centreMm > window.fromMm && line.centreMm < window.toMm) drawn.box('timber', line.centreMm - line.widthMm / 2, line.centreMm + line.widthMm / 2, -deep, 0)
  if (cutting.baseMm > 0 && !('battenDeepMm' in face.covering && cutting.through.closure.way !== 'strip')) drawn.box('sheathing', window.fromMm, window.toMm, 0, cutting.baseMm)
  if ('battenDeepMm' in face.covering && cutting.through.closure.way !== 'strip') {
    for (const batten of battensIn(face.covering, courses, window.fromMm, window.toMm)) {
      const met = opening.batten && Math.abs(opening.batten.fromMm - batten.fromMm) < 1e-6
      if (met && opening.batten!.cut) drawn.line('thin', [batten.fromMm, 0], [batten.toMm, cutting.baseMm])
      else drawn.box('batten', Math.max(batten.fromMm, window.fromMm), Math.min(batten.toMm, window.toMm), 0, cutting.baseMm)
    }
  }
  if (opening.screws.some(screw => screw.insideMm !== null)) {
    const most = Math.max(...opening.screws.map(screw => screw.yMm))
    const least = Math.min(...opening.screws.map(screw => screw.yMm))
    says.below.push([`${opening.screws.length} ${opening.screws.length === 1 ? 'screw' : 'screws'} in ${opening.member}`, [most, -deep * 0.4], [most, -deep * 0.2], [least, -deep * 0.4]])
  }
}

function drawCourses(cutting: Cutting, drawn: Turned, says: Says) {
  const { face, opening, window, courses, through: { closure } } = cutting
  const { covering } = face
  const say = writer(cutting)
  if (!courses.length) {
    drawn.box('unit', window.fromMm, window.toMm, cutting.baseMm, cutting.baseMm + cutting.thickMm)
    if (covering.kind === 'standing-seam') drawn.box('unit', window.fromMm, window.toMm, cutting.baseMm + cutting.thickMm, cutting.baseMm + SEAM_MM)
    return
  }
  if (closure.way === 'strip') {
    drawn.box('unit', window.fromMm, window.toMm, cutting.baseMm, cutting.baseMm + 2 * cutting.thickMm)
    return
  }
  for (const course of courses) {
    const endMm = course.fromMm + unitLength(cutting, course)
    const [fromMm, toMm] = [Math.max(course.fromMm, window.fromMm), Math.min(endMm, window.toMm)]
    if (fromMm >= toMm) continue
    const own = opening.course?.number === course.number
    const raised = own ? opening.arm?.ridesMm ?? 0 : 0
    const lift = (s: number) => raised * (1 - (s - course.fromMm) / (endMm - course.fromMm))
    const under = (s: number) => undersideAt(cutting, course, s) + lift(s)
    const piece = (from: number, to: number, tone: SectionTone) => to - from > 0.5 && drawn.area(tone, [from, under(from)], [to, under(to)], [to, under(to) + cutting.thickMm], [from, under(from) + cutting.thickMm])
    const { cut } = opening
    const tone: SectionTone = opening.lifted.some(one => one.course === course.number) ? 'lifted' : 'unit'
    // A slot and a core are open right through; a notch takes only the underside.
    if (own && cut && cut.kind !== 'notch') {
      const openMm = course.fromMm + cut.fromLowerMm
      piece(fromMm, openMm, tone)
      piece(openMm + cut.highMm, toMm, tone)
    }
    else piece(fromMm, toMm, tone)
    if (own && cut?.kind === 'notch') drawn.area('cut', [course.fromMm, under(course.fromMm)], [course.fromMm + cut.highMm, under(course.fromMm + cut.highMm)], [course.fromMm + cut.highMm, under(course.fromMm + cut.highMm) + cut.deepMm], [course.fromMm, under(course.fromMm) + cut.deepMm])
  }
  const unit = unitWords[covering.kind].one
  const { cut, course } = opening
  if (course && cut && cut.kind !== 'hole') {
    says.above.push([`${cut.kind} in ${unit}${cut.unit === null ? '' : ` ${fromDatum(face, course.number, cut.unit)}`}, course ${course.number}: ${say(cut.wideMm)} × ${say(cut.kind === 'notch' ? cut.deepMm : cut.highMm)}`, ...[0.6, 0.2, 0.9].map(share => onTop(cutting, course, course.fromMm + cut.fromLowerMm + cut.highMm * share))])
  }
  else if (course) says.above.push([`course ${course.number}${opening.unit ? `, ${unit} ${fromDatum(face, course.number, opening.unit.number)}` : ''}`, ...[0.5, 0.08, 0.94].map(share => onTop(cutting, course, course.fromMm + (course.toMm - course.fromMm) * share))])
}

/** Draws flashing, plate, arm, screws and sealant; returns how high the rail's underside is. */
function drawMount(cutting: Cutting, drawn: Turned, says: Says): number {
  const { opening, through: { closure, mount }, courses, thickMm, baseMm } = cutting
  const say = writer(cutting)
  const { plate, railAt } = opening
  const y = plate.yMm
  const half = closure.plateHighMm / 2
  const own = opening.course
  const surface = (s: number): number => {
    const course = showing(courses, s)
    return closure.way === 'clamp' ? baseMm + SEAM_MM : closure.way === 'strip' ? baseMm + 2 * thickMm : course ? topAt(cutting, course, s) : baseMm + thickMm
  }
  /** A flashing lies on its own course, under those above. */
  const onOwn = (s: number): number => (closure.way === 'strip' || !own ? surface(s) : topAt(cutting, own, s)) + 1.5
  const { flashing } = opening
  if (flashing) {
    const footMm = Math.max(flashing.footMm, cutting.window.fromMm)
    drawn.line('flashing', [footMm, onOwn(footMm)], [y, onOwn(y)], [flashing.headMm, onOwn(flashing.headMm)])
    says.below.push([`flashing’s head${flashing.under ? ` under course ${flashing.under}` : ''}`, [flashing.headMm, onOwn(flashing.headMm)]])
  }
  const onTimber = betweenBattens(closure) || closure.way === 'plate'
  const plateZ = onTimber ? 0 : (flashing ? onOwn(y) : surface(y)) + 1
  drawn.box('steel', y - half, y + half, plateZ, plateZ + mount.plateMm)
  const railMm = Math.max(mount.standoffMm - RAIL_MM.high / 2, surface(railAt.yMm) + 25)
  if (closure.armDownMm > 0) drawArm(cutting, drawn, says, railMm)
  else {
    const postS = onTimber ? y : railAt.yMm
    drawn.box('steel', postS - 9, postS + 9, plateZ, railMm)
    if (closure.parts.includes('cap')) drawn.area('steel', [postS - 26, surface(postS) + 6], [postS + 26, surface(postS) + 6], [postS + 9, surface(postS) + 26], [postS - 9, surface(postS) + 26])
  }
  const long = mount.fasteners?.lengthMm ?? 0
  for (const s of [...new Set(opening.screws.map(screw => screw.yMm))]) drawn.line('screw', [s, plateZ + mount.plateMm + 4], [s, plateZ + mount.plateMm - long])
  if (closure.seal !== 'none') {
    const beads = closure.seal === 'half-circle' ? [half] : closure.seal === 'inverted-u' ? [closure.sealUpMm / 2] : [-(closure.sealUpMm || closure.sealAcrossMm) / 2, (closure.sealUpMm || closure.sealAcrossMm) / 2]
    const z = onTimber ? surface(y) : (flashing ? onOwn(y) - 3 : surface(y))
    for (const s of beads) drawn.line('sealant', [y + s - 3, z], [y + s + 3, z])
    if (beads[0] !== undefined) says.below.push([`sealant ${opening.seal.ml.toFixed(0)} ml`, ...beads.map((s): At => [y + s, z])])
  }
  if (opening.arm) {
    const { clearMm, givesMm } = opening.arm
    const places = [20, 8, 32, 48].map((down): At => [opening.exit!.yMm - down, surface(opening.exit!.yMm - down) + clearMm / 2])
    says.above.push([`arm ${say(clearMm)} clear${givesMm === null ? '' : `, gives ${say(givesMm)} at most`}`, ...places])
  }
  return railMm
}

/** The arm: up from the plate over the batten and the head of the unit below, along it with its distance, and up to the rail. */
function drawArm(cutting: Cutting, drawn: Turned, says: Says, railMm: number) {
  const { opening, through: { closure, mount }, courses, face } = cutting
  const { plate, railAt, arm } = opening
  const below = courses.find(one => one.number === (opening.course?.number ?? 0) - 1)
  const lies = closure.way === 'slot' ? courses.find(one => one.number === opening.course?.number) : below
  if (!lies) return
  const clear = Math.max(0, arm?.clearMm ?? mount.hook?.clearMm ?? 3)
  const along = (s: number): At => [s, topAt(cutting, lies, s) + clear + closure.armThickMm / 2]
  const footMm = plate.yMm - closure.plateHighMm / 2
  const headMm = closure.way === 'slot' ? footMm - 8 : Math.min(footMm - 4, lies.fromMm + unitLength(cutting, lies) + 10)
  const middle: At[] = [[footMm + 6, mount.plateMm / 2], [Math.max(headMm, footMm - 14), mount.plateMm / 2], along(Math.min(headMm, footMm - 14)), along(railAt.yMm), [railAt.yMm, railMm]]
  const half = closure.armThickMm / 2
  middle.slice(1).forEach((to, i) => {
    const from = middle[i]!
    const long = Math.hypot(to[0] - from[0], to[1] - from[1]) || 1
    const [ns, nz] = [-(to[1] - from[1]) / long * half, (to[0] - from[0]) / long * half]
    const [es, ez] = [(to[0] - from[0]) / long * half, (to[1] - from[1]) / long * half]
    drawn.area('steel', [from[0] + ns - es, from[1] + nz - ez], [to[0] + ns + es, to[1] + nz + ez], [to[0] - ns + es, to[1] - nz + ez], [from[0] - ns - es, from[1] - nz - ez])
  })
  if (opening.batten) says.below.push([opening.batten.cut ? 'batten cut, on trimmers' : 'batten in the way', [(opening.batten.fromMm + opening.batten.toMm) / 2, cutting.baseMm / 2]])
  else if ('battenDeepMm' in face.covering) {
    const seen = battensIn(face.covering, courses, cutting.window.fromMm + 30, cutting.window.toMm - 30)
    if (seen.length) says.below.push(['battens whole', ...[...seen].reverse().slice(0, 3).map((batten): At => [(batten.fromMm + batten.toMm) / 2, cutting.baseMm / 2])])
  }
}

/** The rail, the module on it as far as the drawing goes, and the stretch of its frame in which the rail must lie. */
function drawArray(cutting: Cutting, drawn: Turned, says: Says, railMm: number) {
  const { plan, opening, window } = cutting
  const rail = plan.rails.find(one => one.id === opening.railId)!
  const s = opening.railAt.yMm
  drawn.box('rail', rail.way === 'across' ? s - RAIL_MM.wide / 2 : window.fromMm, rail.way === 'across' ? s + RAIL_MM.wide / 2 : window.toMm, railMm, railMm + RAIL_MM.high)
  // A rail up the slope carries several rows: the one over the fixing, or the nearest to it.
  const carried = plan.rows.rows.filter(one => rail.way === 'up' ? rail.carries.some(module => module.row === one.index) : one.index === rail.row)
  const row = carried.reduce<typeof carried[number] | null>((best, one) => best && Math.abs(s - (best.bottomMm + best.topMm) / 2) <= Math.abs(s - (one.bottomMm + one.topMm) / 2) ? best : one, null)
  if (!row) return
  const [fromMm, toMm] = [Math.max(row.bottomMm, window.fromMm), Math.min(row.topMm, window.toMm)]
  const under = railMm + RAIL_MM.high
  const top = under + plan.parts.module.thicknessMm
  if (toMm <= fromMm) return
  drawn.area('module', [fromMm, under], [toMm, under], ...broken(toMm, under, top, row.topMm > window.toMm), [toMm, top], [fromMm, top], ...broken(fromMm, top, under, row.bottomMm < window.fromMm))
  if (rail.way !== 'across' || !rail.holds) return
  const zone = { fromMm: Math.max(rail.zone.fromMm, fromMm), toMm: Math.min(rail.zone.toMm, toMm) }
  if (zone.toMm <= zone.fromMm) return
  drawn.line('zone', [zone.fromMm, under - 1], [zone.toMm, under - 1])
  const say = writer(cutting)
  const ends = [rail.zone.fromMm - row.bottomMm, rail.zone.toMm - row.bottomMm].map(say)
  says.above.push([`clamp zone ${ends[0]} to ${ends[1]}`, ...[0.25, 0.02, 0.6, 0.98].map((share): At => [zone.fromMm + (zone.toMm - zone.fromMm) * share, under])])
}

/** A broken-off end, as on a drawing of what goes on. */
const broken = (s: number, fromZ: number, toZ: number, is: boolean): At[] => is ? [[s + 6, fromZ + (toZ - fromZ) / 3], [s - 6, fromZ + 2 * (toZ - fromZ) / 3]] : []

/** Puts words beside the drawing where it leaves room: above it on the left, below it on the right; and closes it with its dimensions. */
function composed(cutting: Cutting, { at, areas, lines }: Turned, says: Says, railMm: number, perDrawing: number): SectionDrawing {
  const { opening, window, face, plan } = cutting
  const say = writer(cutting)
  const points = [...areas, ...lines].flatMap(one => one.points)
  const own = { fromX: Math.min(...points.map(one => one.x)), toX: Math.max(...points.map(one => one.x)), fromY: Math.min(...points.map(one => one.y)), toY: Math.max(...points.map(one => one.y)) }
  const textMm = Math.max(13, Math.max(own.toX - own.fromX, own.toY - own.fromY) / perDrawing)
  const step = textMm * 1.55
  const sayings = (list: Says['above']): Saying[] => list.map(([text, ...places]) => ({ text, of: places.map(at) }))
  const [above, below] = [sayings(says.above), sayings(says.below)]
  const widest = (list: Saying[]) => Math.max(0, ...list.map(one => textWidth(one.text, textMm)))
  const slope = Math.tan(radians(face.pitchDeg))
  const roofTop = at([window.fromMm, railMm + RAIL_MM.high + plan.parts.module.thicknessMm])
  const roofFoot = at([window.toMm, -deepOf(cutting) - 45])
  const leftX = own.fromX
  const topY = Math.max(own.toY, roofTop.y + (leftX + widest(above) + textMm * 3 - roofTop.x) * slope + above.length * step)
  const rightX = own.toX - widest(below)
  const lowY = Math.min(roofFoot.y - (roofFoot.x - rightX + textMm * 3) * slope - textMm, ...below.flatMap(one => one.of.map(place => place.y - step)))
  const deep = -deepOf(cutting) - 24
  const edge = opening.course
  const dimensions = [
    ...edge && Math.abs(opening.plate.yMm - edge.fromMm) > 3 ? [{ from: at([edge.fromMm, deep]), to: at([opening.plate.yMm, deep]), text: say(opening.plate.yMm - edge.fromMm) }] : [],
  ]
  const upper = stacked(above, { x: leftX, y: topY - textMm }, textMm, 'left')
  return {
    title: `Rail ${opening.rail}, fixing ${opening.place} of ${opening.of}`, areas, lines, textMm, dimensions,
    labels: [...upper, ...stacked(below, { x: rightX, y: lowY }, textMm, 'right', upper)],
    box: { fromX: own.fromX - 8, toX: Math.max(own.toX, leftX + widest(above) + textMm) + 8, fromY: Math.min(own.fromY, lowY - below.length * step, ...dimensions.flatMap(one => [one.from.y - textMm * 2, one.to.y - textMm * 2])), toY: topY + textMm * 0.6 },
  }
}
