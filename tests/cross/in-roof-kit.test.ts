import { describe, expect, it } from 'vitest'
import { perimeterMm, rectangle, type Region, together } from '../../core/geometry'
import { kitOf } from '../../core/inroof'
import { countGrid, frame, lapped, partOf, randomGrid, skerry, tray } from '../fixtures/in-roof'
import { seeded } from '../fixtures/random'

const size = { widthMm: skerry.shortMm, heightMm: skerry.longMm, columnGapMm: 24, rowGapMm: 18 }

describe('the flashing kit', () => {
  it('of rectangles is what their formulas say', () => {
    for (let rows = 1; rows <= 6; rows++)
      for (let columns = 1; columns <= 9; columns++) {
        const { pieces } = kitOf(
          [
            partOf(
              Array.from({ length: rows }, () => Array.from({ length: columns }, () => true)),
              size,
            ),
          ],
          frame,
          'row',
          [],
        )
        const n = (kind: string) => pieces.filter(piece => piece.kind === kind).length
        const [wide, high] = [columns * size.widthMm + (columns - 1) * 24, rows * size.heightMm + (rows - 1) * 18]
        // One row has its sides whole, with their corners.
        expect([n('bottom-flashing'), n('top-flashing'), n('side-flashing'), n('one-row-side'), n('outer-corner'), n('inner-corner')]).toEqual([
          lapped(wide, 1220, 80),
          lapped(wide, 1220, 80),
          rows === 1 ? 0 : 2 * lapped(high, 920, 100),
          rows === 1 ? 2 : 0,
          rows === 1 ? 0 : 4,
          0,
        ])
        expect([n('joint-up'), n('joint-across'), n('joint-crossing'), n('joint-cap')]).toEqual([
          rows * (columns - 1),
          (rows - 1) * columns,
          (rows - 1) * (columns - 1),
          columns - 1,
        ])
      }
  })

  it('on 2000 random outlines, holes too, is what each place’s neighbours say; its lengths are the outline’s', () => {
    const random = seeded(1521)
    let [holes, pinched] = [0, 0]
    for (let i = 0; i < 2000; i++) {
      const grid = randomGrid(random)
      const part = partOf(grid, size)
      const kit = kitOf([part], tray, random.pick(['row', 'module'] as const), [])
      const counted = countGrid(grid, size)
      const n = (kind: string) => kit.pieces.filter(piece => piece.kind === kind).length
      const total = (list: number[]) => list.reduce((a, b) => a + b, 0)
      const taken = (list: number[], { stockMm, overlapMm }: { stockMm: number, overlapMm: number }) => total(list.map(mm => lapped(mm, stockMm, overlapMm)))
      const { bottom, top, left, right } = counted.runs
      expect([n('bottom-flashing'), n('top-flashing'), n('side-flashing')]).toEqual([
        taken(bottom, tray.bottom),
        taken(top, tray.top),
        taken(left, tray.side) + taken(right, tray.side),
      ])
      expect([n('outer-corner'), n('inner-corner'), kit.pinches.length]).toEqual([counted.outer, counted.inner, counted.pinches])
      expect([n('joint-up'), n('joint-across'), n('joint-crossing'), n('joint-cap')]).toEqual([counted.up, counted.across, counted.crossings, counted.feet])
      for (const side of ['bottom', 'top', 'left', 'right'] as const) expect(kit.edgesMm[side]).toBeCloseTo(total(counted.runs[side]), 6)
      // What is laid, less what lies double, is the edge.
      for (const [kind, lists, { overlapMm }] of [
        ['bottom-flashing', [bottom], tray.bottom],
        ['top-flashing', [top], tray.top],
        ['side-flashing', [left, right], tray.side],
      ] as const) {
        const own = kit.pieces.filter(piece => piece.kind === kind)
        const runs = lists.flat()
        expect(total(own.map(piece => piece.lengthMm!)) - overlapMm * (own.length - runs.length)).toBeCloseTo(total(runs), 6)
      }
      // Each piece has one mark and one step.
      expect(new Set(kit.pieces.map(piece => piece.mark)).size).toBe(kit.pieces.length)
      expect(kit.steps.flatMap(step => step.marks).sort()).toEqual(kit.pieces.map(piece => piece.mark).sort())
      holes += kit.loops.filter(loop => loop.hole).length
      pinched += counted.pinches ? 1 : 0
      // The same outline as a polygon library joins it: modules, and the gaps between two or four of them.
      if (i % 10 === 0 && part.cells.length && !counted.pinches) {
        const filled = part.cells.flatMap(cell =>
          [
            [0, 0],
            [1, 0],
            [0, 1],
            [1, 1],
          ].flatMap(([dr, dc]): Region[] => {
            const all = [
              [0, 0],
              [dr!, 0],
              [0, dc!],
              [dr!, dc!],
            ].every(([r, c]) => grid[cell.row + r!]?.[cell.column + c!])
            return all
              ? [rectangle({ fromMm: cell.leftMm, toMm: cell.rightMm + dc! * size.columnGapMm }, { fromMm: cell.bottomMm, toMm: cell.topMm + dr! * size.rowGapMm })]
              : []
          }),
        )
        expect(total(Object.values(kit.edgesMm))).toBeCloseTo(perimeterMm(together(filled)), 0)
      }
    }
    expect([holes > 150, pinched > 100]).toEqual([true, true])
  })

  it('takes one cover set for a window that has a hole to itself, by its size, and says what is too near, too wide or of no size', () => {
    const grid = Array.from({ length: 3 }, (_, r) => Array.from({ length: 3 }, (_, c) => !(r === 1 && c === 1)))
    const part = partOf(grid, { ...size, widthMm: skerry.longMm, heightMm: skerry.shortMm })
    const [hole] = [{ x: 900 + 1.5 * skerry.longMm + 24, y: 700 + 1.5 * skerry.shortMm + 18 }]
    const window = (widthMm: number, heightMm: number, dx = 0) => [
      { id: 'w', kind: 'roof-window' as const, round: false, xMm: hole!.x + dx, yMm: hole!.y, widthMm, heightMm, clearanceMm: 0 },
    ]
    const kit = kitOf([part], tray, 'row', window(780, 900))
    expect(kit.pieces.filter(piece => piece.kind === 'window-set').map(piece => piece.name)).toEqual(['Cover set, window to 800 x 1200'])
    expect([kit.pieces.filter(piece => piece.kind === 'inner-corner').length, kit.windows[0]!.trouble]).toEqual([0, null])
    expect(kitOf([part], tray, 'row', window(780, 900, 440)).windows[0]!.trouble).toBe('near')
    expect(kitOf([part], tray, 'row', window(1300, 900)).windows[0]!.trouble).toBe('no-set')
    expect(kitOf([part], { ...tray, window: { ...tray.window, farMm: 300 } }, 'row', window(780, 900)).windows[0]!.trouble).toBe('between')
  })
})
