import { count, force, formatLength, length, share } from '../../units'
import { judged, onThing, thingOf, withThing } from './on'

/** Anchors that don't hold, or of which nobody knows what they hold. */
export const anchorsOver = judged((ask, grid) => grid.anchors.filter(one => one.utilisation === null || one.utilisation > 1 + 1e-9).map((anchor) => {
  const thing = thingOf(grid, anchor.thingId)
  const { anchors } = thing
  const known = anchor.utilisation !== null
  return {
    ...onThing(ask, 'anchors', thing.id), severity: known ? 'stop' as const : 'caution' as const, measured: known ? share(anchor.utilisation!) : force(anchor.pullN), ...known ? { limit: share(1) } : {},
    sentence: known ? `The anchors of ${thing.name} are used to ${Math.round(100 * anchor.utilisation!)} %: ${Math.round(anchor.pullN)} N of pull and ${Math.round(anchor.shearN)} N of shear on each.` : `Each anchor of ${thing.name} is pulled with ${Math.round(anchor.pullN)} N and sheared with ${Math.round(anchor.shearN)} N; nobody has said what one holds in this base by its maker. A person’s weight on a bracket proves nothing.`,
    propose: () => known && anchors
      ? [
          ...anchors.topRestraint ? [] : [withThing('Restrain its top', thing, { anchors: { ...anchors, topRestraint: true } })],
          ...[2, 4].map(more => withThing(`${anchors.inTension + more} anchors in tension`, thing, { anchors: { ...anchors, inTension: Math.min(24, anchors.inTension + more), count: Math.min(24, anchors.count + more) } })),
        ]
      : [],
  }
}))

/** On studs anchors go where studs are; a thing between two of them wants a board behind it. */
export const noStud = judged((ask, grid) => grid.ground.things.filter(one => !one.existing && one.anchors && !one.anchors.board).flatMap((thing) => {
  const at = grid.placing.stood.find(one => one.thingId === thing.id)
  const wall = at && grid.ground.walls.find(one => one.id === at.wallId)
  if (!at || wall?.base !== 'stud' || !wall.studs) return []
  const { firstMm, everyMm } = wall.studs
  const first = Math.ceil((at.xMm - firstMm) / everyMm - 1e-9)
  const behind = [first, first + 1, first + 2, first + 3].map(n => firstMm + n * everyMm).filter(x => x >= at.xMm - 1e-6 && x <= at.xMm + thing.wideMm + 1e-6)
  return behind.length >= 2 ? [] : [{ ...onThing(ask, 'stud', thing.id), severity: 'caution' as const, measured: count(behind.length, 'studs'), limit: count(2, 'studs'), sentence: `${behind.length === 0 ? 'No stud is' : 'One stud is'} behind ${thing.name}: screw a board over two studs first, and the box to the board. Its anchors hold in timber, not in the sheet between.`, propose: () => [withThing('On a board over two studs', thing, { anchors: { ...thing.anchors!, board: true } })] }]
}))

/** The maker's value is for anchors that stand apart. Those in tension stand in one row at most as wide as what they hold. */
export const anchorsClose = judged((ask, grid) => grid.ground.things.flatMap((thing) => {
  const { anchors } = thing
  if (thing.existing || !anchors || anchors.inTension < 2) return []
  const apart = thing.wideMm / (anchors.inTension - 1)
  if (apart >= anchors.spacingMm - 1e-6) return []
  const fit = 1 + Math.floor(thing.wideMm / anchors.spacingMm + 1e-9)
  return [{
    ...onThing(ask, 'anchors-close', thing.id), severity: 'stop' as const, measured: length(apart), limit: length(anchors.spacingMm),
    sentence: `${anchors.inTension} anchors in tension across the width of ${thing.name} can stand no further apart than ${formatLength(apart, ask.job.units)}; what their maker says they hold is for ${formatLength(anchors.spacingMm, ask.job.units)} and more.`,
    propose: () => [withThing(`${fit === 1 ? 'One anchor' : `${fit} anchors`} in tension`, thing, { anchors: { ...anchors, inTension: fit } })],
  }]
}))
