import { lineAcross, type Point } from '../geometry'
import { isLevel, readsLevel, readsUpright, shapeOf } from '../roof'
import type { Ask, MarkStep, StepMaker } from '../trade'
import type { KeepClearLayout } from './layout'

/** Lines that run with a tape are one reading; those that run askew, as along a hip, are two points to snap between. */
export function keepClearSteps({ face, plan: { strips } }: Ask<KeepClearLayout>, make: StepMaker): MarkStep[] {
  // Of several rules along one edge the deepest is the line to snap.
  const deepest = (i: number) => Math.max(0, ...strips.filter(strip => strip.edge === i).map(strip => strip.depthMm))
  const { edges, region } = shapeOf(face.outline)
  const lines = edges.map((edge, i) => ({ edge, depthMm: deepest(i) })).filter(({ depthMm }) => depthMm > 0)
  const level = lines.filter(({ edge }) => readsLevel(edge))
  const upright = lines.filter(({ edge }) => readsUpright(edge))
  const askew = lines.filter(one => !level.includes(one) && !upright.includes(one))
  return [
    make({
      id: 'keep-clear-up', kind: 'keep-clear', title: 'Keep-clear lines up the slope', tape: 'up', lineMm: null, instruction: 'Snap these across the face. No module passes them.',
      marks: level.map(({ edge, depthMm }) => ({ label: `Keep-clear line, ${edge.name}`, mm: edge.from.y + (edge.to.x > edge.from.x ? depthMm : -depthMm) })),
    }),
    make({
      id: 'keep-clear-along', kind: 'keep-clear', title: 'Keep-clear lines along the eave', tape: 'along', lineMm: null, instruction: 'Snap these up the slope. No module passes them.',
      marks: upright.map(({ edge, depthMm }) => ({ label: `Keep-clear line, ${edge.name}`, mm: edge.from.x + (edge.to.y > edge.from.y ? -depthMm : depthMm) })),
    }),
    // Moved inward a line is marked where it comes on to the face and where it leaves it: never beside the roof.
    ...askew.flatMap(({ edge, depthMm }, i) => {
      const on = lineAcross(inward(edge, depthMm), region)
      if (!on) return []
      const ends = isLevel(edge) ? [on.from, on.to].sort((a, b) => a.x - b.x) : [on.from, on.to].sort((a, b) => a.y - b.y)
      const names = isLevel(edge) ? ['Left point', 'Right point'] : ['Lower point', 'Upper point']
      return [make({
        id: `keep-clear-askew-${i + 1}`, kind: 'keep-clear', title: `Keep-clear line along the ${edge.name}`, tape: 'along', lineMm: null,
        instruction: 'Snap between these two points. No module passes the line.',
        marks: ends.map((end, e) => ({ label: names[e]!, mm: end.x, upMm: end.y })),
      })]
    }),
  ]
}

/** An edge moved square to itself into the face. */
function inward({ from, to }: { from: Point, to: Point }, depthMm: number): { from: Point, to: Point } {
  const run = Math.hypot(to.x - from.x, to.y - from.y)
  const [x, y] = [-(to.y - from.y) / run * depthMm, (to.x - from.x) / run * depthMm]
  return { from: { x: from.x + x, y: from.y + y }, to: { x: to.x + x, y: to.y + y } }
}
