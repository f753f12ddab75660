import type { PartKind } from '../catalogue'
import { formatLength } from '../units'
import type { FaceSays, JobSays, PartAsk, PartDraft } from '../trade'
import {
  arrival,
  coveringUnsuited,
  gaugeApart,
  gaugeUnsuited,
  heavier,
  looseScrews,
  noCorner,
  notApproved,
  notChecked,
  notProved,
  offCourse,
  overused,
  pitchUnsuited,
  reliefRefused,
  sliversLeft,
  slopeNotChecked,
  tooClose,
  waysAndRows,
  windowTrouble,
} from './findings'
import { pieceKinds, pieceNames } from './kit'
import type { InRoofLayout } from './layout'
import { battenSteps, flashingSteps, liftHeights, scaffoldSteps } from './marks'
import { inRoofShown } from './shown'
import { tradeNames } from './words'

type Asked = PartAsk<InRoofLayout>

/** A roll of sealing strip covers so much of the outline, mm. */
const STRIP_MM = 5000

const own = ({ plan }: Asked, kind: PartKind, name: string, amount: number, rule: string, stage: PartDraft['stage'] = 'modules'): PartDraft[] => {
  const { system } = plan.inRoof!
  return [{ kind, item: { shelf: 'inRoofs', id: system.id }, name, maker: system.maker, stage, amount, massKg: 'by shelf', price: 'by shelf', rule }]
}

const pieces = Object.fromEntries(
  pieceKinds.map(kind => [
    kind,
    (ask: Asked): PartDraft[] => {
      const { kit, system } = ask.plan.inRoof!
      const names = [
        ...new Set(kit.pieces.filter(piece => piece.kind === kind).map(piece => (kind === 'window-set' ? piece.name! : `${pieceNames[kind]} for ${system.name}`))),
      ]
      return names.flatMap(name =>
        own(
          ask,
          kind,
          name,
          kit.pieces.filter(piece => piece.kind === kind && (kind !== 'window-set' || piece.name === name)).length,
          'Walk round the array’s outline',
        ),
      )
    },
  ]),
) as Record<(typeof pieceKinds)[number], (ask: Asked) => PartDraft[]>

/** An array that takes the covering's place: where it stands, what holds it and what keeps it dry. */
export const inRoof = {
  ...inRoofShown,
  findings: {
    'inroof-covering': coveringUnsuited,
    'inroof-pitch': pitchUnsuited,
    'inroof-way': waysAndRows,
    'inroof-module': notApproved,
    'inroof-gauge': gaugeUnsuited,
    'inroof-edge': offCourse,
    'inroof-window': windowTrouble,
    'inroof-corner': noCorner,
    'inroof-close': tooClose,
    'inroof-slivers': sliversLeft,
    'inroof-proof': notProved,
    'inroof-strength': overused,
    'inroof-screws': looseScrews,
    'inroof-relief': reliefRefused,
    'inroof-unchecked': notChecked,
    'inroof-slope': slopeNotChecked,
    'inroof-arrival': arrival,
    'inroof-gauge-read': gaugeApart,
    'inroof-weight': heavier,
  },
  marks: { scaffold: scaffoldSteps, battens: battenSteps, flashings: flashingSteps },
  parts: {
    ...pieces,
    'tray': ask => (ask.plan.inRoof!.system.kind === 'tray' ? own(ask, 'tray', `${ask.plan.inRoof!.system.name}`, ask.plan.modules, 'One under each module') : []),
    'tray-clamp': ask =>
      own(
        ask,
        'tray-clamp',
        `Clamp for ${ask.plan.inRoof!.system.name}`,
        ask.plan.modules * ask.plan.inRoof!.system.clamps,
        `${ask.plan.inRoof!.system.clamps} a module`,
      ),
    'in-roof-screw': ask =>
      own(ask, 'in-roof-screw', ask.plan.inRoof!.system.screw.name, ask.plan.inRoof!.battens?.screws.length ?? 0, 'One at each place on a batten'),
    'sealing-strip': (ask) => {
      const { bottom, right, top, left } = ask.plan.inRoof!.kit.edgesMm
      return own(ask, 'sealing-strip', 'Sealing strip', Math.ceil((bottom + right + top + left) / STRIP_MM), 'Along every edge, 5 m a roll')
    },
    'new-batten': ({ plan, job }) => {
      const cuts = plan.inRoof!.battens?.cuts
      return cuts
        ? [
            {
              kind: 'new-batten',
              item: null,
              name: `Batten, ${formatLength(cuts.stockMm, job.units)}`,
              maker: '',
              stage: 'fixings',
              amount: cuts.sticks.length,
              lengthMm: cuts.stockMm,
              massKg: 'by shelf',
              price: 'by shelf',
              rule: 'Battens to add, cut from stock',
            },
          ]
        : []
    },
  },
} satisfies FaceSays<InRoofLayout>

export const inRoofOfJob = {
  tools: ({ job, faces }) =>
    faces
      .filter(({ plan }) => plan.inRoof?.parts.length)
      .flatMap(({ face, plan }) => [
        ...plan.inRoof!.system.tools,
        ...(plan.inRoof!.battens?.steps.some(one => one.act !== 'keep') ? ['Saw for battens, depth set to them'] : []),
        `Scaffold at ${face.name}: boards at ${liftHeights(face.place.eaveHeightMm)
          .map(mm => formatLength(mm, job.units))
          .join(', ')} over the ground`,
        ...face
          .inRoof!.tasks.filter(one => !one.done)
          .map(one => `${tradeNames[one.trade]} brings and does, ${face.name}: ${one.what}${one.due ? `, by ${one.due}` : ''}`),
      ]),
} satisfies JobSays<InRoofLayout>
