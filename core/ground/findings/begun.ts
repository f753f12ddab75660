import { wallSizeKeys } from '../../job'
import { noCures } from '../../trade'
import { judged, onGrid } from './on'

/** Walls that stand at a usual size and nobody has measured. */
export const wallsUnread = judged((ask, { ground }) => {
  const unread = ground.walls.filter(one => wallSizeKeys(one.id).some(key => ask.job.assumed.includes(key)))
  return unread.length ? [{ ...onGrid(ask, 'walls'), severity: 'caution', assumed: true, sentence: `Nobody has measured ${unread.map(one => one.name.toLowerCase()).join(', ')}: ${unread.length === 1 ? 'it stands' : 'they stand'} at a usual size.`, propose: noCures }] : []
})
