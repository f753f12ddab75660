/** Open formats that a plan is written in. Tables and sheets are with what they are of; the job file is the job itself. */
export * from './dxf'
export * from './geojson'
export * from './svg'
