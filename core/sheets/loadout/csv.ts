import Papa from 'papaparse'
import { formatLength, type UnitSystem } from '../../units'
import type { Loadout } from './list'
import { loadStageNames } from '../../trade'

const write = (rows: Record<string, string | number>[]): string => Papa.unparse(rows, { newline: '\r\n', escapeFormulae: true })
const lengthText = (mm: number | null, units: UnitSystem): string => mm === null ? '' : formatLength(mm, units)

/** The load-out as a table, one row a part: the cells of the CSV and of the workbook's first sheet. */
export const loadRows = ({ lines }: Loadout, units: UnitSystem): Record<string, string | number>[] => lines.map(line => ({
  'stage': loadStageNames[line.stage], 'part': line.name, 'maker': line.maker, 'length': lengthText(line.lengthMm, units), 'needed': line.needed, 'spares': line.spares, 'total': line.total,
  'packs of': line.packOf, 'kg each': line.unitMassKg === null ? '' : Number(line.unitMassKg.toFixed(3)), 'kg': line.unitMassKg === null ? '' : Number((line.unitMassKg * line.total).toFixed(2)), 'counted as': line.rule,
}))

/** What is bought, one row a part, by supplier. */
export const purchaseRows = ({ purchases, currency }: Loadout, units: UnitSystem): Record<string, string | number>[] => purchases.flatMap(({ supplier, lines }) => lines.map(({
  line,
  packs,
  pieces,
  cost,
}) => ({
  supplier: supplier, part: line.name, length: lengthText(line.lengthMm, units), packs: packs, pieces: pieces, [`${currency} each`]: line.unitPrice ?? '', [currency]: cost === null ? '' : Number(cost.toFixed(2)),
})))

export const loadoutCsv = (loadout: Loadout, units: UnitSystem): string => write(loadRows(loadout, units))
export const purchasesCsv = (loadout: Loadout, units: UnitSystem): string => write(purchaseRows(loadout, units))
