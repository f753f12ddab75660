import { coveringShown } from './coverings/shown'
import { fieldworkShown } from './fieldwork/shown'
import { fixingsShown } from './fixings/shown'
import { keepClearShown } from './keepclear/shown'
import { loadsShown } from './loads/shown'
import { inRoofShown } from './inroof/shown'
import { openingsShown } from './openings/shown'
import { railsShown } from './rails/shown'
import { rowsShown } from './rows/shown'
import { sticksShown } from './sticks/shown'
import { strengthShown } from './strength/shown'
import { supportsShown } from './supports/shown'
import { surveyShown } from './survey/shown'
import type { FaceShown } from './trade'
import type { WiringLayout } from './wiring'
import { wiringShown } from './wiring/shown'

/** What of every trade is drawn, taken hold of and worked out before eyes, in the order of work. `core/trades.ts` says the rest. */
export const shownTrades: FaceShown<WiringLayout>[] = [surveyShown, supportsShown, coveringShown, keepClearShown, rowsShown, loadsShown, railsShown, fixingsShown, sticksShown, strengthShown, openingsShown, inRoofShown, wiringShown, fieldworkShown]
