import type { TracePoints } from '../review'

/** Fewer stretches than this say nothing of what noise reaches; of so many about a place its noise is read. */
const FEWEST_STRETCHES = 20
const NEAR_STRETCHES = 200
/** Places this close share what is known of their noise, stretches. */
const SHARED_BY = 50
/** Quantiles its shape is read from: most of a trace is noise, what is not stands above the middle. */
const LOW = 0.05
const MIDDLE = 0.5
/** −ln(−ln q): where a quantile of Gumbel’s law lies, in its own widths. */
const gumbelAt = (share: number) => -Math.log(-Math.log(share))

/**
 * The level noise alone reaches in a trace, dBm: whoever searches a stretch for its highest point finds the highest of
 * many looks at noise, not one. The maxima of equal stretches of the trace itself are taken to follow Gumbel’s law in
 * power (exact in the limit for noise behind a filter, whose power is exponential); its place and width come from two
 * low quantiles, so that lines, which are few, do not count as noise. A floor may slope or step: only stretches about
 * a place count there.
 * @see E. J. Gumbel, Statistics of Extremes (1958), from memory.
 */
export class TraceNoise {
  private readonly laws = new Map<string, GumbelLaw>()

  constructor(private readonly levelsDbm: TracePoints['levelsDbm']) {}

  /**
   * What the highest of a stretch of so many points about a place is above only by a chance, dBm; −Infinity where the
   * trace is too short to say.
   * @param at - index of the place
   */
  highestNear(at: number, points: number, chance: number): number {
    const stretches = this.stretchesOf(points)
    if (stretches < FEWEST_STRETCHES) return -Infinity
    const law = this.lawNear(Math.floor(at / points), { points, stretches })
    return 10 * Math.log10(law.place + law.width * gumbelAt(1 - chance))
  }

  /** Stretches of so many points the whole trace has. */
  stretchesOf(points: number): number {
    return points > 0 ? Math.floor(this.levelsDbm.length / points) : 0
  }

  private lawNear(stretch: number, { points, stretches }: { points: number; stretches: number }): GumbelLaw {
    const count = Math.min(NEAR_STRETCHES, stretches)
    const about = SHARED_BY * Math.round((stretch - count / 2) / SHARED_BY)
    const from = Math.max(0, Math.min(about, stretches - count))
    const key = `${points}:${from}`
    const known = this.laws.get(key)
    if (known) return known
    const law = lawIn(this.levelsDbm, { points, from, count })
    this.laws.set(key, law)
    return law
  }
}

/** Gumbel’s law of maxima, mW. */
interface GumbelLaw {
  place: number
  width: number
}

function lawIn(
  levelsDbm: Float64Array,
  { points, from, count }: { points: number; from: number; count: number },
): GumbelLaw {
  const highest = new Float64Array(count)
  for (let stretch = 0; stretch < count; stretch++) {
    const first = (from + stretch) * points
    let most = -Infinity
    for (let i = first; i < first + points; i++) if (levelsDbm[i]! > most) most = levelsDbm[i]!
    highest[stretch] = 10 ** (most / 10)
  }
  highest.sort()
  const at = (share: number) => highest[Math.floor(share * (count - 1))]!
  const width = (at(MIDDLE) - at(LOW)) / (gumbelAt(MIDDLE) - gumbelAt(LOW))
  return { place: at(MIDDLE) - width * gumbelAt(MIDDLE), width }
}
