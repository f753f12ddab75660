import { setAssumed } from './on-assumed'
import { setArray, setRow } from './on-array'
import { dropBroken, logBroken } from './on-broken'
import { addFace, removeFace, setFace } from './on-faces'
import { beginGround, setGround, typeFigure } from './on-ground'
import { dropTask, putTask, setInRoof, takeIn } from './on-in-roof'
import { setJob, setKeepClear, setLoadout, setLoads, setSite, setVan } from './on-job'
import { dropWork, follow, logWork } from './on-log'
import { dropProof, sayProof } from './on-proof'
import { putInCircuit, setSiteEnd, setWireGroup, setWiring } from './on-wiring'
import { putRun, putThing, putWall, setRun, setThing, setWall } from './on-wall'
import { dropHits, logHits, moveRafter, setRafters, useHit } from './on-rafters'

/** Every kind of edit there is: the union, undo, what collides and its words are made from this list. */
export const editKinds = [
  setJob, setAssumed, setSite, setKeepClear, setLoads, setVan, setLoadout,
  addFace, removeFace, setFace, setArray, setRow,
  setRafters, moveRafter, logHits, dropHits, useHit,
  logBroken, dropBroken,
  logWork, dropWork, follow,
  sayProof, dropProof,
  takeIn, setInRoof, putTask, dropTask,
  setWiring, setWireGroup, putInCircuit, setSiteEnd,
  beginGround, setGround, typeFigure, putThing, setThing, putWall, setWall, putRun, setRun,
] as const
