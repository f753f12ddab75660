import { z } from 'zod'
import { busFeeds, busRules, figureIds, insulations, racewayKinds, racewaySizes, wireSizes } from '../../electrical'
import { freeText, lengthMm, shortId } from './fields'
import type { WordsOf } from './words'

/** What stands between the roof and the grid, in the order in which current comes down. */
export const thingKinds = ['roof-box', 'junction', 'dc-isolator', 'combiner', 'inverter', 'storage', 'source', 'sub-panel', 'ac-disconnect', 'production-meter', 'gateway', 'main-panel', 'meter', 'wireway', 'transmitter', 'shutdown-button'] as const
export type ThingKind = typeof thingKinds[number]
export const thingNames: Record<ThingKind, string> = {
  'roof-box': 'Roof box', 'junction': 'Junction box', 'dc-isolator': 'DC isolator', 'combiner': 'Combiner panel', 'inverter': 'Inverter', 'storage': 'Storage', 'source': 'Another source', 'sub-panel': 'Sub-panel', 'ac-disconnect': 'AC disconnect', 'production-meter': 'Production meter',
  'gateway': 'Backup gateway', 'main-panel': 'Main panel', 'meter': 'Utility meter', 'wireway': 'Wireway', 'transmitter': 'Shutdown transmitter', 'shutdown-button': 'Shutdown button',
}

const amps = (what: string, most = 1000) => z.number({ error: `${what} must be a number of amperes.` }).positive(`${what} must be above 0 A.`).max(most, `${what} must be at most ${most} A.`)
const name = (what: string) => z.string().trim().min(1, `Give ${what} a name.`).max(40)

/** What a plate or data sheet has to say before something may be built; ticked by whoever has read it. */
export const platesSay = ['arc-fault', 'ground-fault', 'two-way', 'surge', 'dc-surge', 'no-dc-residual', 'rcd-b', 'dc-isolator', 'fault-rating', 'rcd'] as const
export type PlateSays = typeof platesSay[number]

/** A busbar with its main. */
export const panelSchema = z.object({
  busA: amps('The busbar'), mainA: amps('The main').nullable(), feed: z.enum(busFeeds),
  /** Free ways, poles. */
  ways: z.number().int().min(0).max(84),
  /** Sum of all devices of loads, and the load that was calculated for it, A; null where nobody has. */
  loadDevicesA: z.number().min(0).max(4000), loadA: z.number().min(0).max(1000).nullable(),
  oppositeEnd: z.boolean(),
  /** The busbar rule that somebody chose; null takes the first that holds. */
  rule: z.enum(busRules).nullable(),
  /** A listed power control system holds its sources to so much. */
  limitA: amps('The limit').nullable(),
})
export type Panel = z.infer<typeof panelSchema>

/** Batteries, by their plate. */
export const storeSchema = z.object({
  units: z.number().int().min(1).max(20),
  /** Usable energy of one, and its greatest power by volts and amperes, in and out. */
  kWh: z.number().positive().max(100), volts: z.number().positive().max(1000), chargeA: amps('The charge'), dischargeA: amps('The discharge'),
  /** Of the way from battery to alternating current, as a share. */
  efficiency: z.number().min(0.5).max(1),
  /** With a converter of its own: its output, A; null on the inverter's direct side. */
  outA: amps('Its output').nullable(),
  /** Fire tests allow units closer together than the code’s figure. */
  testedCloser: z.boolean(),
})
export type Store = z.infer<typeof storeSchema>

/** What parts a house from the grid. */
export const transferSchema = z.object({ backs: z.enum(['whole', 'part']), ratedA: amps('The gateway'), switchesNeutral: z.boolean(), /** It joins neutral and earth while the grid is away. */ islandLink: z.boolean(), /** What runs then, W; null where nobody has said. */ loadW: z.number().positive().max(50_000).nullable() })

/** What holds a thing on its wall. */
export const anchorsSchema = z.object({
  count: z.number().int().min(1).max(24), inTension: z.number().int().min(1).max(24),
  /** From the wall to the middle of its mass, and from the upper anchors down to the lower bearing edge. */
  outMm: lengthMm('The way out to its mass', 1, 1000), apartMm: lengthMm('The way down to the lower edge', 20, 3000),
  /** What one anchor holds in this base by its maker, pull and shear, N; null where nobody has looked. */
  pullN: z.number().positive().max(100_000).nullable(), shearN: z.number().positive().max(100_000).nullable(),
  /** What the maker's values ask for: so far from an edge of masonry or concrete and so far apart at least, and so deep. */
  edgeMm: lengthMm('The distance to an edge', 0, 2000), spacingMm: lengthMm('The distance from anchor to anchor', 0, 2000), embedMm: lengthMm('The embedment', 0, 500), topRestraint: z.boolean(),
  /** On a board that is screwed to two studs at least. */
  board: z.boolean(),
})
export type Anchors = z.infer<typeof anchorsSchema>

export const thingSchema = z.object({
  id: shortId, kind: z.enum(thingKinds), name: name('it'),
  /** What it leads to on the way to the grid; null for the meter, for what only stands there, and where nobody has said. */
  leadsTo: shortId.nullable(),
  /** The group of the roof’s wiring that comes in here: of a roof box and of inverters; null: all of them. */
  groupId: shortId.nullable(),
  /** On one phase of three; null on all there are. */
  phase: z.union([z.literal(1), z.literal(2), z.literal(3)]).nullable(),
  wallId: shortId.nullable(),
  /** Its lower left corner by running reading from the wall’s left corner and the floor; null where it is to be found a place. */
  at: z.object({ xMm: lengthMm('The reading from the corner', 0, 60_000), yMm: lengthMm('The reading from the floor', 0, 10_000) }).nullable(),
  wideMm: lengthMm('Its width', 20, 3000), highMm: lengthMm('Its height', 20, 3000), deepMm: lengthMm('Its depth', 5, 1500),
  massKg: z.number().positive().max(1000).nullable(), price: z.number().min(0).max(100_000).nullable(),
  /** Its highest handle over its lower edge; null where it has none. */
  handleMm: lengthMm('Its handle', 0, 3000).nullable(),
  door: z.enum(['none', 'left', 'right']),
  /** What a source of its own sends, as a turbine that is there, A; null for all else. */
  sourceA: amps('Its output').nullable(),
  /** It is there already and stays. */
  existing: z.boolean(),
  /** Neutral and earth are joined in it. */
  neutralLink: z.boolean(),
  /** The device that protects what leaves it towards the grid, A; null takes the least that may. */
  deviceA: amps('The device').nullable(),
  /** What it stands of short-circuit current, kA; null where nobody has read it. */
  faultKA: z.number().positive().max(200).nullable(),
  /** Its terminals, N·m; null where nobody has read it. */
  torqueNm: z.number().positive().max(100).nullable(),
  says: z.array(z.enum(platesSay)).max(platesSay.length),
  panel: panelSchema.nullable(), store: storeSchema.nullable(), transfer: transferSchema.nullable(), anchors: anchorsSchema.nullable(),
})
export type Thing = z.infer<typeof thingSchema>
export const thingWords: WordsOf<Omit<Thing, 'id'>> = {
  kind: 'what a thing on the wall is', name: 'a thing’s name', leadsTo: 'what a thing leads to', groupId: 'what comes in to a thing', phase: 'a thing’s phase', wallId: 'a thing’s wall', at: 'where a thing stands', wideMm: 'a thing’s width', highMm: 'a thing’s height', deepMm: 'a thing’s depth', massKg: 'a thing’s mass', price: 'a thing’s price', handleMm: 'a thing’s handle', door: 'a thing’s door',
  sourceA: 'a source’s output', existing: 'whether a thing stays', neutralLink: 'where neutral and earth are joined', deviceA: 'a thing’s device', faultKA: 'what short-circuit current a thing stands', torqueNm: 'a thing’s torque', says: 'what a thing’s plate says', panel: 'a panel’s busbar', store: 'the storage', transfer: 'what parts the house from the grid', anchors: 'what holds a thing',
}

export const blockKinds = ['gas', 'door', 'window', 'heat', 'water', 'other'] as const
export const blockNames: Record<typeof blockKinds[number], string> = { gas: 'Gas', door: 'Door', window: 'Window', heat: 'Heat', water: 'Water', other: 'Something' }
export const wallSchema = z.object({
  id: shortId, name: name('the wall'), place: z.enum(['outside', 'garage', 'utility', 'inside']),
  wideMm: lengthMm('The wall’s width', 300, 60_000), highMm: lengthMm('The wall’s height', 300, 12_000),
  base: z.enum(['stud', 'masonry', 'concrete']), studs: z.object({ firstMm: lengthMm('The first stud', 0, 5000), everyMm: lengthMm('The studs’ spacing', 200, 1500) }).nullable(),
  /** Another wall stands at that end. */
  corner: z.object({ left: z.boolean(), right: z.boolean() }),
  sleeping: z.boolean(),
  blocks: z.array(z.object({
    id: shortId, kind: z.enum(blockKinds), name: name('it'), xMm: lengthMm('Its reading', 0, 60_000), yMm: lengthMm('Its height', 0, 12_000), wideMm: lengthMm('Its width', 10, 12_000), highMm: lengthMm('Its height', 10, 12_000), deepMm: lengthMm('Its depth', 0, 3000),
    /** How far others keep off, where somebody has said; null by the rules. */
    keepMm: lengthMm('How far to keep off', 0, 5000).nullable(),
  })).max(30),
})
export type Wall = z.infer<typeof wallSchema>
export const wallWords: WordsOf<Omit<Wall, 'id'>> = { name: 'a wall’s name', place: 'where a wall is', wideMm: 'a wall’s width', highMm: 'a wall’s height', base: 'what a wall is of', studs: 'a wall’s studs', corner: 'a wall’s corners', sleeping: 'whether people sleep behind a wall', blocks: 'what is on a wall' }
export type Block = Wall['blocks'][number]

/** Where cable goes from one wall to another. */
const spot = z.object({ wallId: shortId, xMm: lengthMm('Its reading', 0, 60_000), yMm: lengthMm('Its height', 0, 12_000) })
export const passageSchema = z.object({ id: shortId, from: spot, to: spot, mm: lengthMm('The way through', 0, 60_000) })

export const runWays = ['attic', 'eave', 'wall', 'inside', 'wireway', 'ground'] as const
export const cableKinds = ['us-2', 'us-3', 'en-3g', 'en-5g'] as const
export type CableKind = typeof cableKinds[number]
export const cableNames: Record<CableKind, string> = { 'us-2': 'two-wire cable with ground', 'us-3': 'three-wire cable with ground', 'en-3g': 'cable 3G', 'en-5g': 'cable 5G' }

/** What somebody chose for one run; what is null follows from the rules. */
export const runChoiceSchema = z.object({
  fromId: shortId, toId: shortId,
  raceway: z.enum(racewayKinds).nullable(), cable: z.enum(cableKinds).nullable(), trade: z.enum(racewaySizes).nullable(), size: z.enum(wireSizes).nullable(), insulation: z.enum(insulations).nullable(),
  /** Its whole length as measured; null measures it on the walls, with `moreMm` for what lies on none of them. */
  lengthMm: lengthMm('The run', 0, 200_000).nullable(), moreMm: lengthMm('The way beside the walls', 0, 200_000),
  ways: z.array(z.enum(runWays)).max(6), bendsDeg: z.number().min(0).max(3600), pullBoxes: z.number().int().min(0).max(20),
  airC: z.number().min(-20).max(70).nullable(),
  /** A white core that is live is marked so at both ends. */
  remarked: z.boolean(),
  fireStop: z.boolean(),
})
export type RunChoice = z.infer<typeof runChoiceSchema>

const figureSchema = z.object({ id: z.enum(figureIds as [typeof figureIds[number], ...typeof figureIds]), value: z.number().min(0).max(1e6), by: z.string().trim().min(1, 'Say who types this figure.').max(80) })

export const earthings = ['us', 'tn-s', 'tn-c-s', 'tt'] as const
export const MOST_THINGS = 30
export const MOST_WALLS = 6

/** From the roof box to the meter. */
export const groundSchema = z.object({
  electrician: z.object({ name: freeText('The electrician’s name', 80), licence: freeText('The licence', 60) }),
  supply: z.object({
    phases: z.union([z.literal(1), z.literal(3)]), ratedA: amps('The service', 400), earthing: z.enum(earthings),
    /** Short-circuit current where the utility hands over, kA; null where nobody has asked. */
    faultKA: z.number().positive().max(200).nullable(),
    /** How far from a supply-side tap its device stands. */
    tapMm: lengthMm('The way from the tap to its device', 0, 20_000).nullable(),
    waterBonded: z.boolean().nullable(), gasBonded: z.boolean().nullable(),
  }),
  dwelling: z.boolean(), terminalC: z.union([z.literal(60), z.literal(75)]),
  /** Air where runs lie, and its range over the year, K. */
  airC: z.number().min(-20).max(70), rangeK: z.number().min(0).max(120),
  /** What raceway and copper cost, in the catalogue's currency: by them boxes find their places. */
  costs: z.object({ racewayPerM: z.number().min(0).max(1000), copperPerKg: z.number().min(0).max(1000) }),
  quakeShare: z.number().min(0).max(3),
  /** Lightning flashes to the ground a km² and year; null where nobody has looked. */
  flashes: z.number().min(0.01).max(100).nullable(),
  /** What is left room for. */
  growth: z.array(z.enum(['larger-switch', 'spare-ways', 'pull-string', 'second-feeder'])).max(4),
  figures: z.array(figureSchema).max(figureIds.length),
  walls: z.array(wallSchema).max(MOST_WALLS, 'A job has at most six walls.'),
  passages: z.array(passageSchema).max(10),
  things: z.array(thingSchema).max(MOST_THINGS, `At most ${MOST_THINGS} things stand on the walls.`),
  runs: z.array(runChoiceSchema).max(MOST_THINGS),
})
export type Ground = z.infer<typeof groundSchema>
export type GroundSettings = Omit<Ground, 'figures' | 'walls' | 'things' | 'runs'>

export const groundWords: WordsOf<GroundSettings> = {
  electrician: 'the electrician', supply: 'the supply', dwelling: 'whether it is a dwelling', terminalC: 'what terminals are marked for', airC: 'the air where runs lie', rangeK: 'the year’s range of temperature', costs: 'what raceway and copper cost', quakeShare: 'the earthquake’s share of weight', flashes: 'the lightning', growth: 'the room to grow', passages: 'the ways between walls',
}

/** A run as the rules make it. */
export const plainRun = (fromId: string, toId: string): RunChoice =>
  ({ fromId, toId, raceway: null, cable: null, trade: null, size: null, insulation: null, lengthMm: null, moreMm: 0, ways: ['wall'], bendsDeg: 180, pullBoxes: 0, airC: null, remarked: false, fireStop: false })

/** A box of no kind in particular, that stands nowhere yet. */
export const plainThing: Thing = {
  id: 'junction', kind: 'junction', name: thingNames.junction, leadsTo: null, groupId: null, phase: null, wallId: null, at: null, wideMm: 150, highMm: 150, deepMm: 100, massKg: null, price: null, handleMm: null, door: 'none', sourceA: null, existing: false, neutralLink: false, deviceA: null, faultKA: null, torqueNm: null, says: [],
  panel: null, store: null, transfer: null, anchors: null,
}
/** A bare outside wall. */
export const plainWall: Wall = { id: 'outside', name: 'Outside wall', place: 'outside', wideMm: 6000, highMm: 2700, base: 'masonry', studs: null, corner: { left: false, right: false }, sleeping: false, blocks: [] }
/** A board with nothing on it. */
export const plainPanel: Panel = { busA: 125, mainA: null, feed: 'end', ways: 12, loadDevicesA: 0, loadA: null, oppositeEnd: true, rule: null, limitA: null }
/** Nothing between roof and grid, at what is usual (common practice). */
export const bareGround: Ground = {
  electrician: { name: '', licence: '' }, supply: { phases: 1, ratedA: 63, earthing: 'tn-c-s', faultKA: 6, tapMm: null, waterBonded: null, gasBonded: null }, dwelling: true, terminalC: 75, airC: 30, rangeK: 50, costs: { racewayPerM: 4, copperPerKg: 18 }, quakeShare: 0, flashes: null,
  growth: [], figures: [], walls: [], passages: [], things: [], runs: [],
}
