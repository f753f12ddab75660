import { covering } from './coverings'
import { fixings, type FixingsAsk, fixingsOfJob } from './fixings'
import { keepClearOfJob, keepClearOnFace, type RoofClear } from './keepclear'
import { loads, loadsOfJob } from './loads'
import { openings, type OpeningsLayout, openingsOfJob } from './openings'
import { rails } from './rails'
import { type RoofRowsAsk, rows, rowsOfRoof } from './rows'
import { site } from './site'
import { sticks, sticksOfJob } from './sticks'
import { strength, strengthOfJob } from './strength'
import { supports } from './supports'
import { survey } from './survey'
import type { FaceSays, FindingAsk, JobAsk, JobSays } from './trade'
import { wiring, wiringOfJob } from './wiring'

/** A face with everything laid out on it. */
export type FaceLayout = OpeningsLayout
export type FaceAsk = FindingAsk<FaceLayout> & Pick<FixingsAsk, 'places'>
export type WholeAsk = RoofRowsAsk & JobAsk<FaceLayout> & { roof: RoofClear }

/** What one trade says of each face, and of the whole job. */
export interface Trade { id: string, face?: FaceSays<FaceLayout, FaceAsk>, job?: JobSays<FaceLayout, WholeAsk> }

/** All trades in the order of work. What sheets, lists, files and screens show is what these say, and nothing else. */
export const trades: Trade[] = [
  { id: 'site', job: site },
  { id: 'survey', face: survey },
  { id: 'supports', face: supports },
  { id: 'covering', face: covering },
  { id: 'keep-clear', face: keepClearOnFace, job: keepClearOfJob },
  { id: 'rows', face: rows, job: rowsOfRoof },
  { id: 'loads', face: loads, job: loadsOfJob },
  { id: 'rails', face: rails },
  { id: 'fixings', face: fixings, job: fixingsOfJob },
  { id: 'sticks', face: sticks, job: sticksOfJob },
  { id: 'strength', face: strength, job: strengthOfJob },
  { id: 'openings', face: openings, job: openingsOfJob },
  { id: 'wiring', face: wiring, job: wiringOfJob },
]
