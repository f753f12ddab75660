import { describe, expect, it } from 'vitest'
import { demoJobs } from '../../../db/demo/jobs'
import { catalogue, changed, planOf, threeRowsOfSix } from '../../../tests/fixtures/jobs'
import { areaMm2, bounds, type Point } from '../../geometry'
import { planJob } from '../../plan'
import type { Shape } from '../../trade'
import { dxfLayer, faceDxf, faceSvg } from '../formats'
import { faceFigure, paperLayers } from './index'

const figure = (job = threeRowsOfSix()) => faceFigure({ job, face: job.faces[0]!, plan: planOf(job.faces[0]!) })
const layerOf = (one: ReturnType<typeof figure>, name: string) => one.layers.find(layer => layer.layer === name)!

describe('the drawing of a face', () => {
  it('has every layer once, and what the fixture counts on each', () => {
    const drawn = figure()
    expect(drawn.layers.map(one => one.layer)).toEqual(paperLayers.map(one => one.id))
    expect(layerOf(drawn, 'modules').rings).toHaveLength(18)
    expect(layerOf(drawn, 'modules').texts.map(one => one.text)).toEqual(Array.from({ length: 18 }, (_, i) => String(i + 1)))
    expect(layerOf(drawn, 'rails').lines).toHaveLength(6)
    expect(layerOf(drawn, 'fixings').crosses).toHaveLength(36)
    expect(layerOf(drawn, 'supports').rings).toHaveLength(14)
    expect(layerOf(drawn, 'courses').lines).toHaveLength(planOf(threeRowsOfSix().faces[0]!).courses.length)
    expect(layerOf(drawn, 'courses').lines.length).toBeGreaterThan(20)
  })
  it.each(demoJobs.map(({ job }) => [job.title, job] as const))('of %s has every shape of every layer, in the figure and in the files', (_, job) => {
    const plan = planJob(job, catalogue)
    job.faces.forEach((face, f) => {
      const drawn = faceFigure({ job, face, plan: plan.faces[f]! })
      const [svg, dxf] = [faceSvg(drawn), faceDxf(drawn)]
      for (const layer of paperLayers) {
        const shapes = layer.shapes({ job, face, plan: plan.faces[f]! })
        const of = (...kinds: Shape['kind'][]) => shapes.filter(one => kinds.includes(one.kind)).length
        const rings = shapes.reduce((sum, one) => sum + (one.kind === 'area' ? one.rings.length : 0), 0)
        const group = svg.split('<g ').find(part => part.startsWith(`id="${layer.id}"`))!
        const count = (tag: string) => group.split(`<${tag} `).length - 1
        expect([layer.id, count('path'), count('circle'), count('text')]).toEqual([layer.id, rings + of('line', 'cross', 'bar'), of('dot'), of('text')])
        const inDxf = (entity: string) => dxf.split(new RegExp(`\\n *0\\r?\\n${entity}\\r?\\n`)).slice(1).filter(part => new RegExp(`\\n *8\\r?\\n${dxfLayer(layer.id)}\\r?\\n`).test(part.split(/\n *0\r?\n/)[0]!)).length
        expect([layer.id, inDxf('LWPOLYLINE'), inDxf('LINE'), inDxf('POINT'), inDxf('TEXT')]).toEqual([layer.id, rings, of('line') + 2 * of('cross', 'bar'), of('cross', 'bar', 'dot'), of('text')])
      }
    })
  })
  it.each(demoJobs.map(({ job }) => [job.title, job] as const))('of %s keeps courses, supports and keep-clear strips inside the outline', (_, job) => {
    const plan = planJob(job, catalogue)
    job.faces.forEach((face, f) => {
      const drawn = faceFigure({ job, face, plan: plan.faces[f]! })
      const box = bounds(plan.faces[f]!.shape.region)!
      const inside = ({ x, y }: Point) => x >= box.along.fromMm - 1 && x <= box.along.toMm + 1 && y >= box.up.fromMm - 1 && y <= box.up.toMm + 1
      for (const name of ['courses', 'keep-clear'] as const) {
        const { lines, rings } = layerOf(drawn, name)
        for (const point of [...lines.flat(), ...rings.flat()]) expect(inside(point)).toBe(true)
      }
      if (face.supports.kind === 'rafters') for (const point of layerOf(drawn, 'supports').rings.flat()) expect(inside(point)).toBe(true)
      const modules = layerOf(drawn, 'modules').rings.reduce((sum, ring) => sum + areaMm2([ring]), 0)
      const { longMm, shortMm } = plan.faces[f]!.parts.module
      expect(modules).toBeCloseTo(plan.faces[f]!.modules * longMm * shortMm, -1)
    })
  })
  it.each(demoJobs.map(({ job }) => [job.title, job] as const))('of %s draws nothing of courses and supports beside a slanting edge', (_, job) => {
    const plan = planJob(job, catalogue)
    job.faces.forEach((face, f) => {
      const { region } = plan.faces[f]!.shape
      const drawn = faceFigure({ job, face, plan: plan.faces[f]! })
      // Points moved a little towards their line's middle lie on the face: crossings to the right of them are odd.
      const onFace = ({ x, y }: Point) => region[0]!.filter((a, i) => {
        const b = region[0]![(i + 1) % region[0]!.length]!
        return (a.y > y) !== (b.y > y) && a.x + (b.x - a.x) * (y - a.y) / (b.y - a.y) > x
      }).length % 2 === 1
      const off = layerOf(drawn, 'courses').lines.filter(([a, b]) => {
        const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }
        return [a, b].some(end => Math.hypot(end.x - middle.x, end.y - middle.y) > 5 && !onFace({ x: end.x + (middle.x - end.x) * 0.01, y: end.y + (middle.y - end.y) * 0.01 }) && end.y > 1)
      })
      expect(off).toEqual([])
    })
  })
  it('ends a course where a hip cuts it', () => {
    const outline = {
      kind: 'corners' as const,
      corners: [
        [0, 0, 'eave'],
        [9000, 0, 'hip'],
        [6000, 4000, 'ridge'],
        [3000, 4000, 'hip'],
      ].map(([xMm, yMm, edge]) => ({ xMm: xMm as number, yMm: yMm as number, edge: edge as 'eave' })),
    }
    const { lines } = layerOf(figure(changed({ outline })), 'courses')
    expect(lines.length).toBeGreaterThan(20)
    for (const [from, to] of lines) {
      expect(from.x).toBeCloseTo(3000 * from.y / 4000, 3)
      expect(to.x).toBeCloseTo(9000 - 3000 * to.y / 4000, 3)
    }
  })
})
