/** As many corners as a face may have. */
export const MOST_CORNERS = 40
/** A file larger than this is not a survey, bytes. */
export const MOST_FILE_BYTES = 2_000_000

export const tooManyCorners = (n: number): string => `A face has at most ${MOST_CORNERS} corners; here are ${n.toLocaleString('en')}. Leave out the points along straight edges.`
