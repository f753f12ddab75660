/** Who is signed in, for the page's head. */
export default defineEventHandler(async (event) => {
  const { personName, firmName, personId, role } = await requireSignedIn(event)
  return { personName, firmName, personId, role }
})
