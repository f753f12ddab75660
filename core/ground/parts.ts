import { copperKgPerM, insulationNames, racewayNames } from '../electrical'
import { cableNames, type Ground, type Thing, thingNames, type Wall } from '../job'
import type { PartKind } from '../catalogue'
import type { PartDraft } from '../trade'
import type { GroundPlan, Run } from './layout'
import { wantsExpansion } from './runs'

/** What its covering adds to copper’s mass (common practice). */
const COVERED = 1.25

/** What a metre of a run costs by the job's own figures. */
export const perMetrePrice = ({ conductors, raceway }: Pick<Run, 'conductors' | 'raceway'>, { costs }: Pick<Ground, 'costs'>): number =>
  (raceway ? costs.racewayPerM : 0) + conductors.reduce((sum, one) => sum + copperKgPerM(one.size) * costs.copperPerKg, 0)

const draft = (kind: PartKind, name: string, amount: number, rule: string, own: Partial<PartDraft> = {}): PartDraft[] =>
  amount > 0 ? [{ kind, item: null, name, maker: '', stage: 'ground', named: true, amount, massKg: 'by shelf', price: 'by shelf', rule, ...own }] : []

const made = ({ runs }: GroundPlan): Run[] => runs.filter(one => !one.existing)
const unitOf = (us: boolean) => us ? 304.8 : 1000
/** Raceway comes in sticks of ten feet, or three metres. */
const stickOf = (us: boolean) => us ? 3048 : 3000

/** What conductors are called on the schedule and on the van alike: size, covering, colour. */
export const wireName = ({ size, covered, colour }: Pick<Run['conductors'][number], 'size' | 'covered' | 'colour'>): string => `${size} ${covered === 'bare' || covered === 'cable' ? '' : `${insulationNames[covered]}, `}${colour} copper`.replace('  ', ' ')

/** Conductors of all runs by what they are, each with its length, mm. */
export function wiresOfPlan(plan: GroundPlan): { name: string, mm: number, kgPerM: number, runs: number[] }[] {
  const sums = new Map<string, { name: string, mm: number, kgPerM: number, runs: number[] }>()
  for (const run of made(plan)) {
    for (const one of run.conductors) {
      if (one.covered === 'cable') continue
      const own = sums.get(wireName(one)) ?? { name: wireName(one), mm: 0, kgPerM: copperKgPerM(one.size), runs: [] }
      sums.set(own.name, { ...own, mm: own.mm + run.length.mm, runs: own.runs.includes(run.number) ? own.runs : [...own.runs, run.number] })
    }
  }
  return [...sums.values()]
}

const byKey = (runs: Run[], key: (run: Run) => string | null, amount: (run: Run) => number): { name: string, amount: number, runs: number[] }[] => {
  const sums = new Map<string, { name: string, amount: number, runs: number[] }>()
  for (const run of runs) {
    const name = key(run)
    if (name === null) continue
    const own = sums.get(name) ?? { name, amount: 0, runs: [] }
    sums.set(name, { name, amount: own.amount + amount(run), runs: [...own.runs, run.number] })
  }
  return [...sums.values()]
}
const tubeName = ({ raceway }: Run): string | null => raceway?.filled ? `${racewayNames[raceway.kind]}, ${raceway.filled.size}${/^\d\d$/.test(raceway.filled.size) ? ' mm' : ' in'}` : null
const cableOf = ({ cable, size }: Run): string | null => cable ? `${size} ${cableNames[cable]}` : null
const onRuns = (runs: number[]): string => `Run${runs.length > 1 ? 's' : ''} ${runs.join(', ')}`

const baseNames: Record<Wall['base'], string> = { stud: 'timber', masonry: 'masonry', concrete: 'concrete' }
/** Anchors by what they hold in and how deep they go. */
function anchorParts({ ground }: GroundPlan): PartDraft[] {
  const held = ground.things.filter(one => !one.existing && one.anchors)
  const inOf = (one: Thing) => `Anchor in ${one.anchors!.board ? 'a board' : baseNames[ground.walls.find(wall => wall.id === one.wallId)?.base ?? 'masonry']}, ${one.anchors!.embedMm} mm deep`
  return [...new Set(held.map(inOf))].flatMap((name) => {
    const own = held.filter(one => inOf(one) === name)
    return draft('ground-anchor', name, own.reduce((sum, one) => sum + one.anchors!.count, 0), `For ${own.map(one => one.name).join(', ')}, by their maker’s value`)
  })
}

/** What everything below the roof box takes. */
export const groundParts = (plan: GroundPlan): Partial<Record<PartKind, PartDraft[]>> => {
  const { us } = plan.rules
  const runs = made(plan)
  const unit = unitOf(us)
  return {
    'building-wire': wiresOfPlan(plan).flatMap(({ name, mm, kgPerM, runs: on }) => draft('building-wire', name, Math.ceil(mm / unit), `${onRuns(on)}, loose ends in every box counted; by the ${us ? 'foot' : 'metre'}`, { lengthMm: unit, massKg: kgPerM * COVERED * unit / 1000, price: kgPerM * plan.ground.costs.copperPerKg * unit / 1000 })),
    'building-cable': byKey(runs, cableOf, run => run.length.mm).flatMap(({ name, amount, runs: on }) => draft('building-cable', name, Math.ceil(amount / unit), `${onRuns(on)}, by the ${us ? 'foot' : 'metre'}`, { lengthMm: unit })),
    'raceway': byKey(runs, tubeName, run => run.length.mm).flatMap(({ name, amount, runs: on }) => draft('raceway', name, Math.ceil(amount / stickOf(us)), `${onRuns(on)}, in sticks`, { lengthMm: stickOf(us), price: plan.ground.costs.racewayPerM * stickOf(us) / 1000 })),
    'raceway-connector': byKey(runs, tubeName, run => 2 + 2 * run.choice.pullBoxes).flatMap(({ name, amount }) => draft('raceway-connector', `Connector for ${name}`, amount, 'One at each end of a run, two at each pull box')).concat(
      byKey(runs, cableOf, run => 2 + 2 * run.choice.pullBoxes).flatMap(({ name, amount }) => draft('raceway-connector', `Clamp for ${name}`, amount, 'One where a cable enters a box'))),
    'raceway-coupling': byKey(runs, tubeName, run => Math.max(0, Math.ceil(run.length.mm / stickOf(us)) - 1)).flatMap(({ name, amount }) => draft('raceway-coupling', `Coupling for ${name}`, amount, 'Between two sticks')),
    'raceway-strap': byKey(runs, tubeName, run => run.supports).flatMap(({ name, amount }) => draft('raceway-strap', `Strap for ${name}`, amount, 'By the farthest that supports may stand apart and from boxes')),
    'expansion-fitting': byKey(runs.filter(wantsExpansion), tubeName, () => 1).flatMap(({ name, amount }) => draft('expansion-fitting', `Expansion fitting for ${name}`, amount, 'Where it lengthens by 1/4 in and more over the year')),
    'pull-box': draft('pull-box', 'Pull box', runs.reduce((sum, one) => sum + one.choice.pullBoxes, 0), 'As many as runs say'),
    'fire-stop': draft('fire-stop', 'Fire-stop', runs.filter(one => one.choice.fireStop).length, 'One where a run goes through a wall that fire must not pass'),
    'pull-string': plan.ground.growth.includes('pull-string') ? draft('pull-string', 'Pull string', Math.ceil(runs.reduce((sum, one) => sum + one.length.mm, 0) / unit), 'In every raceway, for what comes later', { lengthMm: unit }) : [],
    'ground-box': plan.ground.things.filter(one => !one.existing && !['inverter', 'meter'].includes(one.kind)).flatMap(one => draft('ground-box', `${one.name} (${thingNames[one.kind].toLowerCase()})`, 1, 'As on the wall', { massKg: one.massKg ?? 'by shelf', price: one.price ?? 'by shelf' })),
    'ground-anchor': anchorParts(plan),
    'ground-label': draft('ground-label', 'Label', plan.labels.length, 'One at each place on the label sheet'),
  }
}
