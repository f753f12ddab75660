import type { Mark, MarkStep } from '../../trade'

/** What became of one mark, or of the line that a step's marks stand on, since a sheet was issued. */
export type MarkChange
  = | { kind: 'moved', step: string, label: string, fromMm: number, toMm: number }
    | { kind: 'added' | 'gone', step: string, label: string, readingMm: number }

/** The marks of one face, as a sheet has them. */
export interface FaceMarks { faceId: string, name: string, datum: string, marks: MarkStep[] }

export interface FaceChanges { faceId: string, name: string, changes: MarkChange[] }

/** A mark that moved by less than this is marked at the same place, mm: half of a metric division. */
export const SAME_MM = 0.5

/** What changed between an issued sheet and the plan as it stands: marks moved, added and gone, face by face. */
export function sheetChanges(issued: FaceMarks[], now: FaceMarks[]): FaceChanges[] {
  const faces = [...new Set([...issued, ...now].map(face => face.faceId))]
  return faces.map((faceId) => {
    const before = issued.find(face => face.faceId === faceId)
    const after = now.find(face => face.faceId === faceId)
    // Readings from another datum, or from another eave, are other readings: all old marks go.
    const sameDatum = !before || !after || before.datum === after.datum
    return {
      faceId,
      name: (after ?? before)!.name,
      changes: sameDatum ? changesOf(before?.marks ?? [], after?.marks ?? []) : [...changesOf(before!.marks, []), ...changesOf([], after!.marks)],
    }
  }).filter(face => face.changes.length > 0)
}

interface Placed { step: MarkStep, mark: Mark }

function changesOf(before: MarkStep[], after: MarkStep[]): MarkChange[] {
  const placed = (steps: MarkStep[]) => new Map(steps.flatMap(step => [
    ...step.marks,
    ...(step.closing ? [step.closing] : []),
  ].map((mark): [string, Placed] => [`${step.id} ${mark.key}`, { step, mark }])))
  const [old, fresh] = [placed(before), placed(after)]
  const moved = [...old].flatMap(([key, { step, mark }]): MarkChange[] => {
    const next = fresh.get(key)
    if (!next) return [{ kind: 'gone', step: step.title, label: mark.label, readingMm: mark.readingMm }]
    const same = Math.abs(next.mark.readingMm - mark.readingMm) <= SAME_MM && Math.abs((next.mark.upMm ?? 0) - (mark.upMm ?? 0)) <= SAME_MM
    return same ? [] : [{ kind: 'moved', step: next.step.title, label: next.mark.label, fromMm: mark.readingMm, toMm: next.mark.readingMm }]
  })
  const added = [...fresh].flatMap(([key, { step, mark }]): MarkChange[] => old.has(key) ? [] : [{ kind: 'added', step: step.title, label: mark.label, readingMm: mark.readingMm }])
  // Where only the line has moved on which they stand, that is told once, not for each mark.
  const lines = before.flatMap((step): MarkChange[] => {
    const next = after.find(one => one.id === step.id)
    return !next || step.lineMm === null || next.lineMm === null || Math.abs(next.lineMm - step.lineMm) <= SAME_MM
      ? []
      : [{
          kind: 'moved',
          step: next.title,
          label: 'its line',
          fromMm: step.lineMm,
          toMm: next.lineMm,
        }]
  })
  return [...lines, ...moved, ...added]
}

/** Revisions are named as on a drawing: A to Z, then AA, AB and on. */
export function revisionName(number: number): string {
  const letter = String.fromCharCode(65 + (number - 1) % 26)
  return number <= 26 ? letter : `${revisionName(Math.floor((number - 1) / 26))}${letter}`
}
