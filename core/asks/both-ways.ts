import { type Catalogue, evidenceOf } from '../catalogue'
import { perimeterMm, rectangle, together } from '../geometry'
import { faceOf, type Face, type Job } from '../job'
import { columnsOf, coursesOf } from '../coverings'
import { type FacePlan, planJob } from '../plan'
import { count, formatPower, length, type Quantity, words } from '../units'
import { ROSS } from '../wiring'
import type { Working } from '../working'

/** Two people, minutes (common practice): a metre of rail with its splices, a module on rails, a batten, a square metre of covering taken off and carried down. */
const MINUTES = { railMetre: 4, module: 14, batten: 6, stripM2: 11 }
/** Hours of work in a day on the roof, and days to put a scaffold up and take it down (common practice). */
const DAY_HOURS = 7
const SCAFFOLD_DAYS = 1
/** Light at which a year's energy is mostly made, W/m² (common practice). */
const LIGHT_WM2 = 600
/** Covering without its battens, where the shelf does not say what units weigh, kg/m² (common practice). */
const COVERING_KG_M2 = 45

/** One figure both ways, each with how it comes about. */
export interface WayFigure {
  what: string
  inRoof: Working
  onRails: Working
}
/** A face built both ways. */
export interface BothWays {
  figures: WayFigure[]
  /** What stands against each way as it is planned: its stops. */
  stops: { inRoof: string[], onRails: string[] }
}

const money = (sum: number, currency: string): Quantity => words(`${sum.toFixed(0)} ${currency}`)
const hours = (minutes: number): number => minutes / 60

/** Parts with prices, and how many have none. */
const costOf = ({ list }: FacePlan) => ({
  sum: list.reduce((sum, part) => sum + part.pieces * (part.price ?? 0), 0),
  unpriced: list.filter(part => part.price === null).length,
})

/**
 * Plans one face both ways, in the roof with its system and on rails with the array's own rail, mount and clamps, and sets the figures side
 * by side.
 * @throws when the face has no in-roof array
 */
export function bothWays(job: Job, catalogue: Catalogue, faceId: string): BothWays {
  const face = faceOf(job, faceId)
  if (!face.inRoof) throw new Error('This face has no in-roof array.')
  const plans = [face, { ...face, inRoof: null }].map((own) => {
    const plan = planJob({ ...job, faces: [own] }, catalogue)
    return { face: own, plan: plan.faces[0]!, stops: plan.findings.filter(one => one.severity === 'stop').map(one => one.sentence) }
  })
  const [within, rails] = plans as [(typeof plans)[number], (typeof plans)[number]]
  const figure = (what: string, of: (way: (typeof plans)[number]) => Omit<Working, 'what'>): WayFigure => ({
    what,
    inRoof: { what: `${what}, in the roof`, ...of(within) },
    onRails: { what: `${what}, on rails`, ...of(rails) },
  })
  const plain = (result: Quantity, source = 'The plan', formula = 'counted'): Omit<Working, 'what'> => ({ formula, values: [], result, source, basis: 'arithmetic' })
  return {
    stops: { inRoof: within.stops, onRails: rails.stops },
    figures: [
      figure('Modules', ({ plan }) => plain(count(plan.modules, 'modules'))),
      figure('Power', ({ plan }) => ({
        ...plain(words(formatPower(plan.powerW))),
        formula: 'modules × nameplate',
        source: evidenceOf(plan.parts.module),
        basis: 'maker',
      })),
      figure('Material', ({ plan }) => {
        const { sum, unpriced } = costOf(plan)
        return {
          formula: 'pieces × price, module and electronics included',
          values: [{ symbol: 'n', what: 'lines without a price, not counted', value: count(unpriced, 'lines') }],
          result: money(sum, catalogue.currency),
          source: 'The shelf’s prices',
          basis: 'maker',
        }
      }),
      figure('Work of two people', way => labour(way)),
      figure('Scaffold', (way) => {
        const h = labourMinutes(way).reduce((sum, one) => sum + one.minutes, 0) / 60
        return {
          formula: `⌈h / ${DAY_HOURS}⌉ + ${SCAFFOLD_DAYS}`,
          values: [{ symbol: 'h', what: 'hours of work', value: words(`${h.toFixed(1)} h`) }],
          result: words(`${Math.ceil(h / DAY_HOURS - 1e-9) + SCAFFOLD_DAYS} days`),
          source: 'A working day on the roof, a day to put it up and take it down',
          basis: 'common practice',
        }
      }),
      figure('Bird guard', ({ plan }) => {
        // Rows a gap apart are one array to a bird.
        const runs = plan.rows.rows.flatMap(row =>
          row.blocks.map(block =>
            rectangle({ fromMm: block.leftMm, toMm: block.rightMm }, { fromMm: row.bottomMm, toMm: plan.rows.rows[row.index + 1]?.bottomMm ?? row.topMm }),
          ),
        )
        const mm = plan.inRoof || !runs.length ? 0 : perimeterMm(together(runs))
        return {
          ...plain(length(mm), plan.inRoof ? 'Nothing nests under a covering that is closed all round' : 'Round the array, its rows taken together'),
          formula: plan.inRoof ? 'none' : 'outline of the array',
        }
      }),
      figure('Ways through the covering', ({ plan }) =>
        plan.inRoof
          ? { ...plain(count(1, 'way')), formula: 'the cables’ own', source: `Screws end in battens: ${plan.inRoof.battens?.screws.length ?? 0} of them` }
          : {
              ...plain(count(plan.fixings.total, 'ways')),
              formula: 'one a fixing',
              source: `Screws into rafters: ${plan.fixings.total * plan.parts.mount.screw.perMount}`,
            },
      ),
      figure('Units of the covering saved', ({ plan }) =>
        plan.inRoof
          ? {
              ...plain(count(plan.inRoof.tiles?.saved ?? 0, 'units')),
              formula: 'wholly in the array’s ground',
              source: `Cut beside it: ${plan.inRoof.tiles?.cut ?? 0}, each from a whole one`,
            }
          : { ...plain(count(plan.units.spare, 'units')), formula: 'not laid again under the array' },
      ),
      figure('Taken off and carried away', ({ face: own, plan }) => rubbish(own, plan)),
      figure('A year’s energy', ({ plan }) => energy(face.inRoof!.kwhPerKwp, plan)),
    ],
  }
}

/** What the work is put together of, minutes of two people. */
function labourMinutes({ face, plan }: { face: Face, plan: FacePlan }): { what: string, minutes: number }[] {
  const { inRoof } = plan
  if (!inRoof) {
    const railM = plan.sticks.sticks.reduce((sum, stick) => sum + stick.stockMm, 0) / 1000
    const openings = plan.openings.reduce((sum, one) => sum + (plan.parts.mount.closures.find(closure => closure.id === one.closureId)?.minutes ?? 0), 0)
    return [
      { what: `${plan.fixings.total} fixings, by their way through the covering`, minutes: openings },
      { what: `${railM.toFixed(1)} m of rail at ${MINUTES.railMetre} min`, minutes: railM * MINUTES.railMetre },
      { what: `${plan.modules} modules at ${MINUTES.module} min`, minutes: plan.modules * MINUTES.module },
    ]
  }
  const changed = inRoof.battens?.steps.filter(one => one.act !== 'keep').length ?? 0
  const flashing = inRoof.kit.pieces.filter(piece => !piece.kind.startsWith('joint')).length
  return [
    { what: `${plan.modules} modules at ${inRoof.system.moduleMinutes} min`, minutes: plan.modules * inRoof.system.moduleMinutes },
    { what: `${flashing} pieces of flashing at ${inRoof.system.pieceMinutes} min`, minutes: flashing * inRoof.system.pieceMinutes },
    { what: `${changed} battens at ${MINUTES.batten} min`, minutes: changed * MINUTES.batten },
    ...(face.inRoof!.work === 'retrofit'
      ? [{ what: `${(inRoof.tiles?.areaM2 ?? 0).toFixed(1)} m² stripped at ${MINUTES.stripM2} min`, minutes: (inRoof.tiles?.areaM2 ?? 0) * MINUTES.stripM2 }]
      : []),
  ]
}

function labour(way: { face: Face, plan: FacePlan }): Omit<Working, 'what'> {
  const parts = labourMinutes(way)
  return {
    formula: 'sum of the tasks',
    values: parts.map((one, i) => ({ symbol: `t${i + 1}`, what: one.what, value: words(`${hours(one.minutes).toFixed(1)} h`) })),
    result: words(`${hours(parts.reduce((sum, one) => sum + one.minutes, 0)).toFixed(1)} h`),
    source: 'Minutes by the makers and the mount’s way, others by common practice',
    basis: 'common practice',
  }
}

/** What a retrofit takes off and brings down. */
function rubbish(face: Face, { inRoof }: FacePlan): Omit<Working, 'what'> {
  const strips = inRoof && face.inRoof?.work === 'retrofit'
  const areaM2 = strips ? (inRoof.tiles?.areaM2 ?? 0) : 0
  const kgM2 = inRoof?.weight.unitsKgM2 ?? COVERING_KG_M2
  return {
    formula: strips ? 'A × m' : inRoof ? 'none: the covering is not there yet' : 'none',
    values: strips
      ? [
          { symbol: 'A', what: 'ground that the array takes', value: { kind: 'area', mm2: areaM2 * 1e6 } },
          {
            symbol: 'm',
            what: inRoof.weight.unitsKgM2 === null ? 'weight of the covering, usual' : 'weight of the units by the shelf',
            value: words(`${kgM2.toFixed(0)} kg/m²`),
          },
        ]
      : [],
    result: { kind: 'mass', kg: areaM2 * kgM2 },
    source: coursesOf(face.covering) && columnsOf(face.covering) ? 'Course by course' : 'Common practice',
    basis: 'arithmetic',
  }
}

/** A year's energy, the array in the roof a little hotter. */
function energy(kwhPerKwp: number | null, plan: FacePlan): Omit<Working, 'what'> {
  const perK = plan.parts.module.plate?.powerPerK ?? null
  const hotterK = plan.inRoof ? (ROSS.roof - ROSS.rails) * LIGHT_WM2 : 0
  const loss = perK === null ? null : -perK * hotterK
  const values = [
    { symbol: 'ΔT', what: `hotter than on rails at ${LIGHT_WM2} W/m²`, value: words(`${hotterK.toFixed(1)} K`) },
    { symbol: 'γ', what: 'power with each kelvin', value: words(perK === null ? 'not on the shelf' : `${(perK * 100).toFixed(2)} %`) },
    { symbol: 'y', what: 'a kilowatt on rails in a year', value: words(kwhPerKwp === null ? 'not typed' : `${kwhPerKwp} kWh`) },
  ]
  const share = loss === null ? 'how much less is not known' : plan.inRoof ? `${(loss * 100).toFixed(1)} % less a kilowatt` : 'none less'
  return {
    formula: 'E = P y (1 + γ ΔT)',
    values,
    basis: 'common practice',
    source: 'Ross coefficients 0.026 on rails and 0.034 in the roof (from memory)',
    result: kwhPerKwp === null || loss === null ? words(share) : words(`${((plan.powerW / 1000) * kwhPerKwp * (1 - loss)).toFixed(0)} kWh`),
  }
}
