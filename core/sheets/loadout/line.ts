import type { PartKind } from '../../catalogue'
import type { Part } from '../../trade'

/** One line of the load-out over the whole job. */
export interface LoadLine extends Pick<Part, 'name' | 'maker' | 'stage' | 'lengthMm' | 'packOf' | 'rule'> {
  /** The same for the same part in every plan: by it a tick is kept. */
  id: string
  kind: PartKind
  /** Pieces that each face needs; what is bought by the cartridge or reel is counted over the job only. */
  byFace: { faceId: string, pieces: number }[]
  needed: number
  spares: number
  total: number
  /** Of one piece, kg; null where nobody has given it. */
  unitMassKg: number | null
  /** Of one piece, in the catalogue's currency; null where nobody has given it. */
  unitPrice: number | null
  /** Taken from the yard, not bought. */
  fromYard: boolean
}
