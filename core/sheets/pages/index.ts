import type { Working } from '../../working'
import type { FaceFigure } from '../figure'

/** Packs of pages as plain data: what an authority, an inspector or a householder is handed, printed by one hand. */

/** A table of a page; a row of one cell runs over the whole width. */
export interface PackTable { title?: string, head: string[], rows: string[][], /** Shares of the page's width. */ widths: number[] }

/** A label as it is made, with its place. */
export interface PackLabel { text: string, where: string, clause: string, made: string, reflective: boolean }

/** One page, or as many as it takes. */
export interface PackPage {
  title: string
  words: string[]
  figure: FaceFigure | null
  /** Its words are as large beside what they name as in its files. */
  wordsToScale: boolean
  tables: PackTable[]
  workings: Working[]
  labels: PackLabel[]
  /** Photographs by their names, each with what it shows. */
  pictures: { photoId: string, caption: string }[]
}

export interface Pack { /** What it is: “permit pack”. */ name: string, title: string, place: string, cautions: string[], pages: PackPage[] }

export const packPage = (title: string, own: Partial<PackPage>): PackPage => ({ title, words: [], figure: null, wordsToScale: false, tables: [], workings: [], labels: [], pictures: [], ...own })
