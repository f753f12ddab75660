import type { Face } from '../job'
import { shapeOf } from '../roof'
import { count, length, words } from '../units'
import type { Working, WorkingValue } from '../working'
import { columnsOf, coursesOf, unitsPerM2 } from './gauge'

const GAUGE = 'Gauge of the covering'

/** Courses and units of a covering. */
export function coveringWorkings({ covering, outline }: Face, courses: number): Working[] {
  const of = coursesOf(covering)
  const columns = columnsOf(covering)
  if (!of) return []
  const gauge: WorkingValue = { symbol: 'g', what: 'gauge', value: length(of.gaugeMm), ...(covering.kind === 'slate' ? { from: GAUGE } : {}) }
  return [
    ...(covering.kind === 'slate'
      ? [{
          what: GAUGE, formula: covering.nailing === 'head' ? 'g = (L − lap − 25 mm) / 2' : 'g = (L − lap) / 2', values: [{ symbol: 'L', what: 'length of a slate', value: length(covering.lengthMm) }, { symbol: 'lap', what: 'over the next but one below', value: length(covering.lapMm) }],
          result: length(of.gaugeMm), source: 'BS 5534 (from memory)', basis: 'code' as const,
        }]
      : []),
    {
      what: 'Courses to the top', formula: 'lines at f, f + g, f + 2 g … below the top', values: [{ symbol: 'f', what: 'lower edge of the first course', value: length(of.firstMm) }, gauge, { symbol: 's', what: 'the slope', value: length(shapeOf(outline).up.toMm) }],
      result: count(courses, 'courses'), source: 'Course lines by the survey', basis: 'arithmetic',
    },
    ...(columns
      ? [{
          what: 'Units by area', formula: '1 / (g w)', values: [gauge, { symbol: 'w', what: 'cover width', value: length(columns.widthMm) }],
          result: words(`${unitsPerM2(of.gaugeMm, columns.widthMm).toFixed(1)} a m²`), source: 'What shows of one unit', basis: 'arithmetic' as const,
        }]
      : []),
  ]
}
