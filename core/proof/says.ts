import type { JobSays } from '../trade'
import type { WiringLayout } from '../wiring'
import type { ProofAsk } from './ask'
import { circuitChanged, gatewayCause, goodsWrong, handedOverOpen, joinedEarly, proofOpen, proofUnbegun, serialAstray, serialDiffers, serialTwice, testFailed, testUntold, torqueWrong } from './findings'

/** What was built is proved before anybody leaves: everything of it belongs to the whole job. */
export const proofOfJob = {
  findings: {
    'proof-unbegun': proofUnbegun, 'proof-failed': testFailed, 'proof-untold': testUntold, 'proof-early': joinedEarly, 'proof-twice': serialTwice, 'proof-differs': serialDiffers, 'proof-astray': serialAstray, 'proof-changed': circuitChanged,
    'proof-gateway': gatewayCause, 'proof-torque': torqueWrong, 'proof-goods': goodsWrong, 'proof-handed-over': handedOverOpen, 'proof-open': proofOpen,
  },
} satisfies JobSays<WiringLayout, ProofAsk, ProofAsk>
