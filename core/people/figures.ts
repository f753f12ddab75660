import { isEqual } from 'es-toolkit'
import { type ArrayRules, arrayWords, type Edit, type Ground, groundWords, type Job, loadsWords, type WiringSettings, wiringWords } from '../job'

/** A figure that somebody with a licence stands for: the fact it is, what it is called, and its value. */
export interface Figure { fact: string, words: string, value: unknown }

const ofArray = ['heldUpN', 'heldDownN', 'heldSlopeN', 'allowedSpanMm', 'allowedOverhangMm'] as const

const arrayFigures = (faceId: string, values: Partial<ArrayRules>): Figure[] =>
  ofArray.filter(key => key in values).map(key => ({ fact: `face ${faceId}/array/${key}`, words: arrayWords[key], value: values[key] }))

/** Whose work the structure rests on, and an engineer's own pressures, in the rules or before there are any. */
function loadFigures({ engineer, rules, place }: Partial<Job['loads']>): Figure[] {
  const typed = rules && 'wind' in rules && rules.wind.kind === 'typed' ? rules.wind : place?.typed
  return [
    ...engineer ? [{ fact: 'loads/engineer', words: loadsWords.engineer, value: engineer.name }] : [],
    ...typed ? [{ fact: 'loads/typed', words: 'an engineer’s wind pressures', value: typed }] : [],
  ]
}

/** What an electrician's word lets the wiring do: a greater voltage, a device loaded whole, strings that stay live inside a listed array. */
const wiringFigures = ({ mostV, listedFull, insideBy }: Partial<WiringSettings>): Figure[] => [
  ...mostV === undefined ? [] : [{ fact: 'wiring/mostV', words: wiringWords.mostV, value: mostV }],
  ...listedFull === undefined ? [] : [{ fact: 'wiring/listedFull', words: wiringWords.listedFull, value: listedFull || null }],
  ...insideBy === undefined ? [] : [{ fact: 'wiring/insideBy', words: wiringWords.insideBy, value: insideBy === 'none' ? null : insideBy }],
]

/** Who answers for what stands between roof and grid, and figures of the code that they type over. */
const groundFigures = ({ electrician, figures }: Partial<Pick<Ground, 'electrician' | 'figures'>>): Figure[] => [
  ...electrician ? [{ fact: 'ground/electrician', words: groundWords.electrician, value: electrician.name }] : [],
  ...(figures ?? []).map(({ id, value }) => ({ fact: `figure ${id}`, words: `a figure of the electrical code (${id})`, value })),
]

const stands = ({ value }: Figure): boolean => value !== null && value !== ''

/** The figures that an edit types. A face that comes whole, as by undo, brings those it has and types none. */
export const figuresIn = (edit: Edit): Figure[] => (edit.type === 'batch' ? edit.edits : [edit]).flatMap((one) => {
  switch (one.type) {
    case 'set-array': return arrayFigures(one.faceId, one.values)
    case 'set-loads': return loadFigures(one.values)
    case 'set-wiring': return wiringFigures(one.values)
    case 'set-ground': return groundFigures(one.values)
    case 'type-figure': return one.figure ? groundFigures({ figures: [{ ...one.figure, id: one.figureId }] }) : [{ fact: `figure ${one.figureId}`, words: 'a figure of the electrical code', value: null }]
    default: return []
  }
})

const everyFigure = (job: Job): Figure[] => [
  ...job.faces.flatMap(face => arrayFigures(face.id, face.array).map(figure => job.faces.length > 1 ? { ...figure, words: `${figure.words} (${face.name})` } : figure)),
  ...loadFigures(job.loads),
  ...wiringFigures(job.wiring),
  ...job.ground ? groundFigures(job.ground) : [],
]

/** The figures that stand in a job. */
export const figuresOf = (job: Job): Figure[] => everyFigure(job).filter(stands)

export const sameFigure = (a: Figure, b: Pick<Figure, 'value'> | undefined): boolean => isEqual(a.value ?? null, b?.value ?? null)

/** Whether an edit types a figure anew, or takes one away. */
export function typesFigure(edit: Edit, job: Job): boolean {
  const now = new Map(everyFigure(job).map(figure => [figure.fact, figure]))
  return figuresIn(edit).some(figure => !sameFigure(figure, now.get(figure.fact)))
}
