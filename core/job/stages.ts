/** The stages of a job in the order in which they are climbed, from the ground up. */
export const stages = [
  { id: 'site', title: 'Site' },
  { id: 'survey', title: 'Survey' },
  { id: 'rafters', title: 'Rafters' },
  { id: 'keep-clear', title: 'Keep-clear' },
  { id: 'rows', title: 'Rows' },
  { id: 'rails', title: 'Rails & fixings' },
  { id: 'covering', title: 'Covering' },
  { id: 'wiring', title: 'Wiring' },
  { id: 'grid', title: 'Wall & grid' },
  { id: 'load-out', title: 'Load-out' },
  { id: 'mark-out', title: 'Mark-out' },
  { id: 'on-roof', title: 'On the roof' },
  { id: 'proof', title: 'Proof & hand-over' },
] as const

export type StageId = typeof stages[number]['id']
