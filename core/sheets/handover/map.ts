import { endsByCompass, type ProofAsk, type SerialPlace } from '../../proof'
import { shapeOf } from '../../roof'
import { type FaceFigure, faceFigure } from '../figure'
import { type PackPage, packPage } from '../pages'

/** Figures of a serial number that stand in a module's outline: enough to find it in the table beside. */
const LAST_SIGNS = 6
/** Layers that stand on a map of modules: what one finds one's way by. */
const ON_MAP = new Set(['outline', 'obstructions', 'modules', 'roof-box'])

/** A face with the last signs of each module's serial number in its outline, and with the roof's compass beside it. */
export function serialFigure(ask: ProofAsk, face: ProofAsk['faces'][number], places: SerialPlace[]): FaceFigure {
  const figure = faceFigure({ job: ask.job, face: face.face, plan: face.plan })
  const { along, up } = shapeOf(face.face.outline)
  const ends = endsByCompass(face.face)
  const beside = 260
  return {
    ...figure,
    layers: [...figure.layers.filter(({ layer }) => ON_MAP.has(layer)), {
      layer: 'serials', rings: [], lines: [], crosses: [],
      texts: [
        ...places.filter(one => one.faceId === face.face.id && one.what === 'module' && one.found).map(one => ({ at: { x: one.xMm, y: one.yMm - 260 }, text: one.found!.serial.slice(-LAST_SIGNS) })),
        { at: { x: along.fromMm + beside, y: up.toMm + 160 }, text: `◄ ${ends.left}` }, { at: { x: along.toMm - beside, y: up.toMm + 160 }, text: `${ends.right} ►` },
      ],
    }],
  }
}

const partsOf = (places: SerialPlace[], one: SerialPlace): SerialPlace[] => places.filter(other => other.faceId === one.faceId && other.number === one.number)

/** Pages of the map: each face with modules, its numbers on the drawing and whole in a table; `blank` leaves room for labels to be stuck on. */
export const mapPages = (ask: ProofAsk, places: SerialPlace[], blank = false): PackPage[] => ask.faces.filter(({ plan }) => plan.modules > 0).flatMap((own): PackPage[] => {
  const { face } = own
  const ends = endsByCompass(face)
  const modules = places.filter(one => one.faceId === face.id && one.what === 'module')
  const hasUnits = places.some(one => one.faceId === face.id && one.what === 'unit')
  const serial = (one: SerialPlace | undefined) => blank ? '\n\n\n\n' : one?.found?.serial ?? (one ? 'not read' : '')
  const table = {
    head: ['Module', 'Row, place', 'Circuit', 'Module’s serial', ...hasUnits ? ['Unit’s serial'] : []], widths: hasUnits ? [0.1, 0.16, 0.1, 0.32, 0.32] : [0.12, 0.2, 0.12, 0.56],
    rows: modules.map((one) => {
      const unit = partsOf(places, one).find(other => other.what === 'unit')
      return [String(one.number), `${one.row + 1}, ${one.place + 1}`, one.circuit === null ? 'none' : String(one.circuit), serial(one), ...hasUnits ? [serial(unit)] : []]
    }),
  }
  const title = `${face.name}: serial numbers`
  const map = {
    figure: serialFigure(ask, own, blank ? places.map(one => ({ ...one, found: null })) : places),
    words: [`Seen from outside; the face looks ${ends.faces}, its left end is ${ends.left}. Rows count from the eave, modules from the left. ${modules.filter(one => one.found).length} of ${modules.length} modules are read.`],
  }
  // Labels want a page of their own, with room for each.
  return blank ? [packPage(title, map), packPage(`${face.name}: labels`, { words: ['Stick each label on its line; they are read later, in this order.'], tables: [table] })] : [packPage(title, { ...map, tables: [table] })]
})
