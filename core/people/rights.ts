/** What somebody is in a firm. */
export const roles = ['owner', 'planner', 'lead', 'yard', 'guest'] as const
export type Role = typeof roles[number]

/** As what the demo can be entered; a guest comes by a link. */
export const demoRoles = ['planner', 'lead', 'yard', 'owner'] as const

export const roleWords: Record<Role, { title: string, does: string }> = {
  owner: { title: 'Owner', does: 'plans, and says who belongs to the firm' },
  planner: { title: 'Planner', does: 'plans jobs, issues sheets, keeps the shelf' },
  lead: { title: 'Lead', does: 'reads, logs and ticks; on the roof moves what keeps every limit' },
  yard: { title: 'Yard', does: 'reads, and ticks the van’s list' },
  guest: { title: 'Guest', does: 'reads one job' },
}

/** What can be done in a firm, each with what is said to whoever may not. */
export const rightWords = {
  'read-sheet': 'read an issued sheet',
  'read': 'read this',
  'read-shelf': 'see the firm’s jobs and shelf',
  'tick': 'tick what is done',
  'log': 'log readings and photographs',
  'move': 'move parts of the plan',
  'plan': 'change the plan',
  'issue': 'issue sheets',
  'jobs': 'open, copy, archive or delete jobs',
  'shelf': 'change the shelf',
  'share': 'give out links',
  'people': 'say who belongs to the firm',
} as const
export type Right = keyof typeof rightWords

const reads = ['read-sheet', 'read'] as const
const worksHere = [...reads, 'read-shelf', 'tick'] as const
const onTheRoof = [...worksHere, 'log', 'move'] as const
const plans = [...onTheRoof, 'plan', 'issue', 'jobs', 'shelf', 'share'] as const

/** The one table of who may do what; routes and controls ask it and know no role. */
const rightsOf: Record<Role, ReadonlySet<Right>> = {
  owner: new Set([...plans, 'people']),
  planner: new Set(plans),
  lead: new Set(onTheRoof),
  yard: new Set(worksHere),
  guest: new Set(reads),
}

export const may = (role: Role, right: Right): boolean => rightsOf[role].has(right)

/** Who may do it, as a sentence ends. */
const holders = (right: Right): string => roles.filter(role => may(role, right)).map(role => roleWords[role].title.toLowerCase()).join(' or ')

/** What is said to somebody whose role lacks a right. */
export const refusalOf = (role: Role, right: Right): string => `As ${roleWords[role].title.toLowerCase()} you can’t ${rightWords[right]}. Ask an ${holders(right)}.`
