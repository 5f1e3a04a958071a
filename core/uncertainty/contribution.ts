import { assertInRange } from '../errors'

/**
 * The shapes an uncertainty can have. The first five are symmetric in dB (JCGM 100:2008, 4.3); the others are what
 * nature does, exactly: a share of power, two reflecting ports, noise in a reading, a peak between two points, a
 * carrier under a display.
 */
export type Distribution =
  | 'normal'
  | 'rectangular'
  | 'triangular'
  | 'u-shaped'
  | 'student-t'
  | 'power-share'
  | 'two-ports'
  | 'noise-removed'
  | 'between-points'
  | 'displayed'

/** Families under which contributions are shown together. */
export type ContributionGroup =
  | 'instrument'
  | 'resolution'
  | 'part'
  | 'mismatch'
  | 'floor'
  | 'ambient'
  | 'display'
  | 'scale'
  | 'harmonics'
  | 'antenna'
  | 'sweeps'
  | 'steps'
  | 'stepping'
  | 'curve'
  | 'repeats'
  | 'reference'
  | 'estimate'

/** One line of an uncertainty budget, in the unit of its budget: the true value less the stated one. */
export interface Contribution {
  id: string
  group: ContributionGroup
  label: string
  distribution: Distribution
  /**
   * Half-width ±a of the bounded shapes, to first order; for a normal one or repeats, its standard
   * uncertainty times 2.
   */
  halfWidth: number
  standardUncertainty: number
  /** Infinity where it does not come from repeats. */
  degreesOfFreedom: number
  /** True when nobody stated it and a typical size was taken. */
  assumed: boolean
  /** Names the error itself: two readings with the same key share it, and it cancels in their ratio. */
  sharedKey: string | null
  /**
   * What some shapes need besides: relative power ±h, |Γ1||Γ2|, or dB above the floor. 0 for the others.
   */
  parameter: number
  /** Edges of the cells of a `displayed` one, and a name for them that no other has; null for the others. */
  table: ContributionTable | null
  /** Names the shape of the error alone: equal ones are distributed alike. */
  shapeKey: string
}

/** A shape given by the edges of its cells. */
export interface ContributionTable {
  key: string
  edges: readonly number[]
}

/** Half-width over standard uncertainty of each shape. */
export const DIVISOR: Record<Distribution, number> = {
  normal: 2,
  rectangular: Math.sqrt(3),
  triangular: Math.sqrt(6),
  'u-shaped': Math.SQRT2,
  'student-t': 2,
  'power-share': Math.sqrt(3),
  'two-ports': Math.SQRT2,
  'noise-removed': Math.sqrt(3),
  'between-points': Math.sqrt(45 / 4),
  displayed: 2,
}

/** What a line of a budget is made from, in the budget’s unit. */
export interface ContributionInput {
  id: string
  group: ContributionGroup
  label: string
  distribution: Distribution
  /** ±a for the bounded shapes; the k = 2 expanded uncertainty for a normal or a displayed one. */
  halfWidth: number
  degreesOfFreedom?: number
  assumed?: boolean
  sharedKey?: string | null
  parameter?: number
  table?: ContributionTable
}

/**
 * A contribution from its half-width: a/√3 rectangular, a/√2 U-shaped, a/√6 triangular, U/2 normal.
 * @throws CoreError `out-of-range` for a negative or NaN half-width.
 * @see JCGM 100:2008, 4.3.7 and 4.3.9; U-shape: EA-4/02 supplement 2, example S7 (from memory).
 */
export function contribution(input: ContributionInput): Contribution {
  const {
    id,
    group,
    label,
    distribution,
    halfWidth,
    degreesOfFreedom = Infinity,
    assumed = false,
    sharedKey = null,
    parameter = 0,
    table = null,
  } = input
  assertInRange(`Half-width of ${label}`, halfWidth, 0, Number.MAX_VALUE)
  return {
    id,
    group,
    label,
    distribution,
    halfWidth,
    degreesOfFreedom,
    assumed,
    sharedKey,
    parameter,
    table,
    shapeKey: `${distribution}${halfWidth},${degreesOfFreedom},${table ? table.key : parameter};`,
    standardUncertainty: halfWidth / DIVISOR[distribution],
  }
}
