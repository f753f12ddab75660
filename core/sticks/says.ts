import { runTape } from '../rails'
import { type FaceSays, inBuildOrder, type JobSays, type MarkStep, type PartDraft, type StepMaker } from '../trade'
import { unspliceable, vanTooShort } from './findings'
import type { SticksLayout } from './layout'
import type { Cut } from './shown'
import { sticksShown } from './shown'

/** Where sticks meet, or frames are coupled. */
function spliceSteps({ face, plan: { rails, sticks, parts } }: Cut, make: StepMaker): MarkStep[] {
  const frames = parts.rail.frame !== null
  return inBuildOrder(face, rails).map((rail) => {
    const places = frames ? rail.couplers.map(atMm => ({ atMm, bridged: false })) : sticks.splices.filter(splice => splice.railId === rail.id)
    return make({
      id: `splices-${rail.id}`, kind: 'splices', title: frames ? `Couplers on line ${rail.number}` : `Splices, rail ${rail.number}`, tape: runTape(rail), lineMm: rail.lineMm,
      instruction: frames ? `${parts.rail.splice.partName} between neighbouring frames.` : `${parts.rail.splice.partName}, its middle on the mark.`,
      marks: places.map(({ atMm, bridged }, i) => ({
        label: frames ? `Coupler ${i + 1}` : `Splice ${i + 1}`,
        mm: atMm,
        note: bridged ? 'Bridged: leave the gap' : frames ? '' : 'Sticks meet here',
      })),
    })
  })
}

/** Sticks of one kind, the longest first. */
function sticksOf({ plan: { sticks, parts: { rail } } }: Cut, kind: 'stick' | 'offcut'): PartDraft[] {
  const own = sticks.sticks.filter(stick => stick.fromYard === (kind === 'offcut'))
  return [...new Set(own.map(stick => stick.stockMm))].sort((a, b) => b - a).map(lengthMm => ({
    kind, item: { shelf: 'rails', id: rail.id }, name: kind === 'stick' ? rail.name : `${rail.name}, offcut from the yard`, maker: rail.maker, stage: 'rails', lengthMm,
    amount: own.filter(stick => stick.stockMm === lengthMm).length, massKg: lengthMm / 1000 * rail.massKgPerM,
    // What lies in the yard is not bought.
    price: kind === 'offcut' ? 0 : rail.stock.find(one => one.mm === lengthMm)?.price ?? 'by shelf',
    rule: kind === 'stick' ? 'Sticks by the cut plan' : 'Used up before sticks are bought',
  }))
}

/** Rails cut from sticks, and the joints between them. */
export const sticks = {
  ...sticksShown,
  findings: { splice: unspliceable, van: vanTooShort },
  marks: { splices: spliceSteps },
  parts: {
    stick: ask => sticksOf(ask, 'stick'),
    offcut: ask => sticksOf(ask, 'offcut'),
    splice: ({ plan: { sticks: cut, parts: { rail } } }) => [{
      kind: 'splice', item: {
        shelf: 'rails',
        id: rail.id,
      }, name: rail.splice.partName, maker: rail.maker, stage: 'rails', amount: cut.splices.length, massKg: 'by shelf', price: rail.splice.price, rule: 'One at each joint of the cut plan',
    }],
  },
} satisfies FaceSays<SticksLayout>

export const sticksOfJob = { tools: ({ faces }) => faces.some(({ plan }) => plan.sticks.sticks.length > 0) ? ['Saw for aluminium and a file'] : [] } satisfies JobSays<SticksLayout>
