import { areaMm2, common } from '../geometry'
import type { Obstruction, Outline } from '../job'
import { around, obstructionNames } from '../keepclear'
import { bestFurtherReading, cornerLetter, tapedLengths } from '../roof'
import { count, length } from '../units'
import { type FindingContext, plural, writer } from './context'
import type { DraftFinding } from './finding'
import { noCures } from './finding'

/** What the taped lengths say of each other, and obstructions that lie off the face. */
export function surveyFindings(context: FindingContext): DraftFinding[] {
  const { face } = context
  return [...(face.outline.kind === 'taped' ? tapeFindings(context, face.outline) : []), ...obstructionFindings(context)]
}

type Taped = Extract<Outline, { kind: 'taped' }>

function tapeFindings(context: FindingContext, outline: Taped): DraftFinding[] {
  const { face, plan } = context
  const say = writer(context)
  const { adjusted } = plan.shape
  const base = { stage: 'survey' as const, faceId: face.id, about: 'face', limit: null, propose: noCures }
  if (adjusted?.kind === 'impossible') {
    return [{ ...base, id: `tape-impossible:${face.id}`, severity: 'stop', measured: null, sentence: 'No face has these lengths: one is longer than the others can reach round. Tape the longest again.' }]
  }
  if (adjusted?.kind === 'loose') {
    const letters = adjusted.looseCorners.map(cornerLetter)
    return [{
      ...base, id: `tape-loose:${face.id}`, severity: 'caution', measured: count(adjusted.missing, 'lengths missing'),
      sentence: `These lengths leave the face free to fold: ${plural(adjusted.missing, 'more length')} ${adjusted.missing === 1 ? 'is' : 'are'} needed across it, to ${letters.length === 1 ? `corner ${letters[0]}` : `corners ${letters.join(', ')}`}. Until then it is drawn as if it were true, and nothing proves it is.`,
    }]
  }
  if (adjusted?.kind !== 'adjusted') return []
  const { suspects, redundancy, corners } = adjusted.adjustment
  if (redundancy === 0) {
    return [{ ...base, id: `tape-unchecked:${face.id}`, severity: 'note', measured: count(0, 'lengths over'), sentence: 'The lengths hold the shape but none checks another: a slip of the tape would not show. One more diagonal would show it.' }]
  }
  if (!suspects.length) return []
  const lengths = tapedLengths(outline)
  const nameOf = (i: number) => `${cornerLetter(lengths[i]!.from)}${cornerLetter(lengths[i]!.to)}`
  const [worst] = suspects
  const residual = adjusted.adjustment.checks[worst!]!
  const further = bestFurtherReading(corners, lengths, suspects, outline.tapeSdMm)
  const again = further ? ` Tape ${cornerLetter(further.from)}${cornerLetter(further.to)} ${lengths.some(one => new Set([one.from, one.to, further.from, further.to]).size === 2) ? 'again' : 'as well'}: that tells most.` : ''
  return [{
    ...base, id: `tape-wrong:${face.id}`, severity: 'caution', measured: length(Math.abs(residual.residualMm)),
    sentence: suspects.length === 1
      ? `${nameOf(worst!)} does not agree with the other lengths: the fit would have it ${say(Math.abs(residual.residualMm))} ${residual.residualMm > 0 ? 'longer' : 'shorter'}. Tape it again; of three readings the two that agree decide.`
      : `The taped lengths contradict each other, and it can’t be told which of ${suspects.map(nameOf).join(', ')} is wrong.${again}`,
  }]
}

function obstructionFindings(context: FindingContext): DraftFinding[] {
  const { face, plan } = context
  const say = writer(context)
  const outsideOf = (one: Obstruction) => areaMm2(common(around({ ...one, clearanceMm: 0 }), plan.shape.region)) < 1
  return face.obstructions.filter(outsideOf).map((one): DraftFinding => ({
    id: `obstruction-outside:${face.id}:${one.id}`, severity: 'caution', stage: 'survey', faceId: face.id, about: one.id,
    sentence: `The ${obstructionNames[one.kind]} at ${say(one.xMm)} along and ${say(one.yMm)} up lies outside the face. Check its readings.`,
    measured: length(one.xMm), limit: length(plan.shape.along.toMm),
    propose: () => [{ label: 'Take it off', edit: { type: 'set-face', faceId: face.id, values: { obstructions: face.obstructions.filter(other => other.id !== one.id) } } }],
  }))
}
