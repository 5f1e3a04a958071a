/** What one invented radio really makes; the demo’s bench is told so. */
export interface TransmitterTruth {
  /** Power at the socket by band, level: W for the channels from low to high; null is left unmeasured. */
  powerW: Record<string, Record<string, (number | null)[]>>
  /** ×2 to ×10 at the socket, dBm, by band and level; a shorter list leaves the rest to the noise. */
  harmonicsDbm: Record<string, Record<string, number[]>>
  /** What it loses while it is kept keyed, dB, and how fast, s. */
  droop?: { fallDb: number; tauS: number }
}

const CLEAN = [-42, -47, -55, -58, -60, -61, -62, -63, -64]

/** What the demo’s radios truly make, by set (invented). */
export const transmitterTruth: Record<string, TransmitterTruth> = {
  'trek-a': {
    droop: { fallDb: 0.38, tauS: 70 },
    powerW: {
      '2m': { high: [4.55, 4.71, 4.62], low: [1.06, 1.08, 1.07] },
      '70cm': { high: [4.1, 4.32, 4.18], low: [0.92, 0.95, 0.9] },
    },
    harmonicsDbm: {
      '2m': {
        high: [-37.4, -44, -52, -57, -58, -60, -61, -62, -62],
        low: [-45, -52, -58, -60, -61, -62, -63, -64, -64],
      },
      '70cm': { high: [-27.6, -41, -49, -55, -57] },
    },
  },
  'trek-b': {
    droop: { fallDb: 0.71, tauS: 95 },
    powerW: {
      '2m': { high: [5.02, 5.16, 5.1], low: [1.1, 1.12, 1.1] },
      '70cm': { high: [4.02, 4.2, 3.98], low: [0.9, 0.93, null] },
    },
    harmonicsDbm: {
      '2m': { high: [-8.9, -17.0, -31.6, -49, -52], low: [-19.9, -31, -44, -52, -54] },
      '70cm': { high: [-28.4] },
    },
  },
  mini: {
    powerW: {
      '2m': { high: [3.1, 3.22, 3.15], low: [0.52, 0.54, 0.53] },
      '70cm': { high: [2.4, 2.52, 2.35], low: [null, null, null] },
    },
    harmonicsDbm: { '2m': { high: [-22.3, -15.4, -33, -50, -54] } },
  },
  tarnwick: {
    powerW: { '27mhz': { high: [3.95, 4.06, 4.02] }, '27ssb': { high: [10.9] } },
    harmonicsDbm: { '27mhz': { high: [-26.2, -33, -40, -46, -50, -52, -54, -55, -55] } },
  },
  pellworth: {
    powerW: { '2m': { high: [23.1, 24.2, 23.6], low: [5.3, 5.4, null] } },
    harmonicsDbm: { '2m': {} },
  },
  c1: {
    powerW: {
      '2m': { high: [5.15, 5.22, 5.18], low: [1.02, 1.03, 1.02] },
      '70cm': { high: [5.05, 5.1, 5.04], low: [1, 1.01, 1] },
    },
    harmonicsDbm: {
      '2m': { high: CLEAN, low: CLEAN.map(level => level - 6) },
      '70cm': { high: [-39, -48, -55, -58, -60] },
    },
  },
}
