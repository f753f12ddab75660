/** A module's own name: it keeps it as long as it stands in the same row, so many from the row's left end. Both count from 0. */
export const moduleId = (row: number, place: number): string => `row${row + 1}-${place + 1}`
