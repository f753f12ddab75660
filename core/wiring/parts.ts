import type { PartKind } from '../catalogue'
import type { ItemRef, JobAsk, PartAsk, PartDraft } from '../trade'
import type { Branch, WireString, WiringLayout } from './layout'
import { groupFor } from './groups'

type Asked = PartAsk<WiringLayout>

/** Clips to a metre of home run and to a module of a string (common practice). */
const CLIP_EVERY_MM = 600
const CLIPS_PER_MODULE = 3

const draft = (kind: PartKind, name: string, amount: number, rule: string, own: Partial<PartDraft> = {}): PartDraft[] =>
  amount > 0 ? [{ kind, item: null, name, maker: '', stage: 'wiring', amount, massKg: 'by shelf', price: 'by shelf', rule, ...own }] : []

const branchesOn = ({ plan }: Asked): Branch[] => plan.wiring?.circuits.filter(one => one.kind === 'branch') ?? []
const stringsOn = ({ plan }: Asked): WireString[] => plan.wiring?.circuits.filter(one => one.kind === 'string') ?? []
const groupOf = ({ job, face }: Asked) => groupFor(job.wiring.groups, face.id)

/** The unit of a face's group. */
const unitOf = (ask: Asked) => ask.catalogue.electronics.find(one => one.id === groupOf(ask)?.unitId) ?? null

/** Parts of branches by the trunk they take, whichever group they are of. */
const byTrunk = (ask: Asked, count: (run: NonNullable<Branch['trunk']>) => number): { id: string, name: string, maker: string, amount: number }[] => {
  const sums = new Map<string, number>()
  for (const branch of branchesOn(ask)) {
    const id = branch.trunkId
    if (id && branch.trunk) sums.set(id, (sums.get(id) ?? 0) + count(branch.trunk))
  }
  return [...sums].flatMap(([id, amount]) => {
    const item = ask.catalogue.trunks.find(one => one.id === id)
    return item ? [{ id, name: item.name, maker: item.maker, amount }] : []
  })
}
const ofTrunk = (kind: PartKind, word: string, count: (run: NonNullable<Branch['trunk']>) => number, rule: string) => (ask: Asked): PartDraft[] =>
  byTrunk(ask, count).flatMap(({ id, name, maker, amount }) => draft(kind, `${word} for ${name}`, amount, rule, { item: { shelf: 'trunks', id }, maker }))

const homesOf = (one: Branch | WireString) => one.kind === 'branch' ? [one.home] : [one.plus, one.minus]
const circuitsOn = (ask: Asked) => ask.plan.wiring?.circuits ?? []

/** What the wiring of one face takes. */
export const wiringParts = {
  'lug': ({ plan }: Asked) => draft('lug', 'Grounding lug', plan.wiring?.bonding.lugs.length ?? 0, 'By the bonding school, traced from every module'),
  'bond-washer': ({ plan }: Asked) => draft('bond-washer', 'Toothed washer', plan.wiring?.bonding.washers ?? 0, 'One a module, under its clamp'),
  'bond-jumper': ({ plan }: Asked) => draft('bond-jumper', 'Bonding jumper', plan.wiring?.bonding.jumpers ?? 0, 'Over every splice that is not listed'),
  'earth-wire': ({ plan, job }: Asked) => {
    const earth = plan.wiring?.earth
    return draft('earth-wire', earth ? `Earth wire, ${earth.size} copper` : 'Earth wire', earth?.mm ?? 0, `Past every lug and to the roof box, whole reels over the job${job.wiring.earth.guarded ? ', covered' : ''}`)
  },
  'electronics': (ask: Asked) => {
    const unit = unitOf(ask)
    return unit ? draft('electronics', unit.name, ask.plan.wiring?.units.length ?? 0, unit.modules === 1 ? 'One a module' : `One for up to ${unit.modules} modules, where leads reach`, { item: { shelf: 'electronics', id: unit.id } satisfies ItemRef, maker: unit.maker, massKg: unit.massKg, price: unit.price }) : []
  },
  'trunk': (ask: Asked) => byTrunk(ask, run => run.drops).flatMap(({ id, name, maker, amount }) => {
    const item = ask.catalogue.trunks.find(one => one.id === id)!
    return draft('trunk', `${name}, drops`, amount, 'A drop a unit, and those that a distance leaves unused', { item: { shelf: 'trunks', id }, maker, massKg: item.massKg, price: item.price })
  }),
  'jumper': ofTrunk('jumper', 'Joints', run => run.jumpers, 'A pair where a branch goes on to another row'),
  'outlet-cap': ofTrunk('outlet-cap', 'Cap', run => run.caps, 'One at each drop without a unit'),
  'terminator': ofTrunk('terminator', 'Terminator', run => run.terminators, 'One at each end of a branch’s trunk'),
  'home-run': (ask: Asked) => draft('home-run', 'Branch home run', branchesOn(ask).reduce((sum, one) => sum + one.home.mm + (one.trunk?.hops.reduce((mm, hop) => mm + (hop.jumperMm ?? 0), 0) ?? 0), 0), 'By its way to the roof box and over joints, whole reels over the job'),
  'cable': (ask: Asked) => draft('cable', 'Array wire', stringsOn(ask).reduce((sum, one) => sum + one.plus.mm + one.minus.mm, 0), 'Both home runs of every string by their way, whole reels over the job'),
  'cable-tie': (ask: Asked) => draft('cable-tie', 'Cable clip', circuitsOn(ask).reduce((sum, one) => sum + homesOf(one).reduce((n, home) => n + Math.ceil(home.mm / CLIP_EVERY_MM), 0) + (one.kind === 'branch' ? one.trunk?.clips ?? 0 : CLIPS_PER_MODULE * one.modules.length), 0), `Every ${CLIP_EVERY_MM} mm of cable and at each unit, ${CLIPS_PER_MODULE} a module of a string (common practice)`),
  'lead-extension': (ask: Asked) => draft('lead-extension', 'Extension lead', (ask.plan.wiring?.units.reduce((sum, unit) => sum + unit.short.length, 0) ?? 0) * 2 + stringsOn(ask).reduce((sum, one) => sum + one.walk.extensions.length, 0), 'Where leads don’t reach by their way; two a module of a unit'),
  'plug': (ask: Asked) => draft('plug', 'Plug and socket', 2 * stringsOn(ask).length, 'One at each end of a string'),
  'plug-box': (ask: Asked) => draft('plug-box', 'Enclosure for a plug pair', ask.job.wiring.boxes ? 2 * stringsOn(ask).length : 0, 'Chosen for string ends'),
  'string-fuse': (ask: Asked) => draft('string-fuse', 'String fuse', stringsOn(ask).filter(one => one.fused).length * 2, 'In + and − of each string of those side by side'),
  'cord-grip': (ask: Asked) => draft('cord-grip', 'Cord grip', circuitsOn(ask).reduce((sum, one) => sum + homesOf(one).length, 0), 'One for each home run at the roof box'),
}

/** What the whole job takes: inverters, and its labels. */
export const wiringPartsOfJob = {
  inverter: ({ faces, job, catalogue }: JobAsk<WiringLayout>) => {
    const needed = new Map<string, Set<string>>()
    for (const { plan } of faces) {
      for (const circuit of plan.wiring?.circuits ?? []) {
        if (circuit.kind !== 'string') continue
        const id = job.wiring.groups.find(one => one.id === circuit.groupId)?.inverterId
        if (id) needed.set(id, (needed.get(id) ?? new Set()).add(`${circuit.groupId} ${circuit.inverter}`))
      }
    }
    return [...needed].flatMap(([id, of]) => {
      const item = catalogue.inverters.find(one => one.id === id)
      return item ? draft('inverter', item.name, of.size, 'By the strings it takes', { item: { shelf: 'inverters', id }, maker: item.maker, massKg: item.massKg, price: item.price, stage: 'finish' }) : []
    })
  },
  label: ({ faces }: JobAsk<WiringLayout>) => draft('label', 'Label set for one system', faces.some(({ plan }) => plan.modules) ? 1 : 0, 'One a system', { stage: 'finish' }),
}
