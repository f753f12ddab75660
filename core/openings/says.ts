import { closureParts, type Mount, type PartKind } from '../catalogue'
import { laidOnBattens, soldLike } from '../coverings'
import type { Face } from '../job'
import type { FaceSays, JobSays, PartAsk, PartDraft } from '../trade'
import { brittle, cannotOpen, firstTooWeak, firstUnsaid, mustNotCut, otherProfile, surfaceSealed, waysUnsaid } from './findings'
import type { OpeningsLayout } from './layout'
import { openingSteps } from './marks'
import type { Opening } from './opening'
import { openingsShown } from './shown'
import { throughOf } from './through'
import { isHard, unitWords } from './words'

type Asked = PartAsk<OpeningsLayout>

/** The face's mounts with the openings that each makes; all fixings are of the array's own where nobody has said how it goes through. */
function mountsUsed({ plan }: Asked): { mount: Mount, fixings: number, openings: Opening[] }[] {
  const { first } = plan.through
  const opened = plan.openings.filter(one => one.first)
  const others = plan.openings.filter(one => !one.first)
  return [
    { mount: plan.parts.mount, fixings: plan.fixings.total - opened.length, openings: others },
    ...first && opened.length ? [{ mount: first.mount, fixings: opened.length, openings: opened }] : [],
  ].filter(one => one.fixings > 0)
}

const perMount = (kind: PartKind, ask: Asked, draft: (used: ReturnType<typeof mountsUsed>[number]) => Pick<PartDraft, 'name' | 'maker' | 'amount' | 'massKg' | 'price' | 'rule'>): PartDraft[] =>
  mountsUsed(ask).map(used => ({ kind, item: { shelf: 'mounts', id: used.mount.id }, stage: 'fixings', ...draft(used) }))

/** A part that goes with any mount. */
const any = (kind: PartKind, name: string, amount: number, rule: string, stage: PartDraft['stage'] = 'fixings'): PartDraft[] =>
  [{ kind, item: null, name, maker: '', stage, amount, massKg: 'by shelf', price: 'by shelf', rule }]

const closing = Object.fromEntries(closureParts.map(kind => [kind, (ask: Asked) => perMount(kind, ask, ({ mount, openings }) => {
  const amount = openings.filter(one => throughOf(ask.plan, one).closure.parts.includes(kind)).length
  return { name: `${kind === 'flashing' ? 'Flashing' : `${kind[0]!.toUpperCase()}${kind.slice(1).replace('-', ' ')}`} for ${mount.name}`, maker: '', amount, massKg: 'by shelf', price: 'by shelf', rule: kind === 'flashing' ? 'One a flashed fixing' : 'One a fixing, by its way through' }
})])) as Record<typeof closureParts[number], (ask: Asked) => PartDraft[]>

/** Units of single lap are each clipped or screwed when they go back; those of double lap hang between others. */
const clipped = (kind: Face['covering']['kind']): boolean => kind === 'interlocking-tile'

/** Battens that are cut at a plate are carried by two trimmers each, a metre long (common practice). */
const TRIMMERS = 2
/** What is laid where the covering was stripped: bundle and roll cover so much, laps taken off the roll; lengths of flashing lap (common practice). */
const BUNDLE_M2 = 3
const ROLL_M2 = 9
const EDGE_MM = { length: 2000, lap: 100 }

/** How every fixing goes through the covering and keeps it dry. */
export const openings = {
  ...openingsShown,
  findings: {
    'way-unsaid': waysUnsaid, 'brittle': brittle, 'must-not-cut': mustNotCut, 'other-profile': otherProfile, 'cannot-open': cannotOpen, 'surface-sealed': surfaceSealed, 'first-weak': firstTooWeak, 'first-unsaid': firstUnsaid,
  },
  marks: { openings: openingSteps },
  parts: {
    ...closing,
    'mount': ask => perMount('mount', ask, ({ mount, fixings }) => ({ name: mount.name, maker: mount.maker, amount: fixings, massKg: mount.massKg, price: mount.price, rule: 'One at each fixing' })),
    'screw': ask => perMount('screw', ask, ({ mount, fixings }) => ({ name: mount.screw.name, maker: mount.maker, amount: fixings * mount.screw.perMount, massKg: 'by shelf', price: 'by shelf', rule: `${mount.screw.perMount} a fixing` })),
    'sealant': ({ plan }) => any('sealant', 'Roof sealant', plan.openings.reduce((sum, one) => sum + one.seal.ml, 0), 'Bead by bead, length × section, and dabs; whole cartridges over the job'),
    'nail': ask => any('nail', 'Roofing nail', ask.plan.openings.reduce((sum, one) => sum + throughOf(ask.plan, one).closure.nails, 0), 'Those that were pulled'),
    'unit-clip': ({ face, plan }) => clipped(face.covering.kind) ? any('unit-clip', 'Tile clip', plan.units.lifted - (plan.stripped?.covered ?? 0), 'One for each tile that is laid again') : [],
    'underlay': ({ face, plan }) => laidOnBattens(face.covering) ? any('underlay', 'Underlay patch', plan.openings.filter(one => one.way !== 'strip').length, 'One an opening') : [],
    'batten': ({ plan }) => any('batten', 'Batten', plan.openings.filter(one => one.batten?.cut).length * TRIMMERS, 'Two trimmers a batten that is cut'),
    'shingle': ({ plan }) => plan.stripped ? any('shingle', 'Shingle', Math.ceil(plan.stripped.areaM2 / BUNDLE_M2), 'Over the stripped area, 3 m² a bundle') : [],
    'underlay-roll': ({ plan }) => plan.stripped ? any('underlay-roll', 'Underlay, roll of 10 m²', Math.ceil(plan.stripped.areaM2 / ROLL_M2), 'Under the shingle of the stripped area, a tenth for laps') : [],
    'edge-flashing': ({ plan }) => plan.stripped ? any('edge-flashing', 'Edge flashing, 2 m', Math.ceil(plan.stripped.edgeMm / (EDGE_MM.length - EDGE_MM.lap)), 'Round the stripped area, each length lapped 100 mm') : [],
    'unit': ({ face, plan, catalogue }) => {
      const sold = soldLike(catalogue, face)
      const unit = unitWords[face.covering.kind].one
      return [{
        kind: 'unit', item: sold && { shelf: 'coverings', id: sold.id }, name: sold?.name ?? `${unit[0]!.toUpperCase()}${unit.slice(1)} like those on the roof`, maker: sold?.maker ?? '', stage: 'fixings', amount: plan.units.bought,
        massKg: 'by shelf', price: 'by shelf', rule: `${plan.units.thumb} that break by rule of thumb${plan.units.broken ? `, ${plan.units.broken} found broken` : ''}`,
      }]
    },
    'ply': ({ plan }) => plan.walkway ? any('ply', 'Plywood 1/2 in', plan.walkway.sheets, `${plan.walkway.boards} boards to walk on, taken along from row to row`, 'set-up') : [],
  },
} satisfies FaceSays<OpeningsLayout>

/** A disc grinds or cuts so many openings before it is worn (common practice). */
const CUTS_A_DISC = 40
const dustyCuts = (faces: { face: Face, plan: OpeningsLayout }[]): number => faces.reduce((sum, { face, plan }) => sum + (isHard(face) ? plan.openings.filter(one => one.cut && one.cut.kind !== 'core').length : 0), 0)

export const openingsOfJob = {
  parts: {
    disc: ({ faces }) => any('disc', 'Diamond disc', Math.ceil(dustyCuts(faces) / CUTS_A_DISC), `${CUTS_A_DISC} notches or slots a disc`, 'set-up'),
    respirator: ({ faces }) => any('respirator', 'Respirator, P3', faces.some(({ face, plan }) => isHard(face) && plan.openings.some(one => one.cut)) ? 2 : 0, 'One for each of two who cut or stand beside it', 'set-up'),
  },
  tools: ({ faces }) => {
    const all = faces.flatMap(({ plan }) => plan.openings)
    return [
      ...faces.flatMap(({ plan }) => plan.parts.mount.tools), ...all.some(one => one.seal.ml > 0) ? ['Sealant gun'] : [],
      ...all.some(one => one.cut?.kind === 'slot') ? ['Shield under the blade'] : [], ...faces.some(({ face, plan }) => isHard(face) && plan.units.lifted > 0) ? ['Crates for lifted units, where they can’t slide'] : [],
      ...faces.some(({ plan }) => plan.walkway) ? ['Saw for plywood'] : [],
    ]
  },
} satisfies JobSays<OpeningsLayout>
