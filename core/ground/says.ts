import type { PartKind } from '../catalogue'
import type { JobSays } from '../trade'
import type { WiringLayout } from '../wiring'
import type { GroundAsk } from './ask'
import { wallsUnread } from './findings/begun'
import { busOver, limitTooEarly, tapOver } from './findings/bus'
import { faultTooLow, islandLinks, loose, neutralsJoined, noWay, unbalanced, unbegun, unmeasured, unread, unsigned } from './findings/net'
import { bent, deviceWrong, dropped, feederTaps, figuresTyped, notMetal, otherSizes, overfull, thin } from './findings/runs'
import { outageOver, storeGuarded, storeSlow, storeTooLarge } from './findings/stores'
import { anchorsOver, crowded, heavy, noStud, notProved, outOfSight, placeless, unhung } from './findings/wall'
import { groundParts } from './parts'

const partsOfKind = (kind: PartKind) => ({ grid }: Pick<GroundAsk, 'grid'>) => grid ? groundParts(grid)[kind] ?? [] : []
const kinds = ['building-wire', 'building-cable', 'raceway', 'raceway-connector', 'raceway-coupling', 'raceway-strap', 'expansion-fitting', 'pull-box', 'fire-stop', 'pull-string', 'ground-box', 'ground-label'] as const satisfies PartKind[]

/** From the roof box to the meter: everything of it belongs to the whole job. */
export const groundOfJob = {
  findings: {
    'ground-unbegun': unbegun, 'ground-electrician': unsigned, 'ground-walls': wallsUnread, 'ground-loose': loose, 'ground-joint': unbalanced, 'ground-neutral': neutralsJoined, 'ground-island': islandLinks, 'ground-plate': unread, 'ground-fault': faultTooLow, 'ground-ways': noWay, 'ground-length': unmeasured,
    'ground-bus': busOver, 'ground-limit': limitTooEarly, 'ground-tap': tapOver,
    'ground-thin': thin, 'ground-drop': dropped, 'ground-fill': overfull, 'ground-metal': notMetal, 'ground-bends': bent, 'ground-sizes': otherSizes, 'ground-device': deviceWrong, 'ground-feeder-tap': feederTaps, 'ground-figures': figuresTyped,
    'ground-placeless': placeless, 'ground-crowded': crowded, 'ground-unhung': unhung, 'ground-places': notProved, 'ground-heavy': heavy, 'ground-anchors': anchorsOver, 'ground-stud': noStud, 'ground-sight': outOfSight,
    'ground-store': storeTooLarge, 'ground-store-power': storeSlow, 'ground-outage': outageOver, 'ground-store-alarm': storeGuarded,
  },
  parts: Object.fromEntries(kinds.map(kind => [kind, partsOfKind(kind)])),
  tools: ({ job }) => job.ground ? ['Knockout punches', 'Conduit bender', 'Torque screwdriver', 'Fish tape', 'Level and stud finder'] : [],
} satisfies JobSays<WiringLayout, GroundAsk, GroundAsk>
