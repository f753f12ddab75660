import { describe, expect, it } from 'vitest'
import { applyEdit } from '../../core/job'
import { planJob } from '../../core/plan'
import { trades } from '../../core/trades'
import { layers } from '../../core/sheets/figure'
import { markStepKinds } from '../../core/trade'
import { partKinds } from '../../core/catalogue'
import { findingExamples } from '../fixtures/findings'
import { catalogue, threeRowsOfSix } from '../fixtures/jobs'
import { boltsOf, checkFinding, checkLayer, checkMarks, checkParts, endBolts, layerCounts, partCounts } from '../fixtures/said'

const kinds = trades.flatMap(trade => [...Object.keys(trade.face?.findings ?? {}), ...Object.keys(trade.job?.findings ?? {})])

describe('every kind of finding', () => {
  it('has an example, and every example a kind; no kind is known to two trades', () => {
    expect(Object.keys(findingExamples).sort()).toEqual([...kinds].sort())
    expect(new Set(kinds).size).toBe(kinds.length)
  })
  it.each(kinds)('%s: raised where it should be, with a sentence and a place, and silent where not', kind => checkFinding(kind))
  it.each(kinds.filter(kind => findingExamples[kind]?.cured))('%s: its cures cure, and bring no stop that was not there', (kind) => {
    const { raises, cured, parts = catalogue } = findingExamples[kind]!
    const job = cured === true ? raises : cured!
    const before = planJob(job, parts)
    const own = before.findings.filter(one => one.kind === kind)
    const cures = own.flatMap(finding => finding.cures.map(cure => ({ finding, cure })))
    expect(cures.length).toBeGreaterThan(0)
    const stops = new Set(before.findings.filter(one => one.severity === 'stop').map(one => one.id))
    for (const { finding, cure } of cures) {
      expect(cure.label.length).toBeGreaterThan(5)
      const after = planJob(applyEdit(job, cure.edit), parts).findings
      expect(after.map(one => one.id)).not.toContain(finding.id)
      expect(after.filter(one => one.severity === 'stop' && !stops.has(one.id))).toEqual([])
    }
  })
})

describe('marks, parts and layers', () => {
  it.each(markStepKinds)('marks of the kind %s are as many as the layout has, and one trade says them', (kind) => {
    expect(trades.filter(trade => trade.face?.marks?.[kind])).toHaveLength(1)
    checkMarks(kind)
  })
  it('come in the order in which they are struck', () => {
    const order = planJob(threeRowsOfSix(), catalogue).faces[0]!.marks.map(step => markStepKinds.indexOf(step.kind))
    expect(order).toEqual([...order].sort((a, b) => a - b))
  })
  it('count bolts that go in from a rail’s end by its clamps', () => {
    const face = planJob(endBolts, catalogue).faces[0]!
    expect(face.marks.find(step => step.kind === 'bolts')!.checks.map(check => check.value.kind === 'count' && check.value.n)).toEqual(boltsOf(face))
  })
  // Tools are said by the job's trades, not counted from the catalogue.
  it.each(partKinds.filter(kind => kind !== 'tool'))('parts of the kind %s are as many as the layout takes, weighed and priced', (kind) => {
    expect(Object.keys(partCounts)).toContain(kind)
    expect(trades.filter(trade => trade.face?.parts?.[kind] ?? trade.job?.parts?.[kind])).toHaveLength(1)
    checkParts(kind)
  })
  it.each(layers.map(layer => layer.id))('the layer %s draws what the layout has', (id) => {
    expect(Object.keys(layerCounts)).toContain(id)
    checkLayer(id)
  })
  it('switch by a letter each, and lie one over the other', () => {
    const letters = new Map<string, string>()
    for (const { toggle } of layers) if (toggle) letters.set(toggle.key, letters.get(toggle.key) ?? toggle.name)
    for (const { toggle } of layers) if (toggle) expect(letters.get(toggle.key)).toBe(toggle.name)
    expect(new Set(layers.map(layer => layer.depth)).size).toBe(layers.length)
    expect(new Set(layers.map(layer => layer.id)).size).toBe(layers.length)
  })
})
