import { linearRegression } from 'simple-statistics'
import { describe, expect, it } from 'vitest'
import { centreIn, emptyRow, type GrowingRow, withReading } from './row-state'

interface Prior { spacingMm: number, spacingSdMm: number, leanSd: number, scatterMm: number }
const rowOf = (readings: { k: number, xMm: number, yMm: number, sdMm: number }[], { spacingMm, spacingSdMm, leanSd, scatterMm }: Prior): GrowingRow =>
  readings.reduce((row, { k, xMm, yMm, sdMm }) => withReading(row, k, xMm, yMm, sdMm), emptyRow(spacingMm, spacingSdMm, leanSd, scatterMm, 0))

describe('least squares', () => {
  // F. J. Anscombe, Graphs in Statistical Analysis, The American Statistician 27 (1973), first set: y = 3.00 + 0.500 x, standard
  // error of the slope 0.118, residual variance 13.75/9 about the line.
  const anscombe = [[10, 8.04], [8, 6.95], [13, 7.58], [9, 8.81], [11, 8.33], [14, 9.96], [6, 7.24], [4, 4.26], [12, 10.84], [7, 4.82], [5, 5.68]] as const
  const flat = { spacingMm: 0.5, spacingSdMm: 1e6, leanSd: 1e-9, scatterMm: 1e-6 }

  it('gives the published line of a textbook set, and that of a general library', () => {
    const { mean: [firstMm, spacingMm], cov } = rowOf(anscombe.map(([k, xMm]) => ({ k, xMm, yMm: 0, sdMm: Math.sqrt(13.75 / 9) })), flat)
    expect(firstMm).toBeCloseTo(3.00, 2)
    expect(spacingMm).toBeCloseTo(0.500, 3)
    expect(Math.sqrt(cov[3])).toBeCloseTo(0.118, 2)
    const { m, b } = linearRegression(anscombe.map(([x, y]) => [x, y]))
    expect(spacingMm).toBeCloseTo(m, 6)
    expect(firstMm).toBeCloseTo(b, 4)
  })
  it('tells two readings of one rafter from readings of two: what its own scatter shares counts once', () => {
    const prior = { spacingMm: 600, spacingSdMm: 2, leanSd: 1e-6, scatterMm: 20 }
    const one = rowOf([{ k: 0, xMm: 300, yMm: 0, sdMm: 5 }, { k: 0, xMm: 300, yMm: 0, sdMm: 5 }], prior)
    const two = rowOf([{ k: 0, xMm: 300, yMm: 0, sdMm: 5 }, { k: 1, xMm: 900, yMm: 0, sdMm: 5 }], prior)
    expect(two.cov[0]).toBeLessThan(one.cov[0])
    expect(centreIn(one, 0, 0).sdMm).toBeCloseTo(5 / Math.sqrt(2), 1)
    expect(centreIn(one, 3, 0).sdMm).toBeGreaterThan(20)
  })
})
