/** The start of a job: from what is known on the ground, and what is not, to a job that says which is which. */
export * from './job'
export * from './parts'
export * from './roof'
