import type { KeyDown, Reading } from '../../../review'
import { type Slot, type SlotResult, socketDbm } from '../../../step'

/** What a log of power came to. */
export interface Droop {
  first: SlotResult
  last: SlotResult
  /**
   * Last against first, dB: negative where the power fell. Both went through one chain, so what they share
   * cancels.
   */
  droopDb: number
  seconds: number
  /** Time constant of an exponential fall that fits, s; null where the power hardly moved or no fall fits. */
  timeConstantS: number | null
  points: { atS: number; levelDbm: number }[]
}

/** Smallest change a time constant is fitted to, dB. */
const LEAST_CHANGE_DB = 0.1

/** The time of a slot of the log, s; null for any other slot. */
export function momentOf({ kind }: Pick<Slot, 'kind'>): number | null {
  return kind.is === 'moment' && typeof kind.atS === 'number' ? kind.atS : null
}

/** A reading counts as taken at its moment if it came no further from it than this: s, or a share of the moment. */
const NEAR = { seconds: 10, share: 0.25 } as const

/**
 * When a moment of the log was really read, s after key-down: late and early count as they were, where the clock ran.
 * Without a key-down on record, or far from it (typed in afterwards), it is the moment itself.
 */
export function takenAtS(
  { at, setId, stepId, source }: Pick<Reading, 'at' | 'setId' | 'stepId' | 'source'>,
  momentS: number,
  keyDowns: readonly KeyDown[],
): number {
  if (source.kind !== 'typed') return momentS
  for (const down of keyDowns) {
    if (down.setId !== setId || down.stepId !== stepId) continue
    const sinceS = (Date.parse(at) - Date.parse(down.at)) / 1000 + down.seconds
    const isDuring = sinceS >= 0 && sinceS <= down.seconds + NEAR.seconds
    if (isDuring && Math.abs(sinceS - momentS) <= Math.max(NEAR.seconds, NEAR.share * momentS)) return sinceS
  }
  return momentS
}

/**
 * The log of a step, from the slots that were read; null with fewer than two moments.
 * @param keyDowns - key-downs on record: they tell when each moment was really read.
 */
export function droopOf(slots: readonly SlotResult[], keyDowns: readonly KeyDown[]): Droop | null {
  const moments = slots
    .flatMap(result => {
      const momentS = momentOf(result.slot)
      const atS = momentS !== null && result.reading ? takenAtS(result.reading, momentS, keyDowns) : momentS
      const levelDbm = socketDbm(result)
      return atS !== null && levelDbm !== null ? [{ atS, result, levelDbm }] : []
    })
    .sort((a, b) => a.atS - b.atS)
  const [first] = moments
  const last = moments.at(-1)
  if (!first || !last || first === last) return null
  const points = moments.map(({ atS, levelDbm }) => ({ atS, levelDbm }))
  return {
    first: first.result,
    last: last.result,
    droopDb: last.levelDbm - first.levelDbm,
    seconds: last.atS - first.atS,
    timeConstantS: timeConstant(points),
    points,
  }
}

/**
 * Time constant τ of a + b·exp(−t/τ) that fits a log best, s: τ is searched, a and b follow by least squares.
 * @returns null with fewer than five points, a change under 0.1 dB, or a τ at either end of what the log can
 *   show.
 */
export function timeConstant(points: readonly { atS: number; levelDbm: number }[]): number | null {
  if (points.length < 5) return null
  const levels = points.map(({ levelDbm }) => levelDbm)
  if (Math.max(...levels) - Math.min(...levels) < LEAST_CHANGE_DB) return null
  const span = points.at(-1)!.atS - points[0]!.atS
  const taus = Array.from({ length: 120 }, (_unused, i) => (span / 60) * 200 ** (i / 119))
  let best = { tau: 0, square: Infinity, index: -1 }
  for (const [index, tau] of taus.entries()) {
    const square = residual(points, tau)
    if (square < best.square) best = { tau, square, index }
  }
  return best.index <= 0 || best.index >= taus.length - 1 ? null : best.tau
}

function residual(points: readonly { atS: number; levelDbm: number }[], tau: number): number {
  const n = points.length
  const x = points.map(({ atS }) => Math.exp(-(atS - points[0]!.atS) / tau))
  const meanX = x.reduce((a, b) => a + b, 0) / n
  const meanY = points.reduce((sum, { levelDbm }) => sum + levelDbm, 0) / n
  let xx = 0
  let xy = 0
  for (const [i, { levelDbm }] of points.entries()) {
    xx += (x[i]! - meanX) ** 2
    xy += (x[i]! - meanX) * (levelDbm - meanY)
  }
  const slope = xx > 0 ? xy / xx : 0
  return points.reduce((sum, { levelDbm }, i) => sum + (levelDbm - meanY - slope * (x[i]! - meanX)) ** 2, 0)
}
