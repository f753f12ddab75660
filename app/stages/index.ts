import { type Component, defineAsyncComponent } from 'vue'
import type { StageId } from '#core/job/stages'
import { faceRef, type Ref as FaceRef } from '#core/trade'
import SlipCovering from '../components/slip/SlipCovering.vue'
import SlipGround from '../components/slip/SlipGround.vue'
import SlipOnRoof from '../components/slip/SlipOnRoof.vue'
import SlipKeepClear from '../components/slip/SlipKeepClear.vue'
import SlipRafters from '../components/slip/SlipRafters.vue'
import SlipRails from '../components/slip/SlipRails.vue'
import SlipRows from '../components/slip/SlipRows.vue'
import SlipSurvey from '../components/slip/SlipSurvey.vue'
import SlipWiring from '../components/slip/SlipWiring.vue'

// Pages and sheets of their own come when their rung is stood on; slips must be there as fast as a key.
const CoveringWork = defineAsyncComponent(() => import('../components/covering/CoveringWork.vue'))
const SheetLoadout = defineAsyncComponent(() => import('../components/sheet/SheetLoadout.vue'))
const SheetMarkout = defineAsyncComponent(() => import('../components/sheet/SheetMarkout.vue'))
const SitePhotographs = defineAsyncComponent(() => import('../components/site/SitePhotographs.vue'))
const WiringWork = defineAsyncComponent(() => import('../components/wiring/WiringWork.vue'))
const GroundWork = defineAsyncComponent(() => import('../components/ground/GroundWork.vue'))
const ProofWork = defineAsyncComponent(() => import('../components/proof/ProofWork.vue'))
const ProofRecord = defineAsyncComponent(() => import('../components/proof/ProofRecord.vue'))
const SiteSheet = defineAsyncComponent(() => import('../components/site/SiteSheet.vue'))

/**
 * What a rung of the ladder shows: a face with a slip beside it, a page of its own with the findings and more beside it, or a
 * sheet over the whole width.
 */
export type StageView
  = | {
    shows: 'face'
    slip: Component
    /** What is selected on arrival. */
    selects: FaceRef
    hits?: true
    use?: true
    /** Shown in the face's place, which stands in its slot; what is taken hold of there stays on this rung. */
    over?: { component: Component, keeps: FaceRef['kind'] }
  }
  | { shows: 'page', label: string, page: Component, beside: Component, /** What stands beside it, as a phone’s button says it. */ besideName: string }
  | { shows: 'sheet', sheet: Component }

export const stageViews: Record<StageId, StageView> = {
  'site': { shows: 'page', label: 'Site sheet', page: SiteSheet, beside: SitePhotographs, besideName: 'Photographs' },
  'survey': { shows: 'face', slip: SlipSurvey, selects: faceRef },
  'rafters': { shows: 'face', slip: SlipRafters, selects: { kind: 'rafters' }, hits: true },
  'keep-clear': { shows: 'face', slip: SlipKeepClear, selects: { kind: 'keep-clear' } },
  'rows': { shows: 'face', slip: SlipRows, selects: { kind: 'rows' } },
  'rails': { shows: 'face', slip: SlipRails, selects: { kind: 'rails' }, use: true },
  'covering': { shows: 'face', slip: SlipCovering, selects: { kind: 'rails' }, over: { component: CoveringWork, keeps: 'fixing' } },
  'wiring': { shows: 'face', slip: SlipWiring, selects: faceRef, over: { component: WiringWork, keeps: 'circuit' } },
  'grid': { shows: 'face', slip: SlipGround, selects: faceRef, over: { component: GroundWork, keeps: 'thing' } },
  'load-out': { shows: 'sheet', sheet: SheetLoadout },
  'mark-out': { shows: 'sheet', sheet: SheetMarkout },
  'on-roof': { shows: 'face', slip: SlipOnRoof, selects: faceRef },
  'proof': { shows: 'page', label: 'Proof and hand-over', page: ProofWork, beside: ProofRecord, besideName: 'The record' },
}

/** What is selected where a rung is reached and nothing on it is asked for. */
export function selectedOn(stage: StageId): FaceRef {
  const view = stageViews[stage]
  return view.shows === 'face' ? view.selects : faceRef
}
