import { rectangle } from '../geometry'
import { type Ask, type FaceShown, type Layer, type Shape, shape } from '../trade'
import { area, count, formatShare, length, words } from '../units'
import type { Working } from '../working'
import type { BattenAct } from './battens'
import type { InRoofLayout } from './layout'
import { coverCheckWords, triedWords } from './words'

type Asked = Ask<InRoofLayout>

/** Ground that the array takes from the covering, course by course. */
const openGround: Layer<Asked> = {
  id: 'in-roof-ground',
  toggle: null,
  depth: 33,
  style: { fill: '#e7e1cf', stroke: '#8a7a4a', width: 0.6, text: 0, ink: '#22272e', dxfColour: 51 },
  shapes: ({ plan }) =>
    (plan.inRoof?.tiles?.courses ?? []).flatMap(({ number, gaps }) => {
      const at = plan.courses.indexOf(plan.courses[number - 2]!)
      const [fromMm, toMm] = [plan.courses[at], plan.courses[at + 1]]
      return fromMm === undefined || toMm === undefined ? [] : gaps.map(gap => shape({ kind: 'area', rings: rectangle(gap, { fromMm, toMm }) }))
    }),
}

const battenLook: Record<BattenAct, { fill: string, stroke: string, dxfColour: number, name: string }> = {
  keep: { fill: '#d8b57a', stroke: '#7b571c', dxfColour: 32, name: 'stays' },
  add: { fill: '#7fc28a', stroke: '#1d6b2c', dxfColour: 92, name: 'added' },
  move: { fill: '#8fb6e8', stroke: '#1c4f94', dxfColour: 152, name: 'moved' },
  cut: { fill: '#f0b3a4', stroke: '#b4331a', dxfColour: 11, name: 'cut out' },
}

const battenLayer = (act: BattenAct, depth: number): Layer<Asked> => ({
  id: `battens-${act}`,
  toggle: { name: 'Battens', key: 'd', on: false, only: 'in-roof' },
  depth,
  style: {
    fill: battenLook[act].fill,
    stroke: battenLook[act].stroke,
    width: 0.8,
    text: 0,
    ink: '#22272e',
    dxfColour: battenLook[act].dxfColour,
    ...(act === 'cut' ? { dash: [4, 3] as [number, number] } : {}),
  },
  shapes: ({ plan }) =>
    (plan.inRoof?.battens?.steps ?? [])
      .filter(one => one.act === act)
      .map(({ upperMm, fromMm, toMm }, i): Shape => ({
        ...shape({ kind: 'area', rings: rectangle({ fromMm, toMm }, { fromMm: upperMm - plan.inRoof!.battens!.widthMm, toMm: upperMm }) }),
        name: `Batten ${i + 1}, ${battenLook[act].name}`,
      })),
})

const screws: Layer<Asked> = {
  id: 'in-roof-screws',
  toggle: { name: 'Battens', key: 'd', on: false, only: 'in-roof' },
  depth: 57,
  style: { fill: null, stroke: '#22272e', width: 1, text: 0, ink: '#22272e', dxfColour: 250 },
  shapes: ({ plan }) =>
    (plan.inRoof?.battens?.screws ?? []).map(({ xMm, yMm, moduleId }) => shape({ kind: 'dot', at: { x: xMm, y: yMm } }, { kind: 'module', id: moduleId })),
}

/** The sides of a rectangle. */
function ringOf(low: number, high: number, down: number, up: number): Shape[] {
  const points = [
    { x: low, y: down },
    { x: high, y: down },
    { x: high, y: up },
    { x: low, y: up },
  ]
  return points.map((from, i) => shape({ kind: 'line', from, to: points[(i + 1) % 4]! }))
}

const FLASHING = { name: 'Flashing', key: 'h', on: false, only: 'in-roof' as const }
const flashingLook = { fill: '#c5e5de', stroke: '#0f7a6c', width: 1.4, ink: '#063f38', dxfColour: 3 }

/** Pieces of flashing where they lie; areas as wide as the piece reaches. */
const flashing: Layer<Asked> = {
  id: 'flashing',
  toggle: FLASHING,
  depth: 58,
  style: { ...flashingLook, text: 0 },
  shapes: ask => drawnPieces(ask).filter(one => one.kind !== 'text'),
}

/** Their marks, where they can be enlarged: on paper they would run into each other, and the sheet has each piece by its readings. */
const flashingMarks: Layer<Asked> = {
  id: 'flashing-marks',
  toggle: FLASHING,
  depth: 59,
  screenOnly: true,
  style: { ...flashingLook, text: 8 },
  shapes: ask => drawnPieces(ask).filter(one => one.kind === 'text'),
}

function drawnPieces({ plan }: Asked): Shape[] {
  const { inRoof } = plan
  if (!inRoof) return []
  const {
    system: { bottom, top, side },
  } = inRoof
  return inRoof.kit.pieces.flatMap((piece): Shape[] => {
    const { from, to, kind, mark } = piece
    const [low, high] = [Math.min(from.x, to.x), Math.max(from.x, to.x)]
    const [down, up] = [Math.min(from.y, to.y), Math.max(from.y, to.y)]
    const named = (own: Shape): Shape => ({ ...own, name: `${mark}: ${piece.name ?? kind.replaceAll('-', ' ')}` })
    const word = (x: number, y: number, roomMm: number) => shape({ kind: 'text', at: { x, y }, text: mark, roomMm })
    switch (kind) {
      case 'bottom-flashing':
        return [
          named(shape({ kind: 'area', rings: rectangle({ fromMm: low, toMm: high }, { fromMm: down - bottom.downMm, toMm: down }) })),
          word((low + high) / 2, down - bottom.downMm / 2, bottom.downMm * 2),
        ]
      case 'top-flashing':
        return [
          named(shape({ kind: 'area', rings: rectangle({ fromMm: low, toMm: high }, { fromMm: up, toMm: up + top.upMm }) })),
          word((low + high) / 2, up + top.upMm / 2, top.upMm * 2),
        ]
      case 'side-flashing':
      case 'one-row-side': {
        const out = piece.side === 'left' ? ([low - side.outMm, low] as const) : ([high, high + side.outMm] as const)
        // That for one row comes with its corners.
        const [foot, head] = kind === 'one-row-side' ? [down - bottom.downMm, up + top.upMm] : [down, up]
        return [
          named(shape({ kind: 'area', rings: rectangle({ fromMm: out[0], toMm: out[1] }, { fromMm: foot, toMm: head }) })),
          word((out[0] + out[1]) / 2, (down + up) / 2, side.outMm * 2),
        ]
      }
      case 'outer-corner':
      case 'inner-corner': {
        const [left, lower] = [piece.name!.includes('left'), piece.name!.includes('bottom')]
        const [dx, dy] = [left ? -side.outMm : side.outMm, lower ? -bottom.downMm : top.upMm]
        return [
          named(
            shape({
              kind: 'area',
              rings: rectangle(
                { fromMm: Math.min(low, low + dx), toMm: Math.max(low, low + dx) },
                { fromMm: Math.min(down, down + dy), toMm: Math.max(down, down + dy) },
              ),
            }),
          ),
          word(low + dx / 2, down + dy / 2, side.outMm * 2),
        ]
      }
      // The window below it is to be seen.
      case 'window-set':
        return [...ringOf(low, high, down, up).map(named), word((low + high) / 2, down + 110, 500)]
      case 'joint-up':
      case 'joint-across':
        return [
          named(
            shape({
              kind: 'line',
              from: kind === 'joint-up' ? { x: (low + high) / 2, y: down } : { x: low, y: (down + up) / 2 },
              to: kind === 'joint-up' ? { x: (low + high) / 2, y: up } : { x: high, y: (down + up) / 2 },
            }),
          ),
        ]
      default:
        return [named(shape({ kind: 'dot', at: { x: (low + high) / 2, y: (down + up) / 2 } }))]
    }
  })
}

/** How set-out, units and strength come about. */
export function inRoofWorkings({ plan }: Asked): Working[] {
  const { inRoof } = plan
  if (!inRoof?.parts.length) return []
  const { proof, tiles, kit, system, use, parts, battens } = inRoof
  const modules = parts.reduce((sum, part) => sum + part.cells.length, 0)
  const edges = kit.edgesMm.bottom + kit.edgesMm.right + kit.edgesMm.top + kit.edgesMm.left
  const pieces = (kind: (typeof kit.pieces)[number]['kind']) => kit.pieces.filter(piece => piece.kind === kind).length
  return [
    {
      what: 'Modules by the set-out',
      formula: 'of all whole-course origins the one with most modules, then fewest slivers, then fewest cuts, then fewest corners',
      values: [
        { symbol: 't', what: 'origins tried', value: count(proof.tried, 'origins') },
        { symbol: 'c', what: 'units cut beside it', value: count(tiles?.cut ?? 0, 'units') },
        { symbol: 's', what: 'cut to less than half', value: count(tiles?.slivers ?? 0, 'units') },
        { symbol: 'k', what: 'corners', value: count(pieces('outer-corner') + pieces('inner-corner'), 'corners') },
      ],
      result: count(modules, 'modules'),
      source: triedWords(proof),
      basis: 'arithmetic',
    },
    {
      what: 'Length of the outline',
      formula: 'pieces = ⌈(L − o) / (s − o)⌉ on every straight run',
      values: [
        {
          symbol: 'B',
          what: `bottoms, ${pieces('bottom-flashing')} pieces of ${system.bottom.stockMm} mm lapped ${system.bottom.overlapMm} mm`,
          value: length(kit.edgesMm.bottom),
        },
        { symbol: 'S', what: `sides, ${pieces('side-flashing') + pieces('one-row-side')} pieces`, value: length(kit.edgesMm.left + kit.edgesMm.right) },
        { symbol: 'T', what: `tops, ${pieces('top-flashing')} pieces`, value: length(kit.edgesMm.top) },
        { symbol: 'C', what: 'outer corners and inner ones', value: words(`${pieces('outer-corner')} and ${pieces('inner-corner')}`) },
      ],
      result: length(edges),
      source: 'Walk round every outline and hole',
      basis: 'arithmetic',
    },
    ...(tiles
      ? [
          {
            what: 'Units saved',
            formula: 'units wholly in the ground that the array takes',
            values: [
              { symbol: 'A', what: 'that ground', value: area(tiles.areaM2 * 1e6) },
              { symbol: 'c', what: 'cut at its sides, each from a whole one', value: count(tiles.cut, 'units') },
            ],
            result: count(tiles.saved, 'units'),
            source: 'Course by course, joints where they lie',
            basis: 'arithmetic',
          } satisfies Working,
        ]
      : []),
    ...(use
      ? [
          use.wind,
          ...use.shares.map((one): Working => ({
            what: `${coverCheckWords[one.check].name[0]!.toUpperCase()}${coverCheckWords[one.check].name.slice(1)}`,
            formula: 'used = asked / held',
            values: [
              { symbol: 'a', what: `asked under ${one.combination}`, value: coverCheckWords[one.check].of(one.value) },
              { symbol: 'h', what: 'held', value: coverCheckWords[one.check].of(one.limit) },
              ...(one.check.startsWith('batten') ? [{ symbol: 'L', what: 'between rafters', value: length(use.spanMm) }] : []),
            ],
            result: words(formatShare(one.share)),
            source:
              one.check === 'screw'
                ? use.screwRule
                : one.check === 'batten-nails'
                  ? use.nailRule
                  : one.check.startsWith('batten')
                    ? 'Simply supported between every two rafters, the worst place of them taken'
                    : `${system.name}: what a module on it held in its test`,
            basis: one.check.startsWith('module') ? 'maker' : 'code',
          })),
        ]
      : []),
    ...(battens
      ? [
          {
            what: 'Screws of the modules',
            formula: 'n = modules × screws on each line',
            values: [
              { symbol: 'l', what: 'of them without a batten', value: count(battens.loose.length, 'screws') },
              { symbol: 'm', what: 'modules', value: count(modules, 'modules') },
            ],
            result: count(battens.screws.length, 'screws'),
            source: `${system.name}: its lines`,
            basis: 'maker',
          } satisfies Working,
        ]
      : []),
  ]
}

export const inRoofShown = {
  layers: [openGround, battenLayer('cut', 52), battenLayer('keep', 53), battenLayer('move', 54), battenLayer('add', 55), screws, flashing, flashingMarks],
  workings: inRoofWorkings,
} satisfies FaceShown<InRoofLayout>
