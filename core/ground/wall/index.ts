/** Things on a wall: where they may stand, what has to be kept free before them, the cheapest places, what holds them, and the way of cable between them. */
export { anchorsOf } from './anchors'
export { type Body, bodyOf, entryOf, GRID_MM, type WallFacts } from './body'
export { type Entry, wayBetween, wayTaken } from './route'
export { nearestFit, type Link, type Piece, placeOnWall, type WallAnswer, type WallProblem } from './search'
export { aloneTrouble, pairTrouble, troubleOf, workTrouble } from './space'
