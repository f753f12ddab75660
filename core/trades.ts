import { covering } from './coverings'
import { fieldwork } from './fieldwork'
import { fixings, type FixingsAsk, fixingsOfJob } from './fixings'
import { groundOfJob, type GroundPlan } from './ground'
import { inRoof, inRoofOfJob } from './inroof'
import { keepClearOfJob, keepClearOnFace, type RoofClear } from './keepclear'
import { loads, loadsOfJob } from './loads'
import { openings, openingsOfJob } from './openings'
import { proofOfJob } from './proof'
import { rails } from './rails'
import { type RoofRowsAsk, rows, rowsOfRoof } from './rows'
import { site } from './site'
import { sticks, sticksOfJob } from './sticks'
import { strength, strengthOfJob } from './strength'
import { supports } from './supports'
import { survey } from './survey'
import type { FaceSays, FindingAsk, JobAsk, JobSays } from './trade'
import { wiring, type WiringLayout, wiringOfJob, type WiringPlan } from './wiring'

/** A face with everything laid out on it. */
export type FaceLayout = WiringLayout
export type FaceAsk = FindingAsk<FaceLayout> & Pick<FixingsAsk, 'places'>
/** What is asked for the parts of a whole job. */
export type WholePartsAsk = JobAsk<FaceLayout> & { wiring: WiringPlan, grid: GroundPlan | null }
export type WholeAsk = RoofRowsAsk & WholePartsAsk & { roof: RoofClear }

/** What one trade says of each face, and of the whole job. */
export interface Trade { id: string, /** Speaks only of arrays on rails, or only of those that take the covering's place. */ only?: 'on-rails' | 'in-roof', face?: FaceSays<FaceLayout, FaceAsk>, job?: JobSays<FaceLayout, WholeAsk, WholePartsAsk> }

/** All trades in the order of work. What sheets, lists, files and screens show is what these say, and nothing else. */
export const trades: Trade[] = [
  { id: 'site', job: site },
  { id: 'survey', face: survey },
  { id: 'supports', face: supports },
  { id: 'covering', face: covering },
  { id: 'keep-clear', face: keepClearOnFace, job: keepClearOfJob },
  { id: 'rows', face: rows, job: rowsOfRoof },
  { id: 'loads', face: loads, job: loadsOfJob },
  { id: 'rails', only: 'on-rails', face: rails },
  { id: 'fixings', only: 'on-rails', face: fixings, job: fixingsOfJob },
  { id: 'sticks', only: 'on-rails', face: sticks, job: sticksOfJob },
  { id: 'strength', only: 'on-rails', face: strength, job: strengthOfJob },
  { id: 'openings', only: 'on-rails', face: openings, job: openingsOfJob },
  { id: 'in-roof', only: 'in-roof', face: inRoof, job: inRoofOfJob },
  { id: 'wiring', face: wiring, job: wiringOfJob },
  { id: 'ground', job: groundOfJob },
  { id: 'fieldwork', only: 'on-rails', face: fieldwork },
  { id: 'proof', job: proofOfJob },
]

/** The trades that speak of a face: not those for arrays that are built another way. */
export const tradesOn = ({ inRoof: within }: Pick<FaceLayout, 'inRoof'>): Trade[] => trades.filter(({ only }) => !only || only === (within ? 'in-roof' : 'on-rails'))

/** What a trade is asked of the whole job: it sees the faces that it speaks of. */
export const askedOf = <A extends { faces: { plan: Pick<FaceLayout, 'inRoof'> }[] }>({ only }: Trade, ask: A): A => only ? { ...ask, faces: ask.faces.filter(({ plan }) => only === (plan.inRoof ? 'in-roof' : 'on-rails')) } : ask
