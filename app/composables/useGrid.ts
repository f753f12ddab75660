import { type GroundPlan, startedGround, startWays } from '#core/ground'
import { type Ground, type Panel, type RunChoice, type Thing, type Wall, wallSizeKeys } from '#core/job'
import { MM_PER_INCH } from '#core/units'

/**
 * What stands between roof and grid on the open job: its plan, what is in hand, and how it is changed. What is typed is shown at once, so that a quick
 * hand finds what it typed before; figures that follow come with the plan.
 */
export function useGrid() {
  const { job, newest, plan, units, selection, select, commit: commitPlanned, commitNewest: commit } = useFace()
  const grid = computed(() => plan.value.grid)
  const ground = computed(() => newest.value.ground)
  const held = computed(() => {
    const ref = selection.value
    return ref.kind === 'thing' || ref.kind === 'run' ? ref : null
  })
  const thing = computed<Thing | null>(() => held.value?.kind === 'thing' ? ground.value?.things.find(one => one.id === (held.value as { id: string }).id) ?? null : null)
  const run = computed<GroundPlan['runs'][number] | null>(() => held.value?.kind === 'run' ? grid.value?.runs.find(one => one.id === (held.value as { id: string }).id) ?? null : null)
  const pick = (kind: 'thing' | 'run', id: string) => select({ kind, id })
  const begin = (way: typeof startWays[number]['id']) => {
    const edit = { type: 'begin-ground' as const, ground: startedGround(way, job.value, plan.value.wiring) }
    // Its walls stand at a usual size: nobody has measured them.
    return commit({ type: 'batch', edits: [edit, { type: 'set-assumed', keys: edit.ground.walls.flatMap(wall => wallSizeKeys(wall.id)), assumed: true }] })
  }
  const set = (values: Partial<Omit<Ground, 'figures' | 'walls' | 'things' | 'runs'>>) => commit({ type: 'set-ground', values })
  const setThing = (one: Thing, change: Partial<Thing>) => commit({ type: 'set-thing', thingId: one.id, values: change })
  const setPanel = (one: Thing, change: Partial<Panel>) => setThing(one, { panel: { ...one.panel!, ...change } })
  const setWall = (one: Wall, change: Partial<Wall>) => commit({ type: 'set-wall', wallId: one.id, values: change })
  // What is chosen for a run is shown as it was planned, with what follows from it.
  const setRun = (one: GroundPlan['runs'][number], change: Partial<RunChoice>) => commitPlanned({ type: 'set-run', fromId: one.fromId, toId: one.toId, values: change })
  /** Long ways as people say them: whole feet, or metres to a tenth. */
  const far = (mm: number) => units.value === 'imperial' ? `${Math.ceil(mm / MM_PER_INCH / 12 - 1e-9)} ft` : `${(mm / 1000).toFixed(1)} m`
  return { job, plan, units, grid, ground, thing, run, held, pick, begin, set, setThing, setPanel, setWall, setRun, commit, far, ways: computed(() => startWays.filter(way => way.suits(plan.value.wiring))) }
}
