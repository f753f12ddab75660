import { DEMO_FIRM_ID } from '../../db/demo/ids'

/**
 * On a demo server, whoever opens a page without being signed in becomes the demo firm's planner. Pages only:
 * a call to the interface without a session is refused as it would be anywhere.
 */
export default defineEventHandler(async (event) => {
  if (!useRuntimeConfig().demo || event.method !== 'GET' || event.path.startsWith('/api/') || event.path.startsWith('/_')) return
  if (!getRequestHeader(event, 'accept')?.includes('text/html')) return
  if (!await findSignedIn(event)) await signInAsPlannerOf(event, DEMO_FIRM_ID)
})
