/** Faces from files: GeoJSON footprints in plan, DXF polylines and tables of readings in the face's own plane. */
export * from './csv'
export { type AsksUnit, drawingUnits, outlinesFromDxf } from './dxf'
export * from './read'
export * from './geojson'
export { MOST_FILE_BYTES } from './limits'
