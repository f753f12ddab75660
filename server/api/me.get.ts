/** Who is signed in, for the page's head. */
export default defineEventHandler(event => inFirm(event, async ({ personName, firmName, personId, role }) => ({ personName, firmName, personId, role })))
