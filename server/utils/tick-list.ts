/** The list that ticks are kept on: the van's, or the marks of one issued revision or of the plan as it stands. */
export function tickListOf(value: unknown): string {
  if (typeof value === 'string' && /^(van|mark-out)(:[A-Za-z0-9]+)?$/.test(value)) return value
  return refuse(400, [{ path: 'list', sentence: 'Say which list: van, mark-out, or mark-out and its revision.' }])
}
