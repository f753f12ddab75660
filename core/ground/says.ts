import type { PartKind } from '../catalogue'
import type { JobSays } from '../trade'
import type { WiringLayout } from '../wiring'
import type { GroundAsk } from './ask'
import { anchorsClose, anchorsOver, noStud } from './findings/anchors'
import { wallsUnread } from './findings/begun'
import { busOver, limitTooEarly, tapOver } from './findings/bus'
import { holesTooMany } from './findings/knockouts'
import { islandLinks, loose, neutralsJoined, unbalanced, unbegun, unmeasured, unsigned } from './findings/net'
import { faultTooLow, unread } from './findings/plates'
import { bent, deviceWrong, dropped, feederTaps, figuresTyped, notMetal, otherSizes, overfull, thin } from './findings/runs'
import { outageOver, storeGuarded, storeSlow, storeTooLarge } from './findings/stores'
import { crowded, heavy, notProved, outOfSight, placeless, unhung } from './findings/wall'
import { noWay } from './findings/ways'
import { groundParts } from './parts'

const partsOfKind = (kind: PartKind) => ({ grid }: Pick<GroundAsk, 'grid'>) => grid ? groundParts(grid)[kind] ?? [] : []
const kinds = ['building-wire', 'building-cable', 'raceway', 'raceway-connector', 'raceway-coupling', 'raceway-strap', 'expansion-fitting', 'pull-box', 'fire-stop', 'pull-string', 'ground-box', 'ground-anchor', 'ground-label'] as const satisfies PartKind[]

/** From the roof box to the meter: everything of it belongs to the whole job. */
export const groundOfJob = {
  findings: {
    'ground-unbegun': unbegun, 'ground-electrician': unsigned, 'ground-walls': wallsUnread, 'ground-loose': loose, 'ground-joint': unbalanced, 'ground-neutral': neutralsJoined, 'ground-island': islandLinks, 'ground-plate': unread, 'ground-fault': faultTooLow, 'ground-ways': noWay, 'ground-length': unmeasured,
    'ground-bus': busOver, 'ground-limit': limitTooEarly, 'ground-tap': tapOver,
    'ground-thin': thin, 'ground-drop': dropped, 'ground-fill': overfull, 'ground-metal': notMetal, 'ground-bends': bent, 'ground-sizes': otherSizes, 'ground-device': deviceWrong, 'ground-feeder-tap': feederTaps, 'ground-figures': figuresTyped,
    'ground-placeless': placeless, 'ground-crowded': crowded, 'ground-unhung': unhung, 'ground-places': notProved, 'ground-heavy': heavy, 'ground-anchors': anchorsOver, 'ground-anchors-close': anchorsClose, 'ground-stud': noStud, 'ground-holes': holesTooMany, 'ground-sight': outOfSight,
    'ground-store': storeTooLarge, 'ground-store-power': storeSlow, 'ground-outage': outageOver, 'ground-store-alarm': storeGuarded,
  },
  parts: Object.fromEntries(kinds.map(kind => [kind, partsOfKind(kind)])),
  tools: ({ job }) => job.ground ? ['Knockout punches', 'Conduit bender', 'Torque screwdriver', 'Fish tape', 'Level and stud finder'] : [],
} satisfies JobSays<WiringLayout, GroundAsk, GroundAsk>
