import type { WireGroup } from '../job'

/** The group that a module is in: the first that names its face, else the first that takes the rest. */
export const groupFor = (groups: WireGroup[], faceId: string): WireGroup | null => groups.find(one => one.faceIds.includes(faceId)) ?? groups.find(one => !one.faceIds.length) ?? null
