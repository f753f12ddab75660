import { count } from '../units'
import type { Working } from '../working'
import { onFace } from '../rails'
import { sentenceCase, shape } from '../trade'
import type { FixingsLayout } from './layout'
import type { FaceShown, Ask, Layer, Selectable, TapePlace } from '../trade'

export type Fixed = Ask<FixingsLayout>

/** Crayon crosses. */
const crosses: Layer<Fixed> = {
  id: 'fixings', toggle: { name: 'Fixings', key: 'f', on: true, only: 'on-rails' }, depth: 80, style: { fill: null, stroke: '#cf3a1a', width: 1.5, text: 0, ink: '#22272e', dxfColour: 1 },
  shapes: ({ plan }) => plan.fixings.rails.flatMap((rail, r) => rail.fixings.map((fixing) => {
    const { xMm, yMm } = onFace(plan.rails[r]!, fixing.atMm)
    return shape({ kind: 'cross', at: { x: xMm, y: yMm } }, { kind: 'fixing', id: fixing.id }, fixing.state === 'proved' ? 'plain' : fixing.state)
  })),
}

/** One fixing: it stands where its support and its rail cross. */
function oneFixing({ plan }: Fixed, r: number, i: number): Selectable {
  const rail = plan.rails[r]!
  const fixing = plan.fixings.rails[r]!.fixings[i]!
  const { xMm, yMm } = onFace(rail, fixing.atMm)
  const place = (placeMm: number): TapePlace => ({ placeMm, label: sentenceCase(fixing.member), tone: 'fixing' })
  return {
    ref: { kind: 'fixing', id: fixing.id }, name: `Fixing ${i + 1} of rail ${rail.number}, ${fixing.member}`, stage: 'rails',
    places: () => ({ along: [place(xMm)], up: [place(yMm)] }), workings: () => [plan.fixings.rails[r]!.working],
  }
}

function onRail({ plan }: Fixed, r: number): Selectable {
  const { way, id } = plan.rails[r]!
  const { fixings, working } = plan.fixings.rails[r]!
  return {
    ref: { kind: 'rail', id },
    places: () => {
      const run = fixings.map((fixing, i): TapePlace => ({ placeMm: fixing.atMm, label: `Fixing ${i + 1}, ${fixing.member}`, tone: 'fixing' }))
      return way === 'across' ? { along: run, up: [] } : { along: [], up: run }
    },
    workings: () => [working],
  }
}

/** Fixings of all rails, and what they share. */
function totalWorkings({ rails, fixings }: FixingsLayout): Working[] {
  if (!rails.length) return []
  const on = new Map<string, number>()
  for (const { member } of fixings.rails.flatMap(rail => rail.fixings)) on.set(member, (on.get(member) ?? 0) + 1)
  return [{
    what: 'Fixings of the face', formula: 'Σ of its rails', values: fixings.rails.map((rail, r) => ({ symbol: String(rails[r]!.number), what: `rail ${rails[r]!.number}`, value: count(rail.fixings.length, 'fixings') })),
    result: count(fixings.total, 'fixings'), source: fixings.fewestProved ? 'Fewest for this pattern, by exact search of every rail' : 'Fewest that were found for this pattern', basis: fixings.fewestProved ? 'solved exactly' : 'best of those tried',
  }, {
    what: 'Supports that share the fixings', formula: 'different ones that carry any', values: [...on].map(([member, n]) => ({ symbol: '', what: member, value: count(n, n === 1 ? 'fixing' : 'fixings') })),
    result: count(fixings.membersUsed, 'supports'), source: fixings.spreadProved ? 'The most possible with that many fixings' : 'The most that was found with that many fixings', basis: fixings.spreadProved ? 'solved exactly' : 'best of those tried',
  }]
}

/** What of it is drawn, taken hold of and worked out before eyes. */
export const fixingsShown = {
  layers: [crosses],
  workings: ({ plan }) => totalWorkings(plan),
  selectable: ask => [...ask.plan.rails.map((_, r) => onRail(ask, r)), ...ask.plan.fixings.rails.flatMap((rail, r) => rail.fixings.map((_, i) => oneFixing(ask, r, i)))],
} satisfies FaceShown<FixingsLayout>
