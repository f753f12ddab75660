import { spokenCheck, spokenMark, spokenStep } from './speech'
import type { Check, Mark, MarkStep } from '../../trade'
import type { UnitSystem } from '../../units'

/** One thing to do with a tape in hand: a mark, a closing reading or a check. */
export type MarkTask = {
  /** The same for the same mark in every plan: by it a tick is kept. */
  key: string
  faceId: string
  faceName: string
  step: MarkStep
  /** The first of its step, where the step's instruction is told. */
  first: boolean
} & ({ kind: 'mark' | 'closing', mark: Mark } | { kind: 'check', check: Check })

/** A key is kept in the database with the place where its mark was struck: together they may have 200 letters. */
const MOST_LETTERS = 170

/** All that a mark-out asks of a crew, face by face and step by step, one thing at a time. */
export const markTasks = (faces: { faceId: string, name: string, marks: MarkStep[] }[]): MarkTask[] => faces.flatMap(({ faceId, name, marks }) => marks.flatMap((step) => {
  const base = (part: string) => ({ key: `${faceId}/${step.id}/${part}`.slice(0, MOST_LETTERS), faceId, faceName: name, step, first: false })
  return [
    ...step.marks.map((mark): MarkTask => ({ ...base(mark.key), kind: 'mark', mark })),
    ...(step.closing ? [{ ...base('closing'), kind: 'closing' as const, mark: step.closing }] : []),
    ...step.checks.map((check): MarkTask => ({ ...base(check.id), kind: 'check', check })),
  ].map((task, i) => ({ ...task, first: i === 0 }))
}))

/** One line to strike: all of a step's tasks, on one card. */
export interface LineCard { faceId: string, faceName: string, step: MarkStep, tasks: MarkTask[] }

/** Tasks by the line they stand on, in order: a crew strikes a line at once and ticks it whole, or mark by mark. */
export function lineCards(tasks: MarkTask[]): LineCard[] {
  const cards: LineCard[] = []
  for (const task of tasks) {
    if (task.first) cards.push({ faceId: task.faceId, faceName: task.faceName, step: task.step, tasks: [] })
    cards.at(-1)!.tasks.push(task)
  }
  return cards
}

/** What is said of a task, with its step's instruction where it is the first. */
export function spokenTask(task: MarkTask, units: UnitSystem): string {
  const words = task.kind === 'check' ? spokenCheck(task.check, units) : spokenMark(task.mark, units)
  return task.first ? `${spokenStep(task.step, units)} ${words}` : words
}
