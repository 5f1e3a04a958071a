import binomialCdf from '@stdlib/stats-base-dists-binomial-cdf'
import Joi from 'joi'

/** How one evening came out. */
export interface EveningResult {
  eveningId: string
  reviewId: string
  openedAt: string
  ranges: number
  held: number
  caught: string[]
  missed: string[]
  /** Mistakes a hint was asked for. */
  hints: string[]
}

/** Schema of what is kept of an evening. */
export const eveningResultSchema = Joi.object<EveningResult>({
  eveningId: Joi.string().max(80).required(),
  reviewId: Joi.string().max(120).required(),
  openedAt: Joi.string().isoDate().required(),
  ranges: Joi.number().integer().min(0).max(100_000).required(),
  held: Joi.number().integer().min(0).max(100_000).required(),
  caught: Joi.array().items(Joi.string().max(80)).max(20).required(),
  missed: Joi.array().items(Joi.string().max(80)).max(20).required(),
  hints: Joi.array().items(Joi.string().max(80)).max(20).required(),
})

/** All evenings together. */
export interface PracticeRecord {
  evenings: number
  ranges: number
  held: number
  /** So many of the ranges chance lets hold the truth, 19 times of 20, where 95 % do. */
  chance: { low: number; high: number }
  caught: number
  planted: number
}

/** Share of ranges that ought to hold the truth. */
const PROMISED = 0.95
const TAIL = 0.025

/** What so many evenings say of a reviewer. */
export function practiceRecord(results: readonly EveningResult[]): PracticeRecord {
  const sum = (count: (one: EveningResult) => number) => results.reduce((total, one) => total + count(one), 0)
  const ranges = sum(one => one.ranges)
  return {
    evenings: results.length,
    ranges,
    held: sum(one => one.held),
    chance: byChance(ranges),
    caught: sum(one => one.caught.length),
    planted: sum(one => one.caught.length + one.missed.length),
  }
}

/** The middle 95 % of a binomial distribution: so many of n hold the truth where each does with 95 %. */
export function byChance(n: number): { low: number; high: number } {
  if (n === 0) return { low: 0, high: 0 }
  let low = 0
  while (low < n && binomialCdf(low, n, PROMISED) <= TAIL) low += 1
  let high = low
  while (high < n && binomialCdf(high, n, PROMISED) < 1 - TAIL) high += 1
  return { low, high }
}
