import { type Outcome, refused } from '#core/outcome'

/** Reads a plain figure with its unit, or nothing where it may be left empty, and hands it on. */
export const takeFigure = (take: (n: number | null) => Outcome<unknown>, unit: string, optional = true) => (text: string): Outcome<unknown> => {
  const plain = text.trim().replace(/[−–]/g, '-').replace(new RegExp(`\\s*${unit}$`, 'i'), '')
  if (!plain) return optional ? take(null) : refused(`Type a figure in ${unit}.`)
  const n = Number(plain)
  return Number.isFinite(n) && /\d/.test(plain) ? take(n) : refused(`“${text.trim()}” is not a figure in ${unit}.`)
}
/** Such a figure as it is shown; nothing where nobody has said it. */
export const figureShown = (n: number | null, unit: string): string => n === null ? '' : `${String(n).replace('-', '−')} ${unit}`.trim()
