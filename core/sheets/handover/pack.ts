import type { ProofOf } from '../../job'
import {
  chainsOf, gatewayNow, handOverState, openGroupNames, openProof, papersOf, paperStateWords, type ProofAsk, serialPlaces, storageAlone, thenAndNow, tightenedOf, torqueWords, wantedPictures,
} from '../../proof'
import { drilledOn, modulesThere, railsThere } from '../../rooflog'
import { readingOn, readingUp } from '../../roof'
import { listed, plural } from '../../trade'
import { formatLength, formatPower } from '../../units'
import { faceFigure } from '../figure'
import { letterOf, oneLineFigure, packLabels } from '../ground'
import { type Pack, packPage, type PackPage, type PackTable } from '../pages'
import { mapPages } from './map'
import { type PackFor, packNames } from './names'
import { dayAndTime, earlierTable, instrumentsOf, testTable } from './tests'

/** The pack of a job, all of it from the record: nothing in it was typed for it. */
export function handOverPack(ask: ProofAsk, kind: PackFor, firm: string): Pack {
  const { job } = ask
  const open = openProof(ask)
  const { handedOver } = handOverState(ask)
  const whole = kind === 'householder'
  const places = serialPlaces(ask)
  const chains = chainsOf(ask)
  const full = <T>(tables: (PackTable & { rows: T[] })[]) => tables.filter(one => one.rows.length)
  const pages: PackPage[] = [
    cover(ask, firm, handedOver, whole),
    ...open.length ? [packPage('Still open', { words: ['Nothing here is done over what stands in this list.'], tables: [{ head: ['What', 'Of', 'Who', 'Until'], widths: [0.6, 0.16, 0.12, 0.12], rows: open.map(one => [one.words, openGroupNames[one.group], one.who, one.due ?? '']) }] })] : [],
    ...facePages(ask),
    ...whole ? mapPages(ask, places) : [],
    packPage('Tests', { words: testWords(ask, instrumentsOf(chains)), tables: full([testTable(chains), earlierTable(chains), thenTable(ask)]), workings: chains.flatMap(chain => chain.steps.flatMap(step => step.step === 'voc' || step.step === 'isc' ? step.verdict?.workings.slice(0, 1) ?? [] : [])) }),
    packPage('Terminals and commissioning', { tables: full([torqueTable(ask), gatewayTable(ask), ...whole ? [unitTable(ask)] : []]) }),
    ...ask.grid ? [packPage('One-line diagram', { wordsToScale: true, figure: oneLineFigure(ask.grid, ask.wiring, job.units === 'metric').figure })] : [],
    ...ask.grid?.labels.length ? [packPage('Labels', { labels: packLabels(ask.grid) })] : [],
    packPage('Papers', { tables: [paperTable(ask)] }),
    ...whole ? [packPage('Warranties and care', { words: care, tables: full([warrantyTable(ask)]) })] : [],
    ...whole ? picturePages(ask) : [],
  ]
  return {
    name: packNames[kind], title: job.title, place: job.place,
    cautions: [
      open.length ? `NOT DONE: ${open.length === 1 ? 'one thing is' : `${open.length} things are`} open, listed below.` : handedOver ? `Handed over to ${handedOver.to} on ${handedOver.on}.` : 'Nothing is open; it is not handed over yet.',
      'Modules are live in daylight, whatever is switched off. Work on it belongs to licensed people; local codes and the makers come before this pack.',
    ],
    pages: pages.filter(one => one.words.length || one.figure || one.tables.length || one.labels.length || one.pictures.length),
  }
}

function cover(ask: ProofAsk, firm: string, handedOver: ProofOf<'handed-over'> | null, whole: boolean): PackPage {
  const { faces, wiring, grid } = ask
  const modules = new Map<string, number>()
  for (const { plan } of faces) if (plan.modules) modules.set(`${plan.parts.module.maker} ${plan.parts.module.name}`, (modules.get(`${plan.parts.module.maker} ${plan.parts.module.name}`) ?? 0) + plan.modules)
  const units = wiring.groups.flatMap(({ unit, inverter }) => [unit, inverter]).filter(one => one !== null)
  const { electrician } = grid?.ground ?? { electrician: { name: '', licence: '' } }
  return packPage(whole ? 'What is there' : 'For the inspector', {
    tables: [
      {
        head: ['What', 'Is'], widths: [0.3, 0.7], rows: [
          ['Modules', `${listed([...modules].map(([name, n]) => `${n} ${name}`))}; ${formatPower(faces.reduce((sum, { plan }) => sum + plan.powerW, 0))} at most`],
          ...units.length ? [['Electronics', listed([...new Set(units.map(one => `${one.maker} ${one.name}`))])]] : [],
          ...grid?.stores.map(one => ['Storage', `${one.kWh.toFixed(1)} kWh, gives ${formatPower(one.outputW)}`]) ?? [],
          ['Built by', firm],
          ...electrician.name ? [['Electrician', `${electrician.name}, ${electrician.licence}`]] : [],
          ...handedOver ? [['Handed over', `to ${handedOver.to} on ${handedOver.on}`], ['Whom to call', handedOver.calls || firm]] : [],
          ...storageAlone(ask) ? [['Stage', 'Storage runs alone; strings are tested, capped and tagged until they are joined']] : [],
        ],
      },
      { title: 'How to switch it off', head: ['', 'Do this'], widths: [0.06, 0.94], rows: offSteps(ask).map((words, i) => [String(i + 1), words]) },
    ],
  })
}

/** How it is switched off, in the order in which it is safe: what feeds in first, then what direct current there is. */
function offSteps({ grid, wiring, job }: ProofAsk): string[] {
  const things = grid?.ground.things ?? []
  const where = (thing: typeof things[number]): string => `${thing.name} (${letterOf(grid!, thing.id)}${wallOf(grid!, thing.id)})`
  const of = (kind: typeof things[number]['kind']) => things.filter(one => one.kind === kind)
  /** Boards in which the array's own device is: what something without a switch of its own leads to. */
  const boards = things.filter(one => one.panel && things.some(from => from.leadsTo === one.id && (from.kind === 'inverter' || from.kind === 'roof-box' || from.kind === 'production-meter')))
  const button = job.wiring.initiation
  return [
    ...of('shutdown-button').map(one => `Press ${where(one)}.`),
    ...!of('shutdown-button').length && button && wiring.rules.us ? [`Rapid shutdown: ${button}.`] : [],
    ...of('ac-disconnect').map(one => `Open ${where(one)}.`),
    ...boards.map(one => `Switch the array’s device off in ${where(one)}; its label says which.`),
    ...of('inverter').map(one => `Wait until ${where(one)} shows that it has stopped${one.says.includes('dc-isolator') ? ', then turn its own switch of direct current off' : ''}.`),
    ...of('dc-isolator').map(one => `Then open ${where(one)}.`),
    ...of('storage').map(one => `Switch ${where(one)} off by its own switch; it stays charged.`),
    ...things.length ? [] : ['Open the device that the array is joined to, as its label says.'],
    'Wires from the roof stay live in daylight up to their first switch. In a fire or flood keep off, and tell the fire service that there are modules on the roof.',
  ]
}
const wallOf = (grid: NonNullable<ProofAsk['grid']>, thingId: string): string => {
  const stood = grid.placing.stood.find(one => one.thingId === thingId)
  const wall = stood && grid.ground.walls.find(one => one.id === stood.wallId)
  return wall ? `, ${wall.name.toLowerCase()}` : ''
}

/** Each face as it was built: the drawing, and what the roof log says of it. */
const facePages = ({ job, faces }: ProofAsk): PackPage[] => faces.filter(({ plan }) => plan.modules > 0).map(({ face, plan }) => {
  const holes = drilledOn(job.log, face.id)
  const say = (mm: number) => formatLength(mm, job.units)
  const gone = holes.filter(one => one.state === 'abandoned')
  const tightened = holes.filter(one => one.torque)
  return packPage(`${face.name}: as built`, {
    figure: faceFigure({ job, face, plan }),
    words: holes.length
      ? [`${plural(holes.filter(one => one.state === 'used').length, 'fixing')} of ${plan.fixings.total} by the log, ${tightened.length} with a torque; ${plural(gone.length, 'hole')} given up, ${gone.filter(one => one.sealed).length} of them sealed. ${plural(railsThere(job.log, face.id).length, 'rail')} and ${plural(modulesThere(job.log, face.id).length, 'module')} laid by the log. Filled: a fixing stands in it; struck through: nothing does.`]
      : [plan.inRoof ? 'Built in the roof’s covering; no hole is logged for it.' : 'No hole of this face is in the roof log: what is drawn is the plan.'],
    tables: gone.length ? [{ title: 'Holes given up', head: ['Along', 'Up', 'Sealed', 'By'], widths: [0.25, 0.25, 0.2, 0.3], rows: gone.map(one => [say(readingOn(face, 'along', one.xMm)), say(readingUp(face, one.yMm)), one.sealed ? 'yes' : 'NO', one.by]) }] : [],
  })
})

const testWords = ({ wiring }: ProofAsk, instruments: string[]): string[] => [
  `In the order of IEC 62446-1, category 1. What a string should read follows from its plate, the irradiance and the cells’ temperature read with it (IEC 60891); its band holds 199 of 200 good strings.`,
  ...wiring.circuits.some(one => one.kind === 'branch') ? ['Units at the modules: there is no test of direct current; each branch has polarity, insulation and volts of its own.'] : [],
  ...instruments.length ? [`Instruments: ${instruments.join('; ')}.`] : [],
]

const thenTable = (ask: ProofAsk): PackTable => ({ title: 'Then and now', head: ['Of', 'Test', 'At the hand-over', 'Now', 'Comes to'], widths: [0.14, 0.12, 0.24, 0.24, 0.26], rows: thenAndNow(ask).map(one => [one.name, one.step, `${one.then.words}, ${one.then.at.slice(0, 10)}`, `${one.now.words}, ${one.now.at.slice(0, 10)}`, one.sentence]) })

const torqueTable = (ask: ProofAsk): PackTable => ({
  title: 'Terminals', head: ['Of', 'Terminal', 'Torque', 'Tool, calibrated until', 'Marked', 'By'], widths: [0.2, 0.18, 0.12, 0.24, 0.1, 0.16],
  rows: tightenedOf(ask).flatMap(({ thing, said }) => said.map(one => [thing.name, one.terminal, torqueWords(one.torqueNm, ask.job.units), `${one.tool}, ${one.calibratedTo}`, one.marked ? 'yes' : 'no', `${one.by}, ${dayAndTime(one.at)}`])),
})

function gatewayTable(ask: ProofAsk): PackTable {
  const { gateway, report } = gatewayNow(ask)
  const password = ask.job.proof.findLast((entry): entry is ProofOf<'password'> => entry.kind === 'password')
  return { title: 'Commissioning', head: ['What', 'Is', 'By'], widths: [0.3, 0.45, 0.25], rows: [
    ...gateway ? [['Gateway', `${gateway.powered ? 'powered' : 'without power'}, ${gateway.online ? 'on the network' : 'not on the network'}, ${gateway.indoors ? 'indoors' : 'outdoors'}, ${gateway.nearPanel ? 'near the panel' : 'far from the panel'}`, `${gateway.by}, ${dayAndTime(gateway.at)}`]] : [],
    ...report ? [['Report of the units', `${report.units.length} seen, ${report.units.filter(one => one.profile === 'set').length} with the grid profile set${report.gWm2 === null ? '' : `, at ${Math.round(report.gWm2)} W/m²`}`, `${report.by}, ${dayAndTime(report.at)}`]] : [],
    ...password ? [['Default passwords', `changed${password.what ? `: ${password.what}` : ''}`, `${password.by}, ${dayAndTime(password.at)}`]] : [],
  ] }
}

function unitTable(ask: ProofAsk): PackTable {
  const { report } = gatewayNow(ask)
  const units = serialPlaces(ask).filter(one => one.what === 'unit' && one.found)
  const faceName = (id: string) => ask.job.faces.find(one => one.id === id)!.name
  return { title: 'Each unit', head: ['Under module', 'Serial', 'Signal', 'Profile', 'Output'], widths: [0.3, 0.28, 0.12, 0.15, 0.15], rows: report
    ? units.map((one) => {
        const seen = report.units.find(unit => unit.serial === one.found!.serial)
        return [`${faceName(one.faceId)}, ${one.number}`, one.found!.serial, seen ? `${seen.signal} of 5` : 'not seen', seen?.profile ?? '', seen?.watts === null || !seen ? '' : `${Math.round(seen.watts)} W`]
      })
    : [] }
}

const paperTable = (ask: ProofAsk): PackTable => ({
  head: ['Paper', 'Is', 'On', 'Number', 'Dealt with by'], widths: [0.32, 0.2, 0.14, 0.17, 0.17],
  rows: papersOf(ask).map(({ name, state, last }) => [name, last ? paperStateWords[last.state] : state === 'waits' ? 'waits for others' : 'not there', last?.on ?? '', last?.number ?? '', last?.who ?? '']),
})

const warrantyTable = ({ faces }: ProofAsk): PackTable => ({
  title: 'Warranties by the makers’ sheets', head: ['What', 'Product', 'Power'], widths: [0.46, 0.2, 0.34],
  rows: [...new Map(faces.filter(({ plan }) => plan.modules).map(({ plan }) => [plan.parts.module.id, plan.parts.module])).values()].map(one => [`${one.maker} ${one.name}`, one.warranty ? `${one.warranty.productYears} years` : 'not on the shelf', one.warranty ? `${Math.round(100 * one.warranty.powerShare)} % after ${one.warranty.powerYears} years` : 'not on the shelf']),
})

const care = [
  'Rain washes modules. Nobody walks on them; no pressure washer, no brush on a pole from a ladder.',
  'Look at the portal once a month: one module that makes less than those beside it wants looking at. Look at cables and clips from the ground after storms.',
  'Trees that have grown, a new dish or chimney cost yield and can make hot spots: ask before.',
  'Before anybody opens the roof or works near the array, call those who built it.',
]

function picturePages(ask: ProofAsk): PackPage[] {
  const had = wantedPictures(ask).flatMap(({ had, caption }) => had ? [{ photoId: had.photoId, caption: `${had.caption || caption}. ${had.by}, ${had.at.slice(0, 10)}` }] : [])
  return had.length ? [packPage('Photographs', { words: ['What a camera writes beside a picture, as where it was taken, is not in them.'], pictures: had })] : []
}
