import { drilledOn } from '../rooflog'
import { type Ask, type FaceShown, type Layer, shape } from '../trade'
import type { WiringLayout } from '../wiring'

type Worked = Ask<WiringLayout>

/** Holes as they are there: filled where a fixing stands, struck through where nothing does, red where that is not sealed or not settled. */
const used: Layer<Worked> = {
  id: 'holes-used', toggle: { name: 'Holes', key: 'x', on: true, only: 'on-rails' }, depth: 86, style: { fill: '#22272e', stroke: '#22272e', width: 1.4, text: 0, ink: '#22272e', dxfColour: 7 },
  shapes: ({ job, face }) => drilledOn(job.log, face.id).filter(one => one.state === 'used').map(one => shape({ kind: 'dot', at: { x: one.xMm, y: one.yMm } })),
}
const abandoned: Layer<Worked> = {
  id: 'holes-abandoned', toggle: { name: 'Holes', key: 'x', on: true, only: 'on-rails' }, depth: 87, style: { fill: null, stroke: '#a3291c', width: 2, text: 0, ink: '#a3291c', dxfColour: 1 },
  shapes: ({ job, face }) => drilledOn(job.log, face.id).filter(one => one.state !== 'used').map(one => shape({ kind: 'bar', at: { x: one.xMm, y: one.yMm }, across: true }, null, one.sealed ? 'plain' : 'wrong')),
}

/** What of the work is drawn. */
export const fieldworkShown = { layers: [used, abandoned] } satisfies FaceShown<WiringLayout>
