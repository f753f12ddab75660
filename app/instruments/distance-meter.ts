/** A distance meter held at the tape's datum: every time its button is pressed it sends one reading. */
export interface DistanceMeter {
  name: string
  /** @throws when there is no meter to be had */
  connect: () => Promise<void>
  disconnect: () => void
  /** Calls back with every reading, mm from the datum; returns what stops it. */
  onReading: (listener: (mm: number) => void) => () => void
}

/** A meter that can be told to measure, as a stand-in must be. */
export interface SimulatedMeter extends DistanceMeter { measure: () => void }
