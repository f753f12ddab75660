import { expect, it } from 'vitest'
import { catalogue } from '../../../tests/fixtures/jobs'
import { inRoofSchema } from './in-roof'

const [one] = catalogue.inRoofs

it.each(['bottom', 'top', 'side'] as const)('a %s flashing laps the next by half its length at most', (edge) => {
  const withLap = (overlapMm: number) => inRoofSchema.safeParse({ ...one, [edge]: { ...one![edge], stockMm: 500, overlapMm } })
  expect(withLap(250).success).toBe(true)
  expect(withLap(251).error?.issues.map(({ path, message }) => [path.join('.'), message])).toEqual([[`${edge}.overlapMm`, 'A flashing laps the next by more than half its length.']])
})
