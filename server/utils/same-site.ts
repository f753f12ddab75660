import type { H3Event } from 'h3'

/**
 * Whether a change is asked for by a page of this site, or by no page at all. A browser says from where it is asked (Fetch Metadata;
 * older ones by Origin); a program that sends neither carries no cookie that it was not given.
 */
export function isSameSite(event: H3Event): boolean {
  const site = getRequestHeader(event, 'sec-fetch-site')
  if (site) return site === 'same-origin' || site === 'none'
  const origin = getRequestHeader(event, 'origin')
  if (!origin) return true
  try {
    return new URL(origin).host === getRequestHost(event, { xForwardedHost: Boolean(useRuntimeConfig().behindProxy) })
  }
  catch {
    return false
  }
}
