import { describe, expect, it } from 'vitest'
import { simulatedMeter } from './simulated-meter'

describe('the simulated meter', () => {
  it('sends readings only while it is connected, to whoever listens', async () => {
    const meter = simulatedMeter(9000, 600)
    const heard: number[] = []
    const stop = meter.onReading(mm => heard.push(mm))
    meter.measure()
    expect(heard).toEqual([])
    await meter.connect()
    for (let i = 0; i < 12; i++) meter.measure()
    expect(heard).toHaveLength(12)
    expect(heard.every(mm => mm >= 0 && mm <= 9020)).toBe(true)
    stop()
    meter.measure()
    meter.disconnect()
    expect(heard).toHaveLength(12)
  })
  it('measures rafters of one row: readings lie at a spacing, give or take a meter’s and a carpenter’s scatter', async () => {
    const meter = simulatedMeter(9000, 600)
    const heard: number[] = []
    meter.onReading(mm => heard.push(mm))
    await meter.connect()
    for (let i = 0; i < 10; i++) meter.measure()
    for (const mm of heard.slice(1)) {
      const spacings = (mm - heard[0]!) / 600.6
      expect(Math.abs(spacings - Math.round(spacings)) * 600.6).toBeLessThan(40)
    }
  })
})
