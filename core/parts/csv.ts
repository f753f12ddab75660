import Papa from 'papaparse'
import { formatLength, type UnitSystem } from '../units'
import type { Part } from './list'

/** The load-out as comma-separated values, one line a part. */
export function partsCsv(parts: Part[], units: UnitSystem): string {
  return Papa.unparse(parts.map(part => ({
    'pieces': part.pieces,
    'part': part.name,
    'maker': part.maker,
    'length': part.lengthMm === null ? '' : formatLength(part.lengthMm, units),
    'mass in kg': part.massKg === null ? '' : Number(part.massKg.toFixed(2)),
    'counted as': part.rule,
  })), { newline: '\r\n', escapeFormulae: true })
}
