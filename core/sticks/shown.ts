import { onFace } from '../rails'
import { shape } from '../trade'
import type { SticksLayout } from './layout'
import type { FaceShown, Ask, Layer } from '../trade'

export type Cut = Ask<SticksLayout>

const splices: Layer<Cut> = {
  id: 'splices', toggle: { name: 'Rails', key: 'l', on: true, only: 'on-rails' }, depth: 70, style: { fill: '#ffffff', stroke: '#1c5fae', width: 1, text: 0, ink: '#22272e', dxfColour: 3 },
  shapes: ({ plan: { rails, sticks } }) => sticks.splices.map(({ railId, atMm }) => {
    const rail = rails.find(one => one.id === railId)!
    const { xMm, yMm } = onFace(rail, atMm)
    return shape({ kind: 'bar', at: { x: xMm, y: yMm }, across: rail.way === 'across' })
  }),
}

/** What of it is drawn, taken hold of and worked out before eyes. */
export const sticksShown = {
  layers: [splices],
  workings: ({ plan }) => [plan.sticks.working],
} satisfies FaceShown<SticksLayout>
