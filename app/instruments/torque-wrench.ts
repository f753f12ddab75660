/** A wrench that sends what it was let go at, N·m. */
export interface TorqueWrench {
  name: string
  /** @throws when there is none to be had */
  pull: (wantedNm: number) => Promise<number>
}

/** A stand-in: it lets go within 4 % of what it is set to (ISO 6789: the allowed deviation of a setting tool, from memory). Its readings are made up. */
export const simulatedWrench = (random: () => number = Math.random): TorqueWrench => ({
  name: 'Stand-in for a torque wrench: its readings are made up',
  pull: async wantedNm => Math.round(wantedNm * (1 + (random() - 0.5) * 0.08) * 10) / 10,
})
