import type { Source } from '../schema'

/** None of the demonstration's parts exists: whoever looks at a figure is told so. */
export const inventedSource = (note: string): Source => ({ by: 'invented', note: `for the demonstration; ${note}`, on: '2026-09-01' })
