import { Graph, layout } from '@dagrejs/dagre'
import { insulationNames, racewayNames } from '../../electrical'
import type { Point } from '../../geometry'
import { type GroundPlan, isAside, type Run } from '../../ground'
import { cableNames } from '../../job'
import type { WiringPlan } from '../../wiring'
import { box, type GroundFigure, layer, letterOf } from './elevation'

/** Sizes in the drawing's own mm: text of a point is about 15 of them, as on a wall. */
const WIDE = 2450
const LINE = 190
const PAD = 90
/** What stands beside a run reaches so far to its right; boxes of one height stand so far apart. */
const RUN_WIDE = 2700
const APART = 900

/** What stands in a box: its name and what it is rated. */
function wordsOf(plan: GroundPlan, id: string): string[] {
  const thing = plan.ground.things.find(one => one.id === id)!
  const { panel, store, transfer } = thing
  const bus = plan.buses.find(one => one.thingId === id)
  const out = plan.runs.find(one => one.fromId === id && !one.dc)
  const ratio = plan.ratios.find(one => one.thingId === id)
  return [
    ...panel ? [`busbar ${panel.busA} A${panel.mainA === null ? ', main lugs' : `, main ${panel.mainA} A`}`] : [],
    ...bus?.held ? [`${bus.held.leftA.toFixed(1)} A of ${bus.held.rightA.toFixed(1)} A`] : [],
    ...ratio ? [`${(ratio.acW / 1000).toFixed(1)} kW AC for ${(ratio.dcW / 1000).toFixed(2)} kW DC`] : [],
    ...store ? [`${store.units} x ${store.kWh} kWh, ${store.volts} V`] : [],
    ...transfer ? [`${transfer.ratedA} A, backs ${transfer.backs === 'whole' ? 'the whole house' : 'a part'}`] : [],
    ...thing.kind === 'meter' ? [`service ${plan.ground.supply.ratedA} A, ${plan.rules.phases === 3 ? 'three phases' : plan.rules.us ? '120/240 V' : '230 V'}`] : [],
    ...out && !out.existing && out.flows[0]?.deviceA && ['combiner', 'inverter', 'sub-panel', 'gateway', 'ac-disconnect'].includes(thing.kind) ? [`device ${out.flows[0].deviceA} A${thing.kind === 'ac-disconnect' ? ' carried through' : ' at its far end'}`] : [],
    ...thing.neutralLink ? ['neutral and earth joined'] : [],
  ]
}

/** A run in two lines: its conductors, and what they lie in and how far. */
export function runWords({ number, conductors, size, earth, raceway, cable, length, existing }: Run, metric: boolean): string[] {
  if (existing) return [`${number}: as it is there`]
  const lines = conductors.filter(one => one.function !== 'E').length
  const covered = conductors[0]!.covered
  const far = metric ? `${(length.mm / 1000).toFixed(1)} m` : `${Math.ceil(length.mm / 304.8)} ft`
  return [
    `${number}: ${lines} x ${size}${covered === 'cable' || covered === 'bare' ? '' : ` ${insulationNames[covered]}`} + E ${earth}`,
    `${cable ? cableNames[cable] : raceway?.filled ? `${racewayNames[raceway.kind]} ${raceway.filled.size}` : 'no raceway'}, ${far}`,
  ]
}

/** The one-line diagram, laid out by itself from the roof down to the grid; runs carry their numbers in the schedule. */
export function oneLineFigure(plan: GroundPlan, wiring: WiringPlan, metric: boolean): GroundFigure {
  const graph = new Graph()
  graph.setGraph({ rankdir: 'TB', nodesep: APART, ranksep: 560, marginx: 100, marginy: 100 })
  graph.setDefaultEdgeLabel(() => ({}))
  const shown = plan.ground.things.filter(one => !isAside(one))
  const words = new Map(shown.map(one => [one.id, wordsOf(plan, one.id)]))
  const highOf = (id: string) => PAD * 2 + LINE * (1 + words.get(id)!.length)
  const roofs = shown.filter(one => one.kind === 'roof-box')
  const roofWords = (id: string) => plan.runs.filter(one => one.fromId === id).flatMap(one => one.flows.map(flow => `${flow.name}: ${flow.amps.toFixed(1)} A, ${Math.round(flow.ofV)} V`))
  for (const one of shown) graph.setNode(one.id, { width: WIDE, height: highOf(one.id) })
  for (const one of roofs) {
    graph.setNode(`roof ${one.id}`, { width: WIDE, height: PAD * 2 + LINE * (1 + Math.min(4, roofWords(one.id).length)) })
    graph.setEdge(`roof ${one.id}`, one.id, {})
  }
  for (const run of plan.runs) graph.setEdge(run.fromId, run.toId, {})
  layout(graph)
  const whole = graph.graph() as { width?: number, height?: number }
  const [wide, high] = [(whole.width ?? WIDE) + RUN_WIDE - WIDE / 2, whole.height ?? 2000]
  // Its y runs down, ours up.
  const at = (id: string) => {
    const { x, y, width, height } = graph.node(id) as { x: number, y: number, width: number, height: number }
    return { x: x - width / 2, y: high - y - height / 2, wide: width, high: height }
  }
  const lines = (id: string, head: string, rest: string[]) => {
    const { x, y, wide: own, high: tall } = at(id)
    const line = (i: number): Point => ({ x: x + own / 2, y: y + tall - PAD - LINE * (i + 0.55) })
    return { name: { at: line(0), text: head }, ratings: rest.map((text, i) => ({ at: line(i + 1), text })) }
  }
  const boxes = shown.map(one => ({ one, place: at(one.id), ...lines(one.id, `${letterOf(plan, one.id)}  ${one.name}`, words.get(one.id)!) }))
  const arrays = roofs.map((one) => {
    const all = roofWords(one.id)
    return { place: at(`roof ${one.id}`), ...lines(`roof ${one.id}`, `Array, ${all.length === 1 ? 'one circuit' : `${all.length} circuits`}`, all.length > 4 ? [...all.slice(0, 3), `and ${all.length - 3} more`] : all) }
  })
  const ways = [...plan.runs.map(run => ({ from: run.fromId, to: run.toId, run })), ...roofs.map(one => ({ from: `roof ${one.id}`, to: one.id, run: null }))].map(({ from, to, run }) => {
    const points = ((graph.edge(from, to) as { points?: Point[] } | undefined)?.points ?? []).map(({ x, y }) => ({ x, y: high - y }))
    return { run, points }
  })
  return {
    figure: {
      name: 'One-line diagram', along: { fromMm: 0, toMm: wide }, up: { fromMm: 0, toMm: high },
      layers: [
        layer('line-runs', {
          lines: ways.flatMap(({ points }) => points.slice(1).map((to, i): [Point, Point] => [points[i]!, to])),
          texts: ways.flatMap(({ run, points }) => {
            const middle = points[Math.floor(points.length / 2)]
            return run && middle ? runWords(run, metric).map((text, i) => ({ at: { x: middle.x + RUN_WIDE / 2 + 60, y: middle.y + LINE * (0.5 - i) }, text })) : []
          }),
        }),
        layer('line-there', { rings: boxes.filter(({ one }) => one.existing).map(({ place }) => box(place.x, place.y, place.wide, place.high)) }),
        layer('line-things', { rings: [...boxes.filter(({ one }) => !one.existing), ...arrays].map(({ place }) => box(place.x, place.y, place.wide, place.high)) }),
        layer('line-names', { texts: [...boxes, ...arrays].map(one => one.name) }),
        layer('line-ratings', { texts: [...boxes, ...arrays].flatMap(one => one.ratings) }),
      ],
    },
    holds: [
      ...boxes.map(({ one, place }) => ({ kind: 'thing' as const, id: one.id, name: one.name, x: place.x, y: place.y, wide: place.wide, high: place.high })),
      ...ways.flatMap(({ run, points }) => {
        const middle = points[Math.floor(points.length / 2)]
        return run && middle ? [{ kind: 'run' as const, id: run.id, name: `Run ${run.number}`, x: middle.x - 120, y: middle.y - LINE, wide: RUN_WIDE, high: LINE * 2 }] : []
      }),
    ],
  }
}
