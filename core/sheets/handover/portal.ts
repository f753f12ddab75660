import Papa from 'papaparse'
import type { PortalRow } from '../../proof'

const heads: Record<keyof PortalRow, string> = { face: 'face', number: 'module number', azimuthDeg: 'azimuth, degrees from north', pitchDeg: 'pitch, degrees', row: 'row from the eave', place: 'place from the left', orientation: 'lies', xMm: 'middle along the eave, mm', yMm: 'middle up the slope, mm', module: 'module', moduleSerial: 'module serial', unit: 'unit', unitSerial: 'unit serial', circuit: 'circuit' }

/** The layout for a monitoring portal of whatever make, one line a module. */
export const portalCsv = (rows: PortalRow[]): string => Papa.unparse(rows.map(row => Object.fromEntries((Object.keys(heads) as (keyof PortalRow)[]).map(key => [heads[key], row[key] ?? '']))), { newline: '\r\n', escapeFormulae: true })

/** The same as JSON, with what its figures are. */
export const portalJson = (title: string, rows: PortalRow[]): string => JSON.stringify({ format: 'array-layout', title, units: { azimuthDeg: 'degrees from north, clockwise', pitchDeg: 'degrees', xMm: 'mm along the eave from its left end, seen from outside', yMm: 'mm up the slope' }, modules: rows }, null, 2)
