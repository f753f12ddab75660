import { type ElectricalEdition, electricalEditions, type RuleSet } from './editions'

/** In which unit a figure is typed and shown. */
export type FigureUnit = 'share' | 'length' | 'current' | 'voltage' | 'mass' | 'force' | 'degrees' | 'energy' | 'power' | 'factor'

/** One number of a clause. */
export interface ClauseFigure {
  name: string
  unit: FigureUnit
  value: number
  /** Where it stands, in the job's own edition. */
  clause: string
  /** Not checked against the document. */
  fromMemory: boolean
}

const inch = (feet: number, inches = 0): number => (feet * 12 + inches) * 25.4
type Spec = [name: string, unit: FigureUnit, value: number, clause: string | Record<ElectricalEdition, string>]

const EVERY_US = {
  'continuous': ['Current that flows for three hours and more', 'factor', 1.25, '690.8(B), 215.2(A)(1)'],
  'source-factor': ['What a source counts for on a busbar', 'factor', 1.25, { 2017: '705.12(B)', 2020: '705.12(B)', 2023: '705.12(B)' }],
  'bus-share': ['Busbar that sources at its far end may load', 'share', 1.2, { 2017: '705.12(B)(2)(3)(b)', 2020: '705.12(B)(3)(2)', 2023: '705.12(B)(2)' }],
  'tap-device': ['Conductor from a supply-side tap to its device', 'length', inch(10), { 2017: '705.31', 2020: '705.11(C)', 2023: '705.11(C)(1)' }],
  'fill-one': ['Raceway filled by one conductor', 'share', 0.53, 'Chapter 9, table 1'],
  'fill-two': ['Raceway filled by two conductors', 'share', 0.31, 'Chapter 9, table 1'],
  'fill-more': ['Raceway filled by three and more', 'share', 0.4, 'Chapter 9, table 1'],
  'fill-nipple': ['Nipple', 'share', 0.6, 'Chapter 9, note 4'],
  'nipple': ['Longest nipple', 'length', inch(0, 24), 'Chapter 9, note 4; 310.15(C)(1)(b)'],
  'bends': ['Bends between two pulls', 'degrees', 360, '358.26, 352.26'],
  'working-width': ['Working space, width', 'length', inch(0, 30), '110.26(A)(2)'],
  'working-depth': ['Working space, depth', 'length', inch(3), 'Table 110.26(A)(1)'],
  'working-height': ['Working space, height', 'length', inch(6, 6), '110.26(A)(3)'],
  'beyond': ['Other things may stand out past a box by', 'length', inch(0, 6), '110.26(A)(3)'],
  'handle': ['Highest handle', 'length', inch(6, 7), '240.24(A), 404.8(A)'],
  'gas': ['From gas', 'length', inch(3), 'The utility’s own rule'],
  'sight': ['The utility’s disconnect from its meter', 'length', inch(10), 'The utility’s own rule'],
  'storage-unit': ['One storage unit', 'energy', 20, 'IRC R328.3'],
  'storage-utility': ['Storage in a utility room', 'energy', 40, 'IRC R328.5'],
  'storage-other': ['Storage in a garage, on an outside wall, in a shed', 'energy', 80, 'IRC R328.5'],
  'storage-apart': ['Between storage units', 'length', inch(3), 'IRC R328.3.1; NFPA 855'],
  'storage-opening': ['Storage from doors and windows', 'length', inch(3), 'IRC R328.4'],
  'arc-fault': ['DC from which an arc-fault device is asked for', 'voltage', 80, '690.11'],
  'dwelling-dc': ['DC in dwellings', 'voltage', 600, { 2017: '690.7', 2020: '690.7(A)', 2023: '690.7(A)' }],
} satisfies Record<string, Spec>
export type FigureId = keyof typeof EVERY_US

/** Those that are no code’s but common practice, alike everywhere. */
const PRACTICE = {
  'two-person': ['One person lifts up to', 'mass', 25, 'Common practice'],
  'lean': ['A person leaning on a top edge', 'force', 500, 'Common practice'],
  'slack': ['Loose conductor in every box', 'length', 300, 'Common practice'],
} satisfies Record<string, Spec>
export type PracticeId = keyof typeof PRACTICE

/** What Europe reads elsewhere or has no clause for; national figures are typed over. */
const IEC: Partial<Record<FigureId, Spec>> = {
  'continuous': ['Current that flows for hours', 'factor', 1, 'IEC 60364-7-712'],
  'source-factor': ['What a source counts for on a busbar', 'factor', 1, 'IEC 60364-5-55, 551.7.2'],
  'bus-share': ['Busbar that main and sources may load together', 'share', 1, 'IEC 60364-5-55, 551.7.2'],
  'fill-one': ['Conduit filled by one conductor', 'share', 0.53, 'Common practice'],
  'fill-two': ['Conduit filled by two', 'share', 0.31, 'Common practice'],
  'fill-more': ['Conduit filled by three and more', 'share', 0.4, 'Common practice'],
  'working-width': ['Room before a board, width', 'length', 700, 'IEC 60364-7-729'],
  'working-depth': ['Room before a board, depth', 'length', 700, 'IEC 60364-7-729'],
  'working-height': ['Room before a board, height', 'length', 2000, 'IEC 60364-7-729'],
  'handle': ['Highest handle', 'length', 2000, 'National figure'],
  'gas': ['From gas', 'length', 500, 'National figure'],
  'bends': ['Bends between two pulls', 'degrees', 270, 'Common practice'],
  'dwelling-dc': ['DC in dwellings', 'voltage', 1000, 'IEC 60364-7-712'],
}

/** A figure somebody typed over, by name. */
export interface TypedFigure { id: string, value: number, by: string }

/** Figures of one set of rules, as they hold on a job. */
export type Figures = Record<FigureId | PracticeId, ClauseFigure & { typedBy: string | null }>

export const figureIds = [...Object.keys(EVERY_US), ...Object.keys(PRACTICE)] as (FigureId | PracticeId)[]

/** @param typed what stands in a figure's place on this job, by whom */
export function figuresOf(rules: RuleSet, typed: TypedFigure[] = []): Figures {
  const own = (id: FigureId | PracticeId): ClauseFigure => {
    const spec: Spec = (rules === 'iec' ? IEC[id as FigureId] : undefined) ?? EVERY_US[id as FigureId] ?? PRACTICE[id as PracticeId]
    const [name, unit, value, clause] = spec
    const where = typeof clause === 'string' ? clause : clause[rules === 'iec' ? electricalEditions[2] : rules]
    const code = where !== 'Common practice' && !where.startsWith('The utility') && where !== 'National figure'
    return { name, unit, value, clause: code && rules !== 'iec' && !where.startsWith('IRC') ? `NEC ${rules}, ${where}` : where, fromMemory: code }
  }
  return Object.fromEntries(figureIds.map((id) => {
    const said = typed.find(one => one.id === id)
    const figure = own(id)
    return [id, said ? { ...figure, value: said.value, typedBy: said.by } : { ...figure, typedBy: null }]
  })) as Figures
}

/** Where a figure is from, for workings and findings. */
export const sourceOf = ({ clause, fromMemory, typedBy }: Figures[FigureId]): string => typedBy === null ? `${clause}${fromMemory ? ', from memory' : ''}` : `Typed on this job by ${typedBy}, in place of ${clause}`
