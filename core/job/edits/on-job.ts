import { z } from 'zod'
import {
  type Job,
  jobSchema,
  jobWords,
  keepClearSchema,
  keepClearWords,
  loadoutSchema,
  loadoutWords,
  loadsSchema,
  loadsWords,
  siteFactWords,
  siteSchema,
  vanSchema,
  vanWords,
  type WordsOf,
} from '../schema'
import { editKind, keysOf, oldValues, wordsOfValues } from './kind'

/** Facts of one part of the job, replaced whole: whoever changes others does not collide. */
function settingOf<T extends string, P extends 'site' | 'keepClear' | 'loads' | 'van' | 'loadout', S extends z.ZodRawShape>(type: T, part: P, facts: z.ZodObject<S>, words: WordsOf<Job[P]>, examples: Partial<Job[P]>[]) {
  type Values = Partial<Job[P]>
  const schema = z.object({ type: z.literal(type), values: facts.partial() })
  type Made = z.infer<typeof schema>
  // That the part's schema gives the part's type is known where both are named below, not here.
  const valuesOf = (edit: Made) => (edit as unknown as { values: Values }).values
  const made = (values: Values) => ({ type, values }) as unknown as Made
  return editKind({
    schema,
    obstacle: () => null,
    apply: (job, edit) => ({ ...job, [part]: { ...job[part], ...valuesOf(edit) } }),
    invert: (job, edit): Made => made(oldValues<Job[P]>(job[part], valuesOf(edit))),
    touches: edit => keysOf(type.slice('set-'.length), valuesOf(edit)),
    words: edit => wordsOfValues(words, valuesOf(edit)),
    example: (_, { pick }): Made => made(pick(examples)),
  })
}

export const setSite = settingOf('set-site', 'site', siteSchema, siteFactWords, [{ decision: 'go-ahead' }, { decision: 'open', hazards: [] }, { hazards: ['steep', 'fragile'] }])
export const setKeepClear = settingOf('set-keep-clear', 'keepClear', keepClearSchema, keepClearWords, [{ sprinklers: true }, { coverageAs: 'envelope', ridgeChoice: 'far' }])
export const setLoads = settingOf('set-loads', 'loads', loadsSchema, loadsWords, [{ engineer: { asked: true, name: '' } }, { rules: { edition: 'none' } }])
export const setVan = settingOf('set-van', 'van', vanSchema, vanWords, [{ longestMm: null }, { longestMm: 3600 }])
export const setLoadout = settingOf('set-loadout', 'loadout', loadoutSchema, loadoutWords, [
  { liftKg: 150 },
  { liftKg: null, spares: [] },
  { spares: [{ kind: 'screw', percent: 5, pieces: 2 }] },
])

const { title, place, units, codes, wanted } = jobSchema.shape
const jobFacts = { title, place, units, codes, wanted }

/** What the job is called, measured in, judged by and asked for. */
export const setJob = editKind({
  schema: z.object({ type: z.literal('set-job'), values: z.object(jobFacts).partial() }),
  obstacle: () => null,
  apply: (job, edit) => ({ ...job, ...edit.values }),
  invert: (job, edit) => ({ ...edit, values: oldValues<Pick<Job, keyof typeof jobFacts>>(job, edit.values) }),
  touches: edit => keysOf('job', edit.values),
  words: edit => wordsOfValues(jobWords, edit.values),
  example: (_, { pick, whole }) => ({ type: 'set-job' as const, values: { title: `Job ${whole(1, 99)}`, units: pick(['imperial', 'metric'] as const), wanted: pick([null, whole(1, 40)]) } }),
})
