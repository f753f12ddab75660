/** Drawings of what stands between roof and grid: walls to scale, and the one-line diagram. */
export * from './elevation'
export * from './one-line'
export * from './pack-labels'
