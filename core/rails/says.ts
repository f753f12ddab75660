import type { FaceSays, PartDraft } from '../trade'
import { clampsOn } from './clamps'
import { offCourse, offPan, offSupport, outsideZones, overhangOverMaker, spanOverMaker, tooLongRuns, underLaps, unjustified } from './findings'
import { skirtedLines } from './frames'
import type { RailsLayout } from './layout'
import { boltSteps, railLineSteps, trimSteps } from './marks'
import type { RailsAsk } from './shown'
import { railsShown } from './shown'

const clampsOf = ({ plan: { parts, rails } }: RailsAsk, which: 'mids' | 'ends'): number => rails.reduce((sum, rail) => sum + clampsOn(rail, parts.clamps)[which], 0)

const clampPart = (ask: RailsAsk, kind: 'mid-clamp' | 'end-clamp', which: 'mids' | 'ends', word: string, rule: string): PartDraft[] => {
  const { clamps } = ask.plan.parts
  return [{
    kind,
    item: { shelf: 'clamps', id: clamps.id },
    name: `${clamps.name}, ${word}`,
    maker: clamps.maker,
    stage: 'modules',
    amount: clampsOf(ask, which),
    massKg: 'by shelf',
    price: 'by shelf',
    rule,
  }]
}

/** Rails and what holds modules on them, or frames coupled in place of rails. */
export const rails = {
  ...railsShown,
  findings: {
    'clamp-zone': outsideZones, 'off-course': offCourse, 'off-pan': offPan, 'under-laps': underLaps, 'off-support': offSupport, 'long-run': tooLongRuns,
    'over-maker-span': spanOverMaker, 'over-maker-overhang': overhangOverMaker, 'span-basis': unjustified,
  },
  marks: { rails: railLineSteps, bolts: boltSteps, trim: trimSteps },
  parts: {
    'mid-clamp': ask => clampPart(ask, 'mid-clamp', 'mids', 'mid', 'Between neighbours, on each rail'),
    'end-clamp': ask => clampPart(ask, 'end-clamp', 'ends', 'end', 'Both ends of each rail, and where modules stand too far apart for a mid clamp'),
    'coupler': ({ plan: { parts: { rail }, rails: own } }) => [{
      kind: 'coupler', item: {
        shelf: 'rails',
        id: rail.id,
      }, name: rail.splice.partName, maker: rail.maker, stage: 'modules', amount: own.reduce((sum, line) => sum + line.couplers.length, 0),
      massKg: 'by shelf', price: rail.splice.price, rule: 'Between neighbours, on each line of frames',
    }],
    'skirt': ({ plan: { parts: { rail }, rails: own } }) => {
      const skirt = rail.frame?.skirt
      if (!skirt) return []
      const lengths = skirtedLines(own).reduce((sum, line) => sum + Math.ceil((line.reach.toMm - line.reach.fromMm - 0.5) / skirt.mm), 0)
      return [{
        kind: 'skirt',
        item: { shelf: 'rails', id: rail.id },
        name: skirt.name,
        maker: rail.maker,
        stage: 'modules',
        amount: lengths,
        lengthMm: skirt.mm,
        massKg: skirt.mm / 1000 * skirt.massKgPerM,
        price: skirt.price,
        rule: 'Along the lowest edges, each line by itself',
      }]
    },
    'end-cap': ({ plan: { parts: { rail }, rails: own } }) => [{
      kind: 'end-cap', item: { shelf: 'rails', id: rail.id }, name: rail.endCapName, maker: rail.maker, stage: 'finish', amount: (rail.frame ? skirtedLines(own) : own).length * 2,
      massKg: 'by shelf', price: 'by shelf', rule: rail.frame ? 'Both ends of each skirt' : 'Both ends of each rail',
    }],
  },
} satisfies FaceSays<RailsLayout>
