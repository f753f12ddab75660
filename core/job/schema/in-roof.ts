import { z } from 'zod'
import type { waysUp } from '../../catalogue/schema'
import { freeText, lengthMm, partId, shortId } from './fields'
import { battenSchema, plainBatten } from './supports'
import type { WordsOf } from './words'

/** What the array comes with: a new roof, a roof that is covered anew, or a covering that stays and is opened for it. */
export const inRoofWorks = ['new', 're-roof', 'retrofit'] as const
export type InRoofWork = typeof inRoofWorks[number]
/** Schools of flashing between modules: each with its module, or slid in when its row lies. */
export const flashSchools = ['module', 'row'] as const
export type FlashSchool = typeof flashSchools[number]
/** What may take suction off an array that is the covering: nothing, the system's own test, or a porous outer skin (EN 1991-1-4, 7.2.10). */
export const reliefs = ['none', 'test', 'porous-skin'] as const
export type Relief = typeof reliefs[number]
/** What has to be so for a porous outer skin to count, each to be ticked by who looked (EN 1991-1-4, 7.2.10, from memory). */
export const reliefTicks = ['porous-outside', 'closed-inside', 'edges-closed', 'thin-cavity'] as const
export type ReliefTick = typeof reliefTicks[number]

/** What is found on arrival of each thing that another trade leaves. */
export const arrivals = ['unseen', 'done', 'missing'] as const
export type Arrival = typeof arrivals[number]
export const arrivalThings = ['felt', 'battens', 'windows', 'vents', 'scaffold'] as const
export type ArrivalThing = typeof arrivalThings[number]
export const otherTrades = ['roofer', 'carpenter', 'scaffolder', 'electrician', 'builder'] as const
export type OtherTrade = typeof otherTrades[number]

/** What another trade has to have done, and by when. */
export const tradeTaskSchema = z.object({
  id: shortId,
  trade: z.enum(otherTrades),
  what: z.string().trim().min(3, 'Say what has to be done.').max(200),
  /** The day by which; null where nobody has said. */
  due: z.iso.date('A day is written like 2026-04-30.').nullable(),
  done: z.boolean(),
})
export type TradeTask = z.infer<typeof tradeTaskSchema>
export const MOST_TASKS = 30

export const inRoofFactsSchema = z.object({
  systemId: partId,
  work: z.enum(inRoofWorks),
  school: z.enum(flashSchools),
  /** Left edge of the first column and lower edge of the first row, mm on the face; null is solved. */
  leftMm: lengthMm('The array’s left edge', -30_000, 60_000).nullable(),
  bottomMm: lengthMm('The array’s lower edge', 0, 30_000).nullable(),
  /** From this row up, 1 being the lowest, modules lie the other way up, some courses apart; null keeps one way. */
  changeAtRow: z.number().int('A whole row.').min(2, 'The lowest row can’t be the one that changes.').max(20).nullable(),
  /** What the new battens are and how all of them are held on the rafters. */
  batten: battenSchema,
  battenStockMm: lengthMm('The length battens come in', 1000, 8000),
  /** A closed layer behind: boards, sheathing, or a ceiling under an airtight layer. False lets the house's own pressure act. */
  closedBehind: z.boolean(),
  relief: z.enum(reliefs),
  reliefTicks: z.array(z.enum(reliefTicks)).max(reliefTicks.length),
  /** As found by who was there first. */
  found: z.record(z.enum(arrivalThings), z.enum(arrivals)),
  foundBy: freeText('Who found it', 80), foundOn: z.iso.date('A day is written like 2026-04-30.').nullable(),
  /** Upper edges of battens by their number from the eave, mm up the slope: the first and three more, so that the gauge is read and not believed. */
  battensRead: z.array(z.object({ batten: z.number().int('A whole batten.').min(1, 'The lowest batten is number 1.').max(400), mm: lengthMm('A batten’s upper edge', 0, 30_000) })).max(12)
    .refine(list => [...list].sort((a, b) => a.batten - b.batten).every((one, i, all) => i === 0 || (one.batten > all[i - 1]!.batten && one.mm > all[i - 1]!.mm)), 'A higher batten has to read higher up the slope, and each is read once.'),
  /** Courses laid below the array. */
  coursesLaid: z.number().int('Whole courses.').min(0).max(200).nullable(),
  tasks: z.array(tradeTaskSchema).max(MOST_TASKS, `At most ${MOST_TASKS} tasks.`),
  /** What a kilowatt yields in a year on this face, for the comparison; null where nobody has said. */
  kwhPerKwp: z.number().min(200, 'At least 200 kWh.').max(2500, 'At most 2500 kWh.').nullable(),
})
export type InRoofFacts = z.infer<typeof inRoofFactsSchema>

/** An in-roof array of which only the system is chosen. */
export const plainInRoof: Omit<InRoofFacts, 'systemId'> = {
  work: 'new', school: 'module', leftMm: null, bottomMm: null, changeAtRow: null, batten: plainBatten, battenStockMm: 4800, closedBehind: true, relief: 'none', reliefTicks: [],
  found: { felt: 'unseen', battens: 'unseen', windows: 'unseen', vents: 'unseen', scaffold: 'unseen' }, foundBy: '', foundOn: null, battensRead: [], coursesLaid: null, tasks: [], kwhPerKwp: null,
}

export const inRoofWords: WordsOf<Omit<InRoofFacts, 'tasks'>> = {
  systemId: 'the in-roof system', work: 'whether the roof is new', school: 'how it is flashed', leftMm: 'the array’s left edge', bottomMm: 'the array’s lower edge', changeAtRow: 'where modules lie the other way up', batten: 'the battens', battenStockMm: 'the batten lengths',
  closedBehind: 'what lies behind', relief: 'what takes suction off', reliefTicks: 'what was ticked for it', found: 'what was found on arrival', foundBy: 'who found it', foundOn: 'the day it was found', battensRead: 'the battens read', coursesLaid: 'the courses laid below', kwhPerKwp: 'the yield',
}

export const wayUpOther = (way: typeof waysUp[number]): typeof waysUp[number] => way === 'upright' ? 'on-side' : 'upright'
