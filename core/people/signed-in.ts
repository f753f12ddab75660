import type { Role } from './rights'

/** Whoever asks: a person of a firm, or somebody who holds a link. */
export interface SignedIn {
  firmId: string
  firmName: string
  /** The state of the firm's shelf: what is known of another no longer holds. */
  shelf: number
  /** Empty for somebody who holds a link. */
  personId: string
  personName: string
  role: Role
  vouches: boolean
  licence: string
  email: string | null
  /** The one job that a guest reads. */
  jobId: string | null
  /** The one issued sheet that a link shows. */
  revision: number | null
  /** The one hand-over pack that a link shows: the householder’s or the inspector’s. */
  pack: 'householder' | 'inspector' | null
}
