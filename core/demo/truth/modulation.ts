/** What an invented radio does when it is modulated. */
export interface ModulationTruth {
  /** Peak deviation with a normal tone, with the loudest voice, of the tone squelch (0: none), Hz. */
  deviationHz: { tone: number; loudest: number; squelch: number }
  /** Frequency error, Hz. */
  errorHz: { cold: number; warm: number }
  /** Occupied bandwidth, Hz, and the adjacent channels below and above, dBc. */
  bandwidth: { occupiedHz: number; lowerDbc: number; upperDbc: number }
}

/** What the demo’s radios truly do when they are modulated, by set (invented). */
export const modulationTruth: Readonly<Record<string, ModulationTruth>> = {
  'trek-a': {
    deviationHz: { tone: 1490, loudest: 2380, squelch: 330 },
    errorHz: { cold: -212, warm: -164 },
    bandwidth: { occupiedHz: 8310, lowerDbc: -64.2, upperDbc: -63.8 },
  },
  'trek-b': {
    deviationHz: { tone: 1620, loudest: 2710, squelch: 340 },
    errorHz: { cold: 118, warm: 171 },
    bandwidth: { occupiedHz: 9120, lowerDbc: -59.1, upperDbc: -58.4 },
  },
  tarnwick: {
    deviationHz: { tone: 1350, loudest: 2130, squelch: 0 },
    errorHz: { cold: 402, warm: 355 },
    bandwidth: { occupiedHz: 6910, lowerDbc: -51, upperDbc: -50.2 },
  },
  c1: {
    deviationHz: { tone: 1500, loudest: 2330, squelch: 350 },
    errorHz: { cold: -38, warm: -21 },
    bandwidth: { occupiedHz: 8120, lowerDbc: -68.4, upperDbc: -68.9 },
  },
}
