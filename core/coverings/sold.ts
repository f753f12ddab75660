import type { Catalogue, CoveringItem } from '../catalogue'
import type { Face } from '../job'

/** Sold units differ from those taped on a roof by so much, mm. */
const TAPED_MM = 5

/** The covering on the shelf of which a face's units are; null where none is like them. */
export const soldLike = ({ coverings }: Pick<Catalogue, 'coverings'>, { covering }: Pick<Face, 'covering'>): CoveringItem | null => coverings.find(({ size, retired }) =>
  !retired && size.kind === covering.kind && 'coverWidthMm' in size && 'coverWidthMm' in covering && Math.abs(size.coverWidthMm - covering.coverWidthMm) <= TAPED_MM) ?? null
