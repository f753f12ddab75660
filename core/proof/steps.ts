import type { ReadyWhat, TestStep } from '../job'

/** One test as it is made. */
export interface StepPlan {
  step: TestStep
  title: string
  /** What is done, as it is called out. */
  does: string
  needs: ReadyWhat[]
  /** Made while the far end is open, while it is joined, or either way. */
  with: 'open' | 'joined' | 'any'
}

const open = { needs: ['far-end-open'] as ReadyWhat[], with: 'open' as const }
const any = { needs: [] as ReadyWhat[], with: 'any' as const }

/** Tests by their step, in the order of IEC 62446-1, category 1, and then those of the side of alternating current. */
export const stepPlans: Record<TestStep, StepPlan> = {
  'continuity': { step: 'continuity', title: 'Earth continuity', does: 'From the frame farthest from the lug to the main earth, over rails, clamps and jumpers.', ...any },
  'polarity': { step: 'polarity', title: 'Polarity', does: 'At the open end: + on the conductor marked +. Every string by itself, before any two are joined.', ...open },
  'combiner': { step: 'combiner', title: 'Combiner check', does: 'This string against the others of its input: the same sign, before they are joined.', ...open },
  'voc': { step: 'voc', title: 'Open-circuit voltage', does: 'At the open end, with irradiance in the array’s plane and cell temperature read at the same time.', ...open },
  'isc': { step: 'isc', title: 'Short-circuit current', does: 'Through a device made to short a string under load. Never by joining the leads by hand.', ...open },
  'switch': { step: 'switch', title: 'Switch', does: 'Open it, and prove its far side dead.', ...any },
  'insulation': { step: 'insulation', title: 'Insulation', does: 'Nobody touches the array. From − and from + to earth, or from both joined, one minute at the test voltage.', ...open },
  'mains-polarity': { step: 'mains-polarity', title: 'Polarity', does: 'Dead: line, neutral and earth at the roof box where they are marked.', ...open },
  'mains-volts': { step: 'mains-volts', title: 'Volts at the branch', does: 'Live, at the roof box: between its lines, and line to neutral.', needs: [], with: 'joined' },
  'rcd': { step: 'rcd', title: 'Residual current device', does: 'Trip it at its rated residual current, and again at five times that; both half waves, the longer time counts.', ...any },
  'loop': { step: 'loop', title: 'Loop impedance', does: 'Line to earth at the farthest point, without tripping.', ...any },
  'phase-order': { step: 'phase-order', title: 'Phase order', does: 'L1, L2, L3 at the inverter’s terminals.', ...any },
  'ground-fault': { step: 'ground-fault', title: 'Ground-fault protection', does: 'Read its status; use its own test where it has one.', ...any },
  'arc-fault': { step: 'arc-fault', title: 'Arc-fault protection', does: 'Read its status; use its own test where it has one.', ...any },
  'mains-loss': { step: 'mains-loss', title: 'Loss of mains', does: 'While it feeds in, open the main device; time how long it goes on.', ...any },
  'shutdown': { step: 'shutdown', title: 'Shutdown button', does: 'Press it in daylight; read what is left at the roof’s conductors and after how long.', ...any },
}

/** Insulation is never tested through connected electronics. */
export const withElectronicsOff = (plan: StepPlan): StepPlan => ({ ...plan, needs: [...plan.needs, 'electronics-off'] })

export const readyAsks: Record<ReadyWhat, string> = {
  'far-end-open': 'The far end is open, capped and tagged, and stays so until it is tested',
  'no-load': 'No current flows: inverter stopped, device off, read with a clamp',
  'electronics-off': 'Electronics are disconnected as their maker says; nothing of them hangs on what is tested',
}

/** Said wherever tests are made. */
export const testCaution = 'Modules are live in daylight, whatever is switched off. Testing is a licensed electrician’s work where the code says so; the makers’ manuals and the local code come before this list.'
