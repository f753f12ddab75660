import type { Job } from '../schema'
import { type Edit, type PlainEdit, touches } from './edit'

const groupOf = (key: string): string => key.split('/').slice(0, 2).join('/')

/** Whether an edit that touches one key tells what stands under another. */
function tells(touched: string, key: string): boolean {
  if (touched === key || key.startsWith(`${touched}/`)) return true
  const [owner] = key.split('/')
  if (touched === `${owner}/whole`) return true
  // A spacing, a rafter found or a hit are readings of what the face is fixed to.
  return key === `${owner}/supports` && /^\/(rafter|hit)/.test(touched.slice(owner!.length)) && touched.startsWith(owner!)
}

/**
 * An edit that somebody makes, with what it settles: the facts that it touches are assumed no more. Undo brings both back.
 * A batch that says itself which readings of an outline it settles leaves the others assumed.
 */
export function settled(job: Pick<Job, 'assumed'>, edit: Edit): Edit {
  const steps: PlainEdit[] = edit.type === 'batch' ? edit.edits : [edit]
  // Who says of an outline or a lie which reading it is, says it of no other.
  const said = new Set(steps.some(one => one.type === 'set-assumed') ? touches(edit).filter(key => /\/(outline|place)$/.test(key)) : [])
  const touched = touches(edit)
  const keys = job.assumed.filter(key => !said.has(groupOf(key)) && touched.some(one => tells(one, key)))
  return keys.length ? { type: 'batch', edits: [...steps, { type: 'set-assumed', keys, assumed: false }] } : edit
}
