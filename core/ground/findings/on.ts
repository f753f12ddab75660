import type { Edit, Panel, RunChoice, Thing } from '../../job'
import { type Cure, type DraftFinding, onJob } from '../../trade'
import type { GroundAsk } from '../ask'
import type { GroundPlan, Run } from '../layout'

/** The same for findings on what is planned; nothing where nobody has begun. */
export const judged = (find: (ask: GroundAsk, grid: GroundPlan) => DraftFinding[]) => (ask: GroundAsk): DraftFinding[] => ask.grid ? find(ask, ask.grid) : []

/** Where a finding of the wall or the grid stands. */
export const onGrid = (ask: GroundAsk, id: string) => onJob(ask, 'grid', `ground-${id}`)
export const onThing = (ask: GroundAsk, id: string, thingId: string) => ({ ...onGrid(ask, `${id}:${thingId}`), about: { kind: 'thing' as const, id: thingId } })
export const onRun = (ask: GroundAsk, id: string, run: Run) => ({ ...onGrid(ask, `${id}:${run.id}`), about: { kind: 'run' as const, id: run.id } })

export const thingOf = ({ ground }: GroundPlan, id: string): Thing => ground.things.find(one => one.id === id)!

export const withThing = (label: string, thing: Thing, change: Partial<Thing>): Cure => ({ label, edit: { type: 'set-thing', thingId: thing.id, values: change } })
export const withPanel = (label: string, thing: Thing, change: Partial<Panel>): Cure[] => thing.panel ? [withThing(label, thing, { panel: { ...thing.panel, ...change } })] : []
export const runEdit = (run: Run, change: Partial<RunChoice>): Edit => ({ type: 'set-run', fromId: run.fromId, toId: run.toId, values: change })
export const withRun = (label: string, run: Run, change: Partial<RunChoice>): Cure => ({ label, edit: runEdit(run, change) })
