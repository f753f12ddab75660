import type { PartKind } from '../catalogue'

/** Stages of the day in which parts are wanted on the roof, in order. */
export const loadStages = ['set-up', 'fixings', 'rails', 'wiring', 'modules', 'finish'] as const
export type LoadStage = typeof loadStages[number]
export const loadStageNames: Record<LoadStage, string> = { 'set-up': 'Set up', 'fixings': 'Fixings', 'rails': 'Rails', 'wiring': 'Roof wiring', 'modules': 'Modules', 'finish': 'Finish' }

/** When each kind of part is wanted; coupled frames go up with their modules. */
export const stageOf: Record<PartKind, LoadStage> = {
  'tool': 'set-up', 'mount': 'fixings', 'screw': 'fixings', 'flashing': 'fixings', 'sealant': 'fixings', 'stick': 'rails', 'offcut': 'rails', 'splice': 'rails',
  'electronics': 'wiring', 'cable': 'wiring', 'cable-tie': 'wiring', 'outlet-cap': 'wiring', 'terminator': 'wiring', 'lug': 'wiring',
  'module': 'modules', 'mid-clamp': 'modules', 'end-clamp': 'modules', 'coupler': 'modules', 'skirt': 'modules', 'end-cap': 'finish', 'label': 'finish',
}
