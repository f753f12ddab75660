import { z } from 'zod'
import { itemId } from './fields'

/** Who answers for a figure. What is invented is there to try the program with, and is never bought or built. */
export const sourceKinds = ['maker', 'measured', 'from-memory', 'invented'] as const
export type SourceKind = typeof sourceKinds[number]
export const sourceNames: Record<SourceKind, string> = { 'maker': 'Maker', 'measured': 'Measured', 'from-memory': 'From memory', 'invented': 'Invented' }

/** Where a figure comes from, so that nobody takes an invented or remembered value for a tested one. */
export const sourceSchema = z.object({
  by: z.enum(sourceKinds, 'Say whether the figures are the maker’s, measured, or from memory.'),
  /** The document, the instrument, or who remembers. */
  note: z.string().trim().min(3, 'Name the document, how it was measured, or who remembers it.').max(200),
  /** The day on which it was read or measured. */
  on: z.iso.date('The date of a source is written like 2026-04-30.'),
})
export type Source = z.infer<typeof sourceSchema>

/** What every part on the shelf has. */
export const shelved = {
  id: itemId,
  maker: z.string().trim().min(1, 'Name the maker.').max(80),
  name: z.string().trim().min(1, 'Give the part a name.').max(80),
  source: sourceSchema,
  /** Sources of those figures that come from elsewhere, by the figure's path. */
  figureSources: z.record(z.string(), sourceSchema),
  /** No longer chosen for new work; what is built of it keeps it. */
  retired: z.boolean(),
  /** The part in whose place it came. */
  replaces: itemId.nullable(),
}
export interface Shelved { id: string, maker: string, name: string, source: Source, figureSources: Record<string, Source>, retired: boolean, replaces: string | null }

/** The source of one figure: its own, that of the group it stands in, or the part's. */
export function sourceOf({ source, figureSources }: Pick<Shelved, 'source' | 'figureSources'>, path: string): Source {
  const steps = path.split('.')
  for (let n = steps.length; n > 0; n--) {
    const own = figureSources[steps.slice(0, n).join('.')]
    if (own) return own
  }
  return source
}

/** A source as it stands beside a figure. */
export const sourceText = ({ by, note, on }: Source): string => `${sourceNames[by]}: ${note}, ${on}`

/** Where a part's figures come from, or one of them. */
export const evidenceOf = (part: Pick<Shelved, 'source' | 'figureSources'>, path = ''): string => sourceText(sourceOf(part, path))
