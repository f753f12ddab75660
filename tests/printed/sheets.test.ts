import { beforeAll, describe, expect, it } from 'vitest'
import { demoJobs } from '../../db/demo/jobs'
import type { Job } from '../../core/job'
import { onceFor } from '../../core/memory'
import { planJob } from '../../core/plan'
import { markoutSheet } from '../../core/sheets/markout'
import { formatLength, formatQuantity } from '../../core/units'
import { type DocumentFonts, openPdf } from '../../server/documents/pdf'
import { calculationPdf } from '../../server/documents/calculation'
import { markoutPdf, type SheetStanding } from '../../server/documents/markout'
import { calculationSheet } from '../../core/sheets/calculation'
import { permitPack } from '../../core/sheets/permit'
import { wireName } from '../../core/ground'
import { packPdf } from '../../server/documents/pages'
import { catalogue } from '../fixtures/jobs'
import { roughened } from '../fixtures/out-of-true'
import { seeded } from '../fixtures/random'
import { faults, printFonts, read } from './reader'

let fonts: DocumentFonts
beforeAll(async () => {
  fonts = await printFonts()
})
const issued: SheetStanding = { revision: 2, issuedBy: 'Perrin Oakum', issuedAt: '2026-03-04T09:30:00.000Z', note: 'Ladder at the left rake', changedSince: 0 }
/** Each job is planned once for all who look at it, and once more in the other units. */
const planOf = onceFor((job: Job) => planJob(job, catalogue))
const otherUnits = onceFor((job: Job): Job => ({ ...job, units: job.units === 'imperial' ? 'metric' : 'imperial' }))
/** A job's sheet as issued on A4, printed and read once for all who look at it. */
const printed = onceFor(async (job: Job) => {
  const sheet = markoutSheet(job, planOf(job))
  return { sheet, ...await read(await markoutPdf(sheet, issued, 'A4', fonts)) }
})
const demo = demoJobs.map(({ job }) => [job.title, job] as const)

describe('the printed mark-out', () => {
  it.each(demo)('of %s says every reading and check of the plan, in order', async (_, job) => {
    const { sheet, pages } = await printed(job)
    const text = pages.join(' ')
    pages.forEach((page, i) => expect(page).toContain(`Page ${i + 1} of ${pages.length}`))
    expect(text).not.toMatch(/NaN|Infinity|undefined|\[object/)
    for (const face of sheet.faces) {
      let from = text.indexOf(`Mark-out: ${face.name}`)
      expect(from).toBeGreaterThanOrEqual(0)
      for (const [i, step] of face.marks.entries()) {
        const at = text.indexOf(`${i + 1}. ${step.title}`, from)
        expect(at, step.title).toBeGreaterThanOrEqual(from)
        from = at
        const next = face.marks[i + 1] ? text.indexOf(`${i + 2}. ${face.marks[i + 1]!.title}`, from) : text.length
        const part = text.slice(from, next)
        const counted = (words: string) => part.split(words).length - 1
        for (const mark of step.marks) {
          expect(part).toContain(formatLength(mark.readingMm, job.units))
          for (const mm of mark.endsMm ?? []) if (mm !== null) expect(part).toContain(formatLength(mm, job.units))
        }
        for (const check of step.checks) expect(part).toContain(formatQuantity(check.value, job.units))
        if (step.kind === 'fixings') expect(counted('Fixing ')).toBeGreaterThanOrEqual(step.marks.length)
      }
    }
  })
  it('carries revision, who issued it and when, the note, and page sizes of either paper', async () => {
    const sheet = markoutSheet(demo[0]![1], planOf(demo[0]![1]))
    const a4 = await read(await markoutPdf(sheet, issued, 'A4', fonts))
    expect([Math.round(a4.width), Math.round(a4.height)]).toEqual([595, 842])
    for (const words of ['Revision B', 'Perrin Oakum', '2026-03-04', 'Ladder at the left rake']) expect(a4.pages[0]).toContain(words)
    expect(a4.pages.join(' ')).not.toContain('SUPERSEDED')
    const letter = await read(await markoutPdf(sheet, issued, 'LETTER', fonts))
    expect([Math.round(letter.width), Math.round(letter.height)]).toEqual([612, 792])
  })
  it('says on every page that it is superseded, or that it was never issued', async () => {
    const sheet = markoutSheet(demo[0]![1], planOf(demo[0]![1]))
    const old = await read(await markoutPdf(sheet, { ...issued, changedSince: 3 }, 'A4', fonts))
    expect(old.pages[0]).toContain('3 marks have changed')
    for (const page of old.pages) expect(page).toContain('SUPERSEDED')
    const draft = await read(await markoutPdf(sheet, { ...issued, revision: null }, 'A4', fonts))
    expect(draft.pages[0]).toContain('NOT ISSUED')
    for (const page of draft.pages) expect(page).toContain('not issued')
  })
  it('says so where there is nothing to mark', async () => {
    const sheet = { ...markoutSheet(demo[0]![1], planOf(demo[0]![1])), faces: [] }
    expect((await read(await markoutPdf(sheet, issued, 'A4', fonts))).pages[0]).toContain('Nothing to mark out')
  })
})

describe('no text of a printed sheet runs into another or off the page', () => {
  const cases = demoJobs.flatMap(({ job }) => (['A4', 'LETTER'] as const).flatMap(paper => (['imperial', 'metric'] as const).map(units => [job.title, paper, units, job] as const)))
  it.each(cases)('%s on %s, %s', async (_, paper, units, job) => {
    const own = units === job.units ? job : otherUnits(job)
    const plan = planOf(own)
    const sheet = markoutSheet(own, plan, plan.totals.stops ? 'The crew waits for the tiler; only the lower rows are marked' : '')
    expect(await faults(await markoutPdf(sheet, { ...issued, changedSince: 2 }, paper, fonts))).toEqual([])
    if (paper === 'A4') expect(await faults(await calculationPdf(calculationSheet(own, plan), own.units, fonts, 'As of change 1'))).toEqual([])
  })
  it('nor where faces are out of true, so that lines are told at both ends', async () => {
    const random = seeded(12)
    let both = 0
    for (const [i, { job }] of demoJobs.entries()) {
      const own = { ...roughened(job, () => random.between(0, 12)), units: i % 2 ? 'imperial' as const : 'metric' as const }
      const plan = planJob(own, catalogue)
      both += plan.faces.flatMap(face => face.marks.flatMap(step => step.marks)).filter(mark => mark.endsMm !== null).length
      expect(await faults(await markoutPdf(markoutSheet(own, plan), issued, 'A4', fonts)), job.title).toEqual([])
    }
    expect(both).toBeGreaterThan(80)
  })
  it('would be found: two readings over each other, one off the page, one cut', async () => {
    const { pdf, finish } = openPdf('Faults', 'A4', 40, fonts)
    pdf.font('bold').fontSize(14).text(`31' 4 11/16"`, 100, 100, { lineBreak: false })
    pdf.text(`18' 2 3/16"`, 150, 104, { lineBreak: false })
    pdf.text('Rafter 12, inferred: pil…', 100, 200, { lineBreak: false })
    pdf.text('far out', 570, 300, { lineBreak: false })
    const found = await faults(await finish())
    expect(found.some(one => one.includes('over'))).toBe(true)
    expect(found.some(one => one.includes('is cut'))).toBe(true)
    expect(found.some(one => one.includes('leaves the page'))).toBe(true)
  })
  it('takes three to six pages of lines for one face of a usual house, and at most a page for each way through its covering', async () => {
    for (const { job } of demoJobs) {
      const { sheet, pages } = await printed(job)
      if (sheet.faces.length === 1 && sheet.faces[0]!.marks.length <= 30) expect(pages.length, job.title).toBeLessThanOrEqual(6 + (sheet.faces[0]!.openings?.length ?? 0))
    }
  })
})

it('the calculation sheet opens in a general reader too', async () => {
  const [, job] = demo[0]!
  const { pages } = await read(await calculationPdf(calculationSheet(job, planOf(job)), job.units, fonts, 'As of change 1'))
  expect(pages[0]).toContain('Calculation sheet')
  expect(pages.join(' ')).not.toMatch(/NaN|Infinity|undefined/)
})

const reaching = demo.filter(([, job]) => job.ground !== null)

describe('the permit pack', () => {
  it.each(reaching)('of %s has every run, conductor, place and label, and no word lies over another', async (_, job) => {
    const pdf = await packPdf(permitPack(job, planOf(job))!, job.units, job.units === 'imperial' ? 'LETTER' : 'A4', fonts, 'As of change 1')
    const { pages } = await read(pdf)
    const text = pages.join(' ')
    expect(text).not.toMatch(/NaN|Infinity|undefined|\[object/)
    const { grid } = planOf(job)
    for (const run of grid!.runs.filter(one => !one.existing)) {
      expect(text).toContain(`${run.number} ${run.name}`)
      for (const one of run.conductors) expect(text).toContain(wireName(one))
    }
    for (const { thingId, xMm } of grid!.placing.stood) {
      expect(text).toContain(grid!.ground.things.find(one => one.id === thingId)!.name)
      expect(text).toContain(formatLength(xMm, job.units))
    }
    for (const label of grid!.labels) expect(text).toContain(label.clause)
    expect(text).toContain(grid!.ground.electrician.licence)
    expect(await faults(pdf)).toEqual([])
  })
  it('is none of a job that does not reach the grid', () => expect(permitPack(demo[1]![1], planOf(demo[1]![1]))).toBeNull())
})
