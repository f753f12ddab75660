import { type Found, foundSchema, type Light, type Resistance, type TestStep } from '#core/job'
import { done, type Outcome, problemsOf, refused, sentencesOf } from '#core/outcome'
import { readResistance } from '#core/proof'

/** One field of a test's form: typed with its unit, or yes and no. */
export type ReadingField
  = | { key: string, label: string, is: 'number', unit: string }
    | { key: string, label: string, is: 'resistance' }
    | { key: string, label: string, is: 'choice', choices: { value: string, label: string }[] }

const number = (key: string, label: string, unit: string): ReadingField => ({ key, label, is: 'number', unit })
const choice = (key: string, label: string, ...choices: [value: string, label: string][]): ReadingField => ({ key, label, is: 'choice', choices: choices.map(([value, words]) => ({ value, label: words })) })
const right = choice('right', 'It is', ['yes', 'right'], ['no', 'reversed'])
const armed = choice('armed', 'It is', ['yes', 'armed'], ['no', 'not armed'])
const light = [number('gWm2', 'Irradiance', 'W/m²'), number('cellC', 'Cells', '°C')]

/** Fields of each test. */
export const readingFields = (step: TestStep, hasUnits: boolean): ReadingField[] => ({
  'continuity': [number('ohm', 'Resistance', 'Ω')],
  'polarity': [right], 'combiner': [right], 'mains-polarity': [right], 'phase-order': [right],
  'voc': [number('volts', 'Volts', 'V'), ...light, ...hasUnits ? [choice('units', 'Units', ['standby', 'stand by'], ['enabled', 'work'])] : []],
  'isc': [number('amps', 'Amperes', 'A'), ...light],
  'switch': [choice('opens', 'It', ['yes', 'parts'], ['no', 'does not part'])],
  'insulation': [choice('method', 'Method', ['each', '− then +'], ['joined', 'joined']), number('testV', 'Test voltage', 'V'), { key: 'minus', label: '− to earth, or joined', is: 'resistance' }, { key: 'plus', label: '+ to earth', is: 'resistance' }],
  'mains-volts': [number('volts', 'Volts', 'V')],
  'rcd': [number('ratedMa', 'Rated', 'mA'), number('ms', 'Trips at that in', 'ms'), number('fiveMs', 'Trips at five times in', 'ms')],
  'loop': [number('ohm', 'Loop', 'Ω')],
  'ground-fault': [armed], 'arc-fault': [armed],
  'mains-loss': [choice('stops', 'It', ['yes', 'stops'], ['no', 'goes on']), number('seconds', 'After', 's')],
  'shutdown': [number('volts', 'Left', 'V'), number('seconds', 'After', 's')],
} satisfies Record<TestStep, ReadingField[]>)[step]

const isYesNo = (key: string): boolean => ['right', 'opens', 'armed', 'stops'].includes(key)
const nameOf = (field: ReadingField): string => field.label.toLowerCase()

/** What was typed as a test's finding, or a sentence that says what is missing. */
export function foundFrom(step: TestStep, fields: ReadingField[], typed: Record<string, string>): Outcome<Found> {
  const values: Record<string, unknown> = { step, ...step === 'voc' ? { units: 'none' } : {}, ...step === 'insulation' ? { plus: null } : {} }
  for (const field of fields) {
    const text = (typed[field.key] ?? '').trim()
    if (field.is === 'choice') {
      if (!text) return refused(`Say: ${nameOf(field)} ${field.choices.map(one => one.label).join(' or ')}?`)
      values[field.key] = isYesNo(field.key) ? text === 'yes' : text
    }
    else if (field.is === 'resistance') {
      if (field.key === 'plus' && typed.method === 'joined') continue
      const read = readResistance(text)
      if (!read.ok) return refused(`${field.label}: ${read.problem}`)
      values[field.key] = read.value
    }
    else {
      const value = Number(text.replace(',', '.').replace('−', '-'))
      if (!text || !Number.isFinite(value)) return refused(`Type ${nameOf(field)} in ${field.unit}, as a number.`)
      values[field.key] = value
    }
  }
  if ('gWm2' in values) {
    const { gWm2, cellC, ...rest } = values
    return checked({ ...rest, light: { gWm2, cellC } as Light })
  }
  return checked(values)
}

function checked(values: Record<string, unknown>): Outcome<Found> {
  const read = foundSchema.safeParse(values)
  return read.success ? done(read.data) : refused(sentencesOf(problemsOf(read.error)))
}

const isResistance = (value: unknown): value is Resistance => typeof value === 'object' && value !== null && 'mohm' in value

/** What an instrument gave, as it would have been typed. */
export function typedFrom(found: Found): Record<string, string> {
  const flat = 'light' in found ? { ...found, ...found.light } : found
  const words = (value: unknown): string => typeof value === 'boolean' ? value ? 'yes' : 'no' : isResistance(value) ? `${value.atLeast ? '> ' : ''}${value.mohm} MΩ` : String(value)
  return Object.fromEntries(Object.entries(flat).filter(([key, value]) => key !== 'step' && key !== 'light' && value !== null).map(([key, value]) => [key, words(value)]))
}
