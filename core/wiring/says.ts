import type { FaceSays, JobSays } from '../trade'
import type { WiringAsk } from './ask'
import { branchOver, dropOver, putNowhere, tooThin } from './findings/circuit'
import { deviceOver, inputOver, problems, trunkUnsuited, unchosen } from './findings/group'
import { bondBroken, codeUnsaid, endsOpen, fourCore, hotUnsaid, initiationUnsaid, mixedPlugs, staysLive } from './findings/safety'
import { clipped, fuseOver, mixedTracker, modulesLeft, stringLength, unequal, walkShort } from './findings/string'
import { leadsShort, leadsUnknown, unitsAstray } from './findings/units'
import type { WiringLayout } from './layout'
import { electronicsSteps, trunkSteps } from './marks'
import { wiringParts, wiringPartsOfJob } from './parts'
import { wiringShown } from './shown'

/** What runs on the roof beside the modules, face by face. */
export const wiring = { ...wiringShown, marks: { electronics: electronicsSteps, trunk: trunkSteps }, parts: wiringParts } satisfies FaceSays<WiringLayout>

/** The same of the whole roof: strings, branches and the earth cross faces. */
export const wiringOfJob = {
  findings: {
    'wiring-unchosen': unchosen, 'wiring-problem': problems, 'wiring-trunk': trunkUnsuited, 'wiring-device': deviceOver, 'wiring-input': inputOver,
    'wiring-put': putNowhere, 'wiring-over': branchOver, 'wiring-drop': dropOver, 'wiring-thin': tooThin, 'wiring-place': unitsAstray, 'wiring-leads': leadsShort, 'wiring-leads-unknown': leadsUnknown,
    'wiring-string': stringLength, 'wiring-unequal': unequal, 'wiring-left': modulesLeft, 'wiring-mixed': mixedTracker, 'wiring-clips': clipped, 'wiring-walk': walkShort, 'wiring-fuse': fuseOver,
    'wiring-shutdown': staysLive, 'wiring-initiation': initiationUnsaid, 'wiring-bond': bondBroken, 'wiring-plugs': mixedPlugs, 'wiring-ends': endsOpen, 'wiring-four-core': fourCore, 'wiring-code': codeUnsaid, 'wiring-hot': hotUnsaid,
  },
  parts: wiringPartsOfJob,
  tools: ({ faces }) => {
    const circuits = faces.flatMap(({ plan }) => plan.wiring?.circuits ?? [])
    return [
      ...circuits.some(one => one.kind === 'string') ? ['Voltmeter for string tests', 'Crimp tool and release tool for the plugs’ make'] : [],
      ...circuits.some(one => one.kind === 'branch') ? ['Release tool for the trunk’s plugs'] : [],
      'Serial map and pen',
    ]
  },
} satisfies JobSays<WiringLayout, WiringAsk>
