/** What a hand does on a face: takes hold of something, reads it off the tapes, pushes it, asks how its figures come about. */
export * from './hold'
