import { isProved } from './chain'
import { chainsOf } from './chains'
import type { ProofAsk } from './ask'
import { isSettled, papersOf } from './papers'
import { wantedPictures } from './photographs'
import { serialPlaces } from './serials'
import { tightenedOf } from './torques'

/** How far one part of the proof is: so many of so many. */
export interface Counted { group: 'serials' | 'tests' | 'torques' | 'photographs' | 'papers', had: number, of: number }

/** What is there of each part, whether anything is open in it or not. */
export function countedOf(ask: ProofAsk): Counted[] {
  const chains = chainsOf(ask)
  const [places, things, pictures, papers] = [serialPlaces(ask), tightenedOf(ask), wantedPictures(ask), papersOf(ask)]
  return ([
    { group: 'serials', had: places.filter(one => one.found).length, of: places.length },
    { group: 'tests', had: chains.filter(isProved).length, of: chains.length },
    { group: 'torques', had: things.filter(one => one.said.length && !one.problems.length).length, of: things.length },
    { group: 'photographs', had: pictures.filter(one => one.had).length, of: pictures.length },
    { group: 'papers', had: papers.filter(isSettled).length, of: papers.length },
  ] satisfies Counted[]).filter(one => one.of > 0)
}
