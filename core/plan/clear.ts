import { type Catalogue, chooseParts } from '../catalogue'
import type { Face, Job, KeepClearRules, KeepClearValues } from '../job'
import { clearRoof, type CountFace, type FaceClear, type FaceCount, keepClear, type RoofClear } from '../keepclear'
import { fillRows } from '../rows'

// Faces, rules and catalogues are never changed once made; cures plan the same ones again many times.
const known = new WeakMap<Catalogue, WeakMap<KeepClearValues, WeakMap<Face, Map<string, FaceCount>>>>()

function memoOf(catalogue: Catalogue, { values }: KeepClearRules, face: Face): Map<string, FaceCount> {
  const byRules = known.get(catalogue) ?? new WeakMap<KeepClearValues, WeakMap<Face, Map<string, FaceCount>>>()
  known.set(catalogue, byRules)
  const byFace = byRules.get(values) ?? new WeakMap<Face, Map<string, FaceCount>>()
  byRules.set(values, byFace)
  const counts = byFace.get(face) ?? new Map<string, FaceCount>()
  byFace.set(face, counts)
  return counts
}

/** Rows of a face under claims: how many modules, and what they cover, as glass or with the gaps between them. */
function countRows(catalogue: Catalogue, rules: KeepClearRules): CountFace {
  return (face: Face, clear: FaceClear): FaceCount => {
    const counts = memoOf(catalogue, rules, face)
    // Of the rules only these and their figures bear on one face.
    const { applies, ridgeMm, pathways, straddles, openEdges, most } = clear
    const key = `${rules.ruleSet} ${rules.coverageAs} ${applies} ${ridgeMm} ${pathways.join()} ${straddles.join()} ${openEdges.join()} ${most}`
    const ready = counts.get(key)
    if (ready) return ready
    const parts = chooseParts(catalogue, face.array)
    const { rows } = fillRows(keepClear(face, rules, clear).region, face.array, parts, clear.most)
    const modules = rows.reduce((sum, row) => sum + row.count, 0)
    const glassMm2 = modules * parts.module.longMm * parts.module.shortMm
    const outlines = rows.flatMap(row => row.blocks.map(block => (block.rightMm - block.leftMm) * (row.topMm - row.bottomMm))).reduce((sum, area) => sum + area, 0)
    const made = { modules, areaMm2: rules.coverageAs === 'glass' ? glassMm2 : outlines }
    counts.set(key, made)
    return made
  }
}

/** What the keep-clear rules come to over a job's whole roof. */
export const roofClearOf = (job: Job, catalogue: Catalogue): RoofClear => clearRoof(job, countRows(catalogue, job.keepClear))
