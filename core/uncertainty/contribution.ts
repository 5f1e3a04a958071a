import { assertInRange } from '../errors'

/** The shapes an uncertainty can have (JCGM 100:2008, 4.3). */
export type Distribution = 'normal' | 'rectangular' | 'triangular' | 'u-shaped'

/** Families under which contributions are shown together. */
export type ContributionGroup = 'instrument' | 'resolution' | 'part' | 'mismatch' | 'floor' | 'steps' | 'carrier' | 'repeats'

/** One line of an uncertainty budget, in dB. */
export interface Contribution {
  id: string
  group: ContributionGroup
  label: string
  distribution: Distribution
  /** Half-width ±a of the bounded shapes; for a normal one, its standard uncertainty times 2. */
  halfWidthDb: number
  standardUncertaintyDb: number
  /** Infinity where it does not come from repeats. */
  degreesOfFreedom: number
  /** True when nobody stated it and a typical size was taken. */
  assumed: boolean
}

const DIVISOR: Record<Distribution, number> = { 'normal': 2, 'rectangular': Math.sqrt(3), 'triangular': Math.sqrt(6), 'u-shaped': Math.SQRT2 }

export interface ContributionInput {
  id: string
  group: ContributionGroup
  label: string
  distribution: Distribution
  /** ±a for the bounded shapes; the k = 2 expanded uncertainty for a normal one. */
  halfWidthDb: number
  degreesOfFreedom?: number
  assumed?: boolean
}

/**
 * A contribution from its half-width in dB: a/√3 rectangular, a/√2 U-shaped, a/√6 triangular, U/2 normal.
 * @throws CoreError `out-of-range` for a negative or NaN half-width.
 * @see JCGM 100:2008, 4.3.7 and 4.3.9; U-shape: EA-4/02 supplement 2, example S7 (from memory).
 */
export function contribution(input: ContributionInput): Contribution {
  const { degreesOfFreedom = Infinity, assumed = false, ...rest } = input
  assertInRange(`Half-width of ${input.label}`, input.halfWidthDb, 0, Number.MAX_VALUE)
  return { ...rest, degreesOfFreedom, assumed, standardUncertaintyDb: input.halfWidthDb / DIVISOR[input.distribution] }
}
