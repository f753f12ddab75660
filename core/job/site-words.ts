import type { Access, Bring, CoveringState, Decision, Exposure, Hazard } from './schema'

/** The site sheet's choices as they are named to a person. */
export const accessWords: Record<Access, string> = { ladder: 'Ladder', tower: 'Tower', lift: 'Lift' }
export const exposureWords: Record<Exposure, string> = { 'sheltered': 'Sheltered, town', 'built-up': 'Built-up, suburb', 'open': 'Open country', 'coast': 'Coast or lake' }
export const coveringStateWords: Record<CoveringState, string> = { unseen: 'Not looked at yet', sound: 'Sound', worn: 'Worn', brittle: 'Brittle', failing: 'Failing' }
export const decisionWords: Record<Decision, string> = { 'open': 'Not decided yet', 'go-ahead': 'Go ahead', 'repair-first': 'Repair first', 're-roof-first': 'Re-roof first' }
export const hazardWords: Record<Hazard, string> = {
  'high-eave': 'High eave', 'steep': 'Steep', 'slippery': 'Slippery when wet or frosted', 'fragile': 'Fragile covering', 'overhead-line': 'Overhead line near',
  'rotten-timber': 'Timber that may be rotten', 'soft-ground': 'Soft ground for ladder or lift', 'public-below': 'People pass below', 'old-array-live': 'An old array, live in daylight',
}
export const bringWords: Record<Bring, string> = {
  'ladder': 'Ladder and tie', 'roof-ladder': 'Roof ladder', 'tower': 'Tower', 'lift': 'Lift, within its rated load', 'walk-boards': 'Walk boards, half-inch ply', 'edge-protection': 'Edge protection',
  'harness-anchors': 'Harness and anchors', 'debris-net': 'Debris net', 'tarpaulin': 'Tarpaulin',
}
