/** Values with what they may be off: for each of a list of them its least and its greatest. */
export interface Boxes { lo: Float64Array, hi: Float64Array }

export const boxes = (n: number): Boxes => ({ lo: new Float64Array(n), hi: new Float64Array(n) })

export const copyOf = ({ lo, hi }: Boxes): Boxes => ({ lo: lo.slice(), hi: hi.slice() })

/** Boxes that hold nothing yet, to be widened. */
export function emptied(all: Boxes): Boxes {
  all.lo.fill(Infinity)
  all.hi.fill(-Infinity)
  return all
}

/** The least boxes that hold both. */
export function hullOf(a: Boxes, b: Boxes): Boxes {
  const made = copyOf(a)
  for (let i = 0; i < b.lo.length; i++) {
    if (b.lo[i]! < made.lo[i]!) made.lo[i] = b.lo[i]!
    if (b.hi[i]! > made.hi[i]!) made.hi[i] = b.hi[i]!
  }
  return made
}

/** Adds a multiple of a box to box i. */
export function addTimes(to: Boxes, i: number, times: number, lo: number, hi: number): void {
  to.lo[i]! += times >= 0 ? times * lo : times * hi
  to.hi[i]! += times >= 0 ? times * hi : times * lo
}

/** Least of a / d over boxes of both, d above 0. */
export const leastOver = (lo: number, dLo: number, dHi: number): number => lo / (lo < 0 ? dLo : dHi)
/** Greatest of a / d over boxes of both, d above 0. */
export const mostOver = (hi: number, dLo: number, dHi: number): number => hi / (hi > 0 ? dLo : dHi)

/** Least of the product of two values between bounds; nought times anything is nought. */
export const leastTimes = (aLo: number, aHi: number, bLo: number, bHi: number): number => aLo === aHi
  ? aLo === 0 ? 0 : aLo * (aLo > 0 ? bLo : bHi)
  : Math.min(aLo * bLo, aLo * bHi, aHi * bLo, aHi * bHi)
export const mostTimes = (aLo: number, aHi: number, bLo: number, bHi: number): number => -leastTimes(-aHi, -aLo, bLo, bHi)

/** Narrows box i of M to where k + s M ≤ cap for some k from kLo on and some s of a range. */
export function narrow(m: Boxes, i: number, kLo: number, sLo: number, sHi: number, cap: number): void {
  const room = cap - kLo
  if (sLo > 1e-12) {
    const most = room / (room >= 0 ? sLo : sHi)
    if (most < m.hi[i]!) m.hi[i] = most
  }
  else if (sHi < -1e-12) {
    const least = room / (room >= 0 ? sHi : sLo)
    if (least > m.lo[i]!) m.lo[i] = least
  }
  else if (sLo === 0 && sHi === 0 && room < 0) m.hi[i] = -Infinity
}
