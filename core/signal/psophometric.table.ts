/**
 * Psophometric weighting for telephone circuits, dB relative to 800 Hz: [frequency in Hz, weight in dB].
 * @see ITU-T O.41, FROM MEMORY (limits.md, section 10, confidence H).
 */
export const PSOPHOMETRIC_POINTS: readonly (readonly [frequencyHz: number, weightDb: number])[] = [
  [16.66, -85],
  [50, -63],
  [100, -41],
  [200, -21],
  [300, -10.6],
  [400, -6.3],
  [500, -3.6],
  [600, -2],
  [700, -0.9],
  [800, 0],
  [900, 0.6],
  [1000, 1],
  [1200, 0],
  [1400, -0.9],
  [1600, -1.7],
  [1800, -2.4],
  [2000, -3],
  [2500, -4.2],
  [3000, -5.6],
  [3500, -8.5],
  [4000, -15],
  [4500, -25],
  [5000, -36],
  [6000, -43],
]
