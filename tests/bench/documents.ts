import { readFile } from 'node:fs/promises'
import { demoCatalogue } from '../../core/catalogue'
import { loadoutOf } from '../../core/sheets/loadout'
import { markoutSheet } from '../../core/sheets/markout'
import { planJob } from '../../core/plan'
import { demoJobs } from '../../db/demo/jobs'
import { loadoutXlsx } from '../../server/documents/loadout'
import { markoutPdf } from '../../server/documents/markout'
import type { DocumentFonts } from '../../server/documents/pdf'

/** A demo job with the same array on a second face: what a usual house is. */
const { job: first } = demoJobs[0]!
const [front] = first.faces
const job = { ...first, faces: [front!, { ...front!, id: 'second', name: 'Second face' }] }
const plan = planJob(job, demoCatalogue)
const [regular, bold] = await Promise.all(['DejaVuSans.ttf', 'DejaVuSans-Bold.ttf'].map(name => readFile(`node_modules/dejavu-fonts-ttf/ttf/${name}`)))
const fonts: DocumentFonts = { regular: regular!, bold: bold! }
const standing = { revision: 1, issuedBy: 'Bench', issuedAt: '2026-01-01T00:00:00.000Z', note: '', changedSince: 0 }

async function printTimes(what: string, work: () => Promise<Buffer>, runs: number) {
  const times: number[] = []
  let bytes = 0
  for (let i = 0; i < runs; i++) {
    const start = performance.now()
    bytes = (await work()).length
    times.push(performance.now() - start)
  }
  times.sort((a, b) => a - b)
  console.log(`${what}: median ${times[runs >> 1]!.toFixed(0)} ms, least ${times[0]!.toFixed(0)} ms of ${runs} runs, ${Math.round(bytes / 1024)} kB`)
}

await printTimes(`Mark-out PDF of ${plan.totals.modules} modules on ${job.faces.length} faces`, () => markoutPdf(markoutSheet(job, plan), standing, 'A4', fonts), 12)
await printTimes('Load-out workbook of the same job', () => loadoutXlsx(job, loadoutOf(job, plan, demoCatalogue)), 12)
