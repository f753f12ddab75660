import { type StageId, stages } from '#core/job/stages'
import { layerSwitches } from './useLayers'

/** What the planner's keys do. */
export interface PlannerKeys {
  jobId: () => string
  stage: () => StageId
  toggle: (key: string) => void
  balance: () => unknown
  swapDatum: () => unknown
  step: (by: 1 | -1) => void
  undo: () => unknown
  redo: () => unknown
  selectAll: () => void
  showWorking: () => void
  showHelp: () => void
  showPalette: () => void
}

/** True while a person types in a field or has a dialog, a list or a menu open, where letters are letters and Escape closes. */
function isTyping(event: KeyboardEvent): boolean {
  const target = event.target as HTMLElement
  return ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName) || target.isContentEditable || Boolean(document.querySelector('[role="dialog"], [role="listbox"], [role="menu"]'))
}

/** Whether single letters, figures and signs are shortcuts: who speaks to the machine, or presses keys unwillingly, turns them off on this device. */
export const useSingleKeys = () => useLocalStorage('single-keys', true)

/** Listens for the shortcuts of the planner's page. */
export function usePlannerKeys(keys: PlannerKeys): void {
  const stagePath = useStagePath()
  const singleKeys = useSingleKeys()
  const climb = (to: number) => {
    const stage = stages[to]
    if (stage) void navigateTo(stagePath(keys.jobId(), stage.id))
  }
  const letters: Record<string, () => unknown> = {
    'b': keys.balance, 't': keys.swapDatum, '[': () => keys.step(-1), ']': () => keys.step(1),
    '.': keys.showWorking, '?': keys.showHelp, '/': keys.showPalette, 'escape': keys.selectAll,
    ...Object.fromEntries(layerSwitches.map(({ key }) => [key, () => keys.toggle(key)])),
    // Ten figures for the lowest ten rungs; those above are reached by steps or by name.
    ...Object.fromEntries(stages.slice(0, 10).map((_, i) => [String((i + 1) % 10), () => climb(i)])),
  }

  useEventListener('keydown', (event: KeyboardEvent) => {
    if (isTyping(event)) return
    const key = event.key.toLowerCase()
    let action: (() => unknown) | undefined
    if (event.ctrlKey || event.metaKey) action = key === 'z' ? (event.shiftKey ? keys.redo : keys.undo) : undefined
    else if (event.altKey) {
      const at = stages.findIndex(stage => stage.id === keys.stage())
      action = key === 'arrowup' ? () => climb(at + 1) : key === 'arrowdown' ? () => climb(at - 1) : undefined
    }
    else if (singleKeys.value || key === 'escape') action = letters[key]
    if (!action) return
    event.preventDefault()
    action()
  })
}
