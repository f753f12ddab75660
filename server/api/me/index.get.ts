/** Who is signed in, for the page's head. */
export default defineEventHandler(event => inFirm(event, 'read-sheet', async ({ client: _, ...me }) => me))
