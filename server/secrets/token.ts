import { createHash, randomBytes, timingSafeEqual } from 'node:crypto'

const SECRET_BYTES = 24

/** A secret that is handed out once; only its hash is kept. */
export interface Handed { token: string, hash: string }
/** What a token says: whose row it opens, and the secret that proves it. */
export interface ReadToken { firmId: string, id: string, hash: string }

export const hashOf = (secret: Buffer | string): string => createHash('sha256').update(secret).digest('hex')

const bytesOfId = (id: string) => Buffer.from(id.replaceAll('-', ''), 'hex')
const idOfBytes = (bytes: Buffer) => bytes.toString('hex').replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5')

/** A token for a row of a firm: it names both, so that nothing has to be looked up over the borders of firms. */
export function handOut(firmId: string, id: string): Handed {
  const secret = randomBytes(SECRET_BYTES)
  return { token: Buffer.concat([bytesOfId(firmId), bytesOfId(id), secret]).toString('base64url'), hash: hashOf(secret) }
}

/** What a token says, or null where it can't be one. */
export function readToken(token: string): ReadToken | null {
  const bytes = Buffer.from(token, 'base64url')
  if (bytes.length !== 32 + SECRET_BYTES || bytes.toString('base64url') !== token) return null
  return { firmId: idOfBytes(bytes.subarray(0, 16)), id: idOfBytes(bytes.subarray(16, 32)), hash: hashOf(bytes.subarray(32)) }
}

/** Compares without telling by the time it takes how much was right. */
export const sameHash = (a: string, b: string): boolean => a.length === b.length && timingSafeEqual(Buffer.from(a), Buffer.from(b))
