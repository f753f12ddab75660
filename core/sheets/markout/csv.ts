import Papa from 'papaparse'
import { formatLength, type UnitSystem } from '../../units'
import type { MarkStep } from '../../trade'

const lineText = (mm: number | null, units: UnitSystem): string => mm === null ? '' : formatLength(mm, units)

/** The marks of every face as comma-separated values: one line a reading, rounded once for reading and exact in mm beside it. */
export function marksCsv(faces: { name: string, marks: MarkStep[] }[], units: UnitSystem): string {
  const rows = faces.flatMap(({ name, marks }) => marks.flatMap((step, i) => [...step.marks, ...(step.closing ? [step.closing] : [])].map(mark => ({
    'face': name,
    'step': i + 1,
    'what': step.title,
    'tape': step.tape === 'along' ? 'along the eave' : 'up the slope',
    'line': lineText(mark.upMm ?? step.lineMm, units),
    'mark': mark.label,
    'reading': formatLength(mark.readingMm, units),
    'reading in mm': Number(mark.readingMm.toFixed(3)),
    'up the datum’s edge': lineText(mark.endsMm?.[0] ?? null, units),
    'up the far edge': lineText(mark.endsMm?.[1] ?? null, units),
    'note': mark.note,
  }))))
  return Papa.unparse(rows, { newline: '\r\n', escapeFormulae: true })
}
