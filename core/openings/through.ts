import type { OpeningsLayout } from './layout'
import type { Through } from './open'
import type { Opening } from './opening'

/** The mount of an opening by its way: the array's own, or the one that opens first. */
export const throughOf = ({ through }: Pick<OpeningsLayout, 'through'>, { first }: Pick<Opening, 'first'>): Through => (first ? through.first : null) ?? through.usual!
