/** Steps of going through the covering at one fixing and closing it again, in the order in which they are done. */
export const coveringSteps = [
  'look', 'screw-out', 'strip', 'lift', 'slot', 'core', 'batten', 'plate', 'screws', 'hole', 'foot', 'clamp', 'seal', 'flashing', 'drive', 'fit', 'notch', 'arm', 'ride', 'trim', 'underlay',
  'lay-back', 'bolt',
] as const
export type CoveringStep = typeof coveringSteps[number]
