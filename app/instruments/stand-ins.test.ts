import { describe, expect, it } from 'vitest'
import { workWindow } from '#core/fieldwork'
import { simulatedForecast } from './forecast'
import { simulatedThermometer } from './thermometer'
import { simulatedWrench } from './torque-wrench'

describe('stand-ins for instruments', () => {
  it('say of themselves that they are made up', () => {
    for (const one of [simulatedForecast(), simulatedThermometer(), simulatedWrench()]) expect(one.name).toMatch(/made up/)
  })
  it('a thermometer: damp before the dew has gone, dry at noon', async () => {
    expect((await simulatedThermometer(() => new Date(2026, 4, 4, 7)).read()).surface).toBe('damp')
    const noon = await simulatedThermometer(() => new Date(2026, 4, 4, 12)).read()
    expect(noon.surface).toBe('dry')
    expect(noon.airC).toBeGreaterThan(12)
  })
  it('a wrench lets go within 4 % of what it is set to', async () => {
    for (const r of [0, 0.3, 0.99]) expect(Math.abs(await simulatedWrench(() => r).pull(20) - 20)).toBeLessThanOrEqual(0.8 + 1e-9)
  })
  it('a forecast has a stretch of hours in which covering can be opened', async () => {
    const window = workWindow(await simulatedForecast().day('2026-05-04'), { leastC: 10, dry: true })
    expect(window).toMatchObject({ after: 'rain' })
    expect(window!.hours).toBeGreaterThan(4)
  })
})
