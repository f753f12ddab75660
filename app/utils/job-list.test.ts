import { describe, expect, it } from 'vitest'
import { type JobLine, jobsShown } from './job-list'

const line = (title: string, place: string, createdAt: string, updatedAt: string, stops: number | null, archived = false): JobLine =>
  ({ jobId: title, title, place, units: 'metric', createdAt, updatedAt, archived, failed: false, summary: stops === null ? null : { totals: { stops } as NonNullable<JobLine['summary']>['totals'], face: null } })
const jobs = [
  line('9 Fen Road', 'Brackwater', '2026-05-01', '2026-05-09', 2),
  line('14 Fen Road', 'Brackwater', '2026-05-02', '2026-05-03', 0),
  line('Salt Store', 'Saltmarsh Haven', '2026-05-03', '2026-05-04', null),
  line('Old Mill', 'Brackwater', '2026-05-04', '2026-05-05', 7, true),
]
const titles = (...how: [string, Parameters<typeof jobsShown>[2], boolean]) => jobsShown(jobs, ...how).map(job => job.title)

describe('the list of jobs', () => {
  it('finds every word in name and place, in any order and case', () => {
    expect(titles('road BRACK', 'name', false)).toEqual(['9 Fen Road', '14 Fen Road'])
    expect(titles('haven mill', 'name', false)).toEqual([])
  })
  it.each([
    ['changed', ['9 Fen Road', 'Salt Store', '14 Fen Road']],
    ['opened', ['Salt Store', '14 Fen Road', '9 Fen Road']],
    ['name', ['9 Fen Road', '14 Fen Road', 'Salt Store']],
    ['settle', ['9 Fen Road', '14 Fen Road', 'Salt Store']],
  ] as const)('is sorted by %s', (order, expected) => expect(titles('', order, false)).toEqual(expected))
  it('keeps archived jobs apart', () => expect(titles('', 'name', true)).toEqual(['Old Mill']))
})
