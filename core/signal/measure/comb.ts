/** A tooth of the comb of two tones: a tone (order 1) or one of its odd products. */
export interface CombTooth {
  /** On the frequency axis it came with, Hz. */
  hz: number
  levelDb: number
  order: 1 | 3 | 5 | 7
}

/** Teeth lower than this below the strongest are noise for a drawing, dB. */
const DEPTH_DB = 80

/** A peak stands this far above what surrounds it, dB. */
const STANDS_OUT_DB = 6

/** A peak further than this from its place, in spacings of the tones, is no product of them. */
const AWAY = 0.08

/**
 * Finds two tones and their products of order 3, 5 and 7 in a spectrum that was kept as a curve, by their
 * places: an odd number of half
 * spacings from the middle. Empty where two tones are not there.
 * @param curve - frequencies rising, Hz; levels, dB of anything; of one length.
 */
export function combOf({ x, y }: { x: ArrayLike<number>; y: ArrayLike<number> }): CombTooth[] {
  const peaks = peaksOf(x, y)
  const [first, second] = [...peaks].sort((a, b) => b.levelDb - a.levelDb)
  if (!first || !second) return []
  const [lowerHz, upperHz] = [Math.min(first.hz, second.hz), Math.max(first.hz, second.hz)]
  return peaks.flatMap(({ hz, levelDb }): CombTooth[] => {
    const away = Math.min(Math.abs(hz - lowerHz), Math.abs(hz - upperHz)) / (upperHz - lowerHz)
    const order = 2 * Math.round(away) + 1
    return Math.abs(away - Math.round(away)) > AWAY ||
      (order !== 1 && order !== 3 && order !== 5 && order !== 7)
      ? []
      : [{ hz, levelDb, order }]
  })
}

/**
 * The comb that typed figures make: tones at 0 dB a spacing apart around 0 Hz, each product on both sides.
 * `belowToneDb` by order.
 */
export function combOfFigures(
  belowToneDb: Partial<Record<3 | 5 | 7, number>>,
  spacingHz: number,
): CombTooth[] {
  const both = (order: CombTooth['order'], levelDb: number): CombTooth[] => [
    { hz: (-order / 2) * spacingHz, levelDb, order },
    { hz: (order / 2) * spacingHz, levelDb, order },
  ]
  return [
    ...both(1, 0),
    ...([3, 5, 7] as const).flatMap(order =>
      belowToneDb[order] === undefined ? [] : both(order, -belowToneDb[order]),
    ),
  ].sort((a, b) => a.hz - b.hz)
}

function peaksOf(x: ArrayLike<number>, y: ArrayLike<number>): { hz: number; levelDb: number }[] {
  let top = -Infinity
  for (let i = 0; i < y.length; i++) top = Math.max(top, y[i]!)
  const found: { hz: number; levelDb: number }[] = []
  for (let i = 3; i < y.length - 3; i++) {
    const around = [y[i - 3]!, y[i - 2]!, y[i - 1]!, y[i + 1]!, y[i + 2]!, y[i + 3]!]
    if (
      y[i]! > top - DEPTH_DB &&
      around.every(other => y[i]! >= other) &&
      y[i]! > Math.min(...around) + STANDS_OUT_DB
    )
      found.push({ hz: x[i]!, levelDb: y[i]! })
  }
  return found
}
