/** Faces from files: GeoJSON footprints in plan, DXF polylines and tables of readings in the face's own plane. */
export * from './csv'
export { outlinesFromDxf } from './dxf'
export * from './geojson'
export { MOST_FILE_BYTES } from './limits'
