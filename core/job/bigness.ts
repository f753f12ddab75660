import type { Job } from './schema'

/** What of a job takes the planner long, the most of it first, with how many of each are more than a usual house has. */
const counts: { words: string, usual: number, of: (job: Job) => number }[] = [
  { words: 'things standing on the faces', usual: 60, of: job => job.faces.reduce((sum, face) => sum + face.obstructions.length, 0) },
  { words: 'faces', usual: 8, of: job => job.faces.length },
  { words: 'readings of rafters', usual: 400, of: job => job.faces.reduce((sum, face) => sum + (face.supports.kind === 'rafters' ? face.supports.hits.length : 0), 0) },
  { words: 'reserved parts', usual: 20, of: job => job.faces.reduce((sum, face) => sum + face.reserved.length, 0) },
]

/** What makes a job big, in words. */
export function bigness(job: Job): string {
  const found = counts.map(({ words, usual, of }) => ({ words, n: of(job), share: of(job) / usual })).sort((a, b) => b.share - a.share)
  const big = found.filter(one => one.share > 1)
  return (big.length ? big : found.slice(0, 2)).map(({ n, words }) => `${n} ${words}`).join(', ')
}
