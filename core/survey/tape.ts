import { bestFurtherReading, cornerLetter, tapedLengths } from '../roof'
import { type DraftFinding, type FindingAsk, onFace, plural, writer } from '../trade'
import { count, length } from '../units'
import type { SurveyLayout } from './layout'

type SurveyAsk = FindingAsk<SurveyLayout>

const onTape = (ask: SurveyAsk, id: string) => ({ ...onFace(ask, 'survey', id), about: { kind: 'face' as const } })

export const impossible = (ask: SurveyAsk): DraftFinding[] => ask.plan.shape.adjusted?.kind !== 'impossible'
  ? []
  : [{
      ...onTape(ask, 'tape-impossible'),
      severity: 'stop',
      measured: null,
      sentence: 'No face has these lengths: one is longer than the others can reach round. Tape the longest again.',
    }]

export function loose(ask: SurveyAsk): DraftFinding[] {
  const { adjusted } = ask.plan.shape
  if (adjusted?.kind !== 'loose') return []
  const letters = adjusted.looseCorners.map(cornerLetter)
  return [{
    ...onTape(ask, 'tape-loose'), severity: 'caution', measured: count(adjusted.missing, 'lengths missing'),
    sentence: `These lengths leave the face free to fold: ${plural(adjusted.missing, 'more length')} ${adjusted.missing === 1 ? 'is' : 'are'} needed across it, to ${letters.length === 1 ? `corner ${letters[0]}` : `corners ${letters.join(', ')}`}. Until then it is drawn as if it were true, and nothing proves it is.`,
  }]
}

const adjustmentOf = ({ plan }: SurveyAsk) => plan.shape.adjusted?.kind === 'adjusted' ? plan.shape.adjusted.adjustment : null

export const unchecked = (ask: SurveyAsk): DraftFinding[] => adjustmentOf(ask)?.redundancy !== 0
  ? []
  : [{
      ...onTape(ask, 'tape-unchecked'),
      severity: 'note',
      measured: count(0, 'lengths over'),
      sentence: 'The lengths hold the shape but none checks another: a slip of the tape would not show. One more diagonal would show it.',
    }]

export function wrong(ask: SurveyAsk): DraftFinding[] {
  const adjustment = adjustmentOf(ask)
  const { outline } = ask.face
  if (!adjustment || outline.kind !== 'taped' || adjustment.redundancy === 0 || !adjustment.suspects.length) return []
  const { suspects, corners, checks } = adjustment
  const say = writer(ask)
  const lengths = tapedLengths(outline)
  const nameOf = (i: number) => `${cornerLetter(lengths[i]!.from)}${cornerLetter(lengths[i]!.to)}`
  const [worst] = suspects
  const residual = checks[worst!]!
  const further = bestFurtherReading(corners, lengths, suspects, outline.tapeSdMm)
  const again = further
    ? ` Tape ${cornerLetter(further.from)}${cornerLetter(further.to)} ${lengths.some(one => new Set([
      one.from,
      one.to,
      further.from,
      further.to,
    ]).size === 2)
      ? 'again'
      : 'as well'}: that tells most.`
    : ''
  return [{
    ...onTape(ask, 'tape-wrong'), severity: 'caution', measured: length(Math.abs(residual.residualMm)),
    sentence: suspects.length === 1
      ? `${nameOf(worst!)} does not agree with the other lengths: the fit would have it ${say(Math.abs(residual.residualMm))} ${residual.residualMm > 0 ? 'longer' : 'shorter'}. Tape it again; of three readings the two that agree decide.`
      : `The taped lengths contradict each other, and it can’t be told which of ${suspects.map(nameOf).join(', ')} is wrong.${again}`,
  }]
}
