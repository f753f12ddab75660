import { sealNames } from '../catalogue'
import { betweenBattens, fromDatum } from '../coverings'
import { type CoveringStep, coveringSteps, type Face, type Job } from '../job'
import { listed, sentenceCase, writer } from '../trade'
import { formatQuantity, torque } from '../units'
import type { OpeningsLayout } from './layout'
import type { Opening, UnitRef } from './opening'
import { throughOf } from './through'
import { isHard, unitWords } from './words'

/** One step of a card, in words. */
export interface CardStep { id: CoveringStep, words: string }

/** What a roofer reads before opening the covering at one fixing: where, in what order, and what can hurt. */
export interface OpeningCard {
  fixingId: string
  title: string
  /** The course and unit it goes through, the timber it is driven into, and by which way. */
  where: string
  way: string
  steps: CardStep[]
  cautions: string[]
  /** What weather and covering must be like. */
  conditions: string[]
  /** Parts of this one fixing: words with their number. */
  parts: string[]
  minutes: number
}

/** Units by course, as `14 and 15 of course 6`. */
function unitsInWords(face: Face, units: UnitRef[], one: string): string {
  const courses = [...new Set(units.map(unit => unit.course))]
  return listed(courses.map((course) => {
    const own = units.filter(unit => unit.course === course)
    const numbers = own.flatMap(unit => unit.unit === null ? [] : fromDatum(face, course, unit.unit)).sort((a, b) => a - b)
    return numbers.length ? `${one}${numbers.length === 1 ? '' : 's'} ${listed(numbers.map(String))} of course ${course}` : `course ${course}`
  }))
}

/** The card of one opening. */
export function cardOf(job: Job, face: Face, plan: OpeningsLayout, opening: Opening): OpeningCard {
  const { mount, closure } = throughOf(plan, opening)
  const say = writer({ job })
  const { covering } = face
  const unit = unitWords[covering.kind]
  const { cut, course, arm, flashing, seal } = opening
  const timber = opening.screws.some(one => one.insideMm !== null)
  const pilot = mount.fasteners?.pilotMm
  const lifted = opening.lifted
  const cutUnit = cut?.unit == null ? '' : fromDatum(face, cut.course, cut.unit)
  const screwsUp = opening.plate.yMm - opening.railAt.yMm
  const words: Record<CoveringStep, string | false> = {
    'look': opening.first && 'Opened first: look for the rafter, log where it is seen, then go on.',
    'screw-out': closure.way === 'screw' && 'Take the sheet’s own screw out; clean its hole.',
    'strip': closure.way === 'strip' && plan.stripped !== null && `Strip the area under the array first: ${plan.stripped.units} ${unit.many}, stacked; underlay and shingle over it, flashed at its edges.`,
    'lift': lifted.length > 0 && (covering.kind === 'coursed-shingle' ? `Break the bond of ${unitsInWords(face, lifted, unit.one)} and lift${closure.nails ? `; pull ${closure.nails} nails in the way` : ''}.` : `Lift ${unitsInWords(face, lifted, unit.one)}. Keep ${lifted.length === 1 ? 'it' : 'them'}.`),
    'slot': cut?.kind === 'slot' && `Slot ${unit.one} ${cutUnit}: ${say(cut.highMm)} high, ${say(cut.wideMm)} wide (± ${say(cut.toleranceMm)}), its left edge ${say(cut.fromLeftMm ?? 0)} from the ${unit.one}’s, its foot ${say(cut.fromLowerMm)} up from the lower edge. Shield under the blade.`,
    'core': cut?.kind === 'core' && `Core ${unit.one} ${cutUnit}: ${say(cut.wideMm)} across (± ${say(cut.toleranceMm)}), its left edge ${say(cut.fromLeftMm ?? 0)} from the ${unit.one}’s and ${say(cut.fromLowerMm)} up from its lower edge.`,
    'batten': opening.batten?.cut === true && 'Cut the batten back at the plate; carry its ends on trimmers to the next rafters.',
    'plate': timber && `Plate on ${opening.member}, its middle ${Math.abs(screwsUp) < 0.5 ? 'on' : `${say(Math.abs(screwsUp))} ${screwsUp > 0 ? 'up from' : 'down from'}`} the rail’s line${course ? `, ${say(opening.plate.yMm - course.fromMm)} above the edge of course ${course.number}` : ''}.`,
    'screws': timber && `${pilot ? `Pilot: ${mount.screw.pilot}; pale dust. Blow it out. ` : `${mount.screw.pilot}. `}${mount.screw.perMount} × ${mount.screw.name}.`,
    'hole': cut?.kind === 'hole' && `Drill the ${unit.one}: ${say(cut.wideMm)} (± ${say(cut.toleranceMm)})${cut.fromLeftMm === null ? '' : `, ${say(cut.fromLeftMm + cut.wideMm / 2)} from its left edge`}.`,
    'foot': closure.way === 'screw' && `Foot with its upright to the ridge; ${mount.screw.name} in the same hole until the gasket just spreads.`,
    'clamp': closure.way === 'clamp' && `Clamp on ${opening.member}; set screws to their torque. Pierce nothing.`,
    'seal': closure.seal !== 'none' && `${sealNames[closure.seal]}${seal.beadLengthMm ? `: ${say(closure.beadMm)} bead, ${say(seal.beadLengthMm)} long` : ''}, ${(seal.ml - seal.dabsMl).toFixed(0)} ml.${closure.way === 'sealed' && closure.seal === 'surface' ? ' Surface-sealed: it is not lapped, and is recorded so.' : ''}`,
    'flashing': flashing !== null && closure.way !== 'strip' && `Flashing: head ${say(flashing.headMm - opening.plate.yMm)} above the screws${flashing.under ? `, under course ${flashing.under}` : ''}; foot ${say(opening.plate.yMm - flashing.footMm)} below them${course && closure.way === 'lapped' ? `, not past the edge of course ${course.number}` : ''}.`,
    'drive': timber && closure.way === 'lapped' && 'Drive until the washer just compresses, no more.',
    'fit': closure.parts.length > 0 && closure.parts.some(one => one !== 'flashing') && `Fit ${listed(closure.parts.filter(one => one !== 'flashing').map(one => one.replace('-', ' ')))}.`,
    'notch': cut?.kind === 'notch' && `Notch ${unit.one} ${cutUnit}: ${say(cut.wideMm)} wide, ${say(cut.deepMm)} deep (± ${say(cut.toleranceMm)}), ${say(cut.highMm)} up from its lower edge, ${say(cut.fromLeftMm ?? 0)} from its left edge; the rib on the underside ground away there.`,
    'arm': arm !== null && `Arm ${say(arm.clearMm)} clear of the ${unit.one} below${arm.givesMm === null ? '' : `; it gives ${say(arm.givesMm)} at most under load`}.`,
    'ride': arm !== null && arm.ridesMm > 0 && `${cut ? 'The notch does not take all of the arm' : 'No notch'}: the ${unit.one} above rides up ${say(arm.ridesMm)} on the arm.`,
    'trim': closure.trimMm > 0 && `Trim the shingle back ${say(closure.trimMm)} round the post.`,
    'underlay': betweenBattens(closure) && 'Close the underlay’s hole so that water runs over it.',
    'lay-back': lifted.length > 0 && (covering.kind === 'coursed-shingle' ? `Lay the courses down; ${closure.nails ? `${closure.nails} nails driven again, heads sealed; ` : ''}${closure.dabs} dabs under the tabs.` : `${sentenceCase(lifted.length === 1 ? unit.one : unit.many)} back; ${fixedAgain(covering.kind, lifted.length)}`),
    'bolt': `Rail bolt ${formatQuantity(torque(mount.torqueNm), job.units)}, logged.`,
  }
  return {
    fixingId: opening.fixingId, title: `Rail ${opening.rail}, fixing ${opening.place} of ${opening.of}`,
    where: [course ? `course ${course.number}` : '', opening.unit && course ? `${unit.one} ${fromDatum(face, course.number, opening.unit.number)}` : '', `on ${opening.member}`].filter(Boolean).join(', '),
    way: `${mount.name}: ${closure.name[0]!.toLowerCase()}${closure.name.slice(1)}`, steps: coveringSteps.flatMap(id => words[id] === false ? [] : [{ id, words: words[id] }]), cautions: cautionsFor(face, opening), minutes: closure.minutes,
    conditions: [...closure.dry ? ['dry surface'] : [], ...closure.leastC === null ? [] : [`${formatTemperature(closure.leastC, job.units)} at least`], ...closure.lifts ? ['the covering must lift without breaking'] : []],
    parts: [`1 ${mount.name}`, `${mount.screw.perMount} ${mount.screw.name}`, ...closure.parts.map(one => `1 ${one.replace('-', ' ')}`), ...seal.ml > 0 ? [`${seal.ml.toFixed(0)} ml sealant`] : []],
  }
}

const formatTemperature = (celsius: number, units: Job['units']): string => units === 'imperial' ? `${Math.round(celsius * 9 / 5 + 32)} °F` : `${celsius} °C`

/** How units that were lifted are fixed again. BS 5534 (2014 on, from memory) asks for a mechanical fixing of every single-lap tile. */
function fixedAgain(kind: Face['covering']['kind'], units: number): string {
  switch (kind) {
    case 'interlocking-tile': return `each clipped or screwed (${units}): every single-lap tile has a mechanical fixing (BS 5534, from memory).`
    case 'slate': return 'each nailed or held by its clip.'
    case 'plain-tile': return 'each nailed again or twice hung on its nibs.'
    default: return 'each fastened as it was.'
  }
}

/** What can hurt at one opening. */
function cautionsFor({ covering }: Pick<Face, 'covering'>, { cut, way }: Opening): string[] {
  const hard = isHard({ covering })
  return [
    ...hard && cut && cut.kind !== 'hole' ? ['Dust of cut tile and slate is silica: wet cut or extraction, respirator (P3), goggles. Sparks and blade away from underlay and people.'] : [],
    ...way === 'plate' ? ['A slate drilled through keeps dry by its gasket and the flashing over it: no hole is left outside the flashing.'] : [],
    ...covering.kind === 'slate' ? ['Never cut a slate that may be asbestos cement: stop and have it tested.'] : [],
    ...hard ? ['Stand on a roof ladder or boards: units break under a knee. What is lifted is stacked where it can’t slide.'] : [],
    ...covering.kind === 'pressed-metal-tile' ? ['Thin metal dents and is slippery: walk on the boards only, at the front edge over the batten.'] : [],
    ...covering.kind === 'coursed-shingle' ? ['Shingle cracks when cold and tears when hot: lift in the cool of the day, and not below what the sealant takes.'] : [],
    ...way === 'screw' || way === 'clamp' ? ['Metal is slippery when wet and hot in sun. Fibre sheet is not walked on.'] : [],
  ]
}
