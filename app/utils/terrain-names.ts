/** Terrain categories of EN 1991-1-4, 4.3.2, in short. */
export const terrainNames: Record<string, string> = { 0: '0, open sea', I: 'I, flat and open', II: 'II, low cover', III: 'III, suburb', IV: 'IV, town' }
