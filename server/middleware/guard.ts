import { RateLimiterMemory } from 'rate-limiter-flexible'
import { addressOf } from '../secrets/tries'

/**
 * More than any crew behind one address asks for. Counted by each copy of the server for itself: it holds off a flood, and
 * is no secret's guard.
 */
const PER_MINUTE = { address: 3000, written: 1200 }
const every = new RateLimiterMemory({ points: PER_MINUTE.address, duration: 60 })
const written = new RateLimiterMemory({ points: PER_MINUTE.written, duration: 60 })

/** An answer is data: it is not guessed what it is, runs nothing, stands in no frame, is kept by nobody and read by no other site. */
const HEADERS = {
  'cache-control': 'no-store', 'x-content-type-options': 'nosniff', 'content-security-policy': 'default-src \'none\'; frame-ancestors \'none\'; sandbox',
  'cross-origin-resource-policy': 'same-origin', 'referrer-policy': 'same-origin',
}

/** Stands before every call to the interface: where it is asked from, how often, and that its address can be read. */
export default defineEventHandler(async (event) => {
  if (!event.path.startsWith('/api/')) return
  setResponseHeaders(event, HEADERS)
  const changes = event.method !== 'GET' && event.method !== 'HEAD'
  if (changes && !isSameSite(event)) {
    record(event, 'other-site')
    refuse(403, [{ path: 'origin', sentence: 'This was asked for by a page of another site. Open Upper Deck itself and do it there.' }])
  }
  let address = event.path
  try {
    address = decodeURIComponent(event.path.replaceAll('+', ' '))
  }
  catch {
    refuse(400, [{ path: 'address', sentence: 'This address can’t be read.' }])
  }
  if (!isStorable(address)) refuse(400, [{ path: 'address', sentence: 'This address can’t be read.' }])
  // Health is for whoever watches over the server.
  if (event.path === '/api/health') return
  const from = addressOf(event)
  try {
    await every.consume(from)
    if (changes) await written.consume(from)
  }
  catch {
    setResponseHeader(event, 'retry-after', 60)
    refuse(429, [{ path: 'tries', sentence: 'That is more than a crew asks for. Wait a minute; what you typed is kept.' }])
  }
})
