import type { TracePoints } from '../review'

/** Fewer stretches than this say nothing of what noise reaches. */
const FEWEST_STRETCHES = 20
/** Quantiles its shape is read from: most of a trace is noise, what is not stands above the middle. */
const LOW = 0.05
const MIDDLE = 0.5
/** −ln(−ln q): where a quantile of Gumbel’s law lies, in its own widths. */
const gumbelAt = (share: number) => -Math.log(-Math.log(share))

/**
 * The level noise alone reaches in a trace, dBm: whoever searches a stretch for its highest point finds the highest of
 * many looks at noise, not one. The maxima of equal stretches of the trace itself are taken to follow Gumbel’s law in
 * power (exact in the limit for noise behind a filter, whose power is exponential); its place and width come from two
 * low quantiles, so that lines, which are few, do not count as noise.
 * @see E. J. Gumbel, Statistics of Extremes (1958), from memory.
 */
export class TraceNoise {
  private readonly laws = new Map<number, { place: number; width: number; stretches: number } | null>()

  constructor(private readonly levelsDbm: TracePoints['levelsDbm']) {}

  /**
   * What the highest of a stretch of so many points is above only by a chance, dBm; −Infinity where the trace is too
   * short to say.
   */
  highestOf(points: number, chance: number): number {
    const law = this.lawOf(points)
    return law === null ? -Infinity : dbmOf(law.place + law.width * gumbelAt(1 - chance))
  }

  /** The same for the highest of the whole trace, looked at in stretches of so many points. */
  highestOfAll(points: number, chance: number): number {
    const law = this.lawOf(points)
    return law === null ? -Infinity : this.highestOf(points, chance / law.stretches)
  }

  private lawOf(points: number) {
    const known = this.laws.get(points)
    if (known !== undefined) return known
    const law = lawIn(this.levelsDbm, points)
    this.laws.set(points, law)
    return law
  }
}

function lawIn(levelsDbm: Float64Array, points: number) {
  const stretches = points > 0 ? Math.floor(levelsDbm.length / points) : 0
  if (stretches < FEWEST_STRETCHES) return null
  const highest = new Float64Array(stretches)
  for (let stretch = 0; stretch < stretches; stretch++) {
    let most = -Infinity
    for (let i = stretch * points; i < (stretch + 1) * points; i++)
      if (levelsDbm[i]! > most) most = levelsDbm[i]!
    highest[stretch] = 10 ** (most / 10)
  }
  highest.sort()
  const at = (share: number) => highest[Math.floor(share * (stretches - 1))]!
  const width = (at(MIDDLE) - at(LOW)) / (gumbelAt(MIDDLE) - gumbelAt(LOW))
  return { place: at(MIDDLE) - width * gumbelAt(MIDDLE), width, stretches }
}

function dbmOf(milliwatts: number): number {
  return 10 * Math.log10(milliwatts)
}
