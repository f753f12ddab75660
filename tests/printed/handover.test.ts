import { beforeAll, describe, expect, it } from 'vitest'
import { finishedJob } from '../../db/demo/finished'
import type { Job } from '../../core/job'
import { planJob } from '../../core/plan'
import { type ProofAsk, serialPlaces } from '../../core/proof'
import { handOverPack, mapPages, portalCsv, portalJson } from '../../core/sheets/handover'
import { portalRows } from '../../core/proof'
import type { DocumentFonts } from '../../server/documents/pdf'
import { packPdf } from '../../server/documents/pages'
import { finishedPicture } from '../../db/demo/pictures'
import { catalogue } from '../fixtures/jobs'
import { provedUnits, saying } from '../fixtures/proof'
import { faults, printFonts, read } from './reader'

let fonts: DocumentFonts
beforeAll(async () => {
  fonts = await printFonts()
})
const askOf = (job: Job): ProofAsk => {
  const plan = planJob(job, catalogue)
  return { job, catalogue, faces: plan.faces.map((own, i) => ({ face: job.faces[i]!, plan: own })), wiring: plan.wiring, grid: plan.grid }
}
const print = async (job: Job, kind: 'householder' | 'inspector', paper: 'A4' | 'LETTER' = 'A4') => {
  const pdf = await packPdf(handOverPack(askOf(job), kind, 'Gannet Row Roofworks'), job.units, paper, fonts, 'As of change 9')
  return { pdf, ...await read(pdf) }
}

describe('the hand-over pack', () => {
  const cases = [['strings', finishedJob()], ['units', provedUnits()]] as const
  it.each(cases)('of a house on %s has every figure of the record, and no word lies over another', async (_, job) => {
    const { pdf, pages } = await print(job, 'householder')
    const text = pages.join(' ')
    expect(text).not.toMatch(/NaN|Infinity|undefined|\[object|null/)
    // Word for word from the record, not from what the pack was made of.
    for (const entry of job.proof) {
      if (entry.kind === 'serial') expect(text).toContain(entry.serial)
      if (entry.kind === 'torque') for (const words of [`${entry.torqueNm} N m`, entry.calibratedTo]) expect(text).toContain(words)
      if (entry.kind === 'paper') for (const words of [entry.number, entry.on]) expect(text).toContain(words)
      if (entry.kind === 'photograph') expect(text).toContain(entry.caption.slice(0, 30))
      if (entry.kind === 'handed-over') for (const words of [entry.to, entry.on, entry.calls]) expect(text).toContain(words)
      if (entry.kind === 'test') {
        const { found } = entry
        if (found.step === 'voc') expect(text).toContain(`${found.volts} V`)
        if (found.step === 'isc') expect(text).toContain(`${found.amps} A`)
        if (found.step === 'insulation') expect(text).toContain(`over ${found.minus.mohm} MΩ`)
        if ('light' in found) expect(text).toContain(`${found.light.gWm2} W/m²`)
      }
    }
    for (const words of ['How to switch it off', 'Warranties', 'Whom to call', 'Gannet Row Roofworks'].filter(words => job.proof.some(one => one.kind === 'handed-over') || words !== 'Whom to call')) expect(text).toContain(words)
    // Every serial number is found on the drawing too, by its last signs.
    for (const entry of job.proof) if (entry.kind === 'serial' && entry.what === 'module') expect(text.split(entry.serial.slice(-6)).length - 1).toBeGreaterThanOrEqual(2)
    expect(text).toMatch(/Switch the array’s device off in|Open AC disconnect/)
    expect(await faults(pdf)).toEqual([])
    expect(await faults((await print(job, 'householder', 'LETTER')).pdf)).toEqual([])
  })
  it('tells holes by the log: how many, which were given up, and that they are sealed', async () => {
    const text = (await print(finishedJob(), 'householder')).pages.join(' ')
    const holes = finishedJob().log.filter(one => one.kind === 'hole')
    expect(text).toContain(`${holes.filter(one => one.kind === 'hole' && one.result === 'hit').length} fixings`)
    expect(text).toMatch(/1 hole given up, 1 of them sealed/)
    const open = (await print({ ...finishedJob(), log: finishedJob().log.filter(one => one.kind !== 'seal') }, 'householder')).pages.join(' ')
    expect(open).toMatch(/1 hole given up, 0 of them sealed/)
    expect(open).toMatch(/NOT DONE/)
  })
  it('the inspector’s is shorter and has the tests, the one-line and the papers', async () => {
    const whole = await print(finishedJob(), 'householder')
    const short = await print(finishedJob(), 'inspector')
    expect(short.pages.length).toBeLessThan(whole.pages.length)
    const text = short.pages.join(' ')
    for (const words of ['Tests', 'One-line diagram', 'Papers', 'Terminals']) expect(text).toContain(words)
    expect(text).not.toContain('Rain washes')
    expect(await faults(short.pdf)).toEqual([])
  })
  it('says on its first page what is open, and lists it', async () => {
    const lacking = { ...finishedJob(), proof: finishedJob().proof.filter(one => one.kind !== 'torque') }
    const { pages } = await print(lacking, 'householder')
    expect(pages[0]).toMatch(/NOT DONE/)
    expect(pages.join(' ')).toMatch(/no terminal is logged/)
  })
  it('after a visit it sets what was read then beside what is read now', async () => {
    const job = finishedJob()
    const test = job.proof.find(one => one.kind === 'test' && one.found.step === 'insulation')!
    const later = saying(saying(job, 'visit', { why: 'fault', words: 'Trips in rain' }), 'test', { ...(test.kind === 'test' ? { subject: test.subject } : { subject: { of: 'job' as const } }), instrument: '', judged: null, found: { step: 'insulation', method: 'joined', testV: 500, minus: { mohm: 1.4, atLeast: false }, plus: null } })
    const text = (await print(later, 'householder')).pages.join(' ')
    expect(text).toContain('Then and now')
    expect(text).toContain('1.4 MΩ')
  })
  it('photographs are in it, two abreast, each over its caption', async () => {
    const job = finishedJob()
    const ids = job.proof.flatMap(one => one.kind === 'photograph' ? [one] : [])
    const pictures = Object.fromEntries(await Promise.all(ids.map(async one => [one.photoId, await finishedPicture(one.caption)] as const)))
    const pdf = await packPdf(handOverPack(askOf(job), 'householder', 'Gannet Row Roofworks'), job.units, 'A4', fonts, 'As of change 9', pictures)
    expect(pdf.length).toBeGreaterThan(60_000)
    expect(await faults(pdf)).toEqual([])
    expect((await read(pdf)).pages.join(' ')).not.toContain('has not reached the office')
  })
})

describe('the map of serial numbers', () => {
  it.each([false, true])('printed, with room for labels: %s', async (blank) => {
    const ask = askOf(finishedJob())
    const pdf = await packPdf({ name: 'Serial map', title: ask.job.title, place: ask.job.place, cautions: [], pages: mapPages(ask, serialPlaces(ask), blank) }, 'metric', 'A4', fonts, 'As of change 9')
    const text = (await read(pdf)).pages.join(' ')
    const serials = finishedJob().proof.flatMap(one => one.kind === 'serial' ? [one.serial] : [])
    expect(serials.filter(one => text.includes(one))).toHaveLength(blank ? 0 : serials.length)
    expect(text).toMatch(/the face looks south-west, its left end is north-west/)
    expect(await faults(pdf)).toEqual([])
  })
  it('for a portal: one line a module, as CSV and as JSON, alike', () => {
    const rows = portalRows(askOf(provedUnits()))
    const csv = portalCsv(rows).trim().split('\r\n')
    expect(csv).toHaveLength(19)
    const json = JSON.parse(portalJson('A house', rows)) as { modules: { moduleSerial: string, unitSerial: string }[] }
    json.modules.forEach((one, i) => expect(csv[i + 1]).toContain(`${one.moduleSerial},`))
  })
})
