import { type Catalogue, chooseParts } from '../catalogue'
import type { Face, Job, KeepClearRules } from '../job'
import { clearRoof, type CountFace, type FaceClear, type FaceCount, keepClear, type RoofClear } from '../keepclear'
import { memoryOf } from '../memory'
import { rowsOn } from './lines'

/** Counts remembered: cures plan the same faces under the same claims again many times. */
const MOST_COUNTS = 2000
const counts = memoryOf<FaceCount>(MOST_COUNTS)

/** Rows of a face under claims: how many modules, and what they cover, as glass or with the gaps between them. */
const countRows = (catalogue: Catalogue, rules: KeepClearRules): CountFace => (face: Face, clear: FaceClear): FaceCount => {
  // Of the rules only these and their figures bear on one face.
  const { applies, ridgeMm, pathways, straddles, openEdges, most } = clear
  return counts(catalogue, [face, rules.ruleSet, rules.values, rules.coverageAs, applies, ridgeMm, pathways.join(), straddles.join(), openEdges.join(), most], () => {
    const parts = chooseParts(catalogue, face.array)
    const { rows } = rowsOn(face, keepClear(face, rules, clear).region, parts, catalogue, clear.most)
    const modules = rows.reduce((sum, row) => sum + row.count, 0)
    const glassMm2 = modules * parts.module.longMm * parts.module.shortMm
    const outlines = rows.flatMap(row => row.blocks.map(block => (block.rightMm - block.leftMm) * (row.topMm - row.bottomMm))).reduce((sum, area) => sum + area, 0)
    return { modules, areaMm2: rules.coverageAs === 'glass' ? glassMm2 : outlines }
  })
}

/** Modules that a roof's rows hold under claims that are given for each face, nothing chosen anew. */
export const modulesUnder = (job: Job, catalogue: Catalogue, clears: FaceClear[]): number => {
  const count = countRows(catalogue, job.keepClear)
  return job.faces.reduce((sum, face, i) => sum + count(face, clears[i]!).modules, 0)
}

/** What the keep-clear rules come to over a job's whole roof. */
export const roofClearOf = (job: Job, catalogue: Catalogue): RoofClear => clearRoof(job, countRows(catalogue, job.keepClear))
