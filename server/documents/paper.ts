/** Papers that sheets are printed on, by their names in pdfkit. */
export const papers = ['A4', 'LETTER'] as const
export type Paper = typeof papers[number]
