import { bringWords } from '../job'
import type { JobSays } from '../trade'
import { codesApart, codesUnsaid, coveringUnseen } from './assumed'
import { stops, undecided, waits } from './findings'

/** Everybody has these in hand. */
const always = ['Two tapes', 'Chalk line, blue', 'Crayon', 'String line', 'Impact driver and drill']

/** The site: what stops or delays the job, and what the site sheet asks to bring. */
export const site = {
  findings: { 'site-stop': stops, 'site-decision': undecided, 'site-wait': waits, 'covering-unseen': coveringUnseen, 'codes-unsaid': codesUnsaid, 'codes-apart': codesApart },
  tools: ({ job: { site: { bring, bringNote } } }) => [
    ...bring.filter(one => one !== 'harness-anchors').map(one => bringWords[one]), ...(bringNote.trim() ? [bringNote.trim()] : []),
    // Anchors that the site sheet asks for go with the harness: one line for what holds a person.
    bring.includes('harness-anchors') ? 'Harness, rope and helmet for each, and anchors' : 'Harness, rope and helmet for each', ...always,
  ],
} satisfies JobSays<unknown>
