import { get, upperFirst } from 'es-toolkit/compat'
import type { z } from 'zod'
import type { Shelf } from '../catalogue'
import { type Problem, UNWORDED } from '../outcome'
import { isMeasured } from './cell'
import { type Figure, figuresOf, mostRows, type PlacedFigure, shelfWords } from './figures'
import { dimensions, inUnit } from './quantities'

const placed = Object.fromEntries(Object.keys(shelfWords).map(shelf => [shelf, new Map(figuresOf(shelf as Shelf, mostRows).map(one => [one.path, one]))])) as Record<Shelf, Map<string, PlacedFigure>>

/** The figure at a path, or the one that the path lies in. */
export function figureAt(shelf: Shelf, path: string): PlacedFigure | null {
  const steps = path.split('.')
  for (let n = steps.length; n > 0; n--) {
    const found = placed[shelf].get(steps.slice(0, n).join('.'))
    if (found) return found
  }
  return null
}

/** What is wrong with an item, each figure by its name and in its unit. */
export const worded = (shelf: Shelf, data: unknown, error: z.ZodError): Problem[] => error.issues.map((issue) => {
  const path = issue.path.join('.')
  const found = figureAt(shelf, path)
  return { path: path || '(whole)', sentence: UNWORDED.test(issue.message) ? sentence(found, issue, get(data, path), path) : issue.message }
})

function sentence(found: PlacedFigure | null, issue: z.core.$ZodIssue, value: unknown, path: string): string {
  const name = found?.label ?? groupNamed(path)
  if (value === undefined || value === null || value === '') return `${name} is missing.`
  const figure = found?.figure
  if (issue.code === 'too_small') return issue.origin === 'string'
    ? `${name} is too short.`
    : issue.inclusive ? `${name} must be at least ${limit(figure, Number(issue.minimum))}.` : `${name} must be above ${limit(figure, Number(issue.minimum))}.`
  if (issue.code === 'too_big') return issue.origin === 'string' ? `${name} has at most ${issue.maximum} letters.` : `${name} must be at most ${limit(figure, Number(issue.maximum))}.`
  if (figure && (figure.is === 'choice' || figure.is === 'choices')) return `${name} must be one of ${Object.values(figure.choices).join('; ')}.`
  return `${name} can’t be “${typeof value === 'object' ? JSON.stringify(value) : String(value as string)}”.`
}

/** What stands at a path that is no figure by itself: a list, or a part of the item. */
const groupNamed = (path: string): string => Object.values(shelfWords).flatMap(words => words.groups).find(group => group.maybe?.path === path || group.rows?.path === path)?.title ?? (path ? upperFirst(path) : 'The part')

function limit(figure: Figure | undefined, value: number): string {
  if (!figure) return String(value)
  if (isMeasured(figure)) {
    const { shown, units } = dimensions[figure.is]
    const metric = `${inUnit(value, figure.is, shown.metric)} ${shown.metric}`
    return shown.imperial === shown.metric || value === 0 ? metric : `${metric} (${Number((value / units[shown.imperial]!).toPrecision(3))} ${shown.imperial})`
  }
  return figure.is === 'count' || figure.is === 'number' ? `${value} ${figure.of}`.trim() : String(value)
}
