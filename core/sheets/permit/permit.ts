import { racewayNames } from '../../electrical'
import { type GroundPlan, wireName } from '../../ground'
import { cableNames, type Job } from '../../job'
import type { Plan } from '../../plan'
import { formatLength, formatMass, formatPower } from '../../units'
import { type CalculationSection, calculationSheet } from '../calculation'
import { faceFigure } from '../figure'
import { letterOf, oneLineFigure, packLabels, wallFigure } from '../ground'
import { type Pack, packPage, type PackTable } from '../pages'
import { sitePlan } from './site-plan'

const ruleWords = ({ rules }: GroundPlan): string => rules.us ? `NEC ${rules.set}` : 'IEC 60364-7-712 and 60364-4 and -5, with national figures as typed'

/** The pack of a job that reaches the grid; null where nobody has begun with that. */
export function permitPack(job: Job, plan: Plan): Pack | null {
  const { grid } = plan
  if (!grid) return null
  const say = (mm: number) => formatLength(mm, job.units)
  const far = (mm: number) => job.units === 'imperial' ? `${Math.ceil(mm / 304.8)} ft` : `${(mm / 1000).toFixed(1)} m`
  const { electrician } = grid.ground
  const calculation = calculationSheet(job, plan)
  const stops = plan.findings.filter(one => one.severity === 'stop')
  return {
    name: 'Permit pack', title: job.title, place: job.place,
    cautions: [
      electrician.name && electrician.licence ? `Electrical work: ${electrician.name}, ${electrician.licence}.` : 'STOP: no licensed electrician is named. Not for a permit.',
      `Rules: ${ruleWords(grid)}. Values marked “from memory” were not checked against the document. Local codes, the utility, the makers and licensed people come before this pack.`,
      ...stops.map(one => `Stop: ${one.sentence}`),
      ...plan.findings.filter(one => one.onSheets && one.stage === 'grid').map(one => one.sentence),
    ],
    pages: [
      packPage('Site plan', { figure: sitePlan(job, plan), tables: [sumTable(job, plan)] }),
      ...plan.faces.flatMap((own, f) => own.modules ? [packPage(`${job.faces[f]!.name}: modules and keep-clear`, { figure: faceFigure({ job, face: job.faces[f]!, plan: own }) })] : []),
      ...calculation.sections.length ? [packPage('Structure', { words: calculation.cautions, tables: [structureTable(calculation.sections)] })] : [],
      packPage('One-line diagram', { wordsToScale: true, figure: oneLineFigure(grid, plan.wiring, job.units === 'metric').figure }),
      ...grid.ground.walls.map(wall => packPage(`Wall: ${wall.name}`, { wordsToScale: true, figure: wallFigure(grid, wall).figure, words: ['Readings run from the wall’s left corner and the floor to the lower left corner. Dashed: there already. Numbers are runs.'], tables: [placesTable(grid, wall.id, say, job)] })),
      packPage('Conductor schedule', { tables: [scheduleTable(grid, far), conductorTable(grid), holesTable(grid, say)].filter(one => one.rows.length) }),
      packPage('Connection', { workings: [...grid.buses.flatMap(one => one.workings), ...grid.tap ? [grid.tap.working] : [], ...grid.ratios.map(one => one.working), ...grid.stores.flatMap(one => one.workings), ...grid.island ? [grid.island.working] : [], ...grid.anchors.map(one => one.working)] }),
      packPage('Labels', { labels: packLabels(grid) }),
      packPage('Data sheets, first figures', { tables: [dataTable(plan)] }),
    ],
  }
}

function sumTable(job: Job, plan: Plan): PackTable {
  const { grid } = plan
  return { head: ['What', 'Is'], widths: [0.4, 0.6], rows: [
    ['Modules', `${plan.totals.modules}, ${formatPower(plan.totals.powerW)} direct current`],
    ['Circuits of the roof', String(plan.wiring.circuits.length)],
    ['Service', `${grid!.ground.supply.ratedA} A, ${grid!.rules.phases === 3 ? 'three phases' : grid!.rules.us ? '120/240 V' : 'one phase'}`],
    ['Connected', grid!.tap ? 'before the main, at the service' : grid!.buses.map(one => one.name).join(', ')],
    ...grid!.stores.map(one => ['Storage', `${one.kWh.toFixed(1)} kWh, gives ${formatPower(one.outputW)}`]),
    ['Place', job.place || 'not said'],
  ] }
}

const structureTable = (sections: CalculationSection[]): PackTable => ({ head: ['Check', 'Comes to', 'Source'], widths: [0.42, 0.2, 0.38], rows: sections.flatMap(one => one.workings.slice(0, 4).map(working => [`${one.title}: ${working.what}`, working.result.kind === 'share' ? `${Math.round(100 * working.result.value)} %` : working.result.kind === 'words' ? working.result.text : '', working.source])) })

const placesTable = (grid: GroundPlan, wallId: string, say: (mm: number) => string, job: Job): PackTable => ({
  head: ['Thing', 'From corner', 'From floor', 'Wide x high x deep', 'Mass', 'Working space'], widths: [0.25, 0.13, 0.13, 0.24, 0.1, 0.15],
  rows: grid.ground.things.flatMap((thing) => {
    const at = grid.placing.stood.find(one => one.thingId === thing.id && one.wallId === wallId)
    return at ? [[`${letterOf(grid, thing.id)}  ${thing.name}${thing.existing ? ' (there)' : ''}`, say(at.xMm), say(at.yMm), `${say(thing.wideMm)} x ${say(thing.highMm)} x ${say(thing.deepMm)}`, thing.massKg === null ? '' : formatMass(thing.massKg, job.units), thing.panel || thing.kind === 'ac-disconnect' || thing.kind === 'inverter' ? `${say(Math.max(grid.rules.figures['working-width'].value, thing.wideMm))} wide, ${say(grid.rules.figures['working-depth'].value)} deep` : '']] : []
  }),
})

const scheduleTable = (grid: GroundPlan, far: (mm: number) => string): PackTable => ({
  head: ['Run', 'Conductors', 'Earth', 'Lies in', 'A', 'Device', 'Carries', 'Length', 'Lost'], widths: [0.22, 0.14, 0.09, 0.15, 0.07, 0.08, 0.09, 0.08, 0.08],
  rows: grid.runs.map((run) => {
    const flow = [...run.flows].sort((a, b) => b.terminalA - a.terminalA)[0]!
    return run.existing
      ? [`${run.number}  ${run.name}`, 'as it is there', '', '', '', '', '', '', '']
      : [`${run.number}  ${run.name}`, `${run.conductors.filter(one => one.function !== 'E').length} x ${run.size}`, run.earth, run.cable ? cableNames[run.cable] : run.raceway?.filled ? `${racewayNames[run.raceway.kind]} ${run.raceway.filled.size}, ${(100 * run.raceway.filled.share).toFixed(0)} %` : '', flow.amps > 0 ? flow.amps.toFixed(1) : 'loads', flow.deviceA === null ? 'none' : `${flow.deviceA} A`, `${run.carried.amps.toFixed(0)} A`, far(run.length.mm), `${(100 * run.dropShare).toFixed(2)} %`]
  }),
})

const conductorTable = (grid: GroundPlan): PackTable => ({
  head: ['Run', 'For', 'Conductor', 'Marked'], widths: [0.1, 0.18, 0.42, 0.3],
  rows: grid.runs.filter(one => !one.existing).flatMap(run => run.conductors.map(one => [String(run.number), `${one.function}${one.circuit === null ? '' : `, circuit ${one.circuit}`}`, wireName(one), one.mark ?? ''])),
})

const holesTable = (grid: GroundPlan, say: (mm: number) => string): PackTable => ({
  head: ['Box', 'Side', 'Reading', 'Hole', 'For run'], widths: [0.3, 0.15, 0.25, 0.15, 0.15],
  rows: grid.knockouts.map(one => [grid.ground.things.find(thing => thing.id === one.thingId)!.name, one.side, `${say(one.readingMm)} ${one.side === 'top' || one.side === 'bottom' ? 'from its left' : 'from below'}`, say(one.holeMm), String(one.run)]),
})

/** The first figures of each plate: what an inspector compares with what is on the roof. */
function dataTable(plan: Plan): PackTable {
  const modules = [...new Map(plan.faces.filter(one => one.modules).map(one => [one.parts.module.id, one.parts.module])).values()]
  const groups = plan.wiring.groups
  return { head: ['Part', 'Maker', 'Figures'], widths: [0.28, 0.22, 0.5], rows: [
    ...modules.map(one => [one.name, one.maker, `${one.powerW} W${one.plate ? `, Voc ${one.plate.vocV} V, Isc ${one.plate.iscA} A, Vmp ${one.plate.vmpV} V, Imp ${one.plate.impA} A` : ''}`]),
    ...groups.flatMap(({ unit, inverter }) => [
      ...unit ? [[unit.name, unit.maker, `input to ${unit.inV} V${unit.outA[plan.wiring.rules.service] === null ? '' : `, output ${unit.outA[plan.wiring.rules.service]} A`}${unit.shutdown ? `, ${unit.shutdown}` : ''}`]] : [],
      ...inverter ? [[inverter.name, inverter.maker, `${inverter.acW} W, input to ${inverter.mostV} V, ${inverter.trackers.length} trackers, output ${inverter.outA[plan.wiring.rules.service] ?? '?'} A`]] : [],
    ]),
    ...plan.faces.filter(one => one.modules && !one.inRoof).slice(0, 1).flatMap(one => [[one.parts.rail.name, one.parts.rail.maker, 'rail'], [one.parts.mount.name, one.parts.mount.maker, 'mount']]),
  ] }
}
