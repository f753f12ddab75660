/** What is known of one rafter's centre, mm. */
export interface Centre { xMm: number, sdMm: number }

/** A drilled pilot near a rafter; of one that missed perhaps on which side the timber was felt. */
export interface Pilot { xMm: number, hit: boolean, timber?: 'left' | 'right' }

/** So often whoever felt the timber on one side has it wrong (common practice). */
const WRONG_SIDE = 0.05

const CELLS = 600
/** A pilot is read to about this, mm: the edges of its interval are that soft. */
const READING_SD_MM = 1.5

/**
 * Takes pilots as what they are: one that hit puts the centre within half a width of it, one that missed puts it outside.
 * The bell curve of what else is known is cut accordingly and its mean and spread taken again, by sums over a fine grid.
 * @param known of the centre without these pilots
 */
export function centreWithPilots(known: Centre, pilots: Pilot[], widthMm: number): Centre {
  if (!pilots.length || known.sdMm <= 0) return known
  const reach = Math.max(5 * known.sdMm, ...pilots.map(pilot => Math.abs(pilot.xMm - known.xMm) + widthMm))
  let weights = 0
  let mean = 0
  let square = 0
  for (let i = 0; i <= CELLS; i++) {
    const x = known.xMm - reach + 2 * reach * i / CELLS
    let weight = Math.exp(-((x - known.xMm) ** 2) / (2 * known.sdMm ** 2))
    for (const pilot of pilots) {
      const inside = 1 / (1 + Math.exp(-(widthMm / 2 - Math.abs(x - pilot.xMm)) / READING_SD_MM * 1.7))
      const aside = pilot.timber && (pilot.timber === 'left') === (x < pilot.xMm) ? 1 - WRONG_SIDE : WRONG_SIDE
      weight *= pilot.hit ? inside : (1 - inside) * (pilot.timber ? aside : 1)
    }
    weights += weight
    mean += weight * x
    square += weight * x * x
  }
  // Pilots that contradict everything else leave nothing: the log names them as outliers, the line keeps its place.
  if (weights < 1e-12) return known
  mean /= weights
  return { xMm: mean, sdMm: Math.sqrt(Math.max(square / weights - mean ** 2, 0.01)) }
}
