/** The permit pack as plain data: site plan, faces, structure, one-line, walls, schedule, connection, labels, data sheets' first figures. */
export * from './permit'
export * from './site-plan'
