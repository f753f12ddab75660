import type { Point } from '../../geometry'
import type { EdgeKind } from '../../job'
import { isLevel, LEVEL_WITHIN } from '../level'

/**
 * What the edges of a ring in a face's own plane most likely are, to be corrected by hand. The ring runs anticlockwise, so a
 * level edge that runs right has the face above it and is an eave, and one that runs left a ridge; those straight up the slope
 * are rakes, others hips where they narrow the face upwards and valleys where they widen it.
 */
export function guessEdges(ring: Point[]): EdgeKind[] {
  return ring.map((from, i) => {
    const to = ring[(i + 1) % ring.length]!
    const [dx, dy] = [to.x - from.x, to.y - from.y]
    if (isLevel({ from, to })) return dx > 0 ? 'eave' : 'ridge'
    if (Math.abs(dx) <= LEVEL_WITHIN * Math.abs(dy)) return 'rake'
    return dx < 0 ? 'hip' : 'valley'
  })
}
