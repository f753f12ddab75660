import { readFile } from 'node:fs/promises'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'
import { beforeAll, describe, expect, it } from 'vitest'
import { demoJobs } from '../../db/demo/jobs'
import { readJob } from '../../core/job'
import type { MarkStep } from '../../core/markout'
import { type FacePlan, markoutSheet, planJob } from '../../core/plan'
import { readingAlong } from '../../core/roof'
import { rafterAt } from '../../core/supports'
import { formatLength, formatQuantity, readingDivisionMm } from '../../core/units'
import type { DocumentFonts } from '../../server/documents/pdf'
import { calculationPdf } from '../../server/documents/calculation'
import { markoutPdf, type SheetStanding } from '../../server/documents/markout'
import { calculationSheet } from '../../core/plan'
import { catalogue } from '../fixtures/jobs'
import { seeded } from '../fixtures/random'
import { randomJob } from '../fixtures/random-job'

let fonts: DocumentFonts
beforeAll(async () => {
  const folder = join(dirname(createRequire(import.meta.url).resolve('dejavu-fonts-ttf/package.json')), 'ttf')
  const [regular, bold] = await Promise.all(['DejaVuSans.ttf', 'DejaVuSans-Bold.ttf'].map(name => readFile(join(folder, name))))
  fonts = { regular: regular!, bold: bold! }
})

/** A PDF's pages as a general reader sees them. */
async function read(pdf: Buffer): Promise<{ pages: string[], width: number, height: number }> {
  const document = await getDocument({ data: new Uint8Array(pdf), useSystemFonts: false, verbosity: 0 }).promise
  const pages: string[] = []
  for (let p = 1; p <= document.numPages; p++) pages.push((await (await document.getPage(p)).getTextContent()).items.map(item => 'str' in item ? item.str : '').join(' ').replace(/\s+/g, ' '))
  const [, , width, height] = (await document.getPage(1)).view as [number, number, number, number]
  return { pages, width, height }
}
const issued: SheetStanding = { revision: 2, issuedBy: 'Perrin Oakum', issuedAt: '2026-03-04T09:30:00.000Z', note: 'Ladder at the left rake', changedSince: 0 }
const demo = demoJobs.map(({ job }) => [job.title, job] as const)

describe('the printed mark-out', () => {
  it.each(demo)('of %s says every reading and check of the plan, in order', async (_, job) => {
    const sheet = markoutSheet(job, planJob(job, catalogue))
    const { pages } = await read(await markoutPdf(sheet, issued, 'A4', fonts))
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
    const sheet = markoutSheet(demo[0]![1], planJob(demo[0]![1], catalogue))
    const a4 = await read(await markoutPdf(sheet, issued, 'A4', fonts))
    expect([Math.round(a4.width), Math.round(a4.height)]).toEqual([595, 842])
    for (const words of ['Revision B', 'Perrin Oakum', '2026-03-04', 'Ladder at the left rake']) expect(a4.pages[0]).toContain(words)
    expect(a4.pages.join(' ')).not.toContain('SUPERSEDED')
    const letter = await read(await markoutPdf(sheet, issued, 'LETTER', fonts))
    expect([Math.round(letter.width), Math.round(letter.height)]).toEqual([612, 792])
  })
  it('says on every page that it is superseded, or that it was never issued', async () => {
    const sheet = markoutSheet(demo[0]![1], planJob(demo[0]![1], catalogue))
    const old = await read(await markoutPdf(sheet, { ...issued, changedSince: 3 }, 'A4', fonts))
    expect(old.pages[0]).toContain('3 marks have changed')
    for (const page of old.pages) expect(page).toContain('SUPERSEDED')
    const draft = await read(await markoutPdf(sheet, { ...issued, revision: null }, 'A4', fonts))
    expect(draft.pages[0]).toContain('NOT ISSUED')
    for (const page of draft.pages) expect(page).toContain('not issued')
  })
  it('says so where there is nothing to mark', async () => {
    const sheet = { ...markoutSheet(demo[0]![1], planJob(demo[0]![1], catalogue)), faces: [] }
    expect((await read(await markoutPdf(sheet, issued, 'A4', fonts))).pages[0]).toContain('Nothing to mark out')
  })
})

it('the calculation sheet opens in a general reader too', async () => {
  const [, job] = demo[0]!
  const { pages } = await read(await calculationPdf(calculationSheet(job, planJob(job, catalogue)), job.units, fonts, 'As of change 1'))
  expect(pages[0]).toContain('Calculation sheet')
  expect(pages.join(' ')).not.toMatch(/NaN|Infinity|undefined/)
})

describe('every mark, derived again from where things stand', () => {
  /** Places of one step's things, by names of their own, from the plan's geometry alone. */
  function expected(face: FacePlan, step: MarkStep, read: (x: number) => number): number[] | null {
    const rail = face.rails.find(one => step.id.endsWith(one.id))
    const r = rail ? face.rails.indexOf(rail) : -1
    const run = (mm: number) => rail!.way === 'across' ? read(mm) : mm
    const row = face.rows.rows.find(one => step.id.endsWith(`row${one.index + 1}`))
    switch (step.kind) {
      case 'fixings': return face.fixings.rails[r]!.fixings.map(one => run(one.atMm))
      case 'trim': return [run(rail!.carries[0]!.fromMm - face.parts.clamps.railPastMm), run(Math.max(...rail!.carries.map(one => one.toMm)) + face.parts.clamps.railPastMm)]
      case 'splices': return face.parts.rail.frame ? rail!.couplers.map(run) : face.sticks.splices.filter(one => one.railId === rail!.id).map(one => run(one.atMm))
      case 'modules': return row!.moduleLeftsMm.flatMap(left => [read(left), read(left + row!.moduleWidthMm)])
      case 'electronics': return row!.moduleLeftsMm.map(left => read(left + row!.moduleWidthMm / 2))
      case 'rows': return face.rows.rows.flatMap(one => [one.bottomMm, one.bottomMm + one.moduleHeightMm])
      case 'rails': return face.rails.map(one => one.way === 'across' ? one.lineMm : read(one.lineMm))
      case 'supports': return step.id === 'rafters' && face.supports.rafters.every(one => Math.abs(one.lean) * face.shape.up.toMm < 1) ? face.supports.rafters.map(one => read(rafterAt(one, 0))) : null
      default: return null
    }
  }
  it.each(demo)('of %s to half a division', (_, job) => {
    const plan = planJob(job, catalogue)
    let checked = 0
    plan.faces.forEach((face, f) => {
      for (const step of face.marks) {
        const places = expected(face, step, x => readingAlong(job.faces[f]!, x))
        if (!places) continue
        const readings = step.marks.map(mark => mark.readingMm).sort((a, b) => a - b)
        places.sort((a, b) => a - b)
        expect(readings).toHaveLength(places.length)
        readings.forEach((mm, i) => expect(Math.abs(mm - places[i]!)).toBeLessThanOrEqual(readingDivisionMm(job.units) / 2))
        checked += places.length
      }
    })
    if (plan.totals.modules) expect(checked).toBeGreaterThan(50)
  })
})

it('a job file comes back as the very same job, for 200 random jobs', () => {
  const random = seeded(31)
  for (let i = 0; i < 200; i++) {
    const job = randomJob(random)
    const back = readJob(JSON.parse(`${JSON.stringify(job, null, 2)}\n`), catalogue)
    expect(back.ok && back.value).toEqual(job)
  }
})
