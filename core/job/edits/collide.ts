/** Whoever begins anew between roof and grid replaces all that stands there. */
const onGround = (key: string): boolean => /^(ground\/|(thing|wall|run|figure) )/.test(key)
const GROUND_WHOLE = 'ground/whole'
/** A thing, wall or run put or taken away whole has all facts of it. */
const partOf = (key: string): string | null => /^(?:thing|wall|run) [^/]+/.exec(key)?.[0] ?? null
const sharesPart = (key: string, other: string): boolean => partOf(key) !== null && partOf(key) === partOf(other) && [key, other].includes(`${partOf(key)}/whole`)

const faceOf = (key: string): string | null => /^face [^/]+/.exec(key)?.[0] ?? null

/** What of a face lies under one of its keys: a whole face has all of it, an in-roof array its own facts, its supports their rafters and hits. */
function under(whole: string, face: string): string[] {
  if (whole === `${face}/whole`) return [`${face}/`]
  if (whole === `${face}/in-roof/whole`) return [`${face}/in-roof/`]
  return whole === `${face}/supports` ? [`${face}/rafters/`, `${face}/rafter `, `${face}/hit `] : []
}
const holds = (whole: string, part: string, face: string): boolean => under(whole, face).some(start => part.startsWith(start))

/** Whether facts that one edit touches are among those that others touched, or lie in one of them, or hold one. */
export function collide(touched: string[], theirs: Iterable<string>): boolean {
  const others = new Set(theirs)
  return touched.some((key) => {
    if (others.has(key)) return true
    if (onGround(key) && (key === GROUND_WHOLE ? [...others].some(onGround) : others.has(GROUND_WHOLE))) return true
    if ([...others].some(other => sharesPart(key, other))) return true
    const face = faceOf(key)
    return face !== null && [...others].some(other => faceOf(other) === face && (holds(key, other, face) || holds(other, key, face)))
  })
}
