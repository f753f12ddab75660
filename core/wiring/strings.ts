import { groupBy } from 'es-toolkit'
import type { Electronics, Inverter } from '../catalogue'
import type { PutIn } from '../job'
import { current, voltage } from '../units'
import type { Working } from '../working'
import { nextDevice, ohmsPerMm, runDropV } from '../electrical'
import { hotCellC } from './heat'
import type { GroupPlan, HomeRun, StringRange, WireString } from './layout'
import { wayMm, type WiredModule } from './modules'
import { belowV, carryWorking, dropOf, dropWorking, homeSize, type RunGround, wayHome } from './runs'
import { routesThrough } from './split'
import { type Pool, stringSizes } from './string-sizes'
import { moduleVolts, type ModuleVolts, needsFuses, stringCurrents } from './string-volts'
import { LOOSE_MM } from './units'
import { type Effort, type Walk, walkString } from './walk'

export interface StringAsk extends RunGround { modules: WiredModule[], firstNumber: number, putIn: PutIn[], quick: boolean }

const JUST = 1e-9
/** How strings are told apart: one face, one way up, one module. */
const poolKey = ({ faceId, orientation, moduleId }: WiredModule): string => `${faceId} ${orientation} ${moduleId}`

/** Least and most modules of a string by voltages, or by its optimisers, and what governs. */
export function rangeOf(volts: ModuleVolts, inverter: Inverter, unit: Electronics | null, mostV: number, powerW: number): StringRange {
  if (inverter.heldV !== null && unit?.string) {
    const byPower = unit.string.mostW === null ? Infinity : Math.floor(unit.string.mostW / powerW + JUST)
    return { least: unit.string.least, leastBy: `fewest on a string by ${unit.name}`, most: Math.min(unit.string.most, byPower), mostBy: byPower < unit.string.most ? `greatest power of a string by ${unit.name}` : `most on a string by ${unit.name}` }
  }
  const limitV = Math.min(inverter.mostV, mostV)
  const byWindow = Math.ceil(inverter.windowV.from / volts.hotVmpV - JUST)
  const byStart = Math.ceil(inverter.startV / volts.hotVocV - JUST)
  const byCold = volts.coldVocV === null ? 0 : Math.floor(limitV / volts.coldVocV + JUST)
  const byUnit = unit?.string?.most ?? Infinity
  return {
    least: Math.max(1, byWindow, byStart), leastBy: byStart > byWindow ? 'the start voltage' : 'the window’s lower end with hot cells',
    most: Math.min(byCold, byUnit), mostBy: byUnit < byCold ? `most on a string by ${unit!.name}` : inverter.mostV < mostV ? `the inverter’s ${inverter.mostV} V at the coldest` : `${mostV} V at the coldest`,
  }
}

/** Modules in the order of a route through their rows, so that what is cut off it lies together. */
const routesOf = (modules: WiredModule[]): WiredModule[][] => {
  const rows = Object.values(groupBy(modules.map((module, i) => ({ module, i })), ({ module }) => `${module.faceId} ${String(module.row).padStart(3, '0')}`))
  const columns = Object.values(groupBy(modules.map((module, i) => ({ module, i })), ({ module }) => `${module.faceId} ${String(Math.round(module.leftMm)).padStart(6, '0')}`)).sort((a, b) => a[0]!.module.leftMm - b[0]!.module.leftMm)
  return [rows, columns].flatMap(lines => routesThrough(lines.map(line => line.map(({ i }) => i)))).map(route => route.map(i => modules[i]!))
}

/** The way round of one string. Electronics on it carry leads of their own from module to module. */
function walkOf(modules: WiredModule[], unit: Electronics | null, ask: StringAsk, effort: Effort): Walk {
  const { roofBox, azimuthDeg } = ask
  const outMm = unit?.outLeadMm ?? null
  const [plus, minus] = [modules.map(one => outMm === null ? one.plus : one.middle), modules.map(one => outMm === null ? one.minus : one.middle)]
  const oneFace = modules.every(one => one.faceId === roofBox.faceId)
  const flat = (one: { at: { x: number, y: number }, space: [number, number, number] }) => oneFace ? one.at : { x: one.space[0], y: one.space[1] }
  const leads = modules.map(one => one.leadMm)
  const reachMm = outMm !== null ? 2 * outMm : leads.some(mm => mm === null) ? 1e6 : 2 * Math.min(...leads as number[])
  return walkString({
    modules: modules.length, reachMm,
    hopMm: (from, to) => wayMm(minus[from]!, plus[to]!, azimuthDeg) + LOOSE_MM,
    plusHomeMm: i => wayMm(plus[i]!, roofBox, azimuthDeg), minusHomeMm: i => wayMm(minus[i]!, roofBox, azimuthDeg),
    at: modules.map(one => flat(one.middle)), box: flat(roofBox),
  }, effort)
}

interface Cut { tracker: number, inverter: number, together: number, modules: WiredModule[] }

/** Which modules form which string: stretches of a route, that route of all tried whose strings cost least together. */
function cutPool(modules: WiredModule[], lengths: { length: number, tracker: number, inverter: number, together: number }[], unit: Electronics | null, ask: StringAsk): { cuts: Cut[], left: WiredModule[] } {
  let best: { cost: number, cuts: Cut[], left: WiredModule[] } | null = null
  for (const route of routesOf(modules)) {
    let at = 0
    const cuts = lengths.map(({ length, ...on }): Cut => ({ ...on, modules: route.slice(at, at += length) }))
    const cost = cuts.reduce((sum, cut) => sum + walkOf(cut.modules, unit, ask, 'rough').cost, 0)
    if (!best || cost < best.cost - 1e-6) best = { cost, cuts, left: route.slice(at) }
    if (lengths.length <= 1 && !best.left.length) break
  }
  return best ?? { cuts: [], left: [] }
}

/** Modules that somebody put into another string; one that was emptied stays in its place, so that the others keep their numbers. */
function movedStrings(cuts: Cut[], { putIn, firstNumber }: StringAsk): Cut[] {
  const after = cuts.map(cut => ({ ...cut, modules: [...cut.modules] }))
  for (const { faceId, moduleId, circuit } of putIn) {
    const from = after.find(cut => cut.modules.some(one => one.faceId === faceId && one.id === moduleId))
    const to = after[circuit - firstNumber]
    if (!from || !to || from === to) continue
    const at = from.modules.findIndex(one => one.faceId === faceId && one.id === moduleId)
    to.modules.push(...from.modules.splice(at, 1))
  }
  return after
}

/** Sizes strings for an inverter's trackers, cuts the roof into them and walks each. */
export function stringsOf({ group, inverter, unit }: Pick<GroupPlan, 'group' | 'inverter' | 'unit'>, ask: StringAsk): Pick<GroupPlan, 'sizes' | 'stringRange' | 'left' | 'workings' | 'problem'> & { strings: WireString[], slots: number } {
  const none = { sizes: null, stringRange: null, left: ask.modules.map(({ faceId, id }) => ({ faceId, id })), workings: [], strings: [], slots: 0 }
  const { job: { wiring }, rules, modules } = ask
  if (!inverter) return { ...none, problem: 'no inverter is chosen for its strings.' }
  const bare = modules.find(one => one.plate === null)
  if (bare) return { ...none, problem: 'the module’s data plate is not on the shelf: strings can’t be sized.' }
  if (wiring.coldC === null) return { ...none, problem: 'nobody has said the lowest temperature expected here: strings can’t be sized.' }
  const held = inverter.heldV !== null
  if (group.system === 'optimisers' && !held) return { ...none, problem: `${inverter.name} takes no optimisers.` }
  if (group.system !== 'optimisers' && held) return { ...none, problem: `${inverter.name} works with its optimisers only.` }
  const volts = new Map<string, ModuleVolts>()
  const ranges = new Map<string, StringRange>()
  const pools = Object.entries(groupBy(modules, one => held ? one.moduleId : poolKey(one))).map(([key, own]): Pool => {
    const [first] = own as [WiredModule]
    const of = moduleVolts(first.plate!, wiring.coldC!, hotCellC(rules.hotC, first.inRoof))
    const range = rangeOf(of, inverter, unit, rules.mostV, first.powerW)
    volts.set(key, of)
    ranges.set(key, range)
    // With optimisers a string carries what its power makes at the voltage that is held.
    const ampsAt = held ? first.powerW * Math.min(range.most, own.length) / inverter.heldV! : null
    return { key, modules: own.length, least: range.least, most: Math.min(range.most, own.length), iscA: ampsAt ?? of.iscA, impA: ampsAt ?? of.impA, powerW: first.powerW }
  })
  const [firstKey] = volts.keys()
  const cold = [...volts.values()].some(one => one.coldVocV === null)
  if (cold) return { ...none, problem: 'it gets colder here than the code’s table goes, and the module’s maker gives no coefficient.' }
  // At a held voltage strings side by side need not be alike: each input is reckoned alone, with its part of the tracker's current.
  const slots = inverter.trackers.flatMap((tracker, at) => held
    ? Array.from({ length: tracker.inputs }, () => ({ at, inputs: 1, workingA: tracker.workingA / tracker.inputs, shortA: tracker.shortA / tracker.inputs }))
    : [{ at, ...tracker }])
  const found = stringSizes(pools, { trackers: slots, mostDcW: inverter.mostDcW })
  const sizes = { ...found, uses: found.uses.map(use => ({ ...use, tracker: slots[use.tracker]!.at })) }
  const beside = (use: typeof sizes.uses[number]) => sizes.uses.filter(one => one.inverter === use.inverter && one.tracker === use.tracker).reduce((sum, one) => sum + one.pools.length, 0)
  const cuts: Cut[] = []
  const left: WiredModule[] = []
  for (const pool of pools) {
    const lengths = sizes.uses.flatMap(use => use.pools.filter(key => key === pool.key).map(() => ({ length: use.length, tracker: use.tracker, inverter: use.inverter, together: beside(use) })))
    const cut = cutPool(modules.filter(one => (held ? one.moduleId : poolKey(one)) === pool.key), lengths, unit, ask)
    cuts.push(...cut.cuts)
    left.push(...cut.left)
  }
  cuts.sort((a, b) => a.inverter - b.inverter || a.tracker - b.tracker)
  const final = movedStrings(cuts, ask)
  const strings = final.flatMap((cut, i) => {
    if (!cut.modules.length) return []
    const key = held ? cut.modules[0]!.moduleId : poolKey(cut.modules[0]!)
    return [stringPlan(cut, ask.firstNumber + i, group.id, inverter, unit, volts.get(key)!, ranges.get(key)!, ask)]
  })
  const first = volts.get(firstKey!)!
  return { sizes, stringRange: ranges.get(firstKey!)!, left: left.map(({ faceId, id }) => ({ faceId, id })), problem: null, strings, slots: final.length, workings: [first.workings.cold, first.workings.hot, first.workings.current, rangeWorking(ranges.get(firstKey!)!, first, inverter, rules.mostV, held)] }
}

const rangeWorking = (range: StringRange, volts: ModuleVolts, inverter: Inverter, mostV: number, held: boolean): Working => ({
  what: 'Modules of a string', formula: held ? 'by its optimisers' : '⌈max(Vw / Vmp, Vs / Voc hot)⌉ to ⌊min(Vi, Vl) / Voc⌋',
  values: [
    { symbol: 'Voc', what: 'of a module at the coldest', value: voltage(volts.coldVocV ?? 0), from: 'Open-circuit voltage of a module at the coldest' },
    { symbol: 'Vmp', what: 'of a module in hot cells', value: voltage(volts.hotVmpV), from: 'Working voltage of a module in hot cells' },
    { symbol: 'Vi', what: `${inverter.name}, greatest input`, value: voltage(inverter.mostV) }, { symbol: 'Vl', what: 'limit on this building', value: voltage(mostV) },
    { symbol: 'Vw', what: 'window, lower end', value: voltage(inverter.windowV.from) }, { symbol: 'Vs', what: 'start voltage', value: voltage(inverter.startV) },
  ],
  result: { kind: 'words', text: range.most < range.least ? `none: at least ${range.least} (${range.leastBy}), at most ${range.most} (${range.mostBy})` : `${range.least} (${range.leastBy}) to ${range.most} (${range.mostBy})` },
  source: 'NEC 690.7; IEC 62548, 7.2; data sheet', basis: 'code',
})

function stringPlan(cut: Cut, number: number, groupId: string, inverter: Inverter, unit: Electronics | null, volts: ModuleVolts, range: StringRange, ask: StringAsk): WireString {
  const { job: { wiring }, rules } = ask
  const walk = walkOf(cut.modules, unit, ask, ask.quick ? 'judge' : 'build')
  const modules = walk.order.map(i => cut.modules[i]!)
  const n = modules.length
  const held = inverter.heldV
  const [first, last] = [modules[0]!, modules.at(-1)!]
  const impA = held === null ? volts.impA : modules.reduce((sum, one) => sum + one.powerW, 0) / held
  const iscA = held === null ? volts.iscA : impA
  const limits = stringCurrents(volts.iscA, rules.us)
  const ends = { plus: wayHome(first.plus, ask), minus: wayHome(last.minus, ask) }
  const homesMm = ends.plus.mm + ends.minus.mm
  const fused = held === null && needsFuses(cut.together, volts.iscA, first.plate?.seriesFuseA ?? null)
  const fuseA = fused ? nextDevice(rules.us, limits.deviceA) : null
  // An optimiser's output is its own rated current, 1.25 once.
  const carried = held === null ? { terminalA: limits.terminalA, afterA: limits.afterA, deviceA: fuseA } : { terminalA: 1.25 * impA, afterA: impA, deviceA: null }
  const ofV = held ?? n * (first.plate?.vmpV ?? 1)
  const leadOhms = ohmsPerMm(rules.us ? '12 AWG' : '4 mm²')
  const below = belowV(ask, impA, 'dc')
  const belowSum = below.reduce((sum, one) => sum + one.volts, 0)
  const hopsV = leadOhms * walk.hopsMm * impA
  const { size, carries } = homeSize(ask, carried, one => runDropV(homesMm / 2, ohmsPerMm(one), impA) + hopsV + belowSum <= wiring.dropShare * ofV)
  // Solar cable thinner than 4 mm² is not laid on roofs (common practice).
  const laid = size === '2.5 mm²' && wiring.homeSize === null ? '4 mm²' as const : size
  const drop = dropOf([{ what: 'leads from module to module', volts: hopsV }, { what: 'home runs, + and −', volts: runDropV(homesMm / 2, ohmsPerMm(laid), impA) }, ...below], ofV, wiring.dropShare)
  const home = (faceId: string, { points, mm }: { points: HomeRun['points'], mm: number }): HomeRun => ({ faceId, points, mm, size: laid, carries, amps: impA })
  const coldV = held ?? n * (volts.coldVocV ?? 0)
  return {
    kind: 'string', number, groupId, faceIds: [...new Set(modules.map(one => one.faceId))], inverter: cut.inverter, tracker: cut.tracker, together: cut.together, modules, walk, range, coldV, hotV: held ?? n * volts.hotVmpV,
    iscA, currentA: impA, carried, fused, fuseA, plus: home(first.faceId, ends.plus), minus: home(last.faceId, ends.minus), drop,
    workings: [
      volts.workings.cold, volts.workings.hot,
      { what: `Open-circuit voltage of string ${number} at the coldest`, formula: held === null ? 'n × Voc' : 'held by the inverter', values: [{ symbol: 'n', what: 'modules', value: { kind: 'count', n, of: 'modules' } }, { symbol: 'Voc', what: 'of one at the coldest', value: voltage(volts.coldVocV ?? 0), from: 'Open-circuit voltage of a module at the coldest' }], result: voltage(coldV), source: 'NEC 690.7(A); IEC 62548, 7.2', basis: 'code' },
      { what: `Working voltage of string ${number} in hot cells`, formula: 'n × Vmp', values: [{ symbol: 'Vmp', what: 'of one in hot cells', value: voltage(volts.hotVmpV), from: 'Working voltage of a module in hot cells' }], result: voltage(held ?? n * volts.hotVmpV), source: 'Data plate', basis: 'arithmetic' },
      { what: `Greatest current of string ${number}`, formula: held === null ? '1.25 × Isc; conductors 1.56 × Isc before, 1.25 × Isc after' : 'string power / held voltage, 1.25 once', values: [{ symbol: 'Isc', what: 'with tolerance and back', value: current(iscA) }], result: current(held === null ? limits.maxA : impA), source: rules.us ? 'NEC 690.8(A)(1), (B)' : 'IEC 62548, 6.5', basis: 'code' },
      carryWorking(`Conductors of string ${number}`, laid, carried, ask),
      dropWorking(`Volts lost on string ${number}`, drop, '(leads + home runs there and back + runs below) × R′ × Imp', 'NEC chapter 9 table 8, stranded, 75 °C; IEC 60228 at 90 °C'),
    ],
  }
}
